import type { LabelFact } from '../knowledge/labelFactIds'
import { factOf } from '../knowledge/labelFacts'
import type { HouseRule } from '../records/shelf'
import type { Reason } from './screen'
import type { Situation } from '../situation/situation'

/** What a house rule may be about, beside the situation. */
export interface Subject {
  /** the product, when one of the shelf is judged */
  adhesive: string | null
  /** own materials of the two sides, when they are own */
  materials: readonly (string | null)[]
}

/** What the label, or else the family, is known to be, or is not known to be. */
function isSo(fact: NonNullable<HouseRule['fact']>, s: Situation): boolean {
  const not = fact.startsWith('not ')
  const known = factOf((not ? fact.slice(4) : fact) as LabelFact, s.family, s.facts) === true
  return not ? !known : known
}

/** Whether a rule of the house speaks to this glue on this joint. What is open in the brief lets no rule act. */
function houseRuleApplies(rule: HouseRule, s: Situation, subject: Subject): boolean {
  if (rule.adhesive !== null && rule.adhesive !== subject.adhesive) return false
  if (rule.family !== null && rule.family !== s.family.id) return false
  if (rule.mechanism !== null && rule.mechanism !== s.family.mechanism) return false
  if (rule.hazard && !s.family.hazards.includes(rule.hazard)) return false
  if (rule.fact && !isSo(rule.fact, s)) return false
  const names = s.faces.flatMap(({ material }) => (material ? [material.id, material.group as string] : []))
  if (rule.material !== null && ![...names, ...subject.materials].includes(rule.material)) return false
  if (rule.where === 'indoors') return s.air !== null && s.air !== 'outdoors'
  return rule.where !== 'outdoors' || s.air === 'outdoors'
}

/** The reasons that rules of the house give, marked as such. */
export const houseReasons = (rules: readonly HouseRule[], s: Situation, subject: Subject): Reason[] =>
  rules
    .filter((rule) => houseRuleApplies(rule, s, subject))
    .map((rule) => ({
      rule: rule.id,
      verdict: rule.verdict,
      text: `Rule of the house: ${rule.name}. ${rule.reason}`,
      settleBy: rule.lookAgainOn
        ? `Look at the rule again on ${rule.lookAgainOn}.`
        : 'Set a day to look at the rule again.',
      basis: rule.evidence || 'no evidence noted',
      harm: false,
      byPull: false,
      grade: rule.grade,
      house: true,
    }))
