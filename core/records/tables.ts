import type * as z from 'zod/mini'
import { benchSchema, buildSchema } from './bench'
import { jointSchema } from './joint'
import { readingSchema } from './reading'
import { couponSchema, cureCheckSchema, decisionSchema, procedureSchema, roundSchema } from './round'
import { adhesiveSchema, houseRuleSchema, materialSchema, offcutSchema, stockSchema } from './shelf'

/** What a bench holds: flat tables of plain records with ids. */
export const schemas = {
  bench: benchSchema,
  build: buildSchema,
  joint: jointSchema,
  material: materialSchema,
  adhesive: adhesiveSchema,
  stock: stockSchema,
  procedure: procedureSchema,
  round: roundSchema,
  coupon: couponSchema,
  cureCheck: cureCheckSchema,
  reading: readingSchema,
  decision: decisionSchema,
  houseRule: houseRuleSchema,
  offcut: offcutSchema,
} as const

export type TableName = keyof typeof schemas
export type RecordOf<T extends TableName> = z.infer<(typeof schemas)[T]>
export type AnyRecord = { [T in TableName]: RecordOf<T> }[TableName]
export const tableNames = Object.keys(schemas) as TableName[]

export type Tables = { [T in TableName]: RecordOf<T>[] }
export const noTables = (): Tables => Object.fromEntries(tableNames.map((name) => [name, []])) as unknown as Tables

/** Fields by which records of a table are looked up: to whom they belong. */
export const owners: Partial<Record<TableName, string>> = {
  joint: 'build', offcut: 'material', stock: 'adhesive', procedure: 'joint', round: 'joint', coupon: 'round', cureCheck: 'coupon', reading: 'coupon', decision: 'joint',
} // prettier-ignore

export interface DanglingReference {
  table: TableName
  id: string
  field: string
  to: string
}

const references: [TableName, string, TableName][] = [
  ['joint', 'build', 'build'], ['stock', 'adhesive', 'adhesive'], ['procedure', 'joint', 'joint'], ['procedure', 'adhesive', 'adhesive'],
  ['round', 'joint', 'joint'], ['coupon', 'round', 'round'], ['coupon', 'procedure', 'procedure'], ['cureCheck', 'coupon', 'coupon'],
  ['reading', 'coupon', 'coupon'], ['decision', 'joint', 'joint'], ['decision', 'procedure', 'procedure'], ['decision', 'round', 'round'],
] // prettier-ignore

/** The first record that points to one that is not there, or null. */
export function danglingReference(tables: Tables): DanglingReference | null {
  const ids = Object.fromEntries(tableNames.map((name) => [name, new Set(tables[name].map((record) => record.id))]))
  for (const [table, field, target] of references)
    for (const record of tables[table] as unknown as Record<string, string | null>[]) {
      const to = record[field]
      if (to !== null && to !== undefined && !ids[target]!.has(to)) return { table, id: record['id']!, field, to }
    }
  return null
}
