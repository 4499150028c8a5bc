import { familyOf, isFamily, type Mechanism } from '../../core/knowledge/families'
import { mechanisms } from '../../core/knowledge/familySchema'
import { labelFactIds } from '../../core/knowledge/labelFactIds'
import { labelFactWords } from '../../core/knowledge/labelFactWords'
import { CodedError } from '../../core/errors'
import { insert } from '../../core/records/entry'
import type { AdviceGrade, HouseRule } from '../../core/records/shelf'
import { stampNow } from '../bench/clock'
import { newId } from '../bench/ids'
import type { useBench } from '../bench/store'
import { editOf } from '../bench/edits'

export const mechanismWords: Record<Mechanism, string> = {
  'evaporate-water': 'water-borne glue',
  'evaporate-solvent': 'solvent glue',
  moisture: 'glue that cures with damp',
  melt: 'hot melt',
  'heat-activated': 'iron-on glue',
  'two-part': 'two-part glue',
  light: 'lamp glue',
  weld: 'welding',
  pressure: 'tape and dots',
  unknown: 'glue of unknown family',
}
export const mechanismChoices = mechanisms.filter((one) => one !== 'unknown')

export const hazardWords = (code: string) => `glue that names ${code.replace(/-/g, ' ')} as a hazard`
/** A glue that is known to be so by its label or family, or is not known to be. */
export function factWords(fact: NonNullable<HouseRule['fact']>): string {
  const not = fact.startsWith('not ')
  const id = (not ? fact.slice(4) : fact) as (typeof labelFactIds)[number]
  return not ? `glue of which it is not known that it ${labelFactWords[id].is}` : `glue that ${labelFactWords[id].is}`
}
export const factChoices = labelFactIds.flatMap((id): NonNullable<HouseRule['fact']>[] => [id, `not ${id}`])

/** A rule as it is typed; `glue` names what it is about: any, a mechanism, a hazard, a fact, a family or a product. */
export interface RuleForm {
  name: string
  verdict: HouseRule['verdict']
  glue: string
  material: string
  where: '' | 'indoors' | 'outdoors'
  reason: string
  grade: AdviceGrade
  evidence: string
  lookAgain: string
}

export function ruleForm(rule: HouseRule | null): RuleForm {
  const glue = rule?.adhesive
    ? `product:${rule.adhesive}`
    : rule?.family
      ? `family:${rule.family}`
      : rule?.mechanism
        ? `mechanism:${rule.mechanism}`
        : rule?.hazard
          ? `hazard:${rule.hazard}`
          : rule?.fact
            ? `fact:${rule.fact}`
            : ''
  return {
    name: rule?.name ?? '',
    verdict: rule?.verdict ?? 'block',
    glue,
    material: rule?.material ?? '',
    where: rule?.where ?? '',
    reason: rule?.reason ?? '',
    grade: rule?.grade ?? 'own test',
    evidence: rule?.evidence ?? '',
    lookAgain: rule?.lookAgainOn ?? '',
  }
}

/** Writes a house rule. @throws CodedError naming the field */
export function keepRule(bench: ReturnType<typeof useBench>, form: RuleForm, rule: HouseRule | null): Promise<boolean> {
  if (!form.name.trim())
    throw new CodedError('missing', 'name', { field: 'The rule in your words', purpose: 'finding it in the shortlist' })
  if (!form.reason.trim())
    throw new CodedError('missing', 'reason', { field: 'Its reason', purpose: 'trusting it in a year' })
  if (!form.glue && !form.material)
    throw new CodedError('missing', 'about', { field: 'A glue or a material', purpose: 'knowing when the rule acts' })
  const [kind, id = ''] = form.glue.split(':')
  const family = kind === 'family' && isFamily(id) ? familyOf(id).id : null
  const record: HouseRule = {
    id: rule?.id ?? newId(),
    name: form.name.trim(),
    verdict: form.verdict,
    family,
    adhesive: kind === 'product' ? id : null,
    mechanism: kind === 'mechanism' ? (id as Mechanism) : null,
    hazard: kind === 'hazard' ? (id as HouseRule['hazard']) : null,
    fact: kind === 'fact' ? (id as HouseRule['fact']) : null,
    material: form.material || null,
    where: form.where || null,
    reason: form.reason.trim(),
    grade: form.grade,
    evidence: form.evidence.trim(),
    since: rule?.since ?? stampNow(),
    lookAgainOn: form.lookAgain || null,
  }
  return bench.edit(
    `${rule ? 'Change' : 'Set'} the house rule: ${record.name}`,
    rule ? [editOf('houseRule', rule, record)] : [],
    rule ? [] : [insert('houseRule', record)],
    true,
  )
}
