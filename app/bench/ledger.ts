import { CodedError } from '../../core/errors'
import { checkEntry, reversed, undoStacks, type Change, type Entry } from '../../core/records/entry'
import { tableNames, type TableName, type Tables } from '../../core/records/tables'
import { BenchRecords } from './records'
import type { BenchStorage, Head } from './storage'

/** How writing goes: what the screen says of it. */
export interface SaveState {
  /** entries stored since the bench was opened */
  stored: number
  /** entries that are only in memory so far */
  waiting: number
  /** why the last write failed; null when all is well */
  failure: string | null
}

export interface LedgerTools {
  now: () => number
  newId: () => string
  /** runs one at a time among all tabs that have this bench open */
  exclusive: <T>(work: () => Promise<T>) => Promise<T>
  /** tells the other tabs that there is a new entry */
  announce: () => void
}

/** Records without the proxies that a page may have wrapped around them: a database takes plain data only. */
const plain = (changes: Change[]): Change[] => JSON.parse(JSON.stringify(changes)) as Change[]

/** Entries that are kept in memory for undo, and read again at the start. */
const UNDO_DEPTH = 100
/** Entries after which the tables are rewritten behind the entries. */
export const FOLD_AFTER = 400

/**
 * Every write is one entry, stored in one write and then applied (architecture.md, "Records and the ledger"). Tables are
 * rewritten behind it now and then; on start, entries not yet folded in are replayed.
 */
export class Ledger {
  readonly records = new BenchRecords()
  readonly save: SaveState = { stored: 0, waiting: 0, failure: null }
  private head: Head = { through: 0, generations: {} }
  private seq = 0
  private recent: Entry[] = []
  /** written here but not yet stored: a failed write keeps them */
  private unsaved: Entry[] = []
  private queue: Promise<unknown> = Promise.resolve()

  constructor(
    private readonly storage: BenchStorage,
    private readonly tools: LedgerTools,
    /** called after changes were applied, with the tables they touched, and after the save state changed */
    private readonly onChange: (touched: ReadonlySet<TableName>) => void = () => {},
  ) {}

  /** Reads the tables and replays what is not folded in. @throws when the storage is blocked */
  async open(): Promise<void> {
    const head = await this.storage.readHead()
    if (head) {
      this.head = head
      this.seq = head.through
      const rows = await Promise.all(
        tableNames.map((name) =>
          head.generations[name] === undefined ? null : this.storage.readTable(name, head.generations[name]!),
        ),
      )
      this.records.load(Object.fromEntries(tableNames.map((name, i) => [name, rows[i] ?? []])) as unknown as Tables)
      const from = Math.max(1, head.through - UNDO_DEPTH + 1)
      const folded = await Promise.all(
        Array.from({ length: head.through - from + 1 }, (_, i) => this.storage.readEntry(from + i)),
      )
      this.recent = folded.filter((entry) => entry !== null)
    }
    await this.catchUp()
    this.onChange(new Set(tableNames))
  }

  /** The first content of a new bench, stored whole before the bench is listed anywhere. */
  async start(tables: Tables): Promise<void> {
    const filled = tableNames.filter((name) => tables[name].length > 0)
    await Promise.all(filled.map((name) => this.storage.writeTable(name, 1, tables[name])))
    await this.storage.writeHead({ through: 0, generations: Object.fromEntries(filled.map((name) => [name, 1])) })
  }

  /** Entries of other tabs that this one has not seen. */
  async catchUp(): Promise<void> {
    const touched = new Set<TableName>()
    for (let more = true; more;) {
      const batch = await Promise.all(Array.from({ length: 32 }, (_, i) => this.storage.readEntry(this.seq + 1 + i)))
      const end = batch.findIndex((entry) => entry === null)
      more = end < 0
      for (const entry of batch.slice(0, end < 0 ? batch.length : end) as Entry[]) {
        this.seq++
        this.applied(entry)
        entry.changes.forEach((change) => touched.add(change.table))
      }
    }
    if (touched.size) this.onChange(touched)
  }

