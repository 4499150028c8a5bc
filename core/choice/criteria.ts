import { expectedN, perNewton } from '../coupons/expected'
import { modelReadings } from '../evidence/modelReadings'
import { countsLosses, gradingOf, testKinds, type TestId } from '../knowledge/testKinds'
import { armWords } from '../planning/arms'
import { limitOf } from '../planning/limits'
import { couponSides } from '../planning/sides'
import { countingReadings } from '../readings/counting'
import { worstGrades } from '../readings/grades'
import type { Brief } from '../records/joint'
import type { Reading } from '../records/reading'
import { criteria as kinds, type Arm, type Coupon, type Criterion, type Round } from '../records/round'
import { WEAK_Z } from '../statistics/summary'
import type { Forecast } from './draws'
import { lossesOf, type Losses } from './losses'
import type { Directed } from './rank'
import { exposedName, keptPairs, keptQuestion } from './shareKept'
import type { ModelReading } from '../statistics/data'

/** What a value of a procedure rests on. */
export type Basis = 'measured' | 'known' | 'forecast' | 'not tested'

/** Where the draws of a criterion come from; plain, since it goes to another thread. */
export type DrawsFrom =
  /** weak joints of the strength model; what was not pulled by its forecast, mean and sd of ln */
  | { kind: 'strength'; readings: ModelReading[]; forecast: Record<string, Forecast> }
  /** exposed over dry, by the names of shareKept; what was not pulled by its forecast */
  | { kind: 'kept'; readings: ModelReading[]; forecast: Record<string, Forecast> }
  | { kind: 'losses'; counts: Record<string, Pick<Losses, 'before' | 'lost'>> }
  | { kind: 'fixed'; values: Record<string, number> }

/** One thing that the choice may weigh. Its weight stands in `criterion.weight`. */
export interface Item {
  criterion: Directed
  of: Criterion
  name: string
  unit: string
  /** must and plenty follow from what the maker said; else they are proposed from what is compared */
  said: boolean
  basis: Record<string, Basis>
  /** procedures of which only “at least” was read: their upper side is set by no reading */
  open: string[]
  from: DrawsFrom
}

/** What is known of a procedure without a pull. */
export interface ProcedureFacts {
  procedure: string
  family: string
  /** hours from closing to full cure, and until it can be handled */
  cureH: number
  handledH: number
  /** money; null while the joint's size is open */
  costPerJoint: number | null
  handsOnMinutes: number
}

export interface CriteriaInput {
  brief: Brief
  /** material classes of the sides; null while they are open */
  a: string | null
  b: string | null
  round: Round
  coupons: readonly Coupon[]
  readings: readonly Reading[]
  facts: readonly ProcedureFacts[]
}

/** Plenty is so many times what must be. */
const PLENTY_TIMES = 3
/** Weights where the maker has set none: as the plan proposes them. */
export const startWeights: Record<Criterion, number> = {
  ...(Object.fromEntries(kinds.map((kind) => [kind, 1])) as Record<Criterion, number>),
  strength: 3,
}
/** A week is what a joint may take where no time was said, and a quarter of it is soon. h */
const USUAL_READY_H = 168
const QUICK_SHARE = 0.25
/** Of the dearest that is bearable, as many times the cheapest of those compared. */
const DEAREST_TIMES = 4
/** Share of the dry strength that must be left, and that is as good as all. */
const [KEPT_MUST, KEPT_PLENTY] = [0.3, 0.9]
/** What an exposure leaves where nothing was pulled: about 70 %, between 30 and 160 % in nine of ten. */
const KEPT_UNKNOWN: Forecast = { mean: Math.log(0.7), sd: 0.5 }
/** Nothing is known of the strength: as wide as the model's own prior. */
const UNKNOWN_SD = 1.5
/** The tables' span runs from a weak to a strong piece, 90 %. */
const SPAN_SD = 2 * 1.645
/** Scatter of a joint that the tables do not know. */
const USUAL_SCATTER = 0.25
const LEAST = 1e-3

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
  const items = [...input.round.arms.flatMap((arm) => armItem(input, arm)), ...keptItems(input), ...factItems(input)]
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

