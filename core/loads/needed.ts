import { materialClasses } from '../knowledge/materials'
import { formulaOf, type TestId } from '../knowledge/testKinds'
import type { Brief } from '../records/joint'
import { lightPeel } from './light'
import { requiredLoad, strengthPerN } from './requirement'

const classById = new Map(materialClasses.map((one) => [one.id, one]))
/** Classes of the brief's materials; null where one is open, or the maker's own. */
const classesOf = ({ a, b }: Brief) => [a, b].map(({ material }) => classById.get(material ?? '') ?? null)

/** N/mm that light handling asks of a joint which is tested by peeling; null for any other test. */
export const handlingPeel = (brief: Brief, test: TestId): number | null =>
  formulaOf(test)?.id === 'peel' ? lightPeel(brief, classesOf(brief)) : null

/**
 * Load that one joint must hold in a test, N: limit and margin ask the same, the said load, or light handling where a
 * peel meets more of that.
 * @returns null while the load is an open word
 */
export function neededN(brief: Brief, test: TestId): number | null {
  const load = requiredLoad(brief)
  if (!load) return null
  const least = handlingPeel(brief, test)
  const perN = least === null ? null : strengthPerN(brief, test)
  const handling = least === null || perN === null ? 0 : least / perN
  return Math.max(load.n, handling)
}
