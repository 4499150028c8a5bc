import { browserCells } from '../storage/browserCells'
import { dropDatabase, hasDatabases } from '../storage/databases'
import { CellsGone, memoryCells, type Cells } from '../storage/cells'
import { DAY_MS } from '../../core/quantities/days'

/** What is kept of a photo beside its record: its pixels, in a database of their own for each bench. */
interface Kept {
  /** null: its pixels lie in a file of the maker's */
  blob: Blob | null
  /** ms, when it was kept, or moved out */
  at: number
  /** name of the file to which it was moved */
  file?: string
}

export const PHOTOS = 'paste-photos-'
const nameOf = (bench: string) => `${PHOTOS}${bench}`
const LAST_KEY = '￿'
const open = new Map<string | null, Cells>()
function cellsOf(bench: string | null): Cells {
  const there = open.get(bench)
  if (there) return there
  // A bench that is only in memory, and a browser without databases, keep them as long as the page stands.
  const inMemory = bench === null || !hasDatabases()
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
    throw new Error(
      'The browser has no room for this photo: move old ones to a file (Menu, Files), or go on without it.',
      { cause },
    )
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

/** Where a photo lies: how large it is in this browser, in bytes, or the file to which it was moved. */
export type PhotoPlace = { bytes: number } | { file: string }

/** The file to which a photo was moved; null where it was not. */
export async function photoFile(bench: string | null, id: string): Promise<string | null> {
  const kept = (await cellsOf(bench).run('read', (turn) => turn.get(id))) as Kept | null
  return kept?.file ?? null
}

/** Where each photo lies that this browser has, or had and moved to a file. */
export async function photoPlaces(bench: string | null): Promise<Map<string, PhotoPlace>> {
  const rows = await cellsOf(bench).run('read', (turn) => turn.range('', LAST_KEY))
  return new Map(
    rows.map(([id, kept]) => {
      const { blob, file } = kept as Kept
      return [id, blob ? { bytes: blob.size } : { file: file ?? '' }]
    }),
  )
}

/**
 * Takes photos out of this browser whose very same pixels lie in a file.
 * @param held what the file holds
 * @param file its name, kept in their place
 * @param of told 0…1 after each photo; stopped by its signal, what went until then stays out
 * @returns how many went
 */
export async function movePhotosOut(
  bench: string | null,
  held: readonly { id: string; blob: Blob }[],
  file: string,
  now: number,
  of: { signal?: AbortSignal; onProgress?: (done: number) => void } = {},
): Promise<number> {
  let moved = 0
  for (const [n, { id, blob }] of held.entries()) {
    if (of.signal?.aborted) break
    of.onProgress?.(n / held.length)
    const here = await photoOf(bench, id)
    if (!here || !(await samePixels(here, blob))) continue
    await cellsOf(bench).run('write', (turn) => turn.put(id, { blob: null, at: now, file } satisfies Kept))
    moved++
  }
  return moved
}
async function samePixels(one: Blob, other: Blob): Promise<boolean> {
  if (one.size !== other.size) return false
  const [x, y] = await Promise.all([one, other].map(async (blob) => new Uint8Array(await blob.arrayBuffer())))
  return x!.every((byte, i) => byte === y![i])
}

/** As long as that a photo that no record names may still come back by undo, ms. */
const MAY_COME_BACK_MS = 7 * DAY_MS

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

/**
 * Takes photos of one bench to another, whose records name them too: one that was brought back has a name of its own.
 * What lies under the old name stays there.
 * @returns how many came, and the ids of those that this browser has not
 */
export async function copyPhotos(
  from: string,
  to: string,
  ids: readonly string[],
): Promise<{ came: number; missing: string[] }> {
  // To look for them makes no database for a bench that never had one.
  const old = browserCells(nameOf(from), 'photos', false)
  const missing: string[] = []
  try {
    for (const id of ids) {
      const kept = (await old.run('read', (turn) => turn.get(id))) as Kept | null
      if (!kept) missing.push(id)
      else await cellsOf(to).run('write', (turn) => turn.put(id, kept))
    }
  } catch (error) {
    if (!(error instanceof CellsGone)) throw error
    return { came: 0, missing: [...ids] }
  } finally {
    old.close()
  }
  return { came: ids.length - missing.length, missing }
}

/** Takes all photos of a bench away with it. */
export async function dropPhotos(bench: string): Promise<void> {
  open.get(bench)?.close()
  open.delete(bench)
  await dropDatabase(nameOf(bench))
}
