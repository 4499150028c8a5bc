import type { Bench } from '../bench'
import { insert, sameRecord, update, type Change } from '../entry'
import { schemas } from '../schemas'
import { noTables, tableNames, type AnyRecord, type RecordOf, type TableName, type Tables } from '../tables'
import { joined, lastMoment, putAt, type FieldClash } from './join'
import { joinedRecord, PULL, putPull, withLost } from './pull'
import { makerOf, seenFrom, type Whose } from './owners'
import { settleTwice, type Settled } from './settle'
import { markOf, stableText } from './stableText'

/** A field of one record on which this bench and the other do not agree. */
export interface BenchClash extends FieldClash {
  table: TableName
  id: string
  /** the copy of the record that names the later moment; null where none does */
  later: Side | null
}
export type Side = 'here' | 'there'
/** Which side stands, clash by clash. */
export type Decide = (clash: BenchClash) => Side

/** What would come of putting another bench to this one, before anything is written. */
export interface MergePreview {
  whose: Whose
  /** what only the other bench has */
  fresh: { table: TableName; record: AnyRecord }[]
  /** what both have, differently, and is put together without a question */
  joined: { table: TableName; id: string }[]
  /** one by one, to be decided */
  clashes: BenchClash[]
  /** records that are the same on both */
  same: number
  /** what both called alike; the later one gets another name */
  settled: Settled[]
}

export interface OtherBench {
  tables: Tables
  /** when its file was saved, ms */
  savedAt: number
}

type Rows = Record<TableName, AnyRecord[]>

const keyOf = (table: TableName, id: string, path: readonly string[], value: unknown) =>
  `${table} ${id} ${path.join('.')} ${markOf(stableText(value))}`
export const clashKey = ({ table, id, path }: BenchClash): string => `${table} ${id} ${path.join('.')}`

/** Where nobody says otherwise: the copy that names the later moment; of two of one moment always the same value. */
export const laterStands: Decide = ({ later, here, there }) =>
  later ?? (stableText(here) >= stableText(there) ? 'here' : 'there')

/** Two benches as one, with what had to be asked on the way. */
interface Together extends Omit<MergePreview, 'whose'> {
  tables: Rows
  /** what lost at each clash, so that it is not asked again */
  answered: string[]
  /** readings that lost and are too long for a note in the one that stands: kept beside it, set aside */
  beside: RecordOf<'reading'>[]
}

function together(here: Tables, other: OtherBench, whose: Whose, decide: Decide): Together {
  const bench = here.bench[0]!
  const their = other.tables.bench[0]!
  // Who is told to be somebody else, under one's own mark, is known by that bench.
  const theirMaker = makerOf(their) === makerOf(bench) ? their.id : makerOf(their)
  const there = seenFrom(bench, other.tables, whose, theirMaker) as unknown as Rows
  there.maker = makersOf(bench, other, whose, theirMaker)
  const known = new Set(bench.answered)
  const out: Together = {
    tables: noTables() as Rows,
    fresh: [],
    joined: [],
    clashes: [],
    same: 0,
    settled: [],
    answered: [],
    beside: [],
  }
  for (const table of tableNames) {
    if (table === 'bench') continue
    const mine = here[table] as AnyRecord[]
    const theirs = new Map(there[table].map((record) => [record.id, record]))
    out.tables[table] = mine.map((record) => {
      const twin = theirs.get(record.id)
      return twin ? oneOf(table, record, twin, known, decide, out) : record
    })
    const ids = new Set(mine.map(({ id }) => id))
    const fresh = there[table].filter(({ id }) => !ids.has(id))
    out.fresh.push(...fresh.map((record) => ({ table, record })))
    out.tables[table].push(...fresh)
    if (table === 'reading') {
      const there = new Set(out.tables.reading.map(({ id }) => id))
      out.tables.reading.push(...out.beside.filter(({ id }) => !there.has(id)))
    }
  }
  out.settled = settleTwice(out.tables as unknown as Tables)
  out.answered.push(...out.settled.map(({ table, id, field, was }) => keyOf(table, id, [field], was)))
  out.tables.bench = [benchRow(bench, whose === 'mine' ? their : null, out.answered)]
  return out
}

/** A record that stands on both benches stays whose it is here: both may have begun with one file. */
function ownedAs(here: AnyRecord, there: AnyRecord): AnyRecord {
  const copy: AnyRecord & { owner?: string } = { ...there }
  const { owner } = here as { owner?: string }
  if (owner === undefined) delete copy.owner
  else copy.owner = owner
  return copy
}

