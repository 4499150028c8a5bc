import { describe, expect, it } from 'vitest'
import { gatheredEvidence } from '../evidence/pairEvidence'
import { emptyBench } from '../records/emptyBench'
import { noTables } from '../records/tables'
import { mergeChanges } from '../records/together/merge'
import { readBenchFile } from './benchFile'
import { pastTests } from './pastTests'
import { pastMapping, type PastSettings } from './pastRow'
import { writeBenchFile } from './writeBenchFile'

const NOW = Date.UTC(2026, 10, 27)
const head = ['Material A', 'Material B', 'Glue', 'Load (N)', 'Width mm', 'Overlap', 'Where', 'Date', 'Note']
const settings = (patch: Partial<PastSettings> = {}): PastSettings => ({
  mapping: pastMapping(head),
  test: 'lap-shear',
  unit: 'N',
  name: 'Sheet of 2025',
  ...patch,
})
const rows = (...lines: string[]) => lines.map((line, i) => ({ line: i + 2, cells: line.split(';') }))
const good = [
  'wood;felt;contact cement;90;25;12;glue;2025-03-14;first',
  'wood;felt;contact cement;120;25;12;glue;2025-03-14;',
  'felt;wood;epoxy;15 kgf;25;12;torn B;2025-03-20;',
]

describe('past tests out of a spreadsheet', () => {
  it('finds its columns by their headings', () => {
    expect(pastMapping(head)).toEqual({ a: 0, b: 1, glue: 2, load: 3, width: 4, overlap: 5, where: 6, day: 7, note: 8 })
    expect(pastMapping(['x', 'Force'])).toMatchObject({ a: null, load: 1, day: null })
  })

  it('becomes a bench of its own: a pair a joint, a glue a procedure, a row a reading; it reads back as a file', () => {
    const { tables, taken, bad, understood } = pastTests(rows(...good), settings(), NOW)
    expect({ taken, bad }).toEqual({ taken: 3, bad: [] })
    expect(understood.map(({ text }) => text).sort()).toEqual(['contact cement', 'epoxy', 'felt', 'wood'])
    expect(understood.find(({ text }) => text === 'contact cement')!.as).toMatch(/solvent/i)
    expect(tables!.joint).toHaveLength(1)
    expect(tables!.procedure.map(({ letter, family }) => [letter, family])).toEqual([
      ['A', 'contact-solvent'],
      ['B', expect.stringMatching(/^epoxy/) as string],
    ])
    expect(tables!.coupon.map(({ label }) => label)).toEqual(['S1-A1', 'S1-A2', 'S1-B1'])
    expect(tables!.reading[0]).toMatchObject({ at: Date.UTC(2025, 2, 14, 12), note: 'first' })
    expect(readBenchFile(writeBenchFile(tables!, NOW)).aside).toEqual([])
    // 90 and 120 N on 300 mm²: 0.3 and 0.4 MPa.
    const [contact, epoxy] = gatheredEvidence(tables!, (id) => id)
    expect(contact!.points.map(({ ln }) => Math.exp(ln!))).toEqual([expect.closeTo(0.3, 9), expect.closeTo(0.4, 9)])
    expect(epoxy).toMatchObject({ valid: 1, atLeast: true })
  })

  it('read in twice is one, and comes under the name of the sheet', () => {
    const mine = { ...noTables(), bench: [emptyBench('me', 'Mine', 1)] }
    const { tables } = pastTests(rows(...good, good[0]!), settings(), NOW)
    const { changes } = mergeChanges(mine, { tables: tables!, savedAt: 5 }, 'another')
    const added = changes.filter(({ table }) => table === 'reading')
    expect(added).toHaveLength(4)
    expect(new Set(added.map(({ after }) => (after as { owner?: string }).owner)).size).toBe(1)
    const again = pastTests(rows(...good, good[0]!), settings(), NOW + 9).tables!
    for (const table of ['joint', 'procedure', 'round', 'coupon', 'reading'] as const)
      expect(again[table]).toEqual(tables![table])
  })

  it.each([
    ['unobtainium;felt;contact cement;90;25;12;;;', /“unobtainium” is no material/],
    ['wood;felt;zzzz;90;25;12;;;', /“zzzz” is no glue/],
    ['wood;felt;contact cement;many;25;12;;;', /the load “many” is not read/],
    ['wood;felt;contact cement;90;wide;12;;;', /Width, mm “wide” is not read/],
    ['wood;felt;contact cement;90;25;;;;', /Overlap, mm “” is not read/],
    ['wood;felt;contact cement;90;25;12;somewhere;;', /“somewhere” is no place/],
    ['wood;felt;contact cement;90;25;12;;14/3/25;', /2025-03-14 was expected/],
    ['wood;felt;contact cement;90;25;12;;2030-01-01;', /not one to come/],
    ['wood;felt;contact cement;90;25;12;fell off;;', /has no load/],
  ])('%s is told with its line, and stays out', (line, why) => {
    const { taken, bad } = pastTests(rows(good[0]!, line), settings(), NOW)
    expect(taken).toBe(1)
    expect(bad).toEqual([{ line: 3, why: expect.stringMatching(why) as string }])
  })

  it('of peels needs no overlap, and counts a unit of a cell before that of the sheet', () => {
    const { tables } = pastTests(
      rows('wood;felt;contact cement;2 kgf;25;;;;', 'wood;felt;contact cement;2;25;;;;'),
      settings({ test: 't-peel', unit: 'lbf' }),
      NOW,
    )
    expect(tables!.reading.map(({ raw }) => (raw as { unit: string }).unit)).toEqual(['kgf', 'lbf'])
    expect(tables!.reading[0]!.at).toBe(0)
    expect(pastTests([], settings(), NOW)).toEqual({ tables: null, taken: 0, understood: [], bad: [] })
  })
})
