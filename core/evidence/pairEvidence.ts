import { testKinds, type TestId } from '../knowledge/testKinds'
import { requiredStrength } from '../loads/requirement'
import type { Brief, Joint, Side } from '../records/joint'
import { countingReadings, ownReadings } from '../readings/counting'
import { interpret } from '../readings/interpret'
import type { Reading } from '../records/reading'
import type { Exposure, Round } from '../records/round'
import type { Coupon } from '../records/coupon'
import type { Procedure } from '../records/procedure'
import { analyse } from '../statistics/analyse'
import { modelReadings } from './modelReadings'

/** One side of a pair, by what a glue meets there. */
export interface PairSide {
  /** material class */
  material: string
  state: string | null
}

/** One pull behind it, as far as trends look at it. */
export interface EvidencePoint {
  coupon: string
  label: string
  /** when it was glued, ms; when it was pulled, where nobody stamped that */
  at: number
  /** the pack that the glue came out of */
  stock: string | null
  /** ln of its strength, where it was read as one value */
  ln: number | null
}

/** Pulls of one procedure on one pair of materials with one test, in one round. */
export interface PairEvidence {
  family: string
  adhesive: string | null
  sides: [PairSide, PairSide]
  test: TestId
  /** what the pieces went through first; null: pulled dry */
  exposure: Exposure | null
  /** the other maker who pulled them; null: one's own */
  owner: string | null
  joint: string
  round: string
  procedure: string
  arm: string
  pulls: number
  /** pulls that say anything: wet ones and faults left out */
  valid: number
  /** typical strength, or its lower bound where the part always gave way first; null where nothing was read */
  typical: number | null
  /** where nine in ten of what the typical strength may be lie; null where nothing was read */
  between: { low90: number; high90: number } | null
  /** what 19 in 20 joints hold: the middle, and its lower bound; null where nothing was read */
  weakJoint: { median: number; low95: number } | null
  atLeast: boolean
  /** posterior of ln strength by the strength model, mean and standard deviation; null where nothing was read */
  posterior: { mean: number; sd: number } | null
  unit: string
  /** typical strength against the limit it was judged by, when the coupons were planned */
  limit: number | null
  /** joint codes and coupon labels behind it */
  from: string[]
  points: EvidencePoint[]
}

export interface EvidenceTables {
  joint: readonly Joint[]
  procedure: readonly Procedure[]
  round: readonly Round[]
  coupon: readonly Coupon[]
  reading: readonly Reading[]
}

const sideOf = (side: Side, classOf: (material: string) => string | null): PairSide | null => {
  const material = side.material === null ? null : classOf(side.material)
  return material === null ? null : { material, state: side.state }
}

const grouped = <T>(rows: readonly T[], keyOf: (row: T) => string): Map<string, T[]> => {
  const groups = new Map<string, T[]>()
  for (const row of rows) {
    const group = groups.get(keyOf(row))
    if (group) group.push(row)
    else groups.set(keyOf(row), [row])
  }
  return groups
}

/**
 * All that was pulled, dry and after exposures, pair by pair, glue by glue, test by test, one's own and other makers'
 * apart. Censored readings count as what they are.
 * @param classOf class of a material id (own materials stand for their class); null when unknown
 * @param onProgress told 0…1 before each round
 */
export function gatheredEvidence(
  tables: EvidenceTables,
  classOf: (material: string) => string | null,
  onProgress: (done: number) => void = () => {},
): PairEvidence[] {
  const readingsOf = grouped(ownReadings(tables.reading), ({ coupon }) => coupon)
  const couponsOf = grouped(tables.coupon, ({ round, procedure, arm }) => `${round} ${procedure} ${arm}`)
  const procedures = new Map(tables.procedure.map((procedure) => [procedure.id, procedure]))
  const joints = new Map(tables.joint.map((joint) => [joint.id, joint]))
  return tables.round.flatMap((round, i) => {
    onProgress(i / tables.round.length)
    const joint = joints.get(round.joint)
    const a = joint && sideOf(joint.brief.a, classOf)
    const b = joint && sideOf(joint.brief.b, classOf)
    if (!a || !b) return []
    return round.arms.flatMap((arm) =>
      round.procedures.flatMap((id): PairEvidence[] => {
        const procedure = procedures.get(id)
        if (!procedure) return []
        const coupons = couponsOf.get(`${round.id} ${id} ${arm.id}`) ?? []
        const byOwner = grouped(
          coupons.flatMap((coupon) => readingsOf.get(coupon.id) ?? []),
          ({ owner }) => owner ?? '',
        )
        return [...byOwner].map(([owner, readings]): PairEvidence => {
          const ids = new Set(readings.map(({ coupon }) => coupon))
          const pulled = coupons.filter((coupon) => ids.has(coupon.id))
          return {
            family: procedure.family,
            adhesive: procedure.adhesive,
            sides: [a, b],
            test: arm.test,
            exposure: arm.exposure,
            owner: owner || null,
            joint: joint.id,
            round: round.id,
            procedure: id,
            arm: arm.id,
            pulls: pulled.length,
            ...summed(pulled, readings, arm.test),
            unit: testKinds[arm.test].unit,
            limit: arm.passLimit,
            from: pulled.map((coupon) => coupon.label),
            points: pointsOf(pulled, readings, arm.test),
          }
        })
      }),
    )
  })
}

