import type { RuleVerdict } from './rule'
import type { Screening } from './screen'

/** What the joint itself asks for, with most glues or with every one. */
export interface JointFinding {
  rule: string
  verdict: RuleVerdict
  text: string
  settleBy: string
  basis: string
  /** families of which it is said, of those that were screened */
  families: number
}

/** From this share of the families on, a finding is about the joint and not about the glue. */
const MOST = 0.6

/**
 * Findings that most families share, the gravest first: the painted face, the shiny skin, the edge too small, the
 * patch's margin.
 */
export function whateverTheGlue(screenings: readonly Screening[]): JointFinding[] {
  const found = new Map<string, JointFinding>()
  for (const { reasons } of screenings)
    for (const { rule, verdict, text, settleBy, basis } of reasons) {
      if (verdict === 'fit') continue
      const one = found.get(`${rule}: ${text}`) ?? { rule, verdict, text, settleBy, basis, families: 0 }
      one.families++
      found.set(`${rule}: ${text}`, one)
    }
  const order: Record<RuleVerdict, number> = { block: 0, caution: 1, note: 2, fit: 3 }
  return [...found.values()]
    .filter(({ families }) => families >= MOST * screenings.length)
    .sort((x, y) => order[x.verdict] - order[y.verdict])
}
