import { computed, type ComputedRef } from 'vue'
import { familyOf, isFamily, type Family } from '../../core/knowledge/families'
import { materialClassOf, materialClasses, type MaterialClass } from '../../core/knowledge/materials'
import { progressOf, type JointProgress } from '../../core/planning/progress'
import { isOwn, ownReadings } from '../../core/readings/counting'
import { timesOf } from '../../core/situation/label'
import type { Joint } from '../../core/records/joint'
import type { Reading } from '../../core/records/reading'
import type { Arm, Round } from '../../core/records/round'
import type { Decision } from '../../core/records/decision'
import type { Coupon } from '../../core/records/coupon'
import type { Procedure } from '../../core/records/procedure'
import type { Adhesive } from '../../core/records/shelf'
import type { Hatch } from '../look/seam/geometry'
import { useBench } from './store'

type BenchStore = ReturnType<typeof useBench>

/** A material of the brief: a class of the tables, or an own one on top of its class. */
export interface KnownMaterial {
  id: string
  name: string
  cls: MaterialClass
  thicknessMm: number | null
}

const classIds = new Set(materialClasses.map((material) => material.id))

export function materialOf(bench: BenchStore, id: string | null): KnownMaterial | null {
  if (id === null) return null
  const own = bench.get('material', id)
  if (own) return { id, name: own.name, cls: materialClassOf(own.classId), thicknessMm: own.thicknessMm }
  if (!classIds.has(id)) return null
  const cls = materialClassOf(id)
  return { id, name: cls.name, cls, thicknessMm: null }
}

/** Class of a material id: own materials stand for their class; null for one that is gone. */
export const classOfMaterial = (bench: BenchStore) => (id: string) => materialOf(bench, id)?.cls.id ?? null

/** The hatch of a side in the seam drawing. */
export function hatchOf(material: KnownMaterial | null): Hatch {
  if (!material) return 'open'
  return material.cls.transparent ? 'clear' : material.cls.group
}

/** A procedure's family with what the label of its product says; the family alone when the product is gone. */
export function familyTimes(bench: BenchStore, procedure: Pick<Procedure, 'family' | 'adhesive'>): Family {
  return timesOf(
    familyOf(isFamily(procedure.family) ? procedure.family : 'pva-white'),
    bench.get('adhesive', procedure.adhesive)?.label,
  )
}

export interface JointView {
  joint: Joint
  a: KnownMaterial | null
  b: KnownMaterial | null
  procedures: Procedure[]
  rounds: Round[]
  /** the latest round that has coupons */
  round: Round | null
  /** a round that is being planned and has no coupons yet */
  draft: Round | null
  /** the arm that is shown: of the latest round the first, unless a page narrows to another */
  arm: Arm | null
  /** of the latest round, in glue order */
  coupons: Coupon[]
  /** pieces that do not count and are not pulled */
  leftOut: Coupon[]
  readings: Reading[]
  /** what the same pieces were put through before their own test: never counted as pieces of their own */
  earlier: Reading[]
  decision: Decision | null
  progress: JointProgress
}

/** What was decided last for a joint. */
export const latestDecision = (bench: BenchStore, joint: string): Decision | null =>
  bench
    .of('decision', joint)
    .sort((x, y) => x.at - y.at)
    .at(-1) ?? null

/** A joint with all that hangs on it, as the records stand: no clock is in it. */
export function viewJoint(bench: BenchStore, joint: Joint): JointView {
  const procedures = bench.of('procedure', joint.id).sort((x, y) => x.letter.localeCompare(y.letter))
  const rounds = bench.of('round', joint.id).sort((x, y) => x.number - y.number)
  const last = rounds.at(-1) ?? null
  const round = rounds.findLast(({ id }) => bench.pulled(id).coupons.length > 0) ?? null
  const draft = last && last !== round ? last : null
  const pulled = round && bench.pulled(round.id)
  const all = [...(pulled?.coupons ?? [])].sort((x, y) => x.glueAt - y.glueAt)
  const readingsOf = (id: string) => pulled?.ofCoupon.get(id) ?? []
  // What was pulled before it was left out stays with its reading.
  const counts = (coupon: Coupon) => !coupon.leftOut || readingsOf(coupon.id).length > 0
  const coupons = all.filter(counts)
  const every = coupons.flatMap(({ id }) => readingsOf(id))
  const readings = ownReadings(every)
  const decision = latestDecision(bench, joint.id)
  return {
    joint,
    a: materialOf(bench, joint.brief.a.material),
    b: materialOf(bench, joint.brief.b.material),
    procedures,
    rounds,
    round,
    draft,
    arm: round?.arms[0] ?? null,
    coupons,
    leftOut: all.filter((coupon) => !counts(coupon)),
    readings,
    earlier: every.filter((one) => !isOwn(one)),
    decision,
    progress: progressOf(joint.brief, procedures, round, coupons, readings, decision),
  }
}

/** A view narrowed to one arm of its round: its coupons and readings alone. */
export function narrowed(view: JointView, armId: string | null): JointView {
  const arm = view.round?.arms.find(({ id }) => id === armId) ?? view.arm
  if (!arm || view.round!.arms.length === 1) return view
  const coupons = view.coupons.filter((coupon) => coupon.arm === arm.id)
  const ids = new Set(coupons.map(({ id }) => id))
  const own = (readings: Reading[]) => readings.filter(({ coupon }) => ids.has(coupon))
  return { ...view, arm, coupons, readings: own(view.readings), earlier: own(view.earlier) }
}

/** The view of one joint, as its records stand; null when there is no such joint. */
export function useJoint(id: () => string): ComputedRef<JointView | null> {
  const bench = useBench()
  return computed(() => {
    const joint = bench.get('joint', id())
    return joint ? viewJoint(bench, joint) : null
  })
}

/** Joints of the build in the order of their codes (H2 before H10). */
export const jointsInOrder = (bench: BenchStore): Joint[] =>
  bench.all('joint').sort((x, y) => x.code.localeCompare(y.code, 'en', { numeric: true }))

/** What a product is called, or its family when it is none of the shelf. */
export function glueName(bench: BenchStore, procedure: Pick<Procedure, 'family' | 'adhesive'>): string {
  const product: Adhesive | null = bench.get('adhesive', procedure.adhesive)
  return product?.name ?? (isFamily(procedure.family) ? familyOf(procedure.family).name : procedure.family)
}
