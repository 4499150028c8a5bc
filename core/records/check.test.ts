import { describe, expect, it } from 'vitest'
import { CodedError } from '../errors'
import { emptyBench } from './emptyBench'
import { checkEntry } from './check'
import { insert, remove, update, type Change } from './entry'
import { checkIntegrity, danglingRows, type RecordReader } from './integrity'
import type { HouseRule } from './shelf'
import { noTables, owners, references, tableNames, tableWords, type TableName, type Tables } from './tables'

const build = { id: 'b1', name: 'Heron', inServiceBy: null, budget: null, what: '' }
const glue = (id: string, name: string) => ({ id, name }) as Tables['adhesive'][number]
const joint = (id: string, code: string, to = 'b1') => ({ id, code, build: to }) as Tables['joint'][number]
const procedure = (id: string, letter: string, of = 'j1', adhesive: string | null = null) =>
  ({ id, letter, joint: of, adhesive, steps: [] as unknown }) as Tables['procedure'][number]
const round = (id: string, number: number, of = 'j1') =>
  ({
    id,
    number,
    joint: of,
    procedures: ['p1'].slice(of === 'j1' ? 0 : 1),
    arms: [{ id: 'arm' }],
    control: null,
  }) as unknown as Tables['round'][number]
const coupon = (id: string, label: string, of = 'r1') =>
  ({ id, label, round: of, procedure: 'p1', arm: 'arm' }) as Tables['coupon'][number]
const reading = (id: string, of: string, setAside: string | null = null) =>
  ({ id, coupon: of, setAside }) as Tables['reading'][number]

/** A bench of bare rows: integrity reads ids, names and pointers only. */
const bench: Tables = {
  ...noTables(),
  bench: [emptyBench('me', 'Bench', 1)],
  build: [build],
  adhesive: [glue('g1', 'Contact tin'), glue('g2', 'Wood glue')],
  stock: [{ id: 's1', adhesive: 'g1' } as Tables['stock'][number]],
  joint: [joint('j1', 'H1'), joint('j2', 'H2')],
  procedure: [procedure('p1', 'A', 'j1', 'g1'), procedure('p2', 'A', 'j2')],
  round: [round('r1', 1)],
  coupon: [coupon('c1', 'H1-A1'), coupon('c2', 'H1-A2')],
  reading: [reading('x1', 'c1'), reading('x0', 'c1', 'slipped')],
}
const readerOf = (tables: Tables): RecordReader => ({
  get: (table, id) => (tables[table].find((one) => one.id === id) as never) ?? null,
  all: (table) => tables[table] as never,
  of: (table, owner) =>
    tables[table].filter((one) => (one as unknown as Record<string, unknown>)[owners[table]!] === owner) as never,
})
const reader = readerOf(bench)
const faultOf = (changes: Change[]): [string, string, Record<string, unknown>] | null => {
  try {
    checkIntegrity(changes, reader)
    return null
  } catch (fault) {
    const { code, path, facts } = fault as CodedError
    return [code, path, facts]
  }
}
const code = (...changes: Change[]) => faultOf(changes)?.[0] ?? 'fine'

