import type { Analysis, ProcedureSummary } from '../statistics/analyse'

/** What the pulls say about a pass, in three steps of certainty. */
export type PassVerdict = 'holds' | 'careful' | 'fails' | 'unknown'

/** From these chances on, "holds" and "fails" are said; between them one cannot say yet. */
export const SURE = 0.9

/** Never “holds” where a piece came apart in handling, whatever the limit: who cannot pick it up has no joint. */
export function passVerdict(summary: Pick<ProcedureSummary, 'pMeets' | 'open' | 'atMost'>): PassVerdict {
  if (summary.open === 'below') return 'fails'
  if (summary.pMeets === null) return 'unknown'
  if (summary.pMeets >= SURE) return summary.atMost > 0 ? 'careful' : 'holds'
  return summary.pMeets <= 1 - SURE ? 'fails' : 'careful'
}

export interface Headline {
  /** the procedure that is most likely the strongest */
  leader: string
  pBest: number
  /** procedures that cannot be told apart from the leader yet */
  tied: string[]
  /**
   * 'clear': told apart from all others; 'ahead': likely, but not told apart from all; 'open': no better than its
   * nearest rival
   */
  state: 'clear' | 'ahead' | 'open' | 'only'
}

/** The leader by P(best), and who cannot be told apart from it; null with nothing to say yet. */
export function headline(analysis: Analysis): Headline | null {
  const order = [...analysis.procedures].sort((x, y) => y.pBest - x.pBest)
  const first = order[0]
  if (!first) return null
  if (order.length === 1) return { leader: first.procedure, pBest: 1, tied: [], state: 'only' }
  const apart = (other: string) =>
    analysis.ratios.some(
      ({ of, to, toldApart }) =>
        toldApart && ((of === first.procedure && to === other) || (of === other && to === first.procedure)),
    )
  const tied = order
    .slice(1)
    .filter(({ procedure }) => !apart(procedure))
    .map(({ procedure }) => procedure)
  const state = tied.length === 0 ? 'clear' : first.pBest >= 0.6 ? 'ahead' : 'open'
  return { leader: first.procedure, pBest: first.pBest, tied, state }
}
