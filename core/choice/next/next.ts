import { CodedError } from '../../errors'
import { rowOf, valueAfter, valuesNow, type Ahead } from './ahead'
import { averagingPoints, PRIOR_SD, type Conditional } from '../../statistics/conditional'
import type { ModelReading } from '../../statistics/data'
import { WEAK_Z } from '../../statistics/summary'
import { gridOf } from './grid'
import { desirability, type Directed } from '../rank'

export interface NextQuestion {
  /** what the weak joint must hold, and what is plenty, in the unit of the readings */
  required: number
  plenty: number
  readings: readonly ModelReading[]
  /** procedures of which one more coupon may be made; one without a reading yet counts as the prior has it */
  options: readonly string[]
}

export interface NextAnswer {
  /** what would be chosen today, and what that is worth, 0…1; null with no reading and no option */
  now: { choice: string; value: number } | null
  options: {
    procedure: string
    /** what it is worth today */
    value: number
    /** what the best choice is worth more, on average, after one more exact reading of it */
    gain: number
  }[]
}

/**
 * What one more coupon is worth (preposterior analysis, methods.md 9): the mean, over what it may read, of the value of
 * the best choice after it, less that of the best choice now. The prior’s m0 stays that of today’s readings. By
 * quadrature, so that the same input gives the same output.
 * @throws CodedError not-positive, out-of-order
 */
export function nextBest({ required, plenty, readings, options }: NextQuestion): NextAnswer {
  if (!(required > 0))
    throw new CodedError('not-positive', 'required', { field: 'The required strength', got: required })
  if (!(plenty > required))
    throw new CodedError('out-of-order', 'plenty', { field: 'Required and plenty', low: required, high: plenty })
  const criterion: Directed = {
    id: 'strength',
    weight: 1,
    better: 'more',
    scale: 'log',
    must: required,
    plenty,
  }
  if (!readings.length) return { now: null, options: options.map((procedure) => ({ procedure, value: 0, gain: 0 })) }
  const { sigma, weight, known, m0, of } = gridOf(readings)
  const names = [...known, ...options.filter((name) => !known.includes(name))]
  const prior: Conditional = { kind: 'normal', logZ: 0, mean: m0, sd: PRIOR_SD }
  const rows = sigma.map((s, n) =>
    names.map((name) =>
      rowOf(averagingPoints(of(n, name) ?? prior, s), (mu) => desirability(criterion, Math.exp(mu - WEAK_Z * s))),
    ),
  )
  const ahead: Ahead = { sigma, weight, rows, rest: names.map(() => 0) }
  const value = valuesNow(ahead)
  const best = value.indexOf(Math.max(...value))
  return {
    now: { choice: names[best]!, value: value[best]! },
    options: options.map((procedure) => {
      const g = names.indexOf(procedure)
      return { procedure, value: value[g]!, gain: Math.max(0, valueAfter(ahead, g) - value[best]!) }
    }),
  }
}
