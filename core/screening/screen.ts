import type { Family } from '../knowledge/families'
import { forecast, type Forecast } from './forecast'
import type { Reason } from './reason'
import type { Rule } from './rule'
import { attackRules } from './rules/attack'
import { curingRules } from './rules/curing'
import { inTimeRules } from './rules/inTime'
import { practiceRules } from './rules/practice'
import { labelRules } from './rules/label'
import { markRules } from './rules/marks'
import { peopleRules } from './rules/people'
import { finishRules } from './rules/finish'
import { formRules } from './rules/form'
import { closingRules } from './rules/closing'
import { heatRules } from './rules/heat'
import { helpRules } from './rules/help'
import { serviceRules } from './rules/service'
import { movingRules } from './rules/moving'
import { shapeRules } from './rules/shape'
import { surfaceRules } from './rules/surface'
import type { Situation } from '../situation/situation'

export const rules: readonly Rule[] = [
  ...peopleRules,
  ...shapeRules,
  ...attackRules,
  ...heatRules,
  ...markRules,
  ...curingRules,
  ...inTimeRules,
  ...formRules,
  ...closingRules,
  ...surfaceRules,
  ...serviceRules,
  ...movingRules,
  ...finishRules,
  ...helpRules,
  ...practiceRules,
  ...labelRules,
]

export type { Reason, Verdict } from './reason'

export interface Screening extends Forecast {
  family: Family
}

/** Judges one family for one situation by every rule: the chance to serve, and the verdict that it makes. */
export function screen(situation: Situation): Screening {
  const reasons = rules.flatMap((rule): Reason[] => {
    const finding = rule.judge(situation)
    if (!finding) return []
    const { id, settleBy, basis, harm, byPull, byScrap } = rule
    return [{ rule: id, settleBy, basis, harm, byPull, byScrap, grade: 'rule of the trade', ...finding }]
  })
  return weighed(situation.family, reasons)
}

/** The forecast that reasons make together. */
export const weighed = (family: Family, reasons: readonly Reason[]): Screening => ({ family, ...forecast(reasons) })