describe('what may stand only once', () => {
  it.each<[string, Change]>([
    ['bench', insert('bench', emptyBench('you', 'Bench', 2))],
    ['joint’s code', insert('joint', joint('j3', 'H2'))],
    ['letter', insert('procedure', procedure('p3', 'A'))],
    ['round', insert('round', round('r2', 1))],
    ['label', insert('coupon', coupon('c3', 'H1-A1'))],
    ['reading', insert('reading', reading('x2', 'c1'))],
    ['glue, whatever its capitals and spaces', insert('adhesive', glue('g3', ' contact TIN '))],
    ['code, by a change', update('joint', joint('j2', 'H2'), { code: 'H1' })],
  ])('a second %s is refused', (_, change) => {
    expect(code(change)).toBe('taken')
  })

  it.each<[string, Change[]]>([
    ['the same letter on another joint', [insert('procedure', procedure('p3', 'B', 'j2'))]],
    ['another number', [insert('round', round('r2', 2))]],
    ['the same number on another joint', [insert('round', round('r2', 1, 'j2'))]],
    ['a second reading that is set aside', [insert('reading', reading('x2', 'c1', 'wet'))]],
    ['a first reading of another coupon', [insert('reading', reading('x2', 'c2'))]],
    [
      'a reading in place of one that this entry sets aside',
      [update('reading', reading('x1', 'c1'), { setAside: 'slip' }), insert('reading', reading('x2', 'c1'))],
    ],
    [
      'a name that this entry frees',
      [remove('adhesive', glue('g2', 'Wood glue')), insert('adhesive', glue('g3', 'Wood glue'))],
    ],
    ['a change of something else', [update('procedure', procedure('p1', 'A', 'j1', 'g1'), { adhesive: 'g2' })]],
  ])('%s is taken', (_, changes) => {
    expect(faultOf(changes)).toBeNull()
  })

  it('says in words what is there', () => {
    const words = (change: Change) => String(faultOf([change])![2]['field'])
    expect(words(insert('joint', joint('j3', 'H2')))).toBe('The code H2 is taken')
    expect(words(insert('procedure', procedure('p3', 'A')))).toBe('The letter A is taken')
    expect(words(insert('round', round('r2', 1)))).toBe('Round 1 of this joint is planned already')
    expect(words(insert('coupon', coupon('c3', 'H1-A1')))).toBe('The label H1-A1 is taken')
    expect(words(insert('adhesive', glue('g3', 'Wood glue')))).toBe('“Wood glue” stands on the shelf already')
    expect(words(insert('reading', reading('x2', 'c1')))).toMatch(/^Coupon H1-A1 has a reading already/)
    expect(faultOf([insert('joint', joint('j3', 'H2'))])![1]).toBe('joint j3')
  })

  it('two of one entry are counted too, and two that stood before are left alone', () => {
    expect(code(insert('round', round('r2', 2)), insert('round', round('r3', 2)))).toBe('taken')
    expect(code(insert('round', round('r2', 2)), insert('round', round('r3', 3)))).toBe('fine')
    const doubled = readerOf({ ...bench, joint: [joint('j1', 'H1'), joint('j2', 'H1')] })
    expect(() => checkIntegrity([update('joint', joint('j2', 'H1'), { build: 'b1' })], doubled)).not.toThrow()
    expect(() => checkIntegrity([insert('joint', joint('j3', 'H1'))], doubled)).toThrow('taken at joint j3')
  })
})

describe('parts of other records', () => {
  const r1 = round('r1', 1)
  it.each<[string, Change, string]>([
    ['a coupon of no arm', insert('coupon', { ...coupon('c3', 'H1-A3'), arm: 'gone' }), 'no arm “gone”'],
    [
      'a coupon of another procedure',
      insert('coupon', { ...coupon('c3', 'H1-A3'), procedure: 'p2' }),
      'no such procedure',
    ],
    ['an arm taken away under its coupons', update('round', r1, { arms: [] }), 'no arm “arm”'],
    ['a procedure taken out under its coupons', update('round', r1, { procedures: [] }), 'no such procedure'],
    ['a procedure of another joint', update('round', r1, { procedures: ['p1', 'p2'] }), 'not all its procedures'],
    ['a procedure twice', update('round', r1, { procedures: ['p1', 'p1'] }), 'stands there twice'],
    ['a control that is not in it', update('round', r1, { control: 'p2' }), 'control is no procedure'],
    ['a hunch of what is not in it', update('round', r1, { hunch: { order: ['p2'], at: 1 } }), 'expected order'],
    [
      'two steps of one id',
      update('procedure', procedure('p1', 'A', 'j1', 'g1'), { steps: [{ id: 's' }, { id: 's' }] as never }),
      'the step “s” stands there twice',
    ],
    [
      'an earlier pull of another coupon',
      insert('reading', { ...reading('x2', 'c2'), because: 'x1' }),
      'none of its coupon',
    ],
  ])('%s is refused', (_, change, words) => {
    const fault = faultOf([change])
    expect(fault?.[0]).toBe('wrong-shape')
    expect(fault![2]['detail']).toContain(words)
  })

  it('what was so before stays open to other changes', () => {
    const old = readerOf({ ...bench, coupon: [{ ...coupon('c1', 'H1-A1'), arm: 'gone' }] })
    const change = update('coupon', { ...coupon('c1', 'H1-A1'), arm: 'gone' }, { block: 2 })
    expect(() => checkIntegrity([change], old)).not.toThrow()
    expect(() => checkIntegrity([update('round', r1, { blocks: 3 })], old)).not.toThrow()
  })
})

