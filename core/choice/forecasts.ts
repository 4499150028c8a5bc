import { familyOrUnknown } from '../knowledge/families'
import type { Decision } from '../records/decision'
import type { Procedure } from '../records/procedure'
import { judged, type Setting } from '../screening/shortlist'
import { productFamily } from '../situation/label'

/** Less than this, in decibans, is no prediction that could be wrong. */
const PUSHES = 3

type Forecasts = NonNullable<Decision['known']['forecasts']>

/**
 * What the shortlist would give each procedure without the pulls of its own round: kept with the decision, so that the
 * forecast can be held to account.
 * @param round its id
 */
export function forecastsOf(setting: Setting, procedures: readonly Procedure[], round: string): Forecasts {
  const evidence = setting.evidence.filter((one) => one.round !== round)
  return procedures.map(({ id, family, adhesive, helpers }) => {
    const product = setting.adhesives.find((one) => one.id === adhesive) ?? null
    const plain = familyOrUnknown(family)
    const glue = product ? productFamily(product) : plain
    const { db, chance, reasons } = judged(glue, product, { ...setting, evidence }, { helpers }).screening
    const pushing = reasons.filter((one) => Math.abs(one.db) >= PUSHES)
    return { procedure: id, chance, db, reasons: pushing.map(({ rule, mode, db }) => ({ rule, mode, db })) }
  })
}

/** What pulls say of a load: 19 in 20 hold it for sure, rather do not, or neither can be told yet. */
export type Held = 'held' | 'failed' | 'unclear'
/** @param weak what 19 in 20 joints hold: the middle of it, and its lower bound */
export function heldBy(weak: { median: number; low95: number }, required: number): Held {
  if (weak.low95 >= required) return 'held'
  return weak.median < required ? 'failed' : 'unclear'
}

/** What the shortlist gave the chosen one, beside what its pulls said of the load it had to hold. */
export interface ForecastResult {
  /** 0…1 */
  chance: number
  /** null where no limit was set, or no strength was read */
  held: Held | null
}

/** null for decisions that kept no forecast. */
export function forecastResult({ procedure, known }: Pick<Decision, 'procedure' | 'known'>): ForecastResult | null {
  const forecast = known.forecasts?.find((one) => one.procedure === procedure)
  if (!forecast) return null
  // An older decision kept the lower bound alone: below the limit, that cannot tell.
  const { required = null, weakLow, weakMedian = Infinity } = known
  const told = required !== null && weakLow !== null && weakMedian !== null
  return { chance: forecast.chance, held: told ? heldBy({ median: weakMedian, low95: weakLow }, required) : null }
}
