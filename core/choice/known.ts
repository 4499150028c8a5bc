import type { Decision } from '../records/decision'
import type { Margin } from './real/margin'
import type { ProcedureSummary } from '../statistics/analyse'

/**
 * What is known of a procedure when it is chosen, kept with the decision so that it can be held to account.
 * @param pulls of the procedure
 * @param margin of the real joint; null where none can be told
 */
export const knownOf = (
  summary: ProcedureSummary | null,
  pulls: number,
  unit: string,
  margin: Pick<Margin, 'times' | 'holdsN' | 'requiredN' | 'factors'> | null,
): Decision['known'] => ({
  pulls,
  // A typical strength whose top or bottom is open is no figure to hold on to.
  typical: summary && summary.open === null ? summary.typical.median : null,
  weakLow: summary && summary.open !== 'below' ? summary.weakJoint.low95 : null,
  weakMedian: summary && summary.open !== 'below' ? summary.weakJoint.median : null,
  unit,
  margin: margin?.times ?? null,
  holdsN: margin?.holdsN ?? null,
  requiredN: margin?.requiredN ?? null,
  factors: margin?.factors.map(({ words, share, basis }) => ({ words, share, basis })) ?? [],
})
