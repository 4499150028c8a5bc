import { typicalPairStrength } from '../../knowledge/strengths'
import type { Situation } from '../../situation/situation'
import { loaded } from '../../situation/about'

/** Where the bond is this many times what the part carries, the part gives way first. */
const PART_FIRST = 1.15

/**
 * How far a line that is too stiff matters: where the part tears anyway it counts by a third, and by six tenths where
 * one crease is bent many times (rules of practice, part fails first).
 */
export function partFirst(s: Situation, db: number): number {
  const [a, b] = s.faces
  const pair = a.material && b.material ? typicalPairStrength(a.material.id, b.material.id, s.family.id) : null
  if (!pair) return db
  const { bondMPa, observedMPa, peelNPerMm, observedPeelNPerMm } = pair.strength
  const peeled = loaded(s, 'peel', 'flex', 'cleavage')
  const ratio = peeled ? peelNPerMm / observedPeelNPerMm : bondMPa / observedMPa
  if (!(ratio >= PART_FIRST)) return db
  return loaded(s, 'flex') ? 0.6 * db : Math.max(-3, 0.3 * db)
}
