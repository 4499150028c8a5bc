import { forceWords } from '../quantities/force'
import { asDeep, couponDepthMm } from '../coupons/depth'
import { draftCoupon, judge, type CouponWish } from '../coupons/draft'
import { expectedN } from '../coupons/expected'
import { LEVER_RATIOS, readsAtAll, readWords } from '../coupons/reading'
import { closedS } from '../cure/shutIn'
import { sizeNames, testKinds, type CouponSize, type SizeKey } from '../knowledge/testKinds'
import { copiesJoint } from '../loads/copies'
import { durationWords } from '../quantities/durations'
import { digitsOf, figureOf } from '../quantities/figure'
import type { Brief } from '../records/joint'
import type { Arm, ArmRead } from '../records/round'
import type { Procedure } from '../records/procedure'
import type { Situation } from '../situation/situation'
import { armWords } from './arms'
import { resized } from './newArm'
import { letters, withArm, type Check, type FairnessSetting, type Fault, type Mend, type PlanDraft } from './fault'
import { couponSides } from './sides'
import { takeInstead } from './takeInstead'

const GAUGE: ArmRead = { way: 'gauge' }

/** Load expected on a coupon of an arm, from a weak to a strong piece, N; null where nothing is foretold of it. */
export function expectedLoad(
  arm: Pick<Arm, 'test' | 'size'>,
  setting: Pick<FairnessSetting, 'brief' | 'a' | 'b'>,
  family: string,
): [low: number, high: number] | null {
  const sides = couponSides(setting.brief, setting.a, setting.b)
  return sides && expectedN(arm.test, { ...testKinds[arm.test].sizes, ...arm.size }, sides, family)
}

/** What a coupon of this arm is asked: the glues of the round, the gauge, and how deep the joint lies. */
export function wishOf(arm: Pick<Arm, 'test' | 'size'>, draft: PlanDraft, setting: FairnessSetting): CouponWish | null {
  const sides = couponSides(setting.brief, setting.a, setting.b)
  if (!sides) return null
  return {
    test: arm.test,
    sides,
    families: [...new Set(draft.procedures.map((one) => setting.familyOf(one).id))],
    gauge: setting.gauge,
    size: arm.size,
    depthMm: deepest(arm, draft, setting)?.depthMm ?? null,
  }
}

/** A size in words, where it differs from another: “width 15 mm, overlap 8 mm”. */
function sizeWords(size: CouponSize, was: CouponSize): string {
  const changed = (Object.keys(size) as SizeKey[]).filter((key) => size[key] != null && size[key] !== was[key])
  return changed.map((key) => `${sizeNames[key].word} ${digitsOf(size[key]!)} ${sizeNames[key].unit}`).join(', ')
}

/** Smaller size, lever, hung weights, water, in this order: what each would make of a load that cannot be read. */
function waysToRead(arm: Arm, wish: CouponWish, brief: Brief): Mend[] {
  const mends: Mend[] = []
  const patched = (patch: Partial<Arm>) => (draft: PlanDraft) => withArm(draft, arm.id, patch)
  const byGauge = draftCoupon(wish)
  if (byGauge.readable && byGauge.read.way === 'gauge') {
    const words = sizeWords(byGauge.size, arm.size)
    const taped = byGauge.taped && !arm.taped ? `${words && ', '}three edges taped shut` : ''
    if (words || taped) {
      const { size, taped: shut } = byGauge
      mends.push({
        words: `Make it: ${words}${taped}`,
        apply: (draft) =>
          withArm(draft, arm.id, { ...resized(arm, size, brief), read: GAUGE, ...(shut && { taped: shut }) }),
      })
    }
  }
  const other = (read: ArmRead) => {
    const here = judge(wish, arm.size, read, arm.taped ?? false)
    if (here.readable) mends.push({ words: `Read it ${readWords(read)}`, apply: patched({ read }) })
    return here.readable
  }
  LEVER_RATIOS.some((ratio) => other({ way: 'lever', ratio }))
  other({ way: 'mass' })
  other({ way: 'water' })
  return mends
}

