/**
 * Named cells with transactions: what a bench is kept in. The browser's database is one implementation, a map in memory the
 * other, so that all that decides what is stored (storage.ts) is the same code in the app and in a simulated run.
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
   * All of `work` happens, or nothing of it; writing turns come one after the other, among all tabs. `work` awaits nothing
   * but its turn's own answers.
   * @throws what `work` throws; CellsGone when the cells are no longer there; the browser's own error when they cannot be written
   */
  run<T>(mode: 'read' | 'write', work: (turn: CellTurn) => Promise<T>): Promise<T>
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
  /** writing turns, one after the other */
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
  async function once<T>(mode: 'read' | 'write', work: (turn: CellTurn) => Promise<T>): Promise<T> {
    if (place.gone) throw new CellsGone('the cells are gone')
    const before = mode === 'write' ? new Map(place.cells) : place.cells
    const set = async (key: string, value: unknown) => {
      await delay()
      before.set(key, structuredClone(value))
    }
    const result = await work({
      get: async (key) => (await delay(), structuredClone(before.get(key) ?? null)),
      range: async (from, to) => {
        await delay()
        const keys = [...before.keys()].filter((key) => key >= from && key <= to).sort()
        return keys.map((key) => [key, structuredClone(before.get(key))])
      },
      add: async (key, value) => {
        if (before.has(key)) throw new DOMException(`${key} is taken`, 'ConstraintError')
        await set(key, value)
      },
      put: set,
      remove: async (key) => void before.delete(key),
    })
    await delay()
    if (place.gone) throw new CellsGone('the cells are gone')
    if (mode === 'write') place.cells = before
    return result
  }
  return {
    run: (mode, work) => {
      if (mode === 'read') return once(mode, work)
      const result = place.turn.then(() => once(mode, work))
      place.turn = result.catch(() => {})
      return result
    },
    close: () => {},
  }
}
