import { describe, expect, it } from 'vitest'
import { seededRandom } from '../../planning/random'
import { emptyBench } from '../emptyBench'
import { checkEntry } from '../check'
import { reversed, type Change, type Entry } from '../entry'
import type { RecordReader } from '../integrity'
import { openBrief } from '../openBrief'
import { danglingRows } from '../integrity'
import { noTables, owners, tableNames, type AnyRecord, type TableName, type Tables } from '../tables'
import { schemas } from '../schemas'
import { laterStands, mergeChanges, previewMerge, whoseBench, type BenchClash, type OtherBench } from './merge'
import { isOthers, makerOf, type Whose } from './owners'
import { stableText } from './stableText'

/** A bench as plain tables, with what a ledger needs of it. */
const reader = (tables: Tables): RecordReader => ({
  get: (table, id) => tables[table].find((one) => one.id === id) ?? null,
  all: (table) => tables[table],
  of: (table, owner) =>
    tables[table].filter((one) => (one as unknown as Record<string, unknown>)[owners[table] ?? ''] === owner),
})
function applied(tables: Tables, changes: readonly Change[]): Tables {
  const next = structuredClone(tables) as unknown as Record<TableName, AnyRecord[]>
  for (const { table, id, after } of changes) {
    const at = next[table].findIndex((one) => one.id === id)
    if (!after) next[table].splice(at, 1)
    else if (at < 0) next[table].push(after)
    else next[table][at] = after
  }
  return next as unknown as Tables
}
const entryOf = (changes: Change[]): Entry => ({ id: 'e', at: 0, label: 'x', kind: 'edit', of: null, changes })
const other = (tables: Tables): OtherBench => ({ tables, savedAt: tables.bench[0]!.createdAt })

type Pick = <T>(list: readonly T[]) => T

/** A small bench with one round of four pieces. */
function start(id: string, maker: string, prefix: string): Tables {
  const tables = noTables()
  tables.bench = [{ ...emptyBench(id, `Bench ${id}`, id.length), maker }]
  tables.build = [{ id: `${prefix}bu`, name: 'Heron', inServiceBy: null, budget: null, what: '' }]
  tables.joint = [
    {
      id: `${prefix}j1`,
      build: `${prefix}bu`,
      code: 'H1',
      name: 'rib',
      createdAt: 1,
      brief: openBrief(),
      proposed: ['gapMm', 'sun'],
    },
  ]
  tables.adhesive = [glueOf(`${prefix}g1`, 'White glue')]
  tables.procedure = [procedureOf(`${prefix}p1`, `${prefix}j1`, 'A')]
  tables.round = [
    {
      id: `${prefix}r1`,
      joint: `${prefix}j1`,
      number: 1,
      arms: [
        {
          id: 'a1',
          test: 't-peel' as const,
          exposure: null,
          size: { widthMm: 25 },
          passLimit: 1,
          passSetAt: 1,
          lateChanges: [],
        },
      ],
      procedures: [`${prefix}p1`],
      blocks: 4,
      seed: 1,
      order: 'shuffled',
      control: null,
      hunch: null,
      weights: null,
      plannedAt: 2,
    },
  ]
  tables.coupon = [1, 2, 3, 4].map((n) => couponOf(`${prefix}c${n}`, `${prefix}r1`, `${prefix}p1`, `H1-A${n}`, n))
  return tables
}
const glueOf = (id: string, name: string) => ({
  id,
  name,
  family: 'pva-white',
  aliases: [],
  packSize: 100,
  packUnit: 'g' as const,
  packPrice: 3,
  label: {},
  note: '',
})
const procedureOf = (id: string, joint: string, letter: string) => ({
  id,
  joint,
  letter,
  name: `way ${letter}`,
  family: 'pva-white',
  adhesive: null,
  helpers: [],
  anyway: false,
  coats: 1,
  spreadGm2: null,
  dilution: null,
  blend: null,
  steps: [],
})
const couponOf = (id: string, round: string, procedure: string, label: string, n: number) => ({
  id,
  round,
  arm: 'a1',
  procedure,
  block: 1,
  label,
  glueAt: n,
  pullAt: n,
  size: {},
  stamps: [],
  deviations: [],
})
const readingOf = (id: string, coupon: string, at: number, value: number) => ({
  id,
  coupon,
  at,
  raw: { way: 'gauge' as const, value, unit: 'N', tareKg: 0 },
  outcome: { end: 'held' as const },
  size: {},
  early: null,
  note: '',
  setAside: null,
  corrected: [],
})

