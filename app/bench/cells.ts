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

/**
 * Cells in memory: for tests, and when the browser keeps nothing.
 * @param delay awaited before each answer, so that a simulated run can shuffle what happens when
 */
export function memoryCells(place: MemoryPlace = memoryPlace(), delay: () => Promise<void> = async () => {}): Cells {
  async function once<T>(work: (turn: CellTurn) => Promise<T>): Promise<T> {
    if (place.gone) throw new CellsGone('the cells are gone')
    const { cells } = place
    // What is written stands over the cells until all of it is in; null: taken away.
    const over = new Map<string, { value: unknown } | null>()
    const has = (key: string) => (over.has(key) ? over.get(key) !== null : cells.has(key))
    const value = (key: string) => structuredClone(over.has(key) ? over.get(key)?.value : cells.get(key))
    const set = async (key: string, next: unknown) => {
      await delay()
      over.set(key, { value: structuredClone(next) })
    }
    const result = await work({
      get: async (key) => (await delay(), value(key) ?? null),
      range: async (from, to) => {
        await delay()
        const keys = new Set([...cells.keys(), ...over.keys()].filter((key) => key >= from && key <= to && has(key)))
        return [...keys].sort().map((key) => [key, value(key)])
      },
      add: async (key, next) => {
        if (has(key)) throw new DOMException(`${key} is taken`, 'ConstraintError')
        await set(key, next)
      },
      put: set,
      remove: async (key) => void over.set(key, null),
    })
    await delay()
    if (place.gone) throw new CellsGone('the cells are gone')
    for (const [key, next] of over) {
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
