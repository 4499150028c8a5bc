import { stiffnessOf, type Stiffness } from '../../knowledge/practice'
import type { Situation } from '../../situation/situation'

/** What a grade sold as flexible stretches at least, and one that dries hard at most, %. */
const FLEXIBLE_PCT = 30
const HARD_PCT = 5
/** How flat a spine opens with either, at least and at most (3 made for it … 0 breaks). */
const OPENS = 2
const STIFF = 1

/** How supple the film is: as the tables say of the family, corrected by what the label declares. */
export function supplenessOf({ family, facts }: Pick<Situation, 'family' | 'facts'>): Stiffness | null {
  const usual = stiffnessOf(family.id)
  if (!usual || facts.flexible === undefined) return usual
  const [stretch, flat] = facts.flexible
    ? [Math.max(usual.elongationPct, FLEXIBLE_PCT), Math.max(usual.layFlat, OPENS)]
    : [Math.min(usual.elongationPct, HARD_PCT), Math.min(usual.layFlat, STIFF)]
  return { ...usual, elongationPct: stretch, layFlat: flat }
}
