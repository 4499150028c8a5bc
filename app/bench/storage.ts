import localforage from 'localforage'
import type { Entry } from '../../core/records/entry'
import type { AnyRecord, TableName } from '../../core/records/tables'

/** What of the entries is folded into the stored tables, and under which generation each table stands. */
export interface Head {
  through: number
  generations: Partial<Record<TableName, number>>
}

/** Where one bench is kept. One database a bench, one key a write, so that every entry is whole or absent. */
export interface BenchStorage {
  readHead(): Promise<Head | null>
  writeHead(head: Head): Promise<void>
  readTable(table: TableName, generation: number): Promise<AnyRecord[] | null>
  writeTable(table: TableName, generation: number, rows: AnyRecord[]): Promise<void>
  dropTable(table: TableName, generation: number): Promise<void>
  readEntry(seq: number): Promise<Entry | null>
  writeEntry(seq: number, entry: Entry): Promise<void>
}

const entryKey = (seq: number) => `entry:${String(seq).padStart(9, '0')}`
const tableKey = (table: TableName, generation: number) => `table:${table}:${generation}`
const databaseName = (benchId: string) => `paste-bench-${benchId}`

/** The bench's database in the browser. Rejects (quota, private mode, blocked storage) at the write that fails. */
export function browserStorage(benchId: string): BenchStorage {
  const store = localforage.createInstance({
    name: databaseName(benchId),
    storeName: 'ledger',
    driver: localforage.INDEXEDDB,
  })
  return {
    readHead: () => store.getItem<Head>('head'),
    writeHead: async (head) => void (await store.setItem('head', head)),
    readTable: (table, generation) => store.getItem<AnyRecord[]>(tableKey(table, generation)),
    writeTable: async (table, generation, rows) => void (await store.setItem(tableKey(table, generation), rows)),
    dropTable: (table, generation) => store.removeItem(tableKey(table, generation)),
    readEntry: (seq) => store.getItem<Entry>(entryKey(seq)),
    writeEntry: async (seq, entry) => void (await store.setItem(entryKey(seq), entry)),
  }
}

export const dropBrowserStorage = (benchId: string): Promise<void> =>
  localforage.dropInstance({ name: databaseName(benchId) })

/** In memory: for tests, and when the browser keeps nothing. */
export function memoryStorage(cells = new Map<string, unknown>()): BenchStorage {
  const get = async <T>(key: string) => (cells.has(key) ? (structuredClone(cells.get(key)) as T) : null)
  const set = async (key: string, value: unknown) => void cells.set(key, structuredClone(value))
  return {
    readHead: () => get<Head>('head'),
    writeHead: (head) => set('head', head),
    readTable: (table, generation) => get<AnyRecord[]>(tableKey(table, generation)),
    writeTable: (table, generation, rows) => set(tableKey(table, generation), rows),
    dropTable: async (table, generation) => void cells.delete(tableKey(table, generation)),
    readEntry: (seq) => get<Entry>(entryKey(seq)),
    writeEntry: (seq, entry) => set(entryKey(seq), entry),
  }
}
