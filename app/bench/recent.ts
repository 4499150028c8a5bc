import { undoStacks, type Change, type Entry } from '../../core/records/entry'

/** Entries that are kept in memory for undo, and read again at the start. */
export const UNDO_DEPTH = 100
/** Nobody sees another tab's write and answers it within this time, ms. */
export const REACTION = 400

/** The newest entries that stand here: what can be taken back, and what whoever pressed a button had seen. */
export class RecentEntries {
  private entries: Entry[] = []
  /** entries of other tabs, with the moment at which they came */
  private foreign: { entry: Entry; cameAt: number }[] = []
  /** how many entries ever came: what a press had seen is told from what came after it */
  private seen = 0

  /** @param entries the newest of the storage, in their order */
  load(entries: Entry[]): void {
    this.entries = entries
  }

  add(entry: Entry): void {
    this.entries.push(entry)
    this.seen++
    if (this.entries.length > 2 * UNDO_DEPTH) this.entries = this.entries.slice(-UNDO_DEPTH)
  }

  /** Notes that entries, already added, are another tab's. */
  cameFromElsewhere(entries: readonly Entry[], cameAt: number): void {
    this.foreign = [...this.foreign, ...entries.map((entry) => ({ entry, cameAt }))].slice(-UNDO_DEPTH)
  }

  /** Leaves out what is to come behind others. */
  leaveOut(entries: readonly Entry[]): void {
    this.entries = this.entries.filter((entry) => !entries.includes(entry))
  }

  get canUndo(): Entry | null {
    return undoStacks(this.entries).undo.at(-1) ?? null
  }

  get canRedo(): Entry | null {
    return undoStacks(this.entries).redo.at(-1) ?? null
  }

  /** The newest one that does not wait in memory. */
  lastStored(waiting: readonly Entry[]): Entry | undefined {
    return this.entries.findLast((entry) => !waiting.includes(entry))
  }

  newestFirst(): readonly Entry[] {
    return [...this.entries].reverse()
  }

  /** The newest entry that changed one of the same records. */
  lastOn(changes: readonly Change[]): Entry | undefined {
    const touched = new Set(changes.map(({ table, id }) => `${table} ${id}`))
    return this.entries.findLast((one) => one.changes.some(({ table, id }) => touched.has(`${table} ${id}`)))
  }

  /** @returns later: entries that whoever pressed at this moment had not seen, of this tab and of others */
  unseenAt(pressedAt: number): () => Entry[] {
    const { seen } = this
    const justCame = this.foreign.filter(({ cameAt }) => cameAt > pressedAt - REACTION).map(({ entry }) => entry)
    return () => [...justCame, ...(this.seen > seen ? this.entries.slice(-(this.seen - seen)) : [])]
  }
}
