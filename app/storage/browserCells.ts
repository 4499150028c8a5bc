import { CellsGone, gatheringTurn, type Cells, type CellTurn } from './cells'
import { databaseNames, hasDatabases } from './databases'
import { databaseOf, disconnect, kept, newInstance, silence, SILENT_MS, type Kept } from './instances'

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

const answered = <T>(request: IDBRequest<T>): Promise<T> =>
  new Promise((resolve, reject) => {
    request.onsuccess = () => resolve(request.result)
    request.onerror = () => reject(request.error ?? new DOMException('The database did not say why.', 'UnknownError'))
  })
const ended = (transaction: IDBTransaction): Promise<void> =>
  new Promise((resolve, reject) => {
    const fail = () => reject(transaction.error ?? new DOMException('The transaction was cut off.', 'AbortError'))
    transaction.oncomplete = () => resolve()
    transaction.onabort = fail
    transaction.onerror = fail
  })

const turnIn = (store: IDBObjectStore): CellTurn => ({
  get: async (key) => ((await answered(store.get(key))) as unknown) ?? null,
  range: async (from, to) => {
    const span = IDBKeyRange.bound(from, to)
    const [keys, values] = await Promise.all([answered(store.getAllKeys(span)), answered(store.getAll(span))])
    return keys.map((key, i) => [String(key), values[i] as unknown])
  },
  add: async (key, value) => void (await answered(store.add(value, key))),
  put: async (key, value) => void (await answered(store.put(value, key))),
  remove: async (key) => void (await answered(store.delete(key))),
})

/** One transaction on the database that a localForage instance keeps. */
async function transacted<T>(
  transaction: IDBTransaction,
  store: string,
  work: (turn: CellTurn) => Promise<T>,
  silentMs: number,
): Promise<T> {
  const done = ended(transaction)
  done.catch(() => {})
  const { turn, late, end } = watched(turnIn(transaction.objectStore(store)), silentMs)
  try {
    const result = await Promise.race([work(turn), late])
    await Promise.race([done, late])
    return result
  } catch (error) {
    try {
      transaction.abort()
    } catch {
      // It had ended by itself.
    }
    await Promise.race([done, late]).catch(() => {})
    throw error
  } finally {
    end()
  }
}

/** The browser closes a connection by itself when its data are cleared or its disk fails: the next use opens anew. */
async function begun(of: Kept, create: boolean, mode: IDBTransactionMode): Promise<IDBTransaction> {
  for (let tries = 0; ; tries++) {
    const database = await databaseOf(of, create)
    try {
      return database.transaction(of.store, mode)
    } catch (error) {
      if (tries > 0 || !(error instanceof DOMException) || error.name !== 'InvalidStateError') throw error
      disconnect(of)
    }
  }
}

/**
 * The extension to localForage by which several keys change in one transaction, on the instance's own database after
 * `ready()`, as the package's published plugins do it. The transaction alone keeps tabs apart: it does so with or
 * without Web Locks.
 * @param create makes the database when it is not there; without it a missing one is CellsGone, and stays missing
 * @param onGone called once when another tab deletes the database
 */
export function browserCells(name: string, store: string, create: boolean, onGone: () => void = () => {}): Cells {
  if (!hasDatabases()) return plainCells(name, store, create)
  const of = kept(name, store)
  let left = false
  let gone = false
  function leave() {
    of.onGone.delete(leave)
    if (gone || left) return
    gone = true
    onGone()
  }
  of.onGone.add(leave)
  return {
    async run(mode, work, silentMs = SILENT_MS) {
      if (gone || left) throw new CellsGone(name)
      const transaction = await begun(of, create, mode === 'write' ? 'readwrite' : 'readonly')
      try {
        return await transacted(transaction, store, work, silentMs)
      } catch (error) {
        throw gone ? new CellsGone(name) : error
      }
    },
    close() {
      left = true
      of.onGone.delete(leave)
      if (!of.onGone.size) disconnect(of)
    },
  }
}

/** Writing turns of one page, one after the other, where the browser has no locks. */
const turns = new Map<string, Promise<unknown>>()
function inTurn<T>(name: string, work: () => Promise<T>): Promise<T> {
  if (typeof navigator !== 'undefined' && navigator.locks)
    return navigator.locks.request(`cells ${name}`, work) as Promise<T>
  const result = (turns.get(name) ?? Promise.resolve()).then(work)
  turns.set(
    name,
    result.catch(() => {}),
  )
  return result
}

/**
 * The same by localForage's plain calls under a Web Lock, where its driver has no transactions (local storage). What a
 * turn writes is written at its end, in the order in which it was said, and what it takes away goes last: an end in the
 * middle leaves what stood there, as far as a turn writes last what points to the rest.
 */
function plainCells(name: string, store: string, create: boolean): Cells {
  const instance = newInstance(name, store)
  let left = false
  return {
    run: (_, work) =>
      inTurn(name, async () => {
        if (left || (!create && !(await databaseNames()).includes(name))) throw new CellsGone(name)
        const { turn, written } = gatheringTurn({ get: (key) => instance.getItem(key), keys: () => instance.keys() })
        const result = await work(turn)
        for (const [key, next] of written) if (next) await instance.setItem(key, next.value)
        for (const [key, next] of written) if (!next) await instance.removeItem(key)
        return result
      }),
    close: () => void (left = true),
  }
}