/** What a maker may do at one copy: one random edit, with a time of its own. */
function edit(tables: Tables, pick: Pick, chance: () => number, mark: string, at: number): void {
  const n = Math.floor(chance() * 1e6)
  const joint = pick(tables.joint)
  const glue = tables.adhesive.length ? pick(tables.adhesive) : null
  const coupon = pick(tables.coupon)
  const joints = tables.joint.map(({ code }) => Number(code.slice(1)))
  const letters = tables.procedure.filter((one) => one.joint === joint.id).length
  const edits: (() => void)[] = [
    () =>
      tables.joint.push({
        ...structuredClone(joint),
        id: `${mark}j${n}`,
        code: `H${Math.max(...joints) + 1}`,
        name: mark,
        createdAt: at,
      }),
    () => (joint.name = pick(['rib', 'wing', 'sole'])),
    () => (joint.brief.heatC = pick([20, 50, 60, null])),
    () => (joint.brief.loads = pick([['peel'], ['shear'], null])),
    () => (joint.proposed = (joint.proposed ?? []).filter(() => chance() < 0.5)),
    () => {
      const name = pick(['White glue', 'Hot melt', 'Contact'])
      if (!tables.adhesive.some((one) => one.name === name)) tables.adhesive.push(glueOf(`${mark}g${n}`, name))
    },
    () => glue && (glue.packPrice = pick([2, 3, 4, null])),
    () => glue && (glue.label = { ...glue.label, openS: pick([60, 90]) }),
    () => tables.procedure.push(procedureOf(`${mark}p${n}`, joint.id, 'ABCDEFGHIJ'[letters] ?? 'Z')),
    () => {
      if (tables.reading.some((one) => one.coupon === coupon.id && !one.setAside)) return
      tables.reading.push(readingOf(`${mark}x${n}`, coupon.id, at, Math.round(chance() * 90)))
    },
    () => {
      const reading = tables.reading.length ? pick(tables.reading) : null
      if (!reading || reading.raw.way !== 'gauge') return
      reading.corrected = [...reading.corrected, { at, was: `${reading.raw.value} N` }]
      reading.raw = { ...reading.raw, value: Math.round(chance() * 90) }
    },
    () => {
      const reading = tables.reading.length ? pick(tables.reading) : null
      if (reading) reading.setAside = 'slipped'
    },
    () => (coupon.stamps = [...coupon.stamps.filter(({ step }) => step !== 's1'), { step: 's1', at }]),
    () => (coupon.deviations = [...coupon.deviations, { at, text: pick(['late', 'dusty']) }]),
    () => {
      const round = pick(tables.round)
      const own = tables.procedure.filter((one) => one.joint === round.joint && !round.procedures.includes(one.id))
      if (own.length) round.procedures = [...round.procedures, own[0]!.id]
    },
    () => {
      const loose = tables.adhesive.findIndex(({ id }) => id.startsWith(mark))
      if (loose >= 0) tables.adhesive.splice(loose, 1)
    },
  ]
  pick(edits)()
}

/** Two copies of one bench that parted, or two benches of two makers that share what the one had from the other. */
function parted(seed: number): { a: Tables; b: Tables; whose: Whose } {
  const random = seededRandom(seed)
  const pick: Pick = (list) => list[Math.floor(random() * list.length)]!
  const whose: Whose = seed % 2 ? 'mine' : 'another'
  const base = start('one', 'm1', '')
  for (let i = 0; i < 6; i++) edit(base, pick, random, 'o', 10 + i)
  const a = structuredClone(base)
  const b = structuredClone(base)
  b.bench = [{ ...emptyBench('two', 'Bench two', 9), maker: whose === 'mine' ? 'm1' : 'm2' }]
  if (whose === 'another') {
    // Something of the other maker's own as well, called as here.
    const own = start('two', 'm2', 'q')
    for (const table of ['build', 'joint', 'procedure', 'round', 'coupon'] as const)
      (b[table] as AnyRecord[]).push(...(own[table] as AnyRecord[]))
    for (const table of ['build', 'adhesive', 'reading'] as const)
      b[table] = (b[table] as { id: string }[]).map((one) =>
        base[table].some(({ id }) => id === one.id) ? { ...one, owner: 'm1' } : one,
      ) as never
    b.adhesive.push(glueOf('qg1', 'White glue'))
    b.maker = [{ id: 'm1', name: 'Bench one', gauge: { name: 'luggage scale', limitN: 490, resolutionN: 0.5 }, at: 3 }]
  }
  // The other bench is written from its own side: what it does to shared things happens there.
  for (let i = 0; i < 8; i++) {
    edit(a, pick, random, 'a', 20 + Math.floor(random() * 12))
    edit(b, pick, random, 'b', 20 + Math.floor(random() * 12))
  }
  return { a, b, whose }
}

