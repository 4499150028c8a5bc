import type { Family } from '../knowledge/families'
import type { Rule, RuleVerdict } from './rule'
import { attackRules } from './rules/attack'
import { curingRules } from './rules/curing'
import { peopleRules } from './rules/people'
import { serviceRules } from './rules/service'
import { surfaceRules } from './rules/surface'
import type { Situation } from './situation'

export const rules: readonly Rule[] = [...attackRules, ...curingRules, ...surfaceRules, ...serviceRules, ...peopleRules]

export type Verdict = 'block' | 'caution' | 'fit'

export interface Reason {
  rule: string
  verdict: RuleVerdict
  text: string
  settleBy: string
  basis: string
  harm: boolean
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
    return finding ? [{ rule: rule.id, ...finding, settleBy: rule.settleBy, basis: rule.basis, harm: rule.harm }] : []
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
