import { defineStore } from 'pinia'
import { computed, ref, shallowReactive, shallowRef } from 'vue'
import { writeBenchFile } from '../../core/formats/writeBenchFile'
import { CodedError } from '../../core/errors'
import { sayError } from '../../core/messages'
import type { Bench } from '../../core/records/bench'
import { newBench } from './newBench'
import type { Change, Entry } from '../../core/records/entry'
import { isOthers } from '../../core/records/together/owners'
import { noTables, tableNames, type RecordOf, type TableName, type Tables } from '../../core/records/tables'
import { busyWhile, movedOn } from '../look/act'
import { memoryCells, memoryPlace, type Cells } from '../storage/cells'
import { loadCheck } from './checking'
import { askAboutClash } from './clash'
import { now } from './clock'
import { newId } from './ids'
import { Ledger, type SaveState } from './ledger'
import { REACTION } from './recent'
import { benchStorage } from './library'
import type { Pulled } from './records'
import { copySoon } from './rollingCopy'
import { BenchStorage } from './storage'
import { tabChannel } from './tabs'
import { meet, type Edit } from './edits'
import { mendedWords } from './mendedWords'

export interface Notice {
  text: string
  tone: 'plain' | 'bad'
  /** offers to take the write back */
  undo: boolean
}

interface OpenBench {
  id: string
  ledger: Ledger
  close: () => void
}

const calm: SaveState = { stored: 0, waiting: 0, failure: null, gone: false, stranded: [] }

const nothingPulled: Pulled = { coupons: [], readings: [], ofCoupon: new Map() }

const whenIdle = (run: () => void) =>
  window.requestIdleCallback ? window.requestIdleCallback(run) : setTimeout(run, 200)

