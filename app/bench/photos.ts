import { browserCells, dropDatabase } from './browserCells'
import { memoryCells, type Cells } from './cells'

/** What is kept of a photo beside its record: its pixels, in a database of their own for each bench. */
interface Kept {
  blob: Blob
  /** ms, when it was kept */
  at: number
}

export const PHOTOS = 'paste-photos-'
const nameOf = (bench: string) => `${PHOTOS}${bench}`
const open = new Map<string | null, Cells>()
function cellsOf(bench: string | null): Cells {
  const there = open.get(bench)
  if (there) return there
  // A bench that is only in memory, and a browser without databases, keep them as long as the page stands.
  const inMemory = bench === null || typeof indexedDB === 'undefined'
  const cells = inMemory ? memoryCells() : browserCells(nameOf(bench), 'photos', true, () => void open.delete(bench))
  open.set(bench, cells)
  return cells
}

/**
 * Keeps the pixels of a photo. The record that names it is written after this, so that none points to nothing.
 * @throws Error with a sentence where there is no room
 */
export async function keepPhoto(bench: string | null, id: string, blob: Blob, now: number): Promise<void> {
  try {
    await cellsOf(bench).run('write', (turn) => turn.put(id, { blob, at: now } satisfies Kept))
  } catch (cause) {
    throw new Error('The browser has no room for this photo: free some space, or go on without it.', { cause })
  }
}

/** The pixels of a photo; null where this browser does not have them. */
export async function photoOf(bench: string | null, id: string): Promise<Blob | null> {
  try {
    const kept = (await cellsOf(bench).run('read', (turn) => turn.get(id))) as Kept | null
    return kept?.blob ?? null
  } catch {
    return null
  }
}

/** As long as that a photo that no record names may still come back by undo, ms. */
const MAY_COME_BACK_MS = 7 * 86_400_000
const LAST_KEY = '￿'

/**
 * Clears away photos that no record names any more.
 * @returns how many
 */
export async function clearPhotos(bench: string | null, named: ReadonlySet<string>, now: number): Promise<number> {
  return cellsOf(bench).run('write', async (turn) => {
    const rows = await turn.range('', LAST_KEY)
    const lost = rows.filter(([id, kept]) => !named.has(id) && (kept as Kept).at < now - MAY_COME_BACK_MS)
    for (const [id] of lost) await turn.remove(id)
    return lost.length
  })
}

const cleared = new Set<string | null>()
/** The same once for as long as the page stands: it looks through all of them. @param named asked only then */
export async function clearPhotosOnce(
  bench: string | null,
  named: () => ReadonlySet<string>,
  now: number,
): Promise<void> {
  if (cleared.has(bench)) return
  cleared.add(bench)
  await clearPhotos(bench, named(), now)
}

/** Takes all photos of a bench away with it. */
export async function dropPhotos(bench: string): Promise<void> {
  open.get(bench)?.close()
  open.delete(bench)
  await dropDatabase(nameOf(bench))
}
