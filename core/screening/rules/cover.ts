import type { Family } from '../../knowledge/families'

/**
 * Seconds to cover an area: 10 cm² a second by spreader, 100 by spray, both faces counted where both are coated; melts
 * in beads 2 cm apart, 3 cm a second (knowledge, open-time-vs-area).
 */
export function coverS(areaCm2: number, { form, faces }: Family): number {
  const spread = areaCm2 * (faces === 'both' ? 2 : 1)
  if (form === 'spray') return spread / 100
  if (form === 'melt') return Math.max(Math.sqrt(areaCm2), areaCm2 / 2) / 3
  return spread / 10
}
