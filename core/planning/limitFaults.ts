import { judge } from '../coupons/draft'
import { perNewton } from '../coupons/expected'
import { readings, readsAtAll, readWords } from '../coupons/reading'
import { formulaOf, testKinds } from '../knowledge/testKinds'
import { forceWords } from '../quantities/force'
import { armWords } from './arms'
import { wishOf } from './couponFaults'
import { withArm, type Check, type Fault, type Mend, type PlanDraft } from './fault'
import { limitOf } from './limits'
import { PROOF_FACTOR, proofArm } from './newArm'

/** A pass limit below or above all that its way of reading can tell: no figure would say whether it is met. */
export const limitCanBeRead: Check = (draft, setting) =>
  draft.arms.flatMap((arm): Fault[] => {
    const limit = limitOf(arm, setting.brief)
    const perN = formulaOf(arm.test) ? perNewton(arm.test, { ...testKinds[arm.test].sizes, ...arm.size }) : null
    if (limit === null || perN === null) return []
    const couponN = limit / perN
    const by = arm.read ?? { way: 'gauge' }
    const [from, to] = readsAtAll(by, setting.gauge)
    if (couponN >= from && couponN <= to) return []
    const force = (n: number) => forceWords(n, setting.gauge.unit)
    const others = readings.filter((read) => inside(couponN, readsAtAll(read, setting.gauge)))
    const wish = wishOf(arm, draft, setting)
    const ways = others.flatMap((read): Mend[] =>
      // Another way counts where it tells what the pieces are expected to hold, too.
      wish && judge(wish, arm.size, read, arm.taped ?? false).readable
        ? [{ words: `Read it ${readWords(read)}`, apply: (of) => withArm(of, arm.id, { read }) }]
        : [],
    )
    const proof: Mend = {
      words: `Hang the load itself, ${PROOF_FACTOR} times and more, as a proof load`,
      apply: (of: PlanDraft) => ({ ...of, arms: of.arms.map((one) => (one.id === arm.id ? proofArm(one) : one)) }),
    }
    const [mend, ...more] = [...ways.slice(0, 2), proof]
    return [
      {
        id: 'limit-not-read',
        about: arm.id,
        text:
          `${armWords(arm)}: its limit is ${force(couponN)} on this coupon, and ${readWords(by)} one reads from ` +
          `${force(from)} to ${force(to)}. ` +
          (couponN < from
            ? 'A piece that comes apart so lightly is lost in handling, and all that can be read passes.'
            : 'All that can be read misses it.'),
        mend: mend!,
        more,
        note: true,
      },
    ]
  })
const inside = (n: number, [from, to]: readonly [number, number]) => n >= from && n <= to
