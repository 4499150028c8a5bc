import { CodedError } from '../errors'
import type { ModelReading } from './data'
import { asOdds, oddsOf, ofOdds } from './ended'
import { posteriorOf, type AnalysisHooks } from './posterior'
import { WEAK_Z, chanceAbove, chanceBest, ratioOf, scatterQuantiles, strengthQuantiles } from './summary'

export interface Analysis {
  /** posterior of σ, the scatter of ln strength common to the procedures; null when there is nothing to say yet */
  scatter: { median: number; low90: number; high90: number } | null
  procedures: ProcedureSummary[]
  ratios: RatioSummary[]
}

export interface ProcedureSummary {
  procedure: string
  n: number
  exact: number
  censored: number
  /** of these, came apart in handling or at the first step, or were wet at the age of the test */
  atMost: number
  /** exp(μ): the strength that half of the joints exceed */
  typical: { median: number; low90: number; high90: number }
  /** exp(μ − 1.645 σ): what 19 joints in 20 hold, its median, and the value of which one can be 95 % sure */
  weakJoint: { median: number; low95: number }
  pBest: number
  /** P(weak joint ≥ required); null without a requirement */
  pMeets: number | null
  /** 'above': only "at least" readings, so the upper side is the prior's and must be shown open; 'below' likewise */
  open: 'above' | 'below' | null
}

export interface RatioSummary {
  of: string
  to: string
  median: number
  low90: number
  high90: number
  pGreater: number
  /** false: "can't tell apart yet" (the interval holds 1 and P lies between 0.1 and 0.9) */
  toldApart: boolean
}

export interface AnalysisInput {
  required: number | null
  readings: readonly ModelReading[]
  /** where the figure ends by itself, such as 180°; left out: nowhere. Ratios then are those of its odds */
  end?: number | null
  ratios?: readonly (readonly [string, string])[]
}

/** @throws CodedError not-positive, negative, out-of-order */
function checked(reading: ModelReading, path: string): ModelReading {
  const finite = (value: number, key: string, least: 'above-zero' | 'zero') => {
    if (!Number.isFinite(value))
      throw new CodedError('not-a-number', `${path}.${key}`, { got: String(value), example: '12.3' })
    if (least === 'above-zero' ? value <= 0 : value < 0)
      throw new CodedError(least === 'zero' ? 'negative' : 'not-positive', `${path}.${key}`, {
        field: 'A reading',
        got: value,
      })
  }
  if (reading.kind === 'exact') finite(reading.value, 'value', 'above-zero')
  if (reading.kind === 'atLeast') finite(reading.low, 'low', 'above-zero')
  if (reading.kind === 'atMost') finite(reading.high, 'high', 'above-zero')
  if (reading.kind === 'between') {
    finite(reading.low, 'low', 'zero')
    finite(reading.high, 'high', 'above-zero')
    if (reading.low >= reading.high)
      throw new CodedError('out-of-order', `${path}.high`, { field: 'A reading', low: reading.low, high: reading.high })
  }
  return reading
}

/**
 * The strength model's summaries for one joint, test kind and exposure (methods.md 3).
 * Accuracy: quantiles within 0.5 % and probabilities within 0.01 of a brute-force integration (analyse.test.ts; in
 * practice about 1e-5). No reading at all gives an empty answer with scatter null: "nothing to say yet".
 * @param input readings in one positive unit (MPa, N/mm, cycles, s, …); required in the same unit
 * @throws CodedError naming the reading, or the ratio whose procedure has no reading
 */
export function analyse(input: AnalysisInput, hooks: AnalysisHooks = {}): Analysis {
  input.readings.forEach((reading, i) => checked(reading, `readings.${i}`))
  if (input.required !== null && !(input.required > 0))
    throw new CodedError('not-positive', 'required', { field: 'The required strength', got: input.required })
  const names = [...new Set(input.readings.map((reading) => reading.procedure))]
  const index = (name: string, path: string) => {
    const at = names.indexOf(name)
    if (at < 0)
      throw new CodedError('not-one-of', path, {
        field: 'A ratio',
        got: name,
        known: names.join(', ') || 'none: there is no reading',
      })
    return at
  }
  const pairs = (input.ratios ?? []).map(([of, to], i) => ({
    of,
    to,
    a: index(of, `ratios.${i}.0`),
    b: index(to, `ratios.${i}.1`),
  }))
  if (names.length === 0) return { scatter: null, procedures: [], ratios: [] }

  const { end = null } = input
  const back = (x: number) => (end === null ? x : ofOdds(x, end))
  const required = input.required === null || end === null ? input.required : oddsOf(input.required, end)
  const posterior = posteriorOf(end === null ? input.readings : asOdds(input.readings, end), hooks)
  const [low, median, high] = scatterQuantiles(posterior, [0.05, 0.5, 0.95])
  const best = chanceBest(posterior)
  hooks.onProgress?.(0.9)
  const procedures = posterior.groups.map((group, g): ProcedureSummary => {
    const typical = strengthQuantiles(posterior, g, 0, [0.05, 0.5, 0.95])
    const weak = strengthQuantiles(posterior, g, WEAK_Z, [0.05, 0.5])
    const only = (count: number) => count === group.n
    const times = (bounds: readonly (readonly number[])[]) => bounds.reduce((sum, bound) => sum + bound.at(-1)!, 0)
    return {
      procedure: group.procedure,
      n: group.n,
      exact: group.exact,
      censored: group.n - group.exact,
      atMost: times(group.atMost),
      typical: { median: back(typical[1]!), low90: back(typical[0]!), high90: back(typical[2]!) },
      weakJoint: { median: back(weak[1]!), low95: back(weak[0]!) },
      pBest: best[g]!,
      pMeets: required === null ? null : chanceAbove(posterior, g, WEAK_Z, required),
      open: only(times(group.atLeast)) ? 'above' : only(times(group.atMost)) ? 'below' : null,
    }
  })
  const ratios = pairs.map(({ of, to, a, b }): RatioSummary => {
    if (a === b) return { of, to, median: 1, low90: 1, high90: 1, pGreater: 0.5, toldApart: false }
    const { quantiles, pGreater } = ratioOf(posterior, a, b, [0.05, 0.5, 0.95])
    const holdsOne = quantiles[0]! <= 1 && quantiles[2]! >= 1
    return {
      of,
      to,
      median: quantiles[1]!,
      low90: quantiles[0]!,
      high90: quantiles[2]!,
      pGreater,
      toldApart: !(holdsOne && pGreater > 0.1 && pGreater < 0.9),
    }
  })
  hooks.onProgress?.(1)
  return { scatter: { median: median!, low90: low!, high90: high! }, procedures, ratios }
}
