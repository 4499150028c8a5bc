import { testKinds, type TestId } from '../knowledge/testKinds'
import { requiredStrength } from '../loads/requirement'
import type { Brief, Joint, Side } from '../records/joint'
import { ownReadings } from '../readings/counting'
import type { Reading } from '../records/reading'
import type { Coupon, Procedure, Round } from '../records/round'
import { analyse } from '../statistics/analyse'
import { modelReadings } from './modelReadings'

/** One side of a pair, by what a glue meets there. */
export interface PairSide {
  /** material class */
  material: string
  state: string | null
}

/** Own pulls of one glue on one pair of materials with one test. */
export interface PairEvidence {
  family: string
  adhesive: string | null
  sides: [PairSide, PairSide]
  test: TestId
  pulls: number
  /** pulls that say anything: wet ones and faults left out */
  valid: number
  /** typical strength, or its lower bound where the part always gave way first; null where nothing was read */
  typical: number | null
  atLeast: boolean
  /** posterior of ln strength by the strength model, mean and standard deviation; null where nothing was read */
  posterior: { mean: number; sd: number } | null
  unit: string
  /** typical strength against the limit it was judged by, when the coupons were planned */
  limit: number | null
  /** joint codes and coupon labels behind it */
  from: string[]
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

/**
 * What was pulled at this bench, pair by pair, glue by glue, test by test. Censored readings count as what they are.
 * @param classOf class of a material id (own materials stand for their class); null when unknown
 */
export function ownEvidence(tables: EvidenceTables, classOf: (material: string) => string | null): PairEvidence[] {
  const readingsOf = new Map<string, Reading[]>()
  for (const reading of ownReadings(tables.reading))
    readingsOf.set(reading.coupon, [...(readingsOf.get(reading.coupon) ?? []), reading])
  const couponsOf = new Map<string, Coupon[]>()
  for (const coupon of tables.coupon) {
    const key = `${coupon.round} ${coupon.procedure}`
    couponsOf.set(key, [...(couponsOf.get(key) ?? []), coupon])
  }
  const procedures = new Map(tables.procedure.map((procedure) => [procedure.id, procedure]))
  const joints = new Map(tables.joint.map((joint) => [joint.id, joint]))
  return tables.round.flatMap((round) => {
    const joint = joints.get(round.joint)
    const a = joint && sideOf(joint.brief.a, classOf)
    const b = joint && sideOf(joint.brief.b, classOf)
    if (!a || !b) return []
    // What was heated, washed or left for years answers other questions than a plain pull.
    return round.arms
      .filter((arm) => arm.exposure === null)
      .flatMap((arm) =>
        round.procedures.flatMap((id): PairEvidence[] => {
          const procedure = procedures.get(id)
          const coupons = (couponsOf.get(`${round.id} ${id}`) ?? []).filter((coupon) => coupon.arm === arm.id)
          const pulled = coupons.filter((coupon) => readingsOf.has(coupon.id))
          if (!procedure || !pulled.length) return []
          const readings = pulled.flatMap((coupon) => readingsOf.get(coupon.id)!)
          return [
            {
              family: procedure.family,
              adhesive: procedure.adhesive,
              sides: [a, b],
              test: arm.test,
              pulls: pulled.length,
              ...summed(pulled, readings, arm.test),
              unit: testKinds[arm.test].unit,
              limit: arm.passLimit,
              from: pulled.map((coupon) => coupon.label),
            },
          ]
        }),
      )
  })
}

/** Standard normal quantile of 95 %. */
const Z95 = 1.6448536269514722

function summed(
  coupons: readonly Coupon[],
  readings: readonly Reading[],
  test: TestId,
): Pick<PairEvidence, 'valid' | 'typical' | 'atLeast' | 'posterior'> {
  const model = modelReadings(
    test,
    coupons.map(({ id }) => ({ id, procedure: 'own' })),
    readings,
  )
  if (!model.length) return { valid: 0, typical: null, atLeast: false, posterior: null }
  const own = analyse({ required: null, readings: model }).procedures[0]!
  const atLeast = model.every((datum) => datum.kind === 'atLeast')
  const { median, low90, high90 } = own.typical
  // The middle 90 % of a normal lies within 1.645 standard deviations of its mean.
  const posterior = { mean: Math.log(median), sd: Math.log(high90 / low90) / (2 * Z95) }
  return { valid: model.length, typical: atLeast ? low90 : median, atLeast, posterior }
}

const same = (x: PairSide, y: PairSide, alsoState: boolean) =>
  x.material === y.material && (!alsoState || x.state === y.state)

/** Evidence on this pair, whichever side is called A; `exactly` also in the same state of both faces. */
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
  return all.filter(({ sides }) => match(sides, false)).map((one) => ({ ...one, exactly: match(one.sides, true) }))
}

export type Saying = 'holds' | 'fails' | 'unclear'
/** Fewer pulls than this settle nothing: one lucky piece is no proof. */
export const ENOUGH_PULLS = 3

/**
 * What own pulls say for a brief: above or below the limit of the joint (else the one they were planned with), enough
 * of them.
 */
export function sayingOf(evidence: PairEvidence, brief: Brief): { says: Saying; limit: number | null } {
  const limit = requiredStrength(brief, evidence.test) ?? evidence.limit
  if (evidence.valid < ENOUGH_PULLS || evidence.typical === null || limit === null) return { says: 'unclear', limit }
  return { says: evidence.typical >= limit ? 'holds' : 'fails', limit }
}