/** Loads that the way of reading cannot tell: the best ones would all read “at least”, the weak ones nothing. */
export const readable: Check = (draft, setting) =>
  draft.arms.flatMap((arm): Fault[] => {
    const read = arm.read ?? GAUGE
    const [from, to] = readsAtAll(read, setting.gauge)
    const force = (n: number) => forceWords(n, setting.gauge.unit)
    const found = draft.procedures.map((procedure) => ({
      procedure,
      load: expectedLoad(arm, setting, setting.familyOf(procedure).id),
    }))
    const high = found.filter(({ load }) => load && load[1] > to)
    const low = found.filter(({ load }) => load && load[0] < from)
    const wish = high.length || low.length ? wishOf(arm, draft, setting) : null
    if (!wish) return []
    const [mend = null, ...more] = waysToRead(arm, wish, setting.brief)
    const fault = (id: string, list: typeof found, text: string): Fault[] =>
      list.length
        ? [
            {
              id,
              about: arm.id,
              text: `${armWords(arm)}, ${letters(list.map(({ procedure }) => procedure))}: ${text}`,
              mend,
              more,
            },
          ]
        : []
    const most = Math.max(0, ...high.map(({ load }) => load![1]))
    return [
      ...fault(
        'reads-not-so-high',
        high,
        `up to ${force(most)} are expected and ${readWords(read)} one reads to ${force(to)}: ` +
          'the best ones would all read “at least”.',
      ),
      ...fault(
        'reads-not-so-low',
        low,
        `weak pieces would let go below ${force(from)}, which ${readWords(read)} nobody can tell apart.`,
      ),
    ]
  })

/** A coupon on faces, where the joint has end grain, cut cells or a thin edge; or on edges, where it has faces. */
export const asTheJoint: Check = ({ arms }, setting) =>
  arms.flatMap((arm): Fault[] => {
    const { geometry } = setting.brief
    if (copiesJoint(geometry, arm.test)) return []
    return [
      {
        id: 'not-as-the-joint',
        about: arm.id,
        text:
          geometry === 'butt-edge'
            ? `${armWords(arm)}: the joint meets at its edge, and this coupon is glued face on face. It would look ` +
              'stronger than the edge is, whose glued width is its thickness.'
            : `${armWords(arm)}: the joint lies face on face, and this coupon is glued edge on edge, a narrow line ` +
              'of cut cells, layers or grain.',
        mend: takeInstead(arm, testKinds[arm.test].loads[0]!, arms, setting),
      },
    ]
  })

/** How deep the joint lies as a procedure glues it: half of a bead where it is laid in beads. mm */
const depthOf = ({ cure, edgeMm }: Situation): number | null =>
  edgeMm === null ? null : cure.beads ? Math.min(edgeMm, cure.beads.widthMm / 2) : edgeMm

interface Deep {
  procedure: Procedure
  depthMm: number
  jointS: number
  couponS: number
}
/** The procedure whose cure depends most on how deep it lies, where that decides; null where none does. */
function deepest(arm: Pick<Arm, 'test' | 'size' | 'taped'>, draft: PlanDraft, setting: FairnessSetting): Deep | null {
  const mm = couponDepthMm(arm.test, arm.size, arm.taped)
  const found = draft.procedures.flatMap((procedure): Deep[] => {
    const situation = setting.advice?.(procedure)?.situation
    const depthMm = situation && depthOf(situation)
    if (!situation || !depthMm || situation.cure.reachMm === null) return []
    const { reachMm, factor, question } = situation.cure
    const [jointS, couponS] = [closedS(depthMm, reachMm, factor), closedS(mm, reachMm, factor)]
    // Where both are done before the glue has set anyway, depth decides nothing.
    return Math.max(jointS, couponS) <= question.family.fullS * factor ? [] : [{ procedure, depthMm, jointS, couponS }]
  })
  return found.sort((x, y) => y.jointS - x.jointS)[0] ?? null
}

/** Coupons that dry or cure from their rim, and lie less deep or deeper than the joint does. */
export const asDeepAsTheJoint: Check = (draft, setting) =>
  draft.arms.flatMap((arm): Fault[] => {
    if (!testKinds[arm.test].foretold) return []
    const deep = deepest(arm, draft, setting)
    const mm = couponDepthMm(arm.test, arm.size, arm.taped)
    if (!deep || asDeep(mm, deep.depthMm)) return []
    const { procedure, depthMm, jointS, couponS } = deep
    const wish = wishOf(arm, draft, setting)
    const made = wish && draftCoupon({ ...wish, depthMm })
    const mend: Mend | null =
      made?.asDeep && made.readable
        ? {
            words: `Make it as deep: ${[sizeWords(made.size, arm.size), made.taped ? 'three edges taped shut' : '']
              .filter(Boolean)
              .join(', ')}`,
            apply: (of) =>
              withArm(of, arm.id, { ...resized(arm, made.size, setting.brief), taped: made.taped, read: made.read }),
          }
        : null
    const judged = mm < depthMm ? 'it would acquit a glue that stays wet in the joint' : 'it would condemn a glue'
    return [
      {
        id: 'not-as-deep',
        about: arm.id,
        text:
          `${armWords(arm)}, ${procedure.letter}: the coupon lies ${figureOf(mm)} mm deep and is done in ` +
          `${durationWords(couponS)}, the joint ${figureOf(depthMm)} mm and takes ${durationWords(jointS)}: ` +
          `${judged}.` +
          (mend ? '' : ' Glue one full-size piece beside it and open that when the coupons are pulled.'),
        mend,
        ...(!mend && { note: true as const }),
      },
    ]
  })
