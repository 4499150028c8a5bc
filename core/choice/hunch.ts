import type { Round } from '../records/round'
import type { ProcedureSummary } from '../statistics/analyse'

/** What was expected beside what came out: ids of procedures, strongest first. */
export interface HunchResult {
  expected: string[]
  found: string[]
  right: boolean
}

/**
 * The sealed hunch of a round, opened when all its coupons are pulled; null before, and where none was sealed.
 * Procedures whose pulls say nothing of strength are left out on both sides.
 */
export function openedHunch(
  round: Pick<Round, 'hunch'>,
  allPulled: boolean,
  summaries: readonly Pick<ProcedureSummary, 'procedure' | 'typical'>[],
): HunchResult | null {
  if (!round.hunch || !allPulled) return null
  const found = [...summaries].sort((x, y) => y.typical.median - x.typical.median).map(({ procedure }) => procedure)
  const expected = round.hunch.order.filter((id) => found.includes(id))
  return { expected, found, right: expected.every((id, i) => id === found[i]) }
}