/** Both copies of a record as one; what is asked, and what it came to, is noted in `out`. */
function oneOf(
  table: TableName,
  here: AnyRecord,
  twin: AnyRecord,
  known: ReadonlySet<string>,
  decide: Decide,
  out: Together,
): AnyRecord {
  const there = ownedAs(here, twin)
  if (sameRecord(here, there)) {
    out.same += 1
    return here
  }
  if (table === 'maker') return lastMoment(there) > lastMoment(here) ? there : here
  const [mine, theirs] = [lastMoment(here), lastMoment(there)]
  const later = mine === theirs ? null : mine > theirs ? 'here' : 'there'
  const { record: base, clashes } = decidable(table, here, there)
  let record = base
  const open = clashes.filter((clash) => !known.has(keyOf(table, here.id, clash.path, clash.there)))
  const lost: FieldClash[] = []
  for (const one of open) {
    const clash: BenchClash = { table, id: here.id, later, ...one }
    const side = decide(clash)
    const loser = side === 'here' ? one.there : one.here
    if (side === 'there') record = put(record, one)
    out.clashes.push(clash)
    out.answered.push(keyOf(table, here.id, one.path, loser))
    lost.push(side === 'here' ? one : { ...one, there: one.here })
  }
  if (table === 'reading') {
    const kept = withLost(record as RecordOf<'reading'>, lost, Math.max(mine, theirs))
    record = kept.reading
    out.beside.push(...kept.beside)
  }
  if (!open.length) {
    if (sameRecord(record, here)) out.same += 1
    else out.joined.push({ table, id: here.id })
  }
  return record
}

const put = (record: AnyRecord, { path, there }: FieldClash): AnyRecord =>
  path[0] === PULL ? putPull(record as RecordOf<'reading'>, there) : putAt(record, path, there)

/** With more clashes than this, not every way to decide them is tried: each alone, each pair, and all at once. */
const TRIED_ALL = 8

/**
 * Both copies of a record as one with its clashes, so that it fits its schema whatever is decided: clashes of which
 * some decisions together would not are one clash, of the whole record.
 */
function decidable(table: TableName, here: AnyRecord, there: AnyRecord): { record: AnyRecord; clashes: FieldClash[] } {
  const fits = (record: AnyRecord) => schemas[table].safeParse(record).success
  const { record, clashes } = joinedRecord(table, here, there)
  const whole = { record: here, clashes: [{ path: [], here, there }] }
  if (!fits(record)) return whole
  const some = (places: readonly number[]) => places.reduce((now, at) => put(now, clashes[at]!), record)
  const places = clashes.map((_, at) => at)
  if (waysToDecide(places).every((way) => fits(some(way)))) return { record, clashes }
  const all = some(places)
  return fits(all) ? { record, clashes: [{ path: [], here: record, there: all }] } : whole
}

function waysToDecide(places: readonly number[]): number[][] {
  if (places.length <= TRIED_ALL)
    return Array.from({ length: 2 ** places.length }, (_, way) => places.filter((at) => way & (1 << at)))
  const pairs = places.flatMap((one) => places.filter((other) => other > one).map((other) => [one, other]))
  return [...places.map((at) => [at]), ...pairs, [...places]]
}

/** Whose readings come along: the other bench's maker, and those that it had taken in itself. */
function makersOf(bench: Bench, { tables, savedAt }: OtherBench, whose: Whose, theirMaker: string): AnyRecord[] {
  const their = tables.bench[0]!
  const { name, limitN, resolutionN } = their.gauge
  const itself = { id: theirMaker, name: their.name, gauge: { name, limitN, resolutionN }, at: savedAt }
  return [...(whose === 'another' ? [itself] : []), ...tables.maker].filter(({ id }) => id !== makerOf(bench))
}

/** The bench's own row stays as it is here; of another copy of it come its gauges with their checks. */
function benchRow(bench: Bench, copy: Bench | null, answered: readonly string[]): Bench {
  const known = new Set([...(bench.answered ?? []), ...answered])
  const instruments = copy?.instruments
    ? joined(bench.instruments ?? [], copy.instruments).record
    : (bench.instruments ?? null)
  return {
    ...bench,
    ...(known.size && { answered: [...known].slice(-20_000) }),
    ...(instruments && { instruments }),
  }
}

/**
 * What would come of putting another bench to this one.
 * @param whose whether the other is a copy of one's own, or another maker's: theirs keep their owner
 * @throws CodedError none-left where no free name is left for what both called alike
 */
export function previewMerge(here: Tables, other: OtherBench, whose: Whose): MergePreview {
  const { fresh, joined, clashes, same, settled } = together(here, other, whose, laterStands)
  return { whose, fresh, joined, clashes, same, settled }
}

/**
 * The changes, of one entry, that put another bench to this one; none where there is nothing new. Nothing is taken
 * away: what one copy has and the other has not stays, and comes back where it was removed.
 */
export function mergeChanges(
  here: Tables,
  other: OtherBench,
  whose: Whose,
  decide: Decide = laterStands,
): { changes: Change[]; settled: Settled[] } {
  const { tables, settled } = together(here, other, whose, decide)
  const changes = tableNames.flatMap((table) => {
    const before = new Map((here[table] as AnyRecord[]).map((record) => [record.id, record]))
    return tables[table].flatMap((record): Change[] => {
      const was = before.get(record.id)
      if (!was) return [insert(table, record as never)]
      return sameRecord(was, record) ? [] : [update(table, was as never, record as never)]
    })
  })
  return { changes, settled }
}

/** Whose the other bench is, as far as the two can tell. */
export const whoseBench = (here: Tables, other: Tables): Whose =>
  makerOf(here.bench[0]!) === makerOf(other.bench[0]!) ? 'mine' : 'another'
