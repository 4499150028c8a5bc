import { benchVersions, buildVersions } from './bench'
import { couponVersions, cureCheckVersions } from './coupon'
import { decisionVersions } from './decision'
import type { Entry } from './entry'
import { jointVersions } from './joint'
import { makerVersions, saidVersions } from './learned'
import { procedureVersions } from './procedure'
import { readingVersions } from './reading'
import { roundVersions } from './round'
import { scrapVersions } from './scrap'
import { adhesiveVersions, houseRuleVersions, materialVersions, offcutVersions, stockVersions } from './shelf'
import type { AnyRecord, TableName } from './tables'
import { BENCH_VERSION } from './version'
import type { Loose, Versions } from './versioned'

/** Tables of whatever version; one that came later is not there. */
export type LooseTables = Record<string, Loose[]>

export const versions: { [T in TableName]: Versions } = {
  bench: benchVersions,
  build: buildVersions,
  joint: jointVersions,
  material: materialVersions,
  adhesive: adhesiveVersions,
  stock: stockVersions,
  procedure: procedureVersions,
  round: roundVersions,
  coupon: couponVersions,
  cureCheck: cureCheckVersions,
  reading: readingVersions,
  decision: decisionVersions,
  houseRule: houseRuleVersions,
  offcut: offcutVersions,
  scrap: scrapVersions,
  maker: makerVersions,
  said: saidVersions,
}
const ofTable = (name: string): Versions | undefined => versions[name as TableName]

/**
 * What no record can do for itself, by the version that it leads to, before the records' own steps. Frozen.
 * 2: the dates of a pack moved from the product to a table of packs, since one product can stand there in two batches.
 */
const acrossTables: Readonly<Record<number, (tables: LooseTables) => LooseTables>> = {
  2: (tables) => ({
    ...tables,
    stock: (tables['adhesive'] ?? [])
      .filter((adhesive) => adhesive['openedOn'] != null || adhesive['expiresOn'] != null)
      .map((adhesive) => ({
        id: `${String(adhesive['id'])}-pack`,
        adhesive: adhesive['id'],
        batch: '',
        openedOn: adhesive['openedOn'] ?? null,
        expiresOn: adhesive['expiresOn'] ?? null,
        left: 1,
      })),
  }),
}

/**
 * Up to here the first builds of a version did not always have all of it: the step to a record's own version is taken
 * as well.
 */
const LOOSE_UNTIL = 6
const firstStep = (from: number) => (from <= LOOSE_UNTIL ? from : from + 1)

/** The record in its shape of today; the same object where nothing had to change. */
function migrateRecord(table: string, record: Loose, from: number): Loose {
  let now = record
  for (let version = firstStep(from); version <= BENCH_VERSION; version++)
    now = ofTable(table)?.to?.[version]?.(now) ?? now
  return now
}

/**
 * The tables of a bench of an older version in their shapes of today.
 * @param from the version that they have, 1…
 */
export function migrateTables(tables: LooseTables, from: number): LooseTables {
  let now = tables
  for (let version = firstStep(from); version <= BENCH_VERSION; version++) {
    if (version > from) now = acrossTables[version]?.(now) ?? now
    const came = Object.keys(versions).filter((name) => ofTable(name)!.since === version && !now[name])
    const steps = Object.entries(now).map(([name, rows]) => {
      const step = ofTable(name)?.to?.[version]
      return [name, step ? rows.map(step) : rows] as const
    })
    now = Object.fromEntries([...steps, ...came.map((name) => [name, []] as const)])
  }
  return now
}

/** An entry whose records have their shapes of today; the same object where nothing had to change. */
export function migrateEntry(entry: Entry, from: number): Entry {
  const record = (table: TableName, is: AnyRecord | null) =>
    is && (migrateRecord(table, is as unknown as Loose, from) as unknown as AnyRecord)
  let same = true
  const changes = entry.changes.map((change) => {
    const [before, after] = [record(change.table, change.before), record(change.table, change.after)]
    same &&= before === change.before && after === change.after
    return { ...change, before, after }
  })
  return same ? entry : { ...entry, changes }
}
