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
import type { Situation } from './situation'

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
  reasons.sort((x, y) => weight[x.verdict] - weight[y.verdict])
  const verdict = reasons.some((r) => r.verdict === 'block')
    ? 'block'
    : reasons.some((r) => r.verdict === 'caution')
      ? 'caution'
      : 'fit'
  return { family: situation.family, verdict, reasons }
}

const order: Record<Verdict, number> = { fit: 0, caution: 1, block: 2 }

/** Best suited first; within a verdict what is on the shelf, then fewer reasons against, then the tables' order. */
export function ranked(screenings: readonly Screening[], onShelf: (family: string) => boolean): Screening[] {
  const against = (s: Screening) => s.reasons.filter((r) => r.verdict === 'block' || r.verdict === 'caution').length
  return screenings
    .map((screening, place) => ({ screening, place }))
    .sort(
      (x, y) =>
        order[x.screening.verdict] - order[y.screening.verdict] ||
        Number(onShelf(y.screening.family.id)) - Number(onShelf(x.screening.family.id)) ||
        against(x.screening) - against(y.screening) ||
        x.place - y.place,
    )
    .map(({ screening }) => screening)
}
