import { armWords } from '../planning/arms'
import { countingReadings } from '../readings/counting'
import { worstGrades } from '../readings/grades'
import type { Reading } from '../records/reading'
import type { Arm, Criterion } from '../records/round'
import type { Coupon } from '../records/coupon'
import type { Forecast } from './draws'
import { directed, type Basis, type CriteriaInput, type Item, type ProcedureFacts } from './item'
import { lossesOf } from './losses'
import { ranked, rankOf } from './ranks'
import { exposedName, keptPairs, keptQuestion } from './shareKept'

/** A week is what a joint may take where no time was said, and a quarter of it is soon. h */
const USUAL_READY_H = 168
const QUICK_SHARE = 0.25
/** Of the dearest that is bearable, as many times the cheapest of those compared. */
const DEAREST_TIMES = 4
/** Share of the dry strength that must be left, and that is as good as all. */
export const [KEPT_MUST, KEPT_PLENTY] = [0.3, 0.9]
/** What an exposure leaves where nothing was pulled: about 70 %, between 30 and 160 % in nine of ten. */
export const KEPT_UNKNOWN: Forecast = { mean: Math.log(0.7), sd: 0.5 }
const LEAST = 1e-3
/** Money for a joint below which no maker looks for a cheaper one: others may stand beside what costs nothing. */
const CHEAP = 0.05

/** Of what is harmed: the least that may be borne, a trace. */
const TRACE = 1
const mean = (list: readonly number[]) => list.reduce((sum, one) => sum + one, 0) / list.length

/** What all criteria of an arm share. */
type Rest = Pick<Item, 'of' | 'name' | 'unit' | 'open'>

/** An arm with its coupons and what was read of them. */
export interface ArmPulls {
  arm: Arm
  own: readonly Coupon[]
  pulled: readonly Reading[]
  rest: Rest
}

/** Grades as the mean of the worst of each thing, 0 to 2; a procedure that was not looked at stands in the middle. */
export function gradedItem({ facts }: CriteriaInput, { arm, own, pulled, rest }: ArmPulls): Item[] {
  const values: Record<string, number> = {}
  const basis: Record<string, Basis> = {}
  const harm = arm.test === 'spot'
  for (const { procedure } of facts) {
    const ids = new Set(own.filter((one) => one.procedure === procedure).map(({ id }) => id))
    const all = countingReadings(pulled).flatMap(({ coupon, raw, setAside }) =>
      ids.has(coupon) && raw.way === 'grades' && setAside === null ? [raw.grades] : [],
    )
    const worst = Object.values(worstGrades(arm.test, all)).filter((grade) => grade !== null)
    // One thing that is harmed is not made good by another that is not.
    values[procedure] = !worst.length ? 1 : harm ? Math.min(...worst) : mean(worst)
    basis[procedure] = worst.length ? 'measured' : 'not tested'
  }
  if (!Object.values(basis).includes('measured')) return []
  const criterion = directed(`arm ${arm.id}`, 'more', 'linear', harm ? TRACE : 0, 2)
  return [{ ...rest, criterion, unit: 'of 2', said: false, basis, from: { kind: 'fixed', values } }]
}

/** What is counted: the share kept, of those not counted as the prior has it. */
export function lossesItem({ facts }: CriteriaInput, { arm, own, pulled, rest }: ArmPulls): Item[] {
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

/**
 * Pulls without a figure, by their order: the share of comparisons that a procedure wins, as surely as so many pulls
 * say. Of a procedure that has none nothing is known.
 */
export function orderItem({ facts }: CriteriaInput, { arm, own, pulled, rest }: ArmPulls): Item[] {
  const procedureOf = new Map(own.map(({ id, procedure }) => [id, procedure]))
  const found = ranked(
    countingReadings(pulled).flatMap((reading) => {
      const procedure = procedureOf.get(reading.coupon)
      const { raw } = reading
      return (procedure && raw.way === 'hands' && raw.lowN === null && rankOf(procedure, reading)) || []
    }),
  )
  if (!found) return []
  const of = (procedure: string) => found.procedures.find((one) => one.procedure === procedure)
  return [
    {
      ...rest,
      name: `${armWords(arm)}: wins by its order`,
      unit: '',
      criterion: directed(`order ${arm.id}`, 'more', 'linear', 0, 1),
      said: false,
      basis: Object.fromEntries(facts.map(({ procedure }) => [procedure, of(procedure) ? 'measured' : 'not tested'])),
      from: {
        kind: 'losses',
        counts: Object.fromEntries(
          facts.map(({ procedure }) => {
            const { pulls = 0, wins = 0 } = of(procedure) ?? {}
            return [procedure, { before: pulls, lost: pulls * (1 - wins) }]
          }),
        ),
      },
    },
  ]
}

/** What is left of the dry strength after each exposure that was pulled. */
export function keptItems({ round, coupons, readings, facts }: CriteriaInput): Item[] {
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
        test: { arm: pair.exposed.id },
      },
    ]
  })
}

/** Cure, cost and hands-on time: known without a pull. */
export function factItems({ brief, facts }: CriteriaInput): Item[] {
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
      (least) => DEAREST_TIMES * Math.max(CHEAP, least),
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
