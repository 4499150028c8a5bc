import { expectedN, perNewton } from '../coupons/expected'
import { modelReadings } from '../evidence/modelReadings'
import { countingOf, countsLosses, gradingOf, testKinds, type TestId } from '../knowledge/testKinds'
import { armWords } from '../planning/arms'
import { limitOf } from '../planning/limits'
import { couponSides } from '../planning/sides'
import { criteria as kinds, type Arm, type Criterion } from '../records/round'
import type { ModelReading } from '../statistics/data'
import { WEAK_Z } from '../statistics/summary'
import type { Forecast } from './draws'
import { directed, type CriteriaInput, type Item } from './item'
import { factItems, gradedItem, keptItems, lossesItem, orderItem } from './itemParts'
import { keptPairs } from './shareKept'
import { unmetItems } from './unmet'
import { usableItems } from './usable'

export type { CriteriaInput, DrawsFrom, Item, ProcedureFacts } from './item'

/** Plenty is so many times what must be. */
const PLENTY_TIMES = 3
/** Weights where the maker has set none: as the plan proposes them. */
export const startWeights: Record<Criterion, number> = {
  ...(Object.fromEntries(kinds.map((kind) => [kind, 1])) as Record<Criterion, number>),
  strength: 3,
}
/** Nothing is known of the strength: as wide as the model's own prior. */
const UNKNOWN_SD = 1.5
/** The tables' span runs from a weak to a strong piece, 90 %. */
const SPAN_SD = 2 * 1.645
/** Scatter of a joint that the tables do not know. */
const USUAL_SCATTER = 0.25
const flexing = new Set<TestId>(['flex', 'bend'])
const classOf = ({ test }: Pick<Arm, 'test'>): Criterion => {
  if (flexing.has(test)) return 'flexibility'
  if (gradingOf(test)) return test === 'work' ? 'later-work' : 'looks'
  return countsLosses(test) ? 'durability' : 'strength'
}

/**
 * What the choice can weigh in a round, with must and plenty proposed from the brief (methods.md 9). Weights as set,
 * shared by the criteria of one kind. A criterion on which nothing is known of any procedure is left out.
 */
export function criteriaOf(input: CriteriaInput): Item[] {
  const items = [
    ...input.round.arms.flatMap((arm) => armItem(input, arm)),
    ...keptItems(input),
    ...unmetItems(input),
    ...factItems(input),
    ...usableItems(input),
  ]
  const weights = input.round.weights?.values
  return items.map((item) => {
    const alike = items.filter(({ of }) => of === item.of).length
    const weight = (weights?.[item.of] ?? startWeights[item.of]) / alike
    return { ...item, criterion: { ...item.criterion, weight } }
  })
}

/** Kinds of criteria with a weight of which nothing is known: they are said, and not weighed. */
export const notWeighed = ({ round }: Pick<CriteriaInput, 'round'>, items: readonly Item[]): Criterion[] =>
  kinds.filter(
    (kind) => (round.weights?.values[kind] ?? startWeights[kind]) > 0 && !items.some(({ of }) => of === kind),
  )

/** The criterion of one arm: strengths and counts by the model, grades and losses as what they are. */
function armItem(input: CriteriaInput, arm: Arm): Item[] {
  const { round, brief, facts, coupons, readings } = input
  const own = coupons.filter((one) => one.arm === arm.id)
  const ids = new Set(own.map(({ id }) => id))
  const pulled = readings.filter(({ coupon }) => ids.has(coupon))
  const rest = { of: classOf(arm), name: armWords(arm), unit: testKinds[arm.test].unit, open: [] as string[] }
  const pulls = { arm, own, pulled, rest }
  if (gradingOf(arm.test)) return gradedItem(input, pulls)
  if (countsLosses(arm.test)) return lossesItem(input, pulls)
  // After an exposure it is the share kept that counts, where there is a dry twin.
  if (arm.exposure && keptPairs(round).some(({ exposed }) => exposed.id === arm.id)) return []
  const model = modelReadings(arm, own, pulled)
  const order = orderItem(input, pulls)
  if (!model.length && order.length) return order
  const forecast = Object.fromEntries(
    facts.flatMap(({ procedure, family }) => {
      if (model.some((one) => one.procedure === procedure)) return []
      return [[procedure, forecastOf(input, arm, family, model)]]
    }),
  )
  const known = Object.values(forecast).filter(({ sd }) => sd < UNKNOWN_SD)
  if (!model.length && !known.length) return order
  const limit = limitOf(arm, brief)
  const end = countingOf(arm.test)?.end
  const must = limit ?? proposedMust(model, Object.values(forecast))
  return [
    {
      ...rest,
      name: `${armWords(arm)}, weak joint`,
      open: facts.flatMap(({ procedure }) => {
        const own = model.filter((one) => one.procedure === procedure)
        return own.length && own.every(({ kind }) => kind === 'atLeast') ? [procedure] : []
      }),
      criterion: directed(
        `arm ${arm.id}`,
        'more',
        'log',
        must,
        Math.max(must, Math.min(PLENTY_TIMES * must, end ?? Infinity)),
      ),
      said: limit !== null,
      basis: Object.fromEntries(
        facts.map(({ procedure }) => {
          const guess = forecast[procedure]
          return [procedure, !guess ? 'measured' : guess.sd < UNKNOWN_SD ? 'forecast' : 'not tested']
        }),
      ),
      from: { kind: 'strength', readings: model, forecast, ...(end !== undefined && { end }) },
      test: { arm: arm.id },
    },
    ...order,
  ]
}

/** Without a limit: half of the weakest that was read or is foretold. */
function proposedMust(model: readonly ModelReading[], forecast: readonly Forecast[]): number {
  const read = model.flatMap((one) =>
    'value' in one ? [one.value] : 'low' in one ? [one.low] : 'high' in one ? [one.high] : [],
  )
  return 0.5 * Math.min(...read, ...forecast.map(({ mean }) => Math.exp(mean)))
}

/** A weak joint as the tables foretell it; where they know nothing, about what the others hold, as wide as can be. */
function forecastOf(
  { brief, a, b }: CriteriaInput,
  arm: Arm,
  family: string,
  model: readonly ModelReading[],
): Forecast {
  const sides = couponSides(brief, a, b)
  const size = { ...testKinds[arm.test].sizes, ...arm.size }
  const span = sides && expectedN(arm.test, size, sides, family)
  const per = perNewton(arm.test, size)
  if (span && per && span[0] > 0) {
    const sd = Math.max(USUAL_SCATTER, Math.log(span[1] / span[0]) / SPAN_SD)
    // The spread between joints of a kind, and below their middle the weak joint.
    return { mean: Math.log(Math.sqrt(span[0] * span[1]) * per) - WEAK_Z * USUAL_SCATTER, sd }
  }
  const values = model.flatMap((one) => ('value' in one ? [one.value] : 'low' in one ? [one.low] : []))
  const middle = values.length ? values.reduce((sum, one) => sum + Math.log(one), 0) / values.length : 0
  return { mean: middle - WEAK_Z * USUAL_SCATTER, sd: UNKNOWN_SD }
}
