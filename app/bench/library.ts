import { newBench } from './newBench'
import { noTables, type Tables } from '../../core/records/tables'
import { browserCells } from '../storage/browserCells'
import { databaseNames, dropDatabase } from '../storage/databases'
import type { Cells } from '../storage/cells'
import { keepSetting, setting } from '../storage/settings'
import { now } from './clock'
import { newId } from './ids'
import { BenchStorage } from './storage'
import { piece } from '../look/piece'

/** The benches that this browser keeps. One is open at a time in a tab. */
export interface BenchListing {
  id: string
  name: string
  kind: 'own' | 'demo'
  openedAt: number
}

/**
 * A bench that was taken out on purpose: other tabs that still show it say so, and what is left of it is cleared away.
 */
export interface Departed {
  id: string
  name: string
  /** the bench that stands in its place since it was reset */
  replacedBy: string | null
}

interface Index {
  benches: BenchListing[]
  departed: Departed[]
  /** benches that are being stored: one that is cut off is cleared away at the next start (leftovers.ts) */
  adding: { id: string; at: number }[]
  /** the maker took the demo bench away: it does not come back by itself */
  demoRemoved: boolean
}

/** Photos and second copies are only dealt with when a bench is read in or taken away. */
const pixels = () => piece(() => import('./photos'))
/** the id of a bench that was never stored */
const NEW_BENCH = 'new'
export const PREFIX = 'paste-bench-'
export const INDEX = `${PREFIX}index`
const OPEN_KEY = 'paste-bench-open'
/** Departed benches that are remembered: long enough for every tab that may still show one. */
const DEPARTED_KEPT = 50

let shelf: Cells | null = null
const cells = () => (shelf ??= browserCells(INDEX, 'index', true, () => (shelf = null)))

const asIndex = (found: unknown): Index => ({
  benches: [],
  departed: [],
  adding: [],
  demoRemoved: false,
  ...(found as Partial<Index> | null),
})
export const readIndex = (): Promise<Index> => cells().run('read', async (turn) => asIndex(await turn.get('index')))

/** Read and written in one transaction: two tabs never undo each other's listing. */
export const changeIndex = (edit: (index: Index) => void): Promise<Index> =>
  cells().run('write', async (turn) => {
    const index = asIndex(await turn.get('index'))
    edit(index)
    await turn.put('index', index)
    return index
  })

export const listBenches = async (): Promise<BenchListing[]> =>
  (await readIndex()).benches.sort((a, b) => b.openedAt - a.openedAt)
export const demoWasRemoved = async (): Promise<boolean> => (await readIndex()).demoRemoved
export const departure = async (id: string): Promise<Departed | null> =>
  (await readIndex()).departed.find((one) => one.id === id) ?? null

/** The storage of one bench. It is never made by looking for it. */
export const benchStorage = (id: string, onGone: () => void = () => {}): BenchStorage =>
  new BenchStorage(browserCells(PREFIX + id, 'ledger', false, onGone))

/** Which bench this tab has open, or any had open last. */
export function rememberedBench(): string | null {
  try {
    return sessionStorage.getItem(OPEN_KEY) ?? setting('openBench') ?? null
  } catch {
    return setting('openBench') ?? null
  }
}

export async function rememberBench(id: string): Promise<void> {
  try {
    // For this tab alone, as long as it stands.
    sessionStorage.setItem(OPEN_KEY, id)
  } catch {
    // Blocked storage: the ledger says so when it opens.
  }
  keepSetting('openBench', id)
  await changeIndex((index) => index.benches.forEach((bench) => bench.id === id && (bench.openedAt = now())))
}

/**
 * Stores a bench whole, then lists it. The bench gets a new id, so that the same file can be read in twice.
 * @throws the browser's error when there is no room; nothing of it is left then, and nothing else was touched
 */
export async function addBench(tables: Tables, photos: readonly { id: string; blob: Blob }[] = []): Promise<string> {
  const id = newId()
  const own = tables.bench[0]!
  // Every copy of a bench says whose it is; a new one is its own.
  const bench = { ...own, id, maker: own.maker ?? (own.id === NEW_BENCH ? id : own.id) }
  await whileAdding(id, async () => {
    const storage = new BenchStorage(browserCells(PREFIX + id, 'ledger', true))
    try {
      await changeIndex((index) => void index.adding.push({ id, at: now() }))
      for (const photo of photos) await (await pixels()).keepPhoto(id, photo.id, photo.blob, now())
      await storage.create({ ...tables, bench: [bench] }, newId())
      await changeIndex((index) => {
        index.benches.push({ id, name: bench.name, kind: bench.kind, openedAt: now() })
        index.adding = index.adding.filter((one) => one.id !== id)
        if (bench.kind === 'demo') index.demoRemoved = false
      })
    } catch (error) {
      storage.close()
      await dropDatabase(PREFIX + id).catch(() => {})
      if (photos.length) await (await pixels()).dropPhotos(id).catch(() => {})
      await changeIndex((index) => (index.adding = index.adding.filter((one) => one.id !== id))).catch(() => {})
      throw error
    }
    storage.close()
  })
  return id
}

export const addingLock = (id: string): string => `paste-adding-${id}`

/** Holds a lock while a bench is stored: another tab can tell one that was cut off from one that is under way. */
async function whileAdding(id: string, work: () => Promise<void>): Promise<void> {
  if (typeof navigator === 'undefined' || !navigator.locks) return work()
  await navigator.locks.request(addingLock(id), work)
}

export const addEmptyBench = (name: string): Promise<string> =>
  addBench({ ...noTables(), bench: [newBench(NEW_BENCH, name, now())] })

/** On the list a bench is called what it calls itself: renamed, undone, or renamed in another tab. */
export async function listAs(id: string, name: string): Promise<void> {
  const listed = (await readIndex()).benches.find((one) => one.id === id)
  if (listed && listed.name !== name)
    await changeIndex((index) => index.benches.forEach((bench) => bench.id === id && (bench.name = name)))
}

/**
 * Takes a bench, all its records and its second copy out of this browser.
 * @param replacedBy the bench that takes its place (a reset), already stored
 */
export async function removeBench(id: string, replacedBy: string | null = null): Promise<void> {
  await changeIndex((index) => {
    const listing = index.benches.find((bench) => bench.id === id)
    if (listing?.kind === 'demo' && !replacedBy) index.demoRemoved = true
    index.departed = [...index.departed, { id, name: listing?.name ?? '', replacedBy }].slice(-DEPARTED_KEPT)
    index.benches = index.benches.filter((bench) => bench.id !== id)
  })
  await (await piece(() => import('./secondCopy'))).dropCopies(id)
  await (await pixels()).dropPhotos(id).catch(() => {})
  await dropDatabase(PREFIX + id)
}

/**
 * Benches whose database is here, but in no list: the list was lost.
 * @returns their ids
 */
export async function unlistedBenches(): Promise<string[]> {
  const [names, index] = [await databaseNames(), await readIndex()]
  const known = new Set([...index.benches, ...index.departed, ...index.adding].map(({ id }) => id))
  return names.flatMap((name) => {
    const id = name.startsWith(PREFIX) && name !== INDEX ? name.slice(PREFIX.length) : null
    return id !== null && !known.has(id) ? [id] : []
  })
}

/** Puts a found bench back on the list. */
export async function listAgain(id: string, bench: { name: string; kind: 'own' | 'demo' }): Promise<void> {
  await changeIndex((index) => {
    if (!index.benches.some((one) => one.id === id))
      index.benches.push({ id, name: bench.name, kind: bench.kind, openedAt: now() })
  })
}
