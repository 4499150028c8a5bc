import { deleteDB, openDB, type IDBPDatabase } from 'idb'
import { CellsGone, type Cells } from './cells'

/**
 * A database of the browser, one store, as cells. A transaction is one transaction of the database, which alone keeps
 * tabs apart: it does so with or without Web Locks.
 * @param create makes the database when it is not there; without it a missing one is CellsGone, and stays missing
 * @param onGone called once when another tab deletes the database, or the browser closes it
 */
export function browserCells(name: string, store: string, create: boolean, onGone: () => void = () => {}): Cells {
  let opening: Promise<IDBPDatabase> | null = null
  let gone = false
  let shut = false
  function leave() {
    void opening?.then((database) => database.close()).catch(() => {})
    opening = null
    gone = true
    onGone()
  }
  async function open(): Promise<IDBPDatabase> {
    try {
      return await openDB(name, undefined, {
        upgrade(database, _from, _to, transaction) {
          if (!create) return transaction.abort()
          database.createObjectStore(store)
        },
        blocking: (_current, next) => (next === null ? leave() : undefined),
        // The browser closed it by itself (its data were cleared, its disk failed): the next use opens it anew, or
        // finds it gone.
        terminated: () => (opening = null),
      })
    } catch (error) {
      opening = null
      if (!create && error instanceof DOMException && error.name === 'AbortError') throw new CellsGone(name)
      throw error
    }
  }
  return {
    async run(mode, work) {
      if (gone || shut) throw new CellsGone(name)
      const database = await (opening ??= open())
      if (!database.objectStoreNames.contains(store)) throw new CellsGone(name)
      const transaction = database.transaction(store, mode === 'write' ? 'readwrite' : 'readonly')
      const cells = transaction.objectStore(store)
      try {
        const result = await work({
          get: async (key) => ((await cells.get(key)) as unknown) ?? null,
          range: async (from, to) => {
            const span = IDBKeyRange.bound(from, to)
            const [keys, values] = await Promise.all([cells.getAllKeys(span), cells.getAll(span)])
            return keys.map((key, i) => [String(key), values[i] as unknown])
          },
          add: async (key, value) => void (await cells.add!(value, key)),
          put: async (key, value) => void (await cells.put!(value, key)),
          remove: async (key) => void (await cells.delete!(key)),
        })
        await transaction.done
        return result
      } catch (error) {
        const ended = transaction.done.catch(() => {})
        try {
          transaction.abort()
        } catch {
          // It had ended by itself.
        }
        await ended
        throw gone ? new CellsGone(name) : error
      }
    },
    close() {
      shut = true
      void opening?.then((database) => database.close()).catch(() => {})
    },
  }
}

/** Takes a database away; tabs that have it open let go of it and hear of it. */
export const dropDatabase = (name: string): Promise<void> => deleteDB(name)

/** Names of the databases of this origin; none where the browser does not tell. */
export async function databaseNames(): Promise<string[]> {
  if (typeof indexedDB.databases !== 'function') return []
  return (await indexedDB.databases()).flatMap(({ name }) => (name ? [name] : []))
}
