import {
  owners,
  tableNames,
  type AnyRecord,
  type RecordOf,
  type TableName,
  type Tables,
} from '../../core/records/tables'
import type { Change } from '../../core/records/entry'
import type { RecordReader } from '../../core/records/integrity'
import type { Reading } from '../../core/records/reading'
import type { Coupon } from '../../core/records/coupon'

/** A round's pieces and what was pulled of them: the same object until one of them changes. */
export interface Pulled {
  readonly coupons: readonly Coupon[]
  readonly readings: readonly Reading[]
  /** readings of each coupon that has any */
  readonly ofCoupon: ReadonlyMap<string, readonly Reading[]>
}

/**
 * The records of the open bench, by id and by owner (a round's coupons, a coupon's readings). Applying a change costs
 * the same at 10 records and at 10,000.
 */
export class BenchRecords implements RecordReader {
  private readonly byId = new Map<TableName, Map<string, AnyRecord>>(tableNames.map((name) => [name, new Map()]))
  private readonly byOwner = new Map<TableName, Map<string, Set<string>>>(tableNames.map((name) => [name, new Map()]))

  private readonly pulledOf = new Map<string, Pulled>()

  load(tables: Tables): void {
    this.pulledOf.clear()
    for (const name of tableNames) {
      this.byId.get(name)!.clear()
      this.byOwner.get(name)!.clear()
      for (const record of tables[name]) this.put(name, record)
    }
  }

  get<T extends TableName>(table: T, id: string): RecordOf<T> | null {
    return (this.byId.get(table)!.get(id) as RecordOf<T> | undefined) ?? null
  }

  all<T extends TableName>(table: T): RecordOf<T>[] {
    return [...this.byId.get(table)!.values()] as RecordOf<T>[]
  }

  count(table: TableName): number {
    return this.byId.get(table)!.size
  }

  /** The records that belong to one owner, in the order in which they were made. */
  of<T extends TableName>(table: T, owner: string): RecordOf<T>[] {
    const ids = this.byOwner.get(table)!.get(owner)
    return ids ? [...ids].map((id) => this.byId.get(table)!.get(id) as RecordOf<T>) : []
  }

  /** What was pulled of a round, in the order in which it was made; gathered once until it changes. */
  pulled(round: string): Pulled {
    const known = this.pulledOf.get(round)
    if (known) return known
    const coupons = this.of('coupon', round)
    const ofCoupon = new Map<string, Reading[]>()
    for (const { id } of coupons)
      if (this.byOwner.get('reading')!.get(id)?.size) ofCoupon.set(id, this.of('reading', id))
    const made = { coupons, readings: [...ofCoupon.values()].flat(), ofCoupon }
    this.pulledOf.set(round, made)
    return made
  }

  apply(changes: readonly Change[]): void {
    for (const { table, id, after } of changes) {
      if (after) this.put(table, after)
      else this.drop(table, id)
    }
  }

  tables(): Tables {
    return Object.fromEntries(tableNames.map((name) => [name, this.all(name)])) as unknown as Tables
  }

  private ownerOf(table: TableName, record: AnyRecord | undefined): string | null {
    const field = owners[table]
    return field && record ? ((record as unknown as Record<string, string | null>)[field] ?? null) : null
  }

  /** What was gathered of its round holds no longer. */
  private forget(table: TableName, record: AnyRecord | undefined): void {
    if (!this.pulledOf.size || !record) return
    if (table === 'coupon') this.pulledOf.delete((record as Coupon).round)
    if (table === 'reading') this.pulledOf.delete(this.get('coupon', (record as Reading).coupon)?.round ?? '')
  }

  private put(table: TableName, record: AnyRecord): void {
    const rows = this.byId.get(table)!
    this.forget(table, rows.get(record.id))
    this.forget(table, record)
    const before = this.ownerOf(table, rows.get(record.id))
    const owner = this.ownerOf(table, record)
    if (before !== null && before !== owner) this.byOwner.get(table)!.get(before)?.delete(record.id)
    rows.set(record.id, record)
    if (owner === null) return
    const owned = this.byOwner.get(table)!
    const ids = owned.get(owner)
    if (ids) ids.add(record.id)
    else owned.set(owner, new Set([record.id]))
  }

  private drop(table: TableName, id: string): void {
    const rows = this.byId.get(table)!
    this.forget(table, rows.get(id))
    const owner = this.ownerOf(table, rows.get(id))
    if (owner !== null) this.byOwner.get(table)!.get(owner)?.delete(id)
    rows.delete(id)
  }
}
