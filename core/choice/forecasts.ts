import { familyOrUnknown } from '../knowledge/families'
import type { Decision, Procedure } from '../records/round'
import { judged, type Setting } from '../screening/shortlist'
import { productFamily } from '../situation/label'

type Forecasts = NonNullable<Decision['known']['forecasts']>

/**
 * What the shortlist would give each procedure without the pulls of its own round: kept with the decision, so that the
 * forecast can be held to account.
 * @param own labels of the round's coupons
 */
export function forecastsOf(setting: Setting, procedures: readonly Procedure[], own: ReadonlySet<string>): Forecasts {
  const evidence = setting.evidence.filter(({ from }) => !from.some((label) => own.has(label)))
  return procedures.map(({ id, family, adhesive, helpers }) => {
    const product = setting.adhesives.find((one) => one.id === adhesive) ?? null
    const plain = familyOrUnknown(family)
    const glue = product ? productFamily(product) : plain
    const { db, chance } = judged(glue, product, { ...setting, evidence }, { helpers }).screening
    return { procedure: id, chance, db }
  })
}

/** What the shortlist gave the chosen one, beside what its pulls said of the load it had to hold. */
export interface ForecastResult {
  /** 0…1 */
  chance: number
  /** 19 in 20 hold what is required, as surely as the lower bound says; null where no limit was set */
  held: boolean | null
}

/** null for decisions that kept no forecast. */
export function forecastResult({ procedure, known }: Pick<Decision, 'procedure' | 'known'>): ForecastResult | null {
  const forecast = known.forecasts?.find((one) => one.procedure === procedure)
  if (!forecast) return null
  const { required = null, weakLow } = known
  return { chance: forecast.chance, held: required === null || weakLow === null ? null : weakLow >= required }
}
