import { defineStore } from 'pinia'
import { computed, ref, shallowReactive, shallowRef } from 'vue'
import { writeBenchFile } from '../../core/formats/benchFile'
import { sayError } from '../../core/messages'
import { emptyBench, type Bench } from '../../core/records/bench'
import type { Change, Entry } from '../../core/records/entry'
import { noTables, tableNames, type RecordOf, type TableName } from '../../core/records/tables'
import { now } from './clock'
import { newId } from './ids'
import { Ledger, type SaveState } from './ledger'
import { memoryStorage, browserStorage, type BenchStorage } from './storage'
import { exclusiveFor, tabChannel } from './tabs'

export interface Notice {
  text: string
  tone: 'plain' | 'bad'
  /** offers to take the write back */
  undo: boolean
}

/** The open bench: its records, reactive by table, and the one way to write to it. */
export const useBench = defineStore('bench', () => {
  const id = ref<string | null>(null)
  const versions = shallowReactive(Object.fromEntries(tableNames.map((name) => [name, 0])) as Record<TableName, number>)
  const save = ref<SaveState>({ stored: 0, waiting: 0, failure: null })
  const undoable = shallowRef<Entry | null>(null)
  const redoable = shallowRef<Entry | null>(null)
  const notice = shallowRef<Notice | null>(null)
  let ledger: Ledger | null = null
  let channel: { announce: () => void; close: () => void } | null = null

  function refresh(touched: ReadonlySet<TableName>) {
    touched.forEach((table) => versions[table]++)
    save.value = { ...ledger!.save }
    undoable.value = ledger!.canUndo
    redoable.value = ledger!.canRedo
    if (ledger!.needsFolding) foldWhenIdle()
  }

  let folding = false
  function foldWhenIdle() {
    if (folding) return
    folding = true
    const idle = window.requestIdleCallback ?? ((run: () => void) => setTimeout(run, 200))
    idle(async () => {
      await ledger?.fold().catch((error: unknown) => (save.value = { ...save.value, failure: String(error) }))
      folding = false
    })
  }

  /** Opens a bench; where the browser keeps nothing, an empty one in memory, and says so. */
  async function open(benchId: string): Promise<void> {
    channel?.close()
    const tools = { now, newId, exclusive: exclusiveFor(benchId), announce: () => channel?.announce() }
    const start = async (storage: BenchStorage) => {
      ledger = new Ledger(storage, tools, refresh)
      await ledger.open()
    }
    channel = tabChannel(benchId, () => void ledger?.catchUp())
    await start(browserStorage(benchId))
    id.value = benchId
  }

  /** For a browser that keeps nothing: all works, nothing lasts, and the screen says so from the first moment. */
  async function openInMemory(reason: string): Promise<void> {
    const storage = memoryStorage()
    const blocked: BenchStorage = { ...storage, writeEntry: () => Promise.reject(new Error(reason)) }
    ledger = new Ledger(blocked, { now, newId, exclusive: (work) => work(), announce: () => {} }, refresh)
    await new Ledger(storage, { now, newId, exclusive: (work) => work(), announce: () => {} }).start({
      ...noTables(),
      bench: [emptyBench('memory', 'My bench', now())],
    })
    await ledger.open()
    ledger.save.failure = reason
    id.value = 'memory'
    refresh(new Set(tableNames))
  }

  const track = (table: TableName) => void versions[table]
  function get<T extends TableName>(table: T, recordId: string | null): RecordOf<T> | null {
    track(table)
    return recordId === null ? null : (ledger?.records.get(table, recordId) ?? null)
  }
  function all<T extends TableName>(table: T): RecordOf<T>[] {
    track(table)
    return ledger?.records.all(table) ?? []
  }
  function of<T extends TableName>(table: T, owner: string): RecordOf<T>[] {
    track(table)
    return ledger?.records.of(table, owner) ?? []
  }

  function tell(text: string, tone: Notice['tone'] = 'plain', undo = false) {
    notice.value = { text, tone, undo }
  }

  /**
   * One write, with its label in words. Refusals are told to the maker and nothing is lost on screen.
   * @param loud says on screen that it was saved, with undo at hand
   * @returns whether it was written (or, with a failed storage, is kept in memory)
   */
  async function write(label: string, changes: Change[], loud = false): Promise<boolean> {
    try {
      await ledger!.commit(label, changes)
      if (loud) tell(label, 'plain', true)
      return true
    } catch (error) {
      tell(sayError(error), 'bad')
      return false
    }
  }

  async function undo(): Promise<void> {
    await step(() => ledger!.undo(), 'Taken back', 'Nothing to take back')
  }
  async function redo(): Promise<void> {
    await step(() => ledger!.redo(), 'Done again', 'Nothing to do again')
  }
  async function step(move: () => Promise<Entry | null>, done: string, nothing: string) {
    try {
      const entry = await move()
      tell(entry ? `${done}: ${entry.label}` : nothing)
    } catch (error) {
      tell(sayError(error), 'bad')
    }
  }

  const bench = computed<Bench | null>(() => all('bench')[0] ?? null)
  const fileText = () => writeBenchFile(ledger!.records.tables(), now())
  const history = () => (tableNames.forEach(track), ledger?.history() ?? [])

  return {
    id, bench, save, undoable, redoable, notice, open, openInMemory, get, all, of, write, undo, redo, tell, fileText, history,
    retry: () => ledger!.retry(),
  } // prettier-ignore
})
