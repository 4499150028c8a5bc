import localforage from 'localforage'
import { CodedError } from '../../core/errors'
import { CellsGone } from './cells'
import { dropDatabase, hasDatabases, openDatabase } from './databases'

/** A database that does not answer for so long hangs, ms. */
export const SILENT_MS = 5000
export const silence = (ms: number): CodedError => new CodedError('storage-silent', '', { seconds: ms / 1000 })

/**
 * What is used of an instance beyond its published methods, as the package's own plugins use it. The version is pinned;
 * instances.test.ts holds this to it.
 */
interface Inside {
  _dbInfo: { db: IDBDatabase | null } | null
  _initReady?: () => Promise<void>
}
const inside = (instance: LocalForage): Inside => instance as unknown as Inside

/** The one instance of a database in this page, with whoever wants to hear that it was taken away. */
export interface Kept {
  readonly name: string
  readonly store: string
  instance: LocalForage | null
  connection: Promise<IDBDatabase> | null
  readonly onGone: Set<() => void>
}
const all = new Map<string, Kept>()
export function kept(name: string, store: string): Kept {
  const there = all.get(name)
  if (there) return there
  const made: Kept = { name, store, instance: null, connection: null, onGone: new Set() }
  all.set(name, made)
  return made
}

/** localForage on the browser's databases, or where there are none on its local storage; never on one for the other. */
export const newInstance = (name: string, store: string): LocalForage =>
  localforage.createInstance({
    name,
    storeName: store,
    driver: hasDatabases() ? localforage.INDEXEDDB : localforage.LOCALSTORAGE,
  })

/**
 * The database of an instance.
 * @param create makes it when it is not there; without it a missing one is CellsGone, and stays missing
 * @throws CellsGone; CodedError storage-silent; the browser's own error
 */
export function databaseOf(of: Kept, create: boolean): Promise<IDBDatabase> {
  if (of.connection) return of.connection
  const coming = connect(of, create)
  of.connection = coming
  coming.catch(() => of.connection === coming && (of.connection = null))
  return coming
}

/** What stands is left; the next use connects anew. */
export function disconnect(of: Kept): void {
  void of.connection?.then((database) => database.close()).catch(() => {})
  of.connection = null
}

async function connect(of: Kept, create: boolean): Promise<IDBDatabase> {
  const found = await inTime(openDatabase(of.name, create ? of.store : null), (late) => late?.close())
  if (!found) throw new CellsGone(of.name)
  if (!create && !found.objectStoreNames.contains(of.store)) {
    found.close()
    throw new CellsGone(of.name)
  }
  const database = of.instance ? reconnected(of.instance, found) : await firstConnection(of, found)
  // The package closes it by itself, so that nobody has to wait for this page.
  database.addEventListener('versionchange', ({ newVersion }) => {
    of.connection = null
    if (newVersion === null) for (const told of [...of.onGone]) told()
  })
  return database
}

/**
 * The package's own way to a new connection makes a missing database anew, and once it has failed it fails until the
 * page is loaded again: an instance whose connection was closed gets the one that was just opened.
 */
function reconnected(instance: LocalForage, found: IDBDatabase): IDBDatabase {
  inside(instance)._dbInfo!.db = found
  return found
}

/** @param found held open meanwhile, so that the database cannot go between the look and the package's own opening */
async function firstConnection(of: Kept, found: IDBDatabase): Promise<IDBDatabase> {
  let lost = false
  found.onversionchange = ({ newVersion }) => {
    lost ||= newVersion === null
    found.close()
  }
  const instance = newInstance(of.name, of.store)
  try {
    await inTime(instance.ready())
  } catch (error) {
    retire(instance)
    throw error
  } finally {
    found.close()
  }
  of.instance = instance
  const { db } = inside(instance)._dbInfo!
  if (!lost) return db!
  // It was taken away in between: what the package made in its place is none of ours.
  db!.close()
  await dropDatabase(of.name)
  throw new CellsGone(of.name)
}

/** An instance that never came up would hold up, or break, every later one of its name. */
function retire(instance: LocalForage): void {
  const its = inside(instance)
  its._initReady = async () => {}
  its._dbInfo ??= { db: null }
}

/** @param late what comes after all, and is not used any more */
function inTime<T>(work: Promise<T>, late: (come: T) => void = () => {}): Promise<T> {
  return new Promise((resolve, reject) => {
    let over = false
    const timer = setTimeout(() => {
      over = true
      reject(silence(SILENT_MS))
    }, SILENT_MS)
    work.then(
      (come) => (clearTimeout(timer), over ? late(come) : resolve(come)),
      (error: unknown) => (clearTimeout(timer), reject(error as Error)),
    )
  })
}
