import type { Family } from '../knowledge/families'
import type { Rule, RuleVerdict } from './rule'
import { attackRules } from './rules/attack'
import { curingRules } from './rules/curing'
import { peopleRules } from './rules/people'
import { finishRules } from './rules/finish'
import { formRules } from './rules/form'
import { helpRules } from './rules/help'
import { serviceRules } from './rules/service'
import { shapeRules } from './rules/shape'
import { surfaceRules } from './rules/surface'
import type { AdviceGrade } from '../records/shelf'
import type { Situation } from '../situation/situation'

export const rules: readonly Rule[] = [
  ...peopleRules,
  ...shapeRules,
  ...attackRules,
  ...curingRules,
  ...formRules,
  ...surfaceRules,
  ...serviceRules,
  ...finishRules,
  ...helpRules,
]

export type Verdict = 'block' | 'caution' | 'fit'

export interface Reason {
  rule: string
  verdict: RuleVerdict
  text: string
  settleBy: string
  basis: string
  harm: boolean
  /** a plain pull of one's own answers it */
  byPull: boolean
  grade: AdviceGrade
  /** a rule of the house */
  house?: boolean
  /** outranked by own evidence */
  lifted?: boolean
}

export interface Screening {
  family: Family
  verdict: Verdict
  reasons: Reason[]
}

const weight: Record<RuleVerdict, number> = { block: 0, caution: 1, fit: 2, note: 3 }

/** Judges one family for one situation by every rule; block wins over caution, caution over fit. */
export function screen(situation: Situation): Screening {
  const reasons = rules.flatMap((rule): Reason[] => {
    const finding = rule.judge(situation)
    if (!finding) return []
    const { id, settleBy, basis, harm, byPull } = rule
    return [{ rule: id, settleBy, basis, harm, byPull, grade: 'rule of the trade', ...finding }]
  })
  return weighed(situation.family, reasons)
}

/** The verdict that reasons make together: block wins over caution, caution over fit; the gravest reason first. */
export function weighed(family: Family, reasons: readonly Reason[]): Screening {
  const sorted = [...reasons].sort((x, y) => weight[x.verdict] - weight[y.verdict])
  const gravest = sorted[0]?.verdict
  return { family, verdict: gravest === 'block' || gravest === 'caution' ? gravest : 'fit', reasons: sorted }
}
