import type * as z from 'zod/mini'
import type { schemas } from './schemas'

export type TableName = keyof typeof schemas
export type RecordOf<T extends TableName> = z.infer<(typeof schemas)[T]>
export type AnyRecord = { [T in TableName]: RecordOf<T> }[TableName]
/** What a bench holds: flat tables of plain records with ids. */
export const tableNames = [
  'bench',
  'build',
  'joint',
  'material',
  'adhesive',
  'stock',
  'procedure',
  'round',
  'coupon',
  'cureCheck',
  'reading',
  'decision',
  'houseRule',
  'offcut',
  'scrap',
  'maker',
  'said',
] as const satisfies readonly TableName[]

export type Tables = { [T in TableName]: RecordOf<T>[] }
export const noTables = (): Tables => Object.fromEntries(tableNames.map((name) => [name, []])) as unknown as Tables

/** Fields by which records of a table are looked up: to whom they belong. */
export const owners: Partial<Record<TableName, string>> = {
  joint: 'build',
  offcut: 'material',
  stock: 'adhesive',
  procedure: 'joint',
  round: 'joint',
  coupon: 'round',
  cureCheck: 'coupon',
  reading: 'coupon',
  decision: 'joint',
  scrap: 'joint',
}

/** What a record of a table is called in a sentence. */
export const tableWords: Record<TableName, string> = {
  bench: 'bench',
  build: 'build',
  joint: 'joint',
  material: 'material',
  adhesive: 'glue',
  stock: 'pack',
  procedure: 'procedure',
  round: 'round',
  coupon: 'coupon',
  cureCheck: 'cure check',
  reading: 'reading',
  decision: 'decision',
  houseRule: 'house rule',
  offcut: 'offcut',
  scrap: 'drop on scrap',
  maker: 'other maker',
  said: 'note of what was said',
}

/** Fields that name a record of another table. */
export const references: readonly { table: TableName; field: string; to: TableName }[] = [
  { table: 'joint', field: 'build', to: 'build' },
  { table: 'stock', field: 'adhesive', to: 'adhesive' },
  { table: 'procedure', field: 'joint', to: 'joint' },
  { table: 'procedure', field: 'adhesive', to: 'adhesive' },
  { table: 'round', field: 'joint', to: 'joint' },
  { table: 'coupon', field: 'round', to: 'round' },
  { table: 'coupon', field: 'procedure', to: 'procedure' },
  { table: 'cureCheck', field: 'coupon', to: 'coupon' },
  { table: 'reading', field: 'coupon', to: 'coupon' },
  { table: 'decision', field: 'joint', to: 'joint' },
  { table: 'decision', field: 'procedure', to: 'procedure' },
  { table: 'decision', field: 'round', to: 'round' },
  { table: 'houseRule', field: 'adhesive', to: 'adhesive' },
  { table: 'scrap', field: 'joint', to: 'joint' },
  { table: 'scrap', field: 'adhesive', to: 'adhesive' },
  { table: 'said', field: 'adhesive', to: 'adhesive' },
]