const merge = (a: Tables, b: Tables, whose: Whose, decide = laterStands) => {
  const { changes } = mergeChanges(a, other(b), whose, decide)
  return { changes, tables: applied(a, changes) }
}
/** A bench apart from whose copy it is: every record with its owner named, in the order of ids. */
function absolute(tables: Tables): string {
  const mine = makerOf(tables.bench[0]!)
  const owned = new Set<TableName>(['build', 'adhesive', 'material', 'houseRule', 'reading', 'said'])
  return stableText(
    tableNames
      .filter((table) => table !== 'bench' && table !== 'maker')
      .map((table) =>
        (tables[table] as AnyRecord[])
          .map((one) => (owned.has(table) ? { owner: mine, ...one } : one))
          .sort((x, y) => (x.id < y.id ? -1 : 1)),
      ),
  )
}
const PAIRS = Array.from({ length: 2000 }, (_, i) => {
  const pair = parted(i + 1)
  return { seed: i + 1, ...pair, put: merge(pair.a, pair.b, pair.whose) }
})

describe('two benches put together, 2,000 random pairs', () => {
  it('take no record and nothing that only one side says away, and fit the schemas and each other', () => {
    for (const { a, b, put } of PAIRS) {
      const { changes, tables } = put
      checkEntry(entryOf(changes), reader(a))
      expect(danglingRows(tables)).toEqual([])
      for (const table of tableNames) {
        const ids = new Set(tables[table].map(({ id }) => id))
        if (table === 'bench') continue
        for (const one of [...a[table], ...b[table]])
          expect(ids.has(one.id) || makerOf(a.bench[0]!) === one.id).toBe(true)
        for (const one of tables[table]) expect(schemas[table].safeParse(one).error?.issues).toBeUndefined()
      }
      for (const one of [...a.coupon, ...b.coupon]) {
        const kept = tables.coupon.find(({ id }) => id === one.id)!
        for (const note of one.deviations) expect(kept.deviations).toContainEqual(note)
        for (const stamp of one.stamps) expect(kept.stamps.map(({ step }) => step)).toContain(stamp.step)
      }
      // What was measured is there in the reading or beside it.
      for (const one of [...a.reading, ...b.reading]) {
        const kept = tables.reading.find(({ id }) => id === one.id)!
        for (const was of one.corrected) expect(kept.corrected).toContainEqual(was)
        expect(`${stableText(kept.raw)} ${kept.corrected.map(({ was }) => was).join(' ')}`).toContain(
          stableText(one.raw),
        )
      }
    }
  })

  it('change nothing when it is done twice, whatever was decided', () => {
    for (const { seed, a, b, whose } of PAIRS) {
      const random = seededRandom(seed)
      const { tables } = merge(a, b, whose, () => (random() < 0.5 ? 'here' : 'there'))
      expect(merge(tables, b, whose, () => 'there').changes).toEqual([])
      expect(previewMerge(tables, other(b), whose)).toMatchObject({ fresh: [], joined: [], clashes: [], settled: [] })
    }
  })

  it('come to the same whichever is put to the other', () => {
    for (const { a, b, whose, put } of PAIRS) expect(absolute(merge(b, a, whose).tables)).toBe(absolute(put.tables))
  })

  it('are as before, to the byte, when it is taken back', () => {
    for (const { a, put } of PAIRS)
      expect(JSON.stringify(applied(put.tables, reversed(put.changes)))).toBe(JSON.stringify(a))
  })
})

