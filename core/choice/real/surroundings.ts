import type { Brief } from '../../records/joint'
import type { Exposure } from '../../records/round'

export type SurroundingId = 'heat' | 'cold' | 'water' | 'years' | 'hanging'

/** Something that a joint must bear and that takes of its strength. */
export interface Surrounding {
  id: SurroundingId
  words: string
  /** whether an exposure of coupons answers it */
  metBy: (exposure: Exposure) => boolean
}

/** What the brief says of heat above 30 °C, cold below 5 °C, water and years. */
export function surroundings(brief: Brief): Surrounding[] {
  const { heatC, coldC, water, life } = brief
  const out: Surrounding[] = []
  if (heatC !== null && heatC > 30)
    out.push({ id: 'heat', words: `${heatC} °C`, metBy: ({ kind, amount }) => kind === 'heat' && amount >= heatC })
  if (coldC !== null && coldC < 5)
    out.push({
      id: 'cold',
      words: `${String(coldC).replace('-', '−')} °C cold`,
      metBy: ({ kind, amount }) => kind === 'cold' && amount <= coldC,
    })
  // Soaking answers every water, washing all but soaking.
  if (water !== null && water !== 'no')
    out.push({
      id: 'water',
      words: { splash: 'splashes', wash: 'washing or rain', soak: 'soaking' }[water],
      metBy: ({ kind }) => kind === 'soak' || (kind === 'wash' && water !== 'soak'),
    })
  // No test of weeks answers for years.
  if (life === 'years') out.push({ id: 'years', words: 'years', metBy: () => false })
  return out
}

/**
 * Surroundings that the brief names, in words.
 * @param met exposures that the procedure's coupons were pulled after: what they answer is left out
 */
export const exposuresNamed = (brief: Brief, met: readonly Exposure[] = []): string[] =>
  surroundings(brief).flatMap(({ words, metBy }) => (met.some(metBy) ? [] : [words]))