  /**
   * One write: checked, stored, applied, in this order. A failed store keeps the entry in memory, shows the failure and is
   * tried again with the next write or by retry().
   * @throws CodedError wrong-shape, conflict: nothing was written
   */
  commit(label: string, changes: Change[], kind: Entry['kind'] = 'edit', of: string | null = null): Promise<Entry> {
    const entry: Entry = { id: this.tools.newId(), at: this.tools.now(), label, kind, of, changes: plain(changes) }
    return this.inTurn(async () => {
      await this.catchUpIfStored()
      checkEntry(entry, (table, id) => this.records.get(table, id))
      this.unsaved.push(entry)
      await this.storeUnsaved()
      this.applied(entry)
      this.onChange(new Set(entry.changes.map((change) => change.table)))
      return entry
    })
  }

  get canUndo(): Entry | null {
    return undoStacks(this.recent).undo.at(-1) ?? null
  }

  get canRedo(): Entry | null {
    return undoStacks(this.recent).redo.at(-1) ?? null
  }

  /** Takes the last edit back as a new entry. @returns what was taken back, or null when there is nothing */
  async undo(): Promise<Entry | null> {
    const entry = this.canUndo
    if (entry) await this.commit(entry.label, reversed(entry.changes), 'undo', entry.id)
    return entry
  }

  async redo(): Promise<Entry | null> {
    const entry = this.canRedo
    if (entry) await this.commit(entry.label, entry.changes, 'redo', entry.id)
    return entry
  }

  /** Newest first. */
  history(): readonly Entry[] {
    return [...this.recent].reverse()
  }

  /** Tries to store what could not be stored. @returns whether all is stored now */
  retry(): Promise<boolean> {
    return this.inTurn(async () => {
      await this.catchUpIfStored()
      await this.storeUnsaved()
      this.onChange(new Set())
      return this.unsaved.length === 0
    })
  }

  get needsFolding(): boolean {
    return this.seq - this.head.through >= FOLD_AFTER && this.unsaved.length === 0
  }

  /** Rewrites the tables behind the entries. A crash at any point leaves the old head, or the new one, whole. */
  fold(): Promise<void> {
    return this.inTurn(async () => {
      await this.catchUp()
      const stored = (await this.storage.readHead()) ?? this.head
      if (stored.through >= this.seq) return void (this.head = stored)
      const touched = new Set<TableName>()
      for (let seq = stored.through + 1; seq <= this.seq; seq++)
        (await this.storage.readEntry(seq))?.changes.forEach((change) => touched.add(change.table))
      const generations = { ...stored.generations }
      for (const table of touched) {
        generations[table] = (stored.generations[table] ?? 0) + 1
        await this.storage.writeTable(table, generations[table], this.records.all(table))
      }
      await this.storage.writeHead({ through: this.seq, generations })
      this.head = { through: this.seq, generations }
      for (const table of touched)
        if (stored.generations[table] !== undefined) await this.storage.dropTable(table, stored.generations[table])
    })
  }

  private applied(entry: Entry): void {
    this.records.apply(entry.changes)
    this.recent.push(entry)
    if (this.recent.length > 2 * UNDO_DEPTH) this.recent = this.recent.slice(-UNDO_DEPTH)
  }

  /** While entries wait in memory the stored ones of other tabs must not slip in between. */
  private async catchUpIfStored(): Promise<void> {
    if (this.unsaved.length > 0) return
    try {
      await this.catchUp()
    } catch {
      // Reading failed: the write that follows will say so.
    }
  }

  private async storeUnsaved(): Promise<void> {
    try {
      while (this.unsaved.length > 0) {
        if ((await this.storage.readEntry(this.seq + 1)) !== null)
          throw new CodedError('conflict', '', { field: 'The bench' })
        await this.storage.writeEntry(this.seq + 1, this.unsaved[0]!)
        this.seq++
        this.unsaved.shift()
        this.save.stored++
      }
      this.save.failure = null
      this.tools.announce()
    } catch (error) {
      this.save.failure = error instanceof Error ? error.message || error.name : String(error)
    }
    this.save.waiting = this.unsaved.length
  }

  /** One piece of work after the other in this tab, and one tab at a time. */
  private inTurn<T>(work: () => Promise<T>): Promise<T> {
    const result = this.queue.then(() => this.tools.exclusive(work))
    this.queue = result.catch(() => {})
    return result
  }
}