describe('putting a bench to this one', () => {
  const copies = () => {
    const a = start('one', 'm1', '')
    return { a, b: structuredClone(a) }
  }

  it('asks where both say something else, and names the copy with the later moment', () => {
    const { a, b } = copies()
    a.reading.push(readingOf('x1', 'c1', 50, 41))
    b.reading.push({ ...readingOf('x1', 'c1', 50, 14), corrected: [{ at: 60, was: '41 N' }] })
    a.joint[0]!.brief.heatC = 50
    b.joint[0]!.brief.heatC = 60
    a.joint[0]!.brief.coldC = -5
    const { clashes, joined } = previewMerge(a, other(b), 'mine')
    expect(clashes).toMatchObject([
      { table: 'joint', id: 'j1', path: ['brief', 'heatC'], here: 50, there: 60, later: null },
      { table: 'reading', id: 'x1', path: ['pull'], later: 'there' },
    ])
    expect(joined).toEqual([])
    const decide = ({ table }: BenchClash) => (table === 'joint' ? 'here' : 'there')
    const { tables } = merge(a, b, 'mine', decide)
    expect(tables.joint[0]!.brief).toMatchObject({ heatC: 50, coldC: -5 })
    expect(tables.reading[0]).toMatchObject({ raw: { value: 14 } })
    expect(tables.reading[0]!.corrected.map(({ was }) => was).join()).toContain('"value":41')
  })

  it('gives what was made later in a copy of one’s own the next free name, and sets a second reading aside', () => {
    const { a, b } = copies()
    a.joint.push({ ...a.joint[0]!, id: 'ja', code: 'H2', createdAt: 70 })
    b.joint.push({ ...b.joint[0]!, id: 'jb', code: 'H2', createdAt: 60 })
    a.reading.push(readingOf('xa', 'c1', 80, 10))
    b.reading.push(readingOf('xb', 'c1', 90, 12))
    const { tables } = merge(a, b, 'mine')
    expect(Object.fromEntries(tables.joint.map(({ id, code }) => [id, code]))).toEqual({ j1: 'H1', jb: 'H2', ja: 'H3' })
    expect(tables.reading.find(({ id }) => id === 'xa')!.setAside).toBeNull()
    expect(tables.reading.find(({ id }) => id === 'xb')!.setAside).toMatch(/another copy/)
  })

  it('keeps another maker’s things under their own names and owner, with their gauge', () => {
    const a = start('one', 'm1', '')
    const b = start('two', 'm2', 'q')
    b.bench[0]!.gauge = { name: 'spring balance', limitN: 200, resolutionN: 2 }
    b.reading.push(readingOf('qx', 'qc1', 5, 30))
    expect(whoseBench(a, b)).toBe('another')
    const { tables } = merge(a, b, 'another')
    expect(tables.joint.map(({ code }) => code)).toEqual(['H1', 'H1'])
    expect(tables.adhesive.map(({ name, owner }) => [name, owner])).toEqual([
      ['White glue', undefined],
      ['White glue', 'm2'],
    ])
    expect(tables.reading[0]).toMatchObject({ id: 'qx', owner: 'm2' })
    expect(tables.maker).toEqual([
      { id: 'm2', name: 'Bench two', gauge: { name: 'spring balance', limitN: 200, resolutionN: 2 }, at: 3 },
    ])
    // Back at theirs, what was theirs is their own again, and mine bears my name.
    const back = merge(b, tables, 'another').tables
    expect(back.reading).toEqual(b.reading)
    expect(back.build.map(({ owner }) => owner)).toEqual([undefined, 'm1'])
  })

  it('leaves mine what is mine where both makers began with one file', () => {
    const { a, b } = copies()
    b.bench[0] = { ...b.bench[0]!, id: 'theirs', maker: 'm2', name: 'Bench two' }
    b.reading.push(readingOf('only-theirs', b.coupon[0]!.id, 5, 30))
    const { tables } = merge(a, b, 'another')
    const others = tableNames.flatMap((table) =>
      (tables[table] as AnyRecord[])
        .filter((row) => isOthers(table, row, (name, id) => reader(tables).get(name, id)))
        .map(({ id }) => id),
    )
    expect(others).toEqual(['only-theirs'])
  })

  it('brings the gauge checks of another copy along, and leaves the room as it is here', () => {
    const { a, b } = copies()
    const checked = (at: number) => ({ at, trueN: 10, readN: 10.2, how: 'a bottle' })
    const gauge = { id: 'i1', name: 'scale', connection: 'typed' as const, limitN: 100, resolutionN: 1, lines: null }
    a.bench[0]!.instruments = [{ ...gauge, checks: [checked(1)] }]
    b.bench[0]!.instruments = [{ ...gauge, checks: [checked(2)] }]
    b.bench[0]!.room = { tempC: 5, rh: 90, at: 1 }
    const { tables } = merge(a, b, 'mine')
    expect(tables.bench[0]!.instruments![0]!.checks.map(({ at }) => at)).toEqual([1, 2])
    expect(tables.bench[0]!.room).toBeNull()
  })
})
