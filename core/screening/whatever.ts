import type { RuleVerdict } from './rule'
import type { Screening } from './screen'

/** What the joint itself asks for, whichever glue is taken. */
export interface JointFinding {
  rule: string
  verdict: RuleVerdict
  text: string
  settleBy: string
  basis: string
}

/** From this share of the families on, a finding is about the joint and not about the glue. */
const MOST = 0.6

/**
 * Findings that most families share, the gravest first: the painted face, the shiny skin, the edge too small, the
 * patch's margin.
 */
export function whateverTheGlue(screenings: readonly Screening[]): JointFinding[] {
  const found = new Map<string, { finding: JointFinding; times: number; texts: Map<string, number> }>()
  for (const { reasons } of screenings)
    for (const { rule, verdict, text, settleBy, basis } of reasons) {
      if (verdict === 'fit') continue
      const one = found.get(rule) ?? { finding: { rule, verdict, text, settleBy, basis }, times: 0, texts: new Map() }
      one.times++
      one.texts.set(text, (one.texts.get(text) ?? 0) + 1)
      found.set(rule, one)
    }
  const order: Record<RuleVerdict, number> = { block: 0, caution: 1, note: 2, fit: 3 }
  return [...found.values()]
    .filter(
      ({ times, texts }) =>
        times >= MOST * screenings.length && Math.max(...texts.values()) >= MOST * screenings.length,
    )
    .map(({ finding }) => finding)
    .sort((x, y) => order[x.verdict] - order[y.verdict])
}
