import { describe, expect, it } from 'vitest'
import { buildDemoBench } from '../bench'
import { CodedError } from '../../core/errors'
import { seededRandom } from '../../core/planning/random'
import { checkReadings } from '../../core/readings/checkReadings'
import { checkEntry } from '../../core/records/check'
import type { Change } from '../../core/records/entry'
import type { RecordReader } from '../../core/records/integrity'
import { schemas } from '../../core/records/schemas'
import { owners, tableNames, type AnyRecord, type TableName, type Tables } from '../../core/records/tables'
import { mergeChanges, type Side } from '../../core/records/together/merge'
import { stableText } from '../../core/records/together/stableText'
import { salvage } from '../../core/formats/salvage'

const MERGES = Number(process.env['MERGES'] ?? 150)
type Rows = Record<TableName, AnyRecord[]>
type Loose = Record<string, unknown>

const reader = (tables: Tables): RecordReader => ({
  get: (table, id) => tables[table].find((one) => one.id === id) ?? null,
  all: (table) => tables[table],
  of: (table, owner) =>
    (tables[table] as never as Loose[]).filter((one) => one[owners[table] ?? ''] === owner) as never,
})
function applied(tables: Tables, changes: readonly Change[]): Tables {
  const next = structuredClone(tables) as unknown as Rows
  for (const { table, id, after } of changes) {
    const at = next[table].findIndex((one) => one.id === id)
    if (at < 0) next[table].push(after!)
    else next[table][at] = after!
  }
  return next as unknown as Tables
}
const unread = (tables: Tables) => salvage(structuredClone(tables) as never).aside

/** Places of all values in a record. */
const leaves = (value: unknown, path: string[] = []): string[][] =>
  typeof value === 'object' && value !== null
    ? Object.entries(value).flatMap(([key, one]) => leaves(one, [...path, key]))
    : [path]
const at = (value: unknown, path: readonly string[]): unknown =>
  path.reduce<unknown>((now, key) => (now as Loose | null | undefined)?.[key], value)
function put(record: AnyRecord, path: readonly string[], value: unknown): AnyRecord {
  const next = structuredClone(record)
  const parent = at(next, path.slice(0, -1)) as Loose | undefined
  if (parent && typeof parent === 'object') parent[path.at(-1)!] = structuredClone(value)
  return next
}

/** A copy of which a share of all fields say something else that fits; ids stay, since they are what is shared. */
function changed(tables: Tables, random: () => number): Tables {
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!
  const next = structuredClone(tables) as unknown as Rows
  for (const table of tableNames) {
    if (table === 'bench') continue
    next[table] = next[table].map((record) => {
      let now = record
      for (let tries = random() < 0.3 ? 6 : 0; tries > 0; tries--) {
        const path = pick(leaves(now).filter(([key]) => key !== 'id'))
        const was = at(now, path)
        // A whole part of another record of its kind, or another value of its own kind.
        const depth = 1 + Math.floor(random() * path.length)
        const borrowed = at(pick(next[table]), path.slice(0, depth))
        const tweaked = typeof was === 'number' ? was + pick([1, -1, 0.5]) : typeof was === 'boolean' ? !was : null
        const other = random() < 0.6 ? put(now, path.slice(0, depth), borrowed) : put(now, path, tweaked)
        if (other.id === record.id && schemas[table].safeParse(other).success) now = other
      }
      return now
    })
  }
  return next as unknown as Tables
}

describe(`${MERGES} random merges with clashes in every field, decided in every way`, () => {
  const base = buildDemoBench(Date.parse('2026-11-24T18:00:00'))
  base.bench[0]!.maker = 'm'

  it('make no record that the file reader would set aside, and no reading that nobody took', () => {
    let [refused, kept, clashes] = [0, 0, 0]
    const fields = new Set<string>()
    for (let seed = 1; seed <= MERGES; seed++) {
      const random = seededRandom(seed)
      // What the reader itself would not take is in neither.
      const [a, b] = [changed(base, random), changed(base, random)].map(
        (tables) => salvage(structuredClone(tables) as never).tables,
      ) as [Tables, Tables]
      const other = { tables: b, savedAt: 1 }
      const decide = (): Side => (random() < 0.5 ? 'here' : 'there')
      const { changes } = mergeChanges(a, other, 'mine', (clash) => {
        clashes++
        fields.add(`${clash.table} ${clash.path[0] ?? ''}`)
        return decide()
      })
      for (const { table, after } of changes)
        expect(schemas[table].safeParse(after).error?.issues, `seed ${seed} ${table}`).toBeUndefined()
      const together = applied(a, changes)
      const pulls = (reading: Tables['reading'][number]) =>
        stableText([reading.raw, reading.outcome, reading.size, reading.early, reading.direction, reading.coupon])
      const taken = new Set([...a.reading, ...b.reading].map(pulls))
      for (const one of together.reading) expect(taken.has(pulls(one)), `seed ${seed} ${one.id}`).toBe(true)
      // Nothing that was measured is gone: it stands, is noted with what stands, or lies beside it.
      const everything = stableText(together.reading)
      for (const one of [...a.reading, ...b.reading]) {
        const text = stableText(one.raw)
        expect(everything.includes(text) || everything.includes(JSON.stringify(text).slice(1, -1)), one.id).toBe(true)
      }
      const again = mergeChanges(together, other, 'mine', decide)
      expect(again.changes, `seed ${seed}`).toEqual([])
      try {
        checkEntry({ id: 'e', at: 1, label: '', kind: 'edit', of: null, changes }, reader(a))
        checkReadings(changes, reader(a))
        expect(unread(together), `seed ${seed}`).toEqual([])
        kept++
      } catch (error) {
        // Refused at the write, with the record named: nothing is written, and the maker decides otherwise.
        if (!(error instanceof CodedError)) throw error
        expect(error.path, `seed ${seed}`).toMatch(/^\w+ \S+/)
        refused++
      }
    }
    expect(clashes).toBeGreaterThan(MERGES * 10)
    expect(fields.size).toBeGreaterThan(30)
    expect(kept).toBeGreaterThan(MERGES / 10)
    expect(refused + kept).toBe(MERGES)
  })
})
