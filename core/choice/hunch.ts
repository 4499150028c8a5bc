import type { Round } from '../records/round'
import type { Decision } from '../records/decision'
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

/** How well a maker guesses, over all decided rounds with a hunch. */
export interface GuessRecord {
  rounds: number
  /** rounds in which the first was the first */
  firstRight: number
  /** pairs of procedures, and how many of them stood in the right order; by chance it is half */
  pairs: number
  pairsRight: number
}

/** null where no hunch was ever opened. */
export function guessRecord(decisions: readonly Pick<Decision, 'known'>[]): GuessRecord | null {
  const sum: GuessRecord = { rounds: 0, firstRight: 0, pairs: 0, pairsRight: 0 }
  for (const { known } of decisions) {
    const { expected = [], found = [] } = known.hunch ?? {}
    const both = expected.filter((id) => found.includes(id))
    if (both.length < 2) continue
    sum.rounds += 1
    if (both[0] === found.find((id) => both.includes(id))) sum.firstRight += 1
    both.forEach((one, i) =>
      both.slice(i + 1).forEach((other) => {
        sum.pairs += 1
        if (found.indexOf(one) < found.indexOf(other)) sum.pairsRight += 1
      }),
    )
  }
  return sum.rounds ? sum : null
}