const directed = (
  id: string,
  better: 'more' | 'less',
  scale: 'log' | 'linear',
  must: number,
  plenty: number,
): Directed => ({ id, weight: 1, better, scale, must, plenty })

/** The criterion of one arm: strengths and counts by the model, grades and losses as what they are. */
function armItem(input: CriteriaInput, arm: Arm): Item[] {
  const { round, brief, facts, coupons, readings } = input
  const own = coupons.filter((one) => one.arm === arm.id)
  const ids = new Set(own.map(({ id }) => id))
  const pulled = readings.filter(({ coupon }) => ids.has(coupon))
  const rest = { of: classOf(arm), name: armWords(arm), unit: testKinds[arm.test].unit, open: [] as string[] }
  if (gradingOf(arm.test)) return gradedItem(input, arm, own, pulled, rest)
  if (countsLosses(arm.test)) return lossesItem(input, arm, own, pulled, rest)
  // After an exposure it is the share kept that counts, where there is a dry twin.
  if (arm.exposure && keptPairs(round).some(({ exposed }) => exposed.id === arm.id)) return []
  const model = modelReadings(arm.test, own, pulled)
  const forecast = Object.fromEntries(
    facts.flatMap(({ procedure, family }) => {
      if (model.some((one) => one.procedure === procedure)) return []
      return [[procedure, forecastOf(input, arm, family, model)]]
    }),
  )
  const known = Object.values(forecast).filter(({ sd }) => sd < UNKNOWN_SD)
  if (!model.length && !known.length) return []
  const limit = limitOf(arm, brief)
  const must = limit ?? proposedMust(model, Object.values(forecast))
  return [
    {
      ...rest,
      name: `${armWords(arm)}, weak joint`,
      open: facts.flatMap(({ procedure }) => {
        const own = model.filter((one) => one.procedure === procedure)
        return own.length && own.every(({ kind }) => kind === 'atLeast') ? [procedure] : []
      }),
      criterion: directed(`arm ${arm.id}`, 'more', 'log', must, PLENTY_TIMES * must),
      said: limit !== null,
      basis: Object.fromEntries(
        facts.map(({ procedure }) => {
          const guess = forecast[procedure]
          return [procedure, !guess ? 'measured' : guess.sd < UNKNOWN_SD ? 'forecast' : 'not tested']
        }),
      ),
      from: { kind: 'strength', readings: model, forecast },
    },
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

type Rest = Pick<Item, 'of' | 'name' | 'unit' | 'open'>

/** Grades as the mean of the worst of each thing, 0 to 2; a procedure that was not looked at stands in the middle. */
function gradedItem(
  { facts }: CriteriaInput,
  arm: Arm,
  own: readonly Coupon[],
  pulled: readonly Reading[],
  rest: Rest,
): Item[] {
  const values: Record<string, number> = {}
  const basis: Record<string, Basis> = {}
  for (const { procedure } of facts) {
    const ids = new Set(own.filter((one) => one.procedure === procedure).map(({ id }) => id))
    const all = countingReadings(pulled).flatMap(({ coupon, raw, setAside }) =>
      ids.has(coupon) && raw.way === 'grades' && setAside === null ? [raw.grades] : [],
    )
    const worst = Object.values(worstGrades(arm.test, all)).filter((grade) => grade !== null)
    values[procedure] = worst.length ? worst.reduce<number>((sum, one) => sum + one, 0) / worst.length : 1
    basis[procedure] = worst.length ? 'measured' : 'not tested'
  }
  if (!Object.values(basis).includes('measured')) return []
  const criterion = directed(`arm ${arm.id}`, 'more', 'linear', 0, 2)
  return [{ ...rest, criterion, unit: 'of 2', said: false, basis, from: { kind: 'fixed', values } }]
}

function lossesItem(
  { facts }: CriteriaInput,
  arm: Arm,
  own: readonly Coupon[],
  pulled: readonly Reading[],
  rest: Rest,
): Item[] {
  const found = lossesOf(countingReadings(pulled), new Map(own.map(({ id, procedure }) => [id, procedure])))
  if (!found.length) return []
  const of = (procedure: string) => found.find((one) => one.procedure === procedure)
  return [
    {
      ...rest,
      name: `${armWords(arm)}: share`,
      unit: '',
      criterion: directed(`arm ${arm.id}`, 'more', 'linear', KEPT_MUST, KEPT_PLENTY),
      said: false,
      basis: Object.fromEntries(facts.map(({ procedure }) => [procedure, of(procedure) ? 'measured' : 'not tested'])),
      // Nothing counted: Jeffreys' prior alone.
      from: {
        kind: 'losses',
        counts: Object.fromEntries(facts.map(({ procedure }) => [procedure, of(procedure) ?? { before: 0, lost: 0 }])),
      },
    },
  ]
}

/** What is left of the dry strength after each exposure that was pulled. */
function keptItems({ round, coupons, readings, facts }: CriteriaInput): Item[] {
  return keptPairs(round).flatMap((pair): Item[] => {
    const question = keptQuestion(pair, coupons, readings)
    if (!question.readings.length) return []
    const pulled = (procedure: string) => question.readings.some((one) => one.procedure === exposedName(procedure))
    const unknown = facts.filter(({ procedure }) => !pulled(procedure))
    return [
      {
        criterion: directed(`kept ${pair.exposed.id}`, 'more', 'linear', KEPT_MUST, KEPT_PLENTY),
        of: 'durability',
        name: `kept, ${armWords(pair.exposed)}`,
        unit: 'of its dry strength',
        said: false,
        open: [],
        basis: Object.fromEntries(
          facts.map(({ procedure }) => [procedure, pulled(procedure) ? 'measured' : 'not tested']),
        ),
        from: {
          kind: 'kept',
          readings: [...question.readings],
          forecast: Object.fromEntries(unknown.map(({ procedure }) => [procedure, KEPT_UNKNOWN])),
        },
      },
    ]
  })
}

/** Cure, cost and hands-on time: known without a pull. */
function factItems({ brief, facts }: CriteriaInput): Item[] {
  const fact = (
    id: string,
    of: Criterion,
    name: string,
    unit: string,
    valueOf: (one: ProcedureFacts) => number | null,
    said: number | null,
    mustElse: (least: number) => number,
  ): Item[] => {
    const values = facts.map((one) => [one.procedure, valueOf(one)] as const)
    if (!values.length || values.some(([, value]) => value === null)) return []
    const all = Object.fromEntries(values.map(([procedure, value]) => [procedure, Math.max(LEAST, value!)]))
    const must = said ?? mustElse(Math.min(...Object.values(all)))
    return [
      {
        criterion: directed(id, 'less', 'log', must, QUICK_SHARE * must),
        of,
        name,
        unit,
        said: said !== null,
        open: [],
        basis: Object.fromEntries(facts.map(({ procedure }) => [procedure, 'known'])),
        from: { kind: 'fixed', values: all },
      },
    ]
  }
  return [
    ...fact(
      'cure',
      'cure',
      'full cure',
      'h',
      ({ cureH }) => cureH,
      brief.readyH,
      () => USUAL_READY_H,
    ),
    ...(brief.handledH == null
      ? []
      : fact(
          'handled',
          'cure',
          'until it can be handled',
          'h',
          ({ handledH }) => handledH,
          brief.handledH,
          () => 0,
        )),
    ...fact(
      'cost',
      'cost',
      'cost of a joint',
      'money',
      (one) => one.costPerJoint,
      brief.maxCost,
      (least) => DEAREST_TIMES * least,
    ),
    ...fact(
      'ease',
      'ease',
      'hands-on time of a joint',
      'min',
      (one) => one.handsOnMinutes,
      null,
      (least) => DEAREST_TIMES * least,
    ),
  ]
}
