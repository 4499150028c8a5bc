/**
 * Named cells with transactions: what a bench is kept in. The browser's database is one implementation, a map in memory
 * the other, so that all that decides what is stored (storage.ts) is the same code in the app and in a simulated run.
 */
export interface CellTurn {
  get(key: string): Promise<unknown>
  /** Keys from `from` to `to`, both included, in order, with what they hold. */
  range(from: string, to: string): Promise<[string, unknown][]>
  /** Fails, and the whole transaction with it, when the key is taken. */
  add(key: string, value: unknown): Promise<void>
  put(key: string, value: unknown): Promise<void>
  remove(key: string): Promise<void>
}

export interface Cells {
  /**
   * All of `work` happens, or nothing of it; writing turns come one after the other, among all tabs. `work` awaits
   * nothing but its turn's own answers.
   * @param silentMs how long one answer may take before the cells are taken to hang; left out: as long as a small one
   * @throws what `work` throws; CellsGone when the cells are no longer there; CodedError storage-silent when they do
   * not answer; the browser's own error when they cannot be written
   */
  run<T>(mode: 'read' | 'write', work: (turn: CellTurn) => Promise<T>, silentMs?: number): Promise<T>
  close(): void
}

/** The cells were taken away: removed in another tab, or thrown away by the browser. */
export class CellsGone extends Error {
  override readonly name = 'CellsGone'
}

/** What memory cells stand on; several tabs of a simulated run share one. */
export interface MemoryPlace {
  cells: Map<string, unknown>
  /** null: they were taken away */
  gone: boolean
  /** turns, one after the other */
  turn: Promise<unknown>
}
export const memoryPlace = (cells = new Map<string, unknown>()): MemoryPlace => ({
  cells,
  gone: false,
  turn: Promise.resolve(),
})

/** A turn whose writes are gathered, so that all of them are made at its end or none. null: taken away. */
export function gatheringTurn(cells: { get: (key: string) => Promise<unknown>; keys: () => Promise<string[]> }): {
  turn: CellTurn
  written: Map<string, { value: unknown } | null>
} {
  const written = new Map<string, { value: unknown } | null>()
  const get = async (key: string) => (written.has(key) ? written.get(key)?.value : await cells.get(key)) ?? null
  const put = async (key: string, value: unknown) => void written.set(key, { value })
  const turn: CellTurn = {
    get,
    range: async (from, to) => {
      const keys = new Set([...(await cells.keys()), ...written.keys()])
      const there = [...keys].filter((key) => key >= from && key <= to && written.get(key) !== null).sort()
      return Promise.all(there.map(async (key): Promise<[string, unknown]> => [key, await get(key)]))
    },
    add: async (key, value) => {
      if ((await get(key)) !== null) throw new DOMException(`${key} is taken`, 'ConstraintError')
      await put(key, value)
    },
    put,
    remove: async (key) => void written.set(key, null),
  }
  return { turn, written }
}

/**
 * Cells in memory: for tests, and when the browser keeps nothing.
 * @param delay awaited before each answer, so that a simulated run can shuffle what happens when
 */
export function memoryCells(place: MemoryPlace = memoryPlace(), delay: () => Promise<void> = async () => {}): Cells {
  async function once<T>(work: (turn: CellTurn) => Promise<T>): Promise<T> {
    if (place.gone) throw new CellsGone('the cells are gone')
    const { turn, written } = gatheringTurn({
      get: async (key) => structuredClone(place.cells.get(key)),
      keys: async () => [...place.cells.keys()],
    })
    const { get, range, add, put, remove } = turn
    const result = await work({
      get: async (key) => (await delay(), get(key)),
      range: async (from, to) => (await delay(), range(from, to)),
      add: async (key, value) => (await delay(), add(key, structuredClone(value))),
      put: async (key, value) => (await delay(), put(key, structuredClone(value))),
      remove,
    })
    await delay()
    if (place.gone) throw new CellsGone('the cells are gone')
    for (const [key, next] of written) {
      if (next) place.cells.set(key, next.value)
      else place.cells.delete(key)
    }
    return result
  }
  return {
    // Reading turns wait for the writing ones before them, as a database's do: what is read is of one moment.
    run: (_, work) => {
      const result = place.turn.then(() => once(work))
      place.turn = result.catch(() => {})
      return result
    },
    close: () => {},
  }
}
