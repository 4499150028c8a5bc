import localforage from 'localforage'
import { emptyBench } from '../../core/records/bench'
import { noTables, type Tables } from '../../core/records/tables'
import { now } from './clock'
import { newId } from './ids'
import { Ledger } from './ledger'
import { browserStorage, dropBrowserStorage } from './storage'

/** The benches that this browser keeps. One is open at a time in a tab. */
export interface BenchListing {
  id: string
  name: string
  kind: 'own' | 'demo'
  openedAt: number
}

interface Index {
  benches: BenchListing[]
  /** the maker took the demo bench away: it does not come back by itself */
  demoRemoved: boolean
}

const store = localforage.createInstance({
  name: 'paste-bench-index',
  storeName: 'index',
  driver: localforage.INDEXEDDB,
})
const OPEN_KEY = 'paste-bench-open'

const read = async (): Promise<Index> => (await store.getItem<Index>('index')) ?? { benches: [], demoRemoved: false }

async function change(edit: (index: Index) => void): Promise<Index> {
  const work = async () => {
    const index = await read()
    edit(index)
    await store.setItem('index', index)
    return index
  }
  return navigator.locks ? ((await navigator.locks.request('paste-bench-index', work)) as Index) : work()
}

export const listBenches = async (): Promise<BenchListing[]> =>
  (await read()).benches.sort((a, b) => b.openedAt - a.openedAt)
export const demoWasRemoved = async (): Promise<boolean> => (await read()).demoRemoved

/** Which bench this tab has open, or had open last. */
export function rememberedBench(): string | null {
  try {
    return sessionStorage.getItem(OPEN_KEY) ?? localStorage.getItem(OPEN_KEY)
  } catch {
    return null
  }
}

export async function rememberBench(id: string): Promise<void> {
  try {
    sessionStorage.setItem(OPEN_KEY, id)
    localStorage.setItem(OPEN_KEY, id)
  } catch {
    // Blocked storage: the ledger says so when it opens.
  }
  await change((index) => index.benches.forEach((bench) => bench.id === id && (bench.openedAt = now())))
}

/** Stores a bench whole, then lists it. The bench gets a new id, so that the same file can be read in twice. */
export async function addBench(tables: Tables): Promise<string> {
  const id = newId()
  const bench = { ...tables.bench[0]!, id }
  const quiet = { now, newId, exclusive: <T>(work: () => Promise<T>) => work(), announce: () => {} }
  await new Ledger(browserStorage(id), quiet).start({ ...tables, bench: [bench] })
  await change((index) => {
    index.benches.push({ id, name: bench.name, kind: bench.kind, openedAt: now() })
    if (bench.kind === 'demo') index.demoRemoved = false
  })
  return id
}

export const addEmptyBench = (name: string): Promise<string> =>
  addBench({ ...noTables(), bench: [emptyBench('new', name, now())] })

export async function renameListing(id: string, name: string): Promise<void> {
  await change((index) => index.benches.forEach((bench) => bench.id === id && (bench.name = name)))
}

/** Takes a bench and all its records out of this browser. */
export async function removeBench(id: string): Promise<void> {
  await change((index) => {
    if (index.benches.some((bench) => bench.id === id && bench.kind === 'demo')) index.demoRemoved = true
    index.benches = index.benches.filter((bench) => bench.id !== id)
  })
  await dropBrowserStorage(id)
}
