import type { MaterialClass } from '../knowledge/materials'
import type { Brief } from '../records/joint'

/** A part of 100 g that is walked about: 0.1 kg × 9.81 × 2; a trim on a spot weighs 20 g. N */
const LIGHT_N = 2
const LIGHT_SPOT_N = 0.4

/** Force of light handling on a joint of which no load was said (rules of practice, light-load default), N. */
export const lightN = ({ geometry }: Pick<Brief, 'geometry'>): number => (geometry === 'point' ? LIGHT_SPOT_N : LIGHT_N)

interface Peeled extends Pick<Brief, 'geometry' | 'flex' | 'skin'> {
  loads: readonly string[] | null
}
/**
 * N/mm that a joint which is peeled stands in use, however light its parts are: a tape that opens, pages, cloth that
 * is worn, what flexes, a broad face that is lifted at its rim.
 * @param classes of both materials; null where one is open
 */
export function lightPeel({ geometry, loads, flex, skin }: Peeled, classes: readonly (MaterialClass | null)[]): number {
  const known = classes.filter((one) => one !== null)
  if (known.some(({ traits }) => traits.includes('opens'))) return 1
  if (known.some(({ group }) => group === 'paper')) return 0.1
  const flexes = loads?.includes('flex') ?? false
  const cloth = classes.every((one) => one?.group === 'textile' || one?.group === 'leather')
  if (cloth && (flexes || skin === true)) return 0.5
  if (flexes || flex === 'must-flex') return 0.3
  return geometry === 'face-large' ? 0.2 : 0.1
}