describe('pointers', () => {
  it('of something new must lead somewhere, and say where not', () => {
    expect(faultOf([insert('joint', joint('j3', 'H3', 'gone'))])).toEqual([
      'points-nowhere',
      'joint j3 build',
      { field: 'The joint', to: 'the build it belongs to' },
    ])
    expect(code(insert('build', { ...build, id: 'b2' }), insert('joint', joint('j3', 'H3', 'b2')))).toBe('fine')
    expect(code(insert('procedure', procedure('p3', 'B', 'j1', null)))).toBe('fine')
    expect(code(insert('procedure', procedure('p3', 'B', 'j1', 'gone')))).toBe('points-nowhere')
    expect(code(update('joint', joint('j1', 'H1'), { build: 'gone' }))).toBe('points-nowhere')
  })

  it('that led nowhere before stay as they are', () => {
    const old = joint('j1', 'H1', 'lost')
    expect(code(update('joint', old, { code: 'H9' }))).toBe('fine')
  })

  it('to what is taken away are refused, unless they go with it', () => {
    expect(faultOf([remove('adhesive', glue('g1', 'Contact tin'))])).toEqual([
      'still-used',
      'adhesive g1',
      { field: 'The glue', by: 'a pack on this bench' },
    ])
    expect(code(remove('build', build))).toBe('still-used')
    expect(code(remove('joint', joint('j2', 'H2')))).toBe('still-used')
    expect(code(remove('joint', joint('j2', 'H2')), remove('procedure', procedure('p2', 'A', 'j2')))).toBe('fine')
    expect(code(remove('adhesive', glue('g2', 'Wood glue')))).toBe('fine')
    expect(code(insert('build', { ...build, id: 'b9' }), remove('build', { ...build, id: 'b9' }))).toBe('fine')
  })

  it('of a whole bench that lead nowhere are found, each by name', () => {
    expect(danglingRows(bench)).toEqual([])
    const broken = { ...bench, build: [], adhesive: [glue('g2', 'Wood glue')] }
    expect(danglingRows(broken)).toEqual([
      { table: 'joint', id: 'j1', field: 'build', to: 'b1' },
      { table: 'joint', id: 'j2', field: 'build', to: 'b1' },
      { table: 'stock', id: 's1', field: 'adhesive', to: 'g1' },
      { table: 'procedure', id: 'p1', field: 'adhesive', to: 'g1' },
    ])
  })

  it('and owners name tables that exist, in words', () => {
    for (const { table, to } of references) {
      expect(tableNames).toContain(table)
      expect(tableNames).toContain(to)
    }
    for (const table of Object.keys(owners) as TableName[])
      expect(references.some((one) => one.table === table && one.field === owners[table]) || table === 'offcut').toBe(
        true,
      )
    expect(new Set(Object.values(tableWords)).size).toBe(tableNames.length)
  })
})

describe('an entry', () => {
  const check = (changes: Change[], tables: Tables = bench) =>
    checkEntry({ id: 'e', at: 1, label: 'e', kind: 'edit', of: null, changes }, readerOf(tables))
  const detail = (words: string) =>
    expect.objectContaining({ facts: expect.objectContaining({ detail: words }) as unknown }) as Error
  const rule: HouseRule = {
    id: 'h1',
    name: 'No solvent',
    adhesive: null,
  } as never

  it('is refused where a record does not fit its schema, by table, id and field', () => {
    expect(() => check([update('build', build, { name: '' })])).toThrow(
      expect.objectContaining({ code: 'wrong-shape', path: 'build b1 name' }) as Error,
    )
    expect(() => check([update('build', build, { budget: -1 })])).toThrow(detail('at least 0 expected'))
    expect(() => check([update('build', build, { name: 'Owl' })])).not.toThrow()
    expect(() => check([insert('houseRule', rule)])).toThrow(expect.objectContaining({ code: 'wrong-shape' }) as Error)
  })

  it('may leave as it was what an older version let in, and not make it worse', () => {
    const old = { ...build, budget: -1 }
    const older = { ...bench, build: [old] }
    expect(() => check([update('build', old, { name: 'Owl' })], older)).not.toThrow()
    expect(() => check([update('build', old, { budget: -2 })], older)).toThrow(detail('at least 0 expected'))
    expect(() => check([update('build', old, { name: '' })], older)).toThrow(/build b1 name/)
    const without = { id: 'b1', name: 'Heron', inServiceBy: null, budget: null } as never
    expect(() => check([{ table: 'build', id: 'b1', before: old, after: without }], older)).toThrow(/build b1 what/)
  })

  it('is refused where something else stands by now, and may change one record twice', () => {
    const stale = { ...build, name: 'Older' }
    expect(() => check([update('build', stale, { what: 'x' })])).toThrow(
      expect.objectContaining({ code: 'conflict', path: 'build b1' }) as Error,
    )
    expect(() => check([insert('build', build)])).toThrow(expect.objectContaining({ code: 'conflict' }) as Error)
    const next = { ...build, name: 'Owl' }
    expect(() => check([update('build', build, { name: 'Owl' }), update('build', next, { what: 'y' })])).not.toThrow()
    expect(() => check([update('build', build, { name: 'Owl' }), update('build', build, { what: 'y' })])).toThrow(
      expect.objectContaining({ code: 'conflict' }) as Error,
    )
    const lone = { ...noTables(), build: [build] }
    const gone = [remove('build', build), insert('build', { ...build, what: 'again' })]
    expect(() => check(gone, lone)).not.toThrow()
  })
})
