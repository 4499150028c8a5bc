import { CodedError } from '../../core/errors'
import { sayError } from '../../core/messages'
import { reversed, type Change, type Entry } from '../../core/records/entry'
import { takenBack } from '../../core/records/takeBack'
import { isTwin } from '../../core/records/twins'
import { tableNames, type TableName, type Tables } from '../../core/records/tables'
import { loadCheck, type Check } from './checking'
import type { Mark } from './copyOrder'
import { RecentEntries, UNDO_DEPTH } from './recent'
import { BenchRecords } from './records'
import { replay, type Mending } from './replay'
import type { BenchStorage } from './storage'
import type { Placed } from './stored'

/** How writing goes: what the screen says of it. */
export interface SaveState {
  /** entries stored since the bench was opened */
  stored: number
  /** entries that are only in memory so far */
  waiting: number
  /** why the last write failed; null when all is well */
  failure: string | null
  /** the bench itself is no longer kept: removed, reset, or lost */
  gone: boolean
  /** entries from memory that no longer fit what another tab stored meanwhile */
  stranded: readonly Entry[]
}

export interface LedgerTools {
  now: () => number
  newId: () => string
  /** tells the other tabs that there is a new entry */
  announce: () => void
  /** hears that entries of another tab have just been applied here */
  arrived?: () => void
}

/** Records without the proxies that a page may have wrapped around them: a database takes plain data only. */
const plain = (changes: Change[]): Change[] => JSON.parse(JSON.stringify(changes)) as Change[]

/** The storage failed, not what was to be written. */
const isStorageFault = ({ code }: CodedError): boolean =>
  ['bench-gone', 'bench-damaged', 'newer-bench', 'storage-silent'].includes(code)
const isLost = (error: unknown): boolean => error instanceof CodedError && error.code !== 'storage-silent'

/** Entries after which the tables are rewritten behind the entries. */
const FOLD_AFTER = 400

/**
 * Every write is one entry, stored in one transaction and then applied (architecture.md, "Records and the ledger").
 * Tables are rewritten behind it now and then; on start, entries not yet folded in are replayed. What the ledger does,
 * it does one after the other; tabs are kept apart by the storage's transactions.
 */
export class Ledger {
  readonly records = new BenchRecords()
  readonly save: SaveState = { stored: 0, waiting: 0, failure: null, gone: false, stranded: [] }
  /** what was put in order at opening; null when the log was whole */
  mended: Mending | null = null
  /** the last place that is folded in, as far as this tab knows */
  private folded = 0
  private token = ''
  private seq = 0
  private readonly recent = new RecentEntries()
  /** written here but not yet stored: a failed write keeps them */
  private unsaved: Entry[] = []
  private queue: Promise<unknown> = Promise.resolve()

  constructor(
    private readonly storage: BenchStorage,
    private readonly tools: LedgerTools,
    /** called after changes were applied, with the tables they touched, and after the save state changed */
    private readonly onChange: (touched: ReadonlySet<TableName>) => void = () => {},
  ) {}

  /**
   * Reads the tables and replays what is not folded in.
   * @throws CodedError bench-gone, bench-damaged; when storage is blocked
   */
  async open(): Promise<void> {
    for (;;) {
      const snapshot = await this.storage.read(UNDO_DEPTH, this.tools.newId())
      const { head, tables, folded, pending } = snapshot
      this.token = head.token
      this.records.load(tables)
      const { fitting, aside, mending } = await replay(this.records, head.through, pending, loadCheck)
      if (mending && !(await this.storage.mend(head.token, pending, fitting, aside))) continue
      this.mended = mending
      this.folded = head.through
      this.seq = head.through + fitting.length
      this.recent.load([...folded.map(({ entry }) => entry), ...fitting])
      break
    }
    this.onChange(new Set(tableNames))
  }

  /** The first content of a new bench, stored whole before the bench is listed anywhere. */
  start(tables: Tables): Promise<void> {
    return this.storage.create(tables, this.tools.newId())
  }