/** The same, of dry pulls alone: what was heated, washed or left for years answers other questions. */
export const ownEvidence = (tables: EvidenceTables, classOf: (material: string) => string | null): PairEvidence[] =>
  gatheredEvidence(tables, classOf).filter(({ exposure }) => exposure === null)

function pointsOf(coupons: readonly Coupon[], readings: readonly Reading[], test: TestId): EvidencePoint[] {
  const read = new Map(countingReadings(readings).map((reading) => [reading.coupon, reading]))
  return coupons.flatMap(({ id, label, stamps }): EvidencePoint[] => {
    const reading = read.get(id)
    if (!reading) return []
    const { datum } = interpret(reading, test)
    const glued = stamps.reduce((last, { at }) => Math.max(last, at), 0)
    const ln = datum.kind === 'exact' ? Math.log(datum.value) : null
    const stock = stamps.find((stamp) => stamp.stock)?.stock ?? null
    return [{ coupon: id, label, at: glued || reading.at, stock, ln }]
  })
}

/** Standard normal quantile of 95 %. */
const Z95 = 1.6448536269514722

function summed(
  coupons: readonly Coupon[],
  readings: readonly Reading[],
  test: TestId,
): Pick<PairEvidence, 'valid' | 'typical' | 'between' | 'weakJoint' | 'atLeast' | 'posterior'> {
  const model = modelReadings(
    { test },
    coupons.map(({ id }) => ({ id, procedure: 'own' })),
    readings,
  )
  if (!model.length) return { valid: 0, typical: null, between: null, weakJoint: null, atLeast: false, posterior: null }
  const own = analyse({ required: null, readings: model }).procedures[0]!
  const atLeast = model.every((datum) => datum.kind === 'atLeast')
  const { median, low90, high90 } = own.typical
  // The middle 90 % of a normal lies within 1.645 standard deviations of its mean.
  const posterior = { mean: Math.log(median), sd: Math.log(high90 / low90) / (2 * Z95) }
  return {
    valid: model.length,
    typical: atLeast ? low90 : median,
    between: { low90, high90 },
    weakJoint: own.weakJoint,
    atLeast,
    posterior,
  }
}

const same = (x: PairSide, y: PairSide, alsoState: boolean) =>
  x.material === y.material && (!alsoState || x.state === y.state)

/** Own dry evidence on this pair, whichever side is called A; `exactly` also in the same state of both faces. */
export function onThisPair(
  all: readonly PairEvidence[],
  brief: Brief,
  classOf: (material: string) => string | null,
): (PairEvidence & { exactly: boolean })[] {
  const a = sideOf(brief.a, classOf)
  const b = sideOf(brief.b, classOf)
  if (!a || !b) return []
  const match = ([x, y]: [PairSide, PairSide], state: boolean) =>
    (same(x, a, state) && same(y, b, state)) || (same(x, b, state) && same(y, a, state))
  // Another maker's gauge and hands are others: theirs is borrowed from, and settles nothing by itself.
  return all
    .filter(({ sides, owner, exposure }) => owner === null && exposure === null && match(sides, false))
    .map((one) => ({ ...one, exactly: match(one.sides, true) }))
}

export type Saying = 'holds' | 'fails' | 'unclear'
/** Fewer pulls than this settle nothing: one lucky piece is no proof. */
const ENOUGH_PULLS = 3

/**
 * What own pulls say for a brief: above or below the limit of the joint (else the one they were planned with), enough
 * of them.
 */
export function sayingOf(evidence: PairEvidence, brief: Brief): { says: Saying; limit: number | null } {
  const limit = requiredStrength(brief, evidence.test) ?? evidence.limit
  if (evidence.valid < ENOUGH_PULLS || evidence.typical === null || limit === null) return { says: 'unclear', limit }
  return { says: evidence.typical >= limit ? 'holds' : 'fails', limit }
}
