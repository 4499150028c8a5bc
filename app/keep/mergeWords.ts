import type { BenchClash } from '../../core/records/together/merge'
import type { Settled } from '../../core/records/together/settle'
import { SECOND_READING } from '../../core/records/together/settle'
import { tableWords, type AnyRecord, type TableName } from '../../core/records/tables'
import { fieldWords } from '../bench/fieldWords'
import { clashText } from '../bench/clashText'
import { capital, plural } from '../look/figures'

type Row = Record<string, unknown>
export type FindRecord = (table: TableName, id: string) => AnyRecord | null

/** What a record is called on the bench: “coupon H2-A1”, “joint H4 Eye to socket”. */
export function recordName(table: TableName, record: AnyRecord | null, find: FindRecord): string {
  const row = record as unknown as Row | null
  if (!row) return tableWords[table]
  if (table === 'reading' || table === 'cureCheck') {
    const coupon = find('coupon', String(row['coupon'])) as unknown as Row | null
    return `${tableWords[table]} of ${String(coupon?.['label'] ?? 'a coupon')}`
  }
  const name = row['code']
    ? `${String(row['code'])} ${String(row['name'])}`
    : (row['label'] ?? row['name'] ?? row['what'])
  if (typeof name === 'string') return `${tableWords[table]} ${name}`
  const joint = find('joint', String(row['joint'])) as unknown as Row | null
  const number = typeof row['number'] === 'number' ? ` ${row['number']}` : ''
  return `${tableWords[table]}${number}${joint ? ` of ${String(joint['code'])}` : ''}`
}

/** “3 readings, 1 joint”. */
export function countWords(tables: readonly TableName[]): string {
  const counts = new Map<TableName, number>()
  for (const table of tables) counts.set(table, (counts.get(table) ?? 0) + 1)
  const many = (table: TableName) =>
    ({ cureCheck: 'cure checks', scrap: 'drops on scrap', said: 'notes of what was said', bench: 'benches' })[
      table as string
    ] ?? `${tableWords[table]}s`
  return [...counts].map(([table, count]) => plural(count, tableWords[table], many(table))).join(', ')
}

export const clashName = (clash: BenchClash, find: FindRecord): string => {
  const of = clash.path.length ? fieldWords(clash.path) : 'the whole of it'
  return `${capital(recordName(clash.table, find(clash.table, clash.id), find))}: ${of || 'value'}`
}
export const sideText = (value: unknown, { path }: Pick<BenchClash, 'path'>): string => clashText(value, path)

export function settledWords({ table, field, was, is }: Settled): string {
  if (is === SECOND_READING) return 'A coupon has two readings: the later one is set aside, and stays to be seen.'
  const what = `${capital(tableWords[table])} ${fieldWords([field])} ${String(was)}`
  return `${what} is there twice: the later one becomes ${String(is)}.`
}
