import { deleteDB, openDB, type IDBPDatabase } from 'idb'
import { CodedError } from '../../core/errors'
import { CellsGone, type Cells, type CellTurn } from './cells'

/** A database that does not answer for so long hangs, ms. */
export const SILENT_MS = 5000

const silence = (ms: number) => new CodedError('storage-silent', '', { seconds: ms / 1000 })

/** A turn whose every answer must come in time; `late` rejects when one does not. */
function watched(turn: CellTurn, silentMs: number): { turn: CellTurn; late: Promise<never>; end: () => void } {
  let timer: ReturnType<typeof setTimeout>
  let fail: (error: unknown) => void = () => {}
  const late = new Promise<never>((_, reject) => (fail = reject))
  late.catch(() => {})
  const beat = () => {
    clearTimeout(timer)
    timer = setTimeout(() => fail(silence(silentMs)), silentMs)
  }
  const timed =
    <A extends unknown[], R>(ask: (...args: A) => Promise<R>) =>
    async (...args: A): Promise<R> => {
      beat()
      const answer = await ask(...args)
      beat()
      return answer
    }
  const { get, range, add, put, remove } = turn
  beat()
  return {
    turn: { get: timed(get), range: timed(range), add: timed(add), put: timed(put), remove: timed(remove) },
    late,
    end: () => clearTimeout(timer),
  }
}

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
    let timer: ReturnType<typeof setTimeout>
    try {
      const came = openDB(name, undefined, {
        upgrade(database, _from, _to, transaction) {
          if (!create) {
            // That it was not made is what was wanted, and told below.
            transaction.done.catch(() => {})
            return transaction.abort()
          }
          database.createObjectStore(store)
        },
        blocking: (_current, next) => (next === null ? leave() : undefined),
        // The browser closed it by itself (its data were cleared, its disk failed): the next use opens it anew, or
        // finds it gone.
        terminated: () => (opening = null),
      })
      const late = new Promise<never>((_, reject) => (timer = setTimeout(() => reject(silence(SILENT_MS)), SILENT_MS)))
      return await Promise.race([came, late]).catch((error: unknown) => {
        // What comes after all is not used any more: the next use opens anew.
        void came.then((database) => database.close()).catch(() => {})
        throw error
      })
    } catch (error) {
      opening = null
      if (!create && error instanceof DOMException && error.name === 'AbortError') throw new CellsGone(name)
      throw error
    } finally {
      clearTimeout(timer!)
    }
  }
  return {
    async run(mode, work, silentMs = SILENT_MS) {
      if (gone || shut) throw new CellsGone(name)
      const database = await (opening ??= open())
      if (!database.objectStoreNames.contains(store)) throw new CellsGone(name)
      const transaction = database.transaction(store, mode === 'write' ? 'readwrite' : 'readonly')
      const cells = transaction.objectStore(store)
      const { turn, late, end } = watched(
        {
          get: async (key) => ((await cells.get(key)) as unknown) ?? null,
          range: async (from, to) => {
            const span = IDBKeyRange.bound(from, to)
            const [keys, values] = await Promise.all([cells.getAllKeys(span), cells.getAll(span)])
            return keys.map((key, i) => [String(key), values[i] as unknown])
          },
          add: async (key, value) => void (await cells.add!(value, key)),
          put: async (key, value) => void (await cells.put!(value, key)),
          remove: async (key) => void (await cells.delete!(key)),
        },
        silentMs,
      )
      try {
        const result = await Promise.race([work(turn), late])
        await Promise.race([transaction.done, late])
        return result
      } catch (error) {
        const ended = transaction.done.catch(() => {})
        try {
          transaction.abort()
        } catch {
          // It had ended by itself.
        }
        await Promise.race([ended, late.catch(() => {})])
        throw gone ? new CellsGone(name) : error
      } finally {
        end()
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
