import type { Situation } from './situation'

export const verdicts = ['block', 'caution', 'fit', 'note'] as const
export type RuleVerdict = (typeof verdicts)[number]

export interface Finding {
  verdict: RuleVerdict
  /** the reason in the maker's words, with the numbers of this brief in it */
  text: string
}

/** A rule of the trade: a prior with its reason that a bond test outranks, except where it is about harm. */
export interface Rule {
  id: string
  /** harm to people: no test result lifts it */
  harm: boolean
  /** the quick test that settles it */
  settleBy: string
  basis: string
  judge: (s: Situation) => Finding | null
}

export const block = (text: string): Finding => ({ verdict: 'block', text })
export const caution = (text: string): Finding => ({ verdict: 'caution', text })
