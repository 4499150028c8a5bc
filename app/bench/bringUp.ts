import { sameRecord, type Entry } from '../../core/records/entry'
import type { TableName } from '../../core/records/tables'
import { BENCH_VERSION } from '../../core/records/version'
import { migrateEntry, migrateTables, type LooseTables } from '../../core/records/versions'
import type { CellTurn } from '../storage/cells'
import { asRows, asText, damaged, entryKey, knownVersion, placed, tableKey, type Head } from './stored'

/** Builds that did not note their version stored benches from this one on. */
const OLDEST_STORED = 2
/** Before each key whose older value is kept until the newer one is proved. */
const EARLIER = 'earlier:'
const EARLIER_LAST = `${EARLIER}~`

type Run = <T>(mode: 'read' | 'write', work: (turn: CellTurn) => Promise<T>) => Promise<T>

/**
 * Brings a stored bench of an older version to the shapes of today: its tables and all its entries, in one
 * transaction. The older state stays beside it until the newer one was read back; an end in between leaves one of the
 * two whole.
 * @param token of the bench from then on: a tab of the older build does not write into it any more
 * @throws CodedError newer-bench, bench-damaged: it stands as it was
 */
export async function bringUp(run: Run, token: string): Promise<void> {
  await run('write', (turn) => rewrite(turn, token))
  const faithful = await run('write', prove)
  if (!faithful) throw damaged('it could not be brought to this version of the app, and stands as it was')
}

async function loaded(turn: CellTurn, { generations }: Head): Promise<LooseTables> {
  const tables: LooseTables = {}
  for (const [name, generation] of Object.entries(generations) as [TableName, number][])
    tables[name] = asRows(await turn.get(tableKey(name, generation)), name) as never
  return tables
}

async function rewrite(turn: CellTurn, token: string): Promise<void> {
  const head = (await turn.get('head')) as Head | null
  if (!head || head.unproved || knownVersion(head) === BENCH_VERSION) return
  const from = head.version ?? OLDEST_STORED
  const before = await loaded(turn, head)
  const after = migrateTables(before, from)
  const generations = { ...head.generations }
  let changed = false
  for (const [name, rows] of Object.entries(before) as [TableName, unknown[]][]) {
    if (rows.every((row, i) => row === after[name]![i])) continue
    changed = true
    generations[name]! += 1
    await turn.put(tableKey(name, generations[name]!), asText(after[name]!))
  }
  for (const { seq, entry } of await placed(turn, 1)) {
    const next = migrateEntry(entry, from)
    if (next === entry) continue
    changed = true
    await turn.put(EARLIER + entryKey(seq), entry)
    await turn.put(entryKey(seq), next)
  }
  if (!changed) return turn.put('head', { ...head, version: BENCH_VERSION } satisfies Head)
  await turn.put(`${EARLIER}head`, head)
  await turn.put('head', { ...head, generations, version: BENCH_VERSION, token, unproved: true } satisfies Head)
}

/** Reads back what was rewritten. @returns false where it is not what it should be: the older state stands again */
async function prove(turn: CellTurn): Promise<boolean> {
  const head = (await turn.get('head')) as Head | null
  if (!head?.unproved) return true
  const earlier = (await turn.get(`${EARLIER}head`)) as Head
  const kept = await turn.range(`${EARLIER}entry:`, `${EARLIER}entry:~`)
  const from = earlier.version ?? OLDEST_STORED
  const renewed = (Object.keys(head.generations) as TableName[]).filter(
    (name) => head.generations[name] !== earlier.generations[name],
  )
  const faithful = await isFaithful(turn, head, earlier, kept as [string, Entry][], from).catch(() => false)
  for (const name of renewed) await turn.remove(tableKey(name, (faithful ? earlier : head).generations[name]!))
  if (!faithful) for (const [key, entry] of kept) await turn.put(key.slice(EARLIER.length), entry)
  for (const [key] of await turn.range(EARLIER, EARLIER_LAST)) await turn.remove(key)
  const proved: Head = { ...head }
  delete proved.unproved
  await turn.put('head', faithful ? proved : earlier)
  return faithful
}

async function isFaithful(
  turn: CellTurn,
  head: Head,
  earlier: Head,
  kept: readonly [string, Entry][],
  from: number,
): Promise<boolean> {
  const [now, was] = [await loaded(turn, head), await loaded(turn, earlier)]
  const wanted = migrateTables(was, from)
  if (!Object.keys(was).every((name) => sameRecord(now[name], wanted[name]))) return false
  for (const [key, entry] of kept)
    if (!sameRecord(await turn.get(key.slice(EARLIER.length)), migrateEntry(entry, from))) return false
  return true
}
