import { namedPhotos, photosInEntries } from '../../core/records/photosNamed'
import { plural } from '../look/figures'
import { now } from './clock'
import { clearPhotos } from './photos'
import type { useBench } from './store'

const cleared = new Set<string>()

/**
 * Clears away, once for as long as the page stands, photos that no record of the bench names, whoever made it, and that
 * nothing which can be taken back would name again. What went stands in the history.
 */
export async function clearPhotosOnce(bench: ReturnType<typeof useBench>): Promise<void> {
  const { id } = bench
  if (id === null || cleared.has(id)) return
  cleared.add(id)
  const named = [...namedPhotos({ coupon: bench.everything('coupon') }), ...photosInEntries(bench.history())]
  const went = await clearPhotos(id, new Set(named), now())
  if (went && bench.id === id)
    await bench.write(`${plural(went, 'photo')} that nothing names any more cleared out of this browser`, [])
}
