import { type Family, familyOrUnknown } from '../knowledge/families'
import { durationWords } from '../quantities/durations'
import { directed, type CriteriaInput, type Item } from './item'
import type { Band, RankCriterion } from './rank'

const flexes: readonly Family['flex'][] = ['rigid', 'semi', 'flexible', 'elastic']
/** How a line bends, in steps of one, as it is said beside its bar. */
export const flexWords = ['rigid', 'half soft', 'flexible', 'elastic'] as const
/** Films that grab at once leave hardly a second to line the parts up. */
const GRABS_S = 1
/** Longer than a day is as long as one likes, s. */
const LONGEST_S = 86_400
/** As much time again and again to line it up. */
const PLENTY_TIMES = 3

/** How long a part may still be moved after contact, s. */
export const lineUpS = (family: Pick<Family, 'openS' | 'traits'>): number =>
  family.traits.includes('contact') ? GRABS_S : Math.max(GRABS_S, Math.min(LONGEST_S, family.openS))

function flexCriterion(flex: NonNullable<CriteriaInput['brief']['flex']>): RankCriterion {
  // Half soft is borne both ways, and neither good nor lost: the must lies half a step beyond it.
  if (flex === 'must-flex') return directed('bends', 'more', 'linear', 0.5, 2)
  if (flex === 'must-be-stiff') return directed('bends', 'less', 'linear', 1.5, 0)
  // Too stiff and too floppy are both wrong.
  const band: Band = {
    id: 'bends',
    weight: 1,
    better: 'band',
    scale: 'linear',
    mustLow: 0,
    low: 1,
    high: 2,
    mustHigh: 3,
  }
  return band
}

/**
 * What the brief asks of the line’s bend and of the time to line the parts up, as the tables have it of each family: no
 * pull tells of it, and it is never called measured.
 */
export function usableItems({ brief, facts }: CriteriaInput): Item[] {
  const known = Object.fromEntries(facts.map(({ procedure }) => [procedure, 'known' as const]))
  const fixed = (valueOf: (family: Family) => number): Item['from'] => ({
    kind: 'fixed',
    values: Object.fromEntries(facts.map(({ procedure, family }) => [procedure, valueOf(familyOrUnknown(family))])),
  })
  const rest = { said: true, open: [], basis: known }
  const out: Item[] = []
  if (brief.flex !== null)
    out.push({
      ...rest,
      criterion: flexCriterion(brief.flex),
      of: 'flexibility',
      name: 'how the line bends, from the tables',
      unit: 'flex',
      from: fixed(({ flex }) => flexes.indexOf(flex)),
    })
  if (brief.repositionS !== null && brief.repositionS > 0)
    out.push({
      ...rest,
      criterion: directed('line-up', 'more', 'log', brief.repositionS, PLENTY_TIMES * brief.repositionS),
      of: 'ease',
      name: `time to line it up, ${durationWords(brief.repositionS)} asked`,
      unit: 's',
      from: fixed(lineUpS),
    })
  return out
}