  close(): void {
    this.storage.close()
  }

  /** Entries of other tabs that this one has not seen. */
  catchUp(): Promise<void> {
    return this.inTurn(async () => {
      if (this.unsaved.length > 0) return void (await this.storeUnsaved())
      try {
        this.take(await this.storage.news(this.seq, this.token))
      } catch (error) {
        // A hiccup in reading: the next write, or the next news, tries again.
        if (isLost(error)) this.failed(error)
      }
    })
  }

  /**
   * One write: checked, stored, applied, in this order. A failed store keeps the entry in memory, shows the failure and
   * is tried again with the next write or by retry(). The same press twice, here or in two tabs, is one entry: the
   * first.
   * @returns the entry that stands
   * @throws CodedError wrong-shape, conflict, taken, points-nowhere, still-used, piece-missing: nothing was written
   */
  commit(label: string, changes: Change[], kind: Entry['kind'] = 'edit', of: string | null = null): Promise<Entry> {
    const entry: Entry = { id: this.tools.newId(), at: this.tools.now(), label, kind, of, changes: plain(changes) }
    const unseen = this.recent.unseenAt(entry.at)
    return this.inTurn(async () => {
      const checkEntry = await loadCheck()
      let twin: Entry | undefined
      const check = () => {
        twin = unseen().find((other) => isTwin(entry, other))
        if (!twin) checkEntry(entry, this.records)
        return twin ? [] : [entry]
      }
      if (this.unsaved.length > 0) {
        if (check().length) this.keep(entry)
        await this.storeUnsaved()
        return twin ?? entry
      }
      try {
        await this.storage.append(this.seq, this.token, (news) => {
          this.take(news)
          return check()
        })
      } catch (error) {
        if (error instanceof CodedError && !isStorageFault(error)) throw error
        // The check may not have been reached: what is not even readable is still checked against what stands here.
        if (check().length) this.keep(entry)
        this.failed(error)
        return twin ?? entry
      }
      if (twin) return twin
      this.seq++
      this.save.stored++
      this.save.failure = null
      this.applied(entry)
      this.tools.announce()
      this.changed([entry])
      return entry
    })
  }

  /** How far its stored entries go. */
  get mark(): Mark {
    return { entries: this.seq, last: this.recent.lastStored(this.unsaved)?.id ?? '' }
  }

  get canUndo(): Entry | null {
    return this.recent.canUndo
  }

  get canRedo(): Entry | null {
    return this.recent.canRedo
  }

  /** Takes the last edit back as a new entry. @returns what was taken back, or null when there is nothing */
  undo(): Promise<Entry | null> {
    const entry = this.canUndo
    return entry ? this.repeat(entry, reversed(entry.changes), 'undo') : Promise.resolve(null)
  }

  redo(): Promise<Entry | null> {
    const entry = this.canRedo
    return entry ? this.repeat(entry, entry.changes, 'redo') : Promise.resolve(null)
  }

  /**
   * An edit taken back or done again. What another tab changed of the same records meanwhile stays, as far as it is
   * another field.
   * @throws CodedError changed-since, with what came in between: nothing was written
   */
  private async repeat(entry: Entry, changes: Change[], kind: 'undo' | 'redo'): Promise<Entry> {
    try {
      await this.commit(entry.label, changes, kind, entry.id)
    } catch (error) {
      if (!(error instanceof CodedError) || error.code !== 'conflict') throw error
      const around = takenBack(changes, this.records)
      if (!around)
        throw new CodedError('changed-since', '', { what: entry.label, by: this.recent.lastOn(changes)?.label ?? '' })
      await this.commit(entry.label, around, kind, entry.id)
    }
    return entry
  }

  /** All that was ever changed, newest first; read from the storage, since only the newest entries are in memory. */
  wholeHistory(): Promise<Entry[]> {
    return this.inTurn(async () => [...(await this.storage.entries()), ...this.unsaved].reverse())
  }