/** The open bench: its records, reactive by table, and the one way to write to it. */
export const useBench = defineStore('bench', () => {
  const id = ref<string | null>(null)
  const versions = shallowReactive(Object.fromEntries(tableNames.map((name) => [name, 0])) as Record<TableName, number>)
  const save = ref<SaveState>(calm)
  const undoable = shallowRef<Entry | null>(null)
  const redoable = shallowRef<Entry | null>(null)
  const notice = shallowRef<Notice | null>(null)
  let current: OpenBench | null = null
  /** benches left with entries that are in memory only: they are kept until they could be stored */
  const left = shallowReactive(new Map<string, OpenBench>())

  function refresh(of: Ledger, touched: ReadonlySet<TableName>) {
    if (of !== current?.ledger) return
    touched.forEach((table) => versions[table]++)
    const before = save.value.stored
    save.value = { ...of.save }
    undoable.value = of.canUndo
    redoable.value = of.canRedo
    if (of.save.stored > before) copySoon(current.id)
    if (of.needsFolding) foldWhenIdle(of)
  }

  let folding = false
  function foldWhenIdle(of: Ledger) {
    if (folding) return
    folding = true
    whenIdle(() => void of.fold().finally(() => (folding = false)))
  }

  /** A ledger on its storage, heard by this store while it is the open one. */
  function ledgerOn(cells: BenchStorage, announce: () => void): Ledger {
    const tools = { now, newId, announce, arrived: () => movedOn(REACTION) }
    const ledger: Ledger = new Ledger(cells, tools, (touched) => refresh(ledger, touched))
    return ledger
  }

  function show(next: OpenBench) {
    const before = current
    current = next
    id.value = next.id
    if (before && before !== next) {
      // What is in memory only goes along until it is stored: leaving a bench loses nothing.
      void before.ledger.idle().then(() => {
        if (before === current) return
        if (before.ledger.save.waiting || before.ledger.save.stranded.length) left.set(before.id, before)
        else before.close()
      })
    }
    left.delete(next.id)
    save.value = { ...next.ledger.save }
    refresh(next.ledger, new Set(tableNames))
  }

  /**
   * Opens a bench; the one that was open stays so when this one cannot be.
   * @throws CodedError bench-gone, bench-damaged; when the storage is blocked
   */
  async function open(benchId: string): Promise<void> {
    const waiting = left.get(benchId)
    if (waiting) return show(waiting)
    let channel = { announce: () => {}, close: () => {} }
    const storage = benchStorage(benchId, () => void ledger.catchUp())
    const ledger = ledgerOn(storage, () => channel.announce())
    try {
      await ledger.open()
    } catch (error) {
      storage.close()
      throw error
    }
    channel = tabChannel(benchId, () => void ledger.catchUp())
    show({ id: benchId, ledger, close: () => (channel.close(), storage.close()) })
    // What a first write needs is there before it, also when the server is stopped meanwhile.
    whenIdle(() => void loadCheck().catch(() => {}))
    const { mended } = ledger
    if (mended) tell(mendedWords(mended.broughtBack, mended.aside), 'bad')
  }

  /**
   * For a browser that keeps nothing: all works, nothing lasts, and the screen says so from the first moment.
   * @param reason why nothing can be kept; null where that is wanted (a test)
   */
  async function openInMemory(reason: string | null, tables: Tables | null = null): Promise<void> {
    const cells = memoryCells(memoryPlace())
    const refusing: Cells = {
      ...cells,
      run: (mode, work) => (reason && mode === 'write' ? Promise.reject(new Error(reason)) : cells.run(mode, work)),
    }
    const content = tables ?? { ...noTables(), bench: [newBench('memory', 'My bench', now())] }
    await new BenchStorage(cells).create(content, newId())
    const ledger = ledgerOn(new BenchStorage(refusing), () => {})
    await ledger.open()
    ledger.save.failure = reason
    show({ id: content.bench[0]!.id, ledger, close: () => {} })
  }

  const track = (table: TableName) => void versions[table]
  function get<T extends TableName>(table: T, recordId: string | null): RecordOf<T> | null {
    track(table)
    return recordId === null ? null : (current?.ledger.records.get(table, recordId) ?? null)
  }
  /** What is there of a table, other makers' records among it. */
  function everything<T extends TableName>(table: T): RecordOf<T>[] {
    track(table)
    return current?.ledger.records.all(table) ?? []
  }
  /** What is one's own of a table. */
  function all<T extends TableName>(table: T): RecordOf<T>[] {
    const rows = everything(table)
    // Only where benches were put together is anything somebody else's.
    if (!everything('maker').length || !current) return rows
    const { records } = current.ledger
    return rows.filter((row) => !isOthers(table, row, (owner, id) => records.get(owner, id)))
  }
  function of<T extends TableName>(table: T, owner: string): RecordOf<T>[] {
    track(table)
    return current?.ledger.records.of(table, owner) ?? []
  }
  /** A round's pieces with their readings: the same object until one of them changes. */
  function pulled(round: string): Pulled {
    track('coupon')
    track('reading')
    return current?.ledger.records.pulled(round) ?? nothingPulled
  }

  function tell(text: string, tone: Notice['tone'] = 'plain', undo = false) {
    notice.value = { text, tone, undo }
  }

  /** Writes that were begun and are not stored yet: a page that is left now is asked about first. */
  const writing = ref(0)
  async function underWay<T>(write: Promise<T>): Promise<T> {
    writing.value++
    try {
      return await busyWhile(write)
    } finally {
      writing.value--
    }
  }

  /**
   * One write, with its label in words. Refusals are told to the maker and nothing is lost on screen.
   * @param loud says on screen that it was saved, with undo at hand
   * @returns whether it was written (or, with a failed storage, is kept in memory)
   */
  async function write(label: string, changes: Change[], loud = false): Promise<boolean> {
    const refused = await attempt(label, changes, loud)
    if (refused) tell(sayError(refused), 'bad')
    return refused === null
  }

  /** The same for whoever answers a refusal in its own way. @returns null where it was written, else why it was not */
  async function attempt(label: string, changes: Change[], loud = false): Promise<Error | null> {
    try {
      await underWay(current!.ledger.commit(label, changes))
      if (loud) tell(label, 'plain', true)
      return null
    } catch (error) {
      return error as Error
    }
  }

  /**
   * An edit of records whose form was opened on `opened`. What was changed elsewhere meanwhile stays; where the same
   * field was changed to something else, both values are shown and the maker says which stands.
   * @param also what goes along in the same entry
   * @returns whether the form is done with: written, or left to what stands there
   */
  async function edit(label: string, edits: readonly Edit[], also: Change[] = [], loud = false): Promise<boolean> {
    for (let tries = 0; tries < 5; tries++) {
      const met = meet(edits, get)
      if (met === null) {
        tell('What you edit was taken away elsewhere meanwhile. Nothing was written.', 'bad')
        return false
      }
      const answer = met.clashes.length ? await askAboutClash(label, met.clashes) : 'theirs'
      if (answer === 'back') return false
      const changes = met.changes(answer)
      if (!changes.length && !also.length) return true
      try {
        await underWay(current!.ledger.commit(label, [...changes, ...also]))
        if (loud) tell(label, 'plain', true)
        return true
      } catch (error) {
        // Another tab came in between: look again at what stands there now.
        if (error instanceof CodedError && error.code === 'conflict' && tries < 4) continue
        tell(sayError(error), 'bad')
        return false
      }
    }
    return false
  }

  const undo = () => step(() => current!.ledger.undo(), 'Taken back', 'Nothing to take back')
  const redo = () => step(() => current!.ledger.redo(), 'Done again', 'Nothing to do again')
  async function step(move: () => Promise<Entry | null>, done: string, nothing: string) {
    try {
      const entry = await underWay(move())
      tell(entry ? `${done}: ${entry.label}` : nothing)
    } catch (error) {
      tell(sayError(error), 'bad')
    }
  }

  const bench = computed<Bench | null>(() => all('bench')[0] ?? null)
  const tables = () => current!.ledger.records.tables()
  const fileText = () => writeBenchFile(tables(), now())
  const history = () => (tableNames.forEach(track), current?.ledger.history() ?? [])
  const wholeHistory = (): Promise<Entry[]> => current!.ledger.wholeHistory()
  /** Changes that are in memory only, on this bench and on those left before it. */
  const unstored = computed(
    () => save.value.waiting + [...left.values()].reduce((sum, { ledger }) => sum + ledger.save.waiting, 0),
  )

  return {
    id,
    bench,
    save,
    undoable,
    redoable,
    notice,
    left,
    unstored,
    writing,
    open,
    openInMemory,
    get,
    all,
    everything,
    of,
    pulled,
    write,
    attempt,
    edit,
    undo,
    redo,
    tell,
    tables,
    fileText,
    history,
    wholeHistory,
    /** lets go of a bench that was left with changes in memory: they are kept elsewhere now */
    forget: (benchId: string) => (left.get(benchId)?.close(), left.delete(benchId)),
    retry: () => current!.ledger.retry(),
    letGo: () => current!.ledger.letGo(),
  }
})