  /** The newest entries, newest first. */
  history(): readonly Entry[] {
    return this.recent.newestFirst()
  }

  /** Resolves when all that was asked of it so far is done. */
  idle(): Promise<void> {
    return this.inTurn(async () => {})
  }

  /** Tries to store what could not be stored. @returns whether all is stored now */
  retry(): Promise<boolean> {
    return this.inTurn(async () => {
      await this.storeUnsaved()
      return this.unsaved.length === 0
    })
  }

  /** The maker has seen what no longer fits, and lets it go. */
  letGo(): void {
    this.save.stranded = []
    this.onChange(new Set())
  }

  get needsFolding(): boolean {
    return this.seq - this.folded >= FOLD_AFTER && this.unsaved.length === 0 && !this.save.gone
  }

  /** Rewrites the tables behind the entries. A crash at any point leaves the old state, or the new one, whole. */
  fold(): Promise<void> {
    return this.inTurn(async () => {
      if (this.unsaved.length > 0) return
      try {
        this.folded = await this.storage.fold(this.seq, this.token, (news) => {
          this.take(news)
          return (table) => this.records.all(table)
        })
      } catch (error) {
        // All entries are stored: a table that found no room is tried again after as many more.
        this.folded = this.seq
        if (isLost(error)) this.failed(error)
      }
    })
  }

  /** Applies what other tabs stored. */
  private take(news: readonly Placed[]): void {
    if (!news.length) return
    for (const { entry } of news) this.applied(entry)
    const entries = news.map(({ entry }) => entry)
    this.recent.cameFromElsewhere(entries, this.tools.now())
    this.seq = news.at(-1)!.seq
    this.changed(entries)
    this.tools.arrived?.()
  }

  private keep(entry: Entry): void {
    this.unsaved.push(entry)
    this.save.waiting = this.unsaved.length
    this.applied(entry)
    this.changed([entry])
  }

  private applied(entry: Entry): void {
    this.records.apply(entry.changes)
    this.recent.add(entry)
  }

  private changed(entries: readonly Entry[]): void {
    this.onChange(new Set(entries.flatMap(({ changes }) => changes.map(({ table }) => table))))
  }

  private failed(error: unknown): void {
    this.save.gone ||= error instanceof CodedError && error.code === 'bench-gone'
    this.save.failure = sayError(error)
    this.onChange(new Set())
  }

  private async storeUnsaved(): Promise<void> {
    let count = 0
    try {
      const checkEntry = await loadCheck()
      await this.storage.append(this.seq, this.token, (news) => {
        this.putBehind(news, checkEntry)
        count = this.unsaved.length
        return this.unsaved
      })
    } catch (error) {
      return this.failed(error)
    }
    this.unsaved = []
    this.seq += count
    this.save.stored += count
    this.save.waiting = 0
    this.save.failure = null
    if (count) this.tools.announce()
    this.onChange(new Set())
  }

  /**
   * What waits in memory comes behind what other tabs stored meanwhile; what no longer fits there is kept as stranded.
   */
  private putBehind(news: readonly Placed[], checkEntry: Check): void {
    if (!news.length) return
    const there = new Set(news.map(({ entry }) => entry.id))
    for (const entry of [...this.unsaved].reverse()) this.records.apply(reversed(entry.changes))
    this.recent.leaveOut(this.unsaved)
    // A storage that did not answer may have stored it all the same.
    const waiting = this.unsaved.filter(({ id }) => !there.has(id))
    this.take(news)
    this.unsaved = []
    for (const entry of waiting) {
      try {
        checkEntry(entry, this.records)
        this.keep(entry)
      } catch {
        this.save.stranded = [...this.save.stranded, entry]
        this.changed([entry])
      }
    }
    this.save.waiting = this.unsaved.length
  }

  /** One piece of work after the other. */
  private inTurn<T>(work: () => Promise<T>): Promise<T> {
    const result = this.queue.then(work)
    this.queue = result.catch(() => {})
    return result
  }
}
