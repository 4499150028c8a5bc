import { Package } from 'datapackage'
import fc from 'fast-check'
import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'
import { BENCH_VERSION } from '../core/records/version'
import { buildDemoBench } from './bench'
import { CodedError } from '../core/errors'
import { tableNames, type Tables } from '../core/records/tables'
import { csvPath, DESCRIPTOR, describePackage, readPackage } from '../core/formats/dataPackage'
import { recordsOf, sheetOf, unitOf } from '../core/formats/tabular'

const NOW = Date.UTC(2026, 10, 27, 9)
const csvOf = ({ columns, rows }: ReturnType<typeof sheetOf>) =>
  Papa.unparse([columns.map(({ name }) => name), ...rows], { newline: '\r\n' })
const cells = (csv: string) => Papa.parse<string[]>(csv, { skipEmptyLines: true }).data

function files(tables: Tables) {
  const photos = [{ id: 'ph1', path: 'photos/ph1.jpg', mediatype: 'image/jpeg', bytes: 3 }]
  const { descriptor, sheets } = describePackage(tables, NOW, photos)
  const all = new Map<string, string>([[DESCRIPTOR, JSON.stringify(descriptor)]])
  for (const table of tableNames) all.set(csvPath(table), csvOf(sheets[table]))
  return all
}
const read = (all: Map<string, string>) =>
  readPackage(all.get(DESCRIPTOR)!, (path) => (all.has(path) ? cells(all.get(path)!) : null))
const demo = buildDemoBench(NOW)

describe('the data package', () => {
  it('gives the same bench back, with its photos named', () => {
    const { tables, aside, photos, savedAt } = read(files(demo))
    expect(aside).toEqual([])
    expect(savedAt).toBe(NOW)
    expect(photos).toEqual([{ id: 'ph1', path: 'photos/ph1.jpg', mediatype: 'image/jpeg' }])
    for (const table of tableNames) expect(tables[table]).toEqual(demo[table])
  })

  it('is valid for an independent reader of the format: descriptor, types of all cells, keys', async () => {
    const all = files(demo)
    const descriptor = JSON.parse(all.get(DESCRIPTOR)!) as { resources: { path: string; data?: unknown }[] }
    // The reader gets the cells themselves instead of files; everything else is the descriptor as it is written.
    const inline = {
      ...descriptor,
      resources: descriptor.resources
        .filter(({ path }) => path.startsWith('data/'))
        .map(({ path, ...resource }) => ({ ...resource, data: cells(all.get(path)!) })),
    }
    const checked = await Package.load(inline)
    expect(checked.errors).toEqual([])
    expect(checked.valid).toBe(true)
    const written = await Package.load(descriptor)
    expect(written.errors).toEqual([])
    for (const table of tableNames) {
      const resource = checked.getResource(table.toLowerCase())
      const rows = (await resource.read({ keyed: true, relations: true })) as unknown[]
      expect(rows).toHaveLength(demo[table].length)
    }
    const [reading] = (await checked.getResource('reading').read({ keyed: true })) as Record<string, unknown>[]
    expect(reading!['raw.value']).toBe((demo.reading[0]!.raw as { value: number }).value)
    expect(reading!['at']).toEqual(new Date(demo.reading[0]!.at))
  })

  it('names units, and writes nothing that a spreadsheet would run', () => {
    const evil = ['=1+1', '+1', '-1', '@sum', '\tx', '\rx', "'quoted", '"x', '(open)', '(left out)', '""']
    const joints = evil.map((name, i) => ({ ...demo.joint[0]!, id: `e${i}`, code: `E${i + 1}`, name }))
    const all = files({ ...demo, joint: [...demo.joint, ...joints] })
    const [head, ...rows] = cells(all.get(csvPath('joint'))!)
    const at = head!.indexOf('name')
    for (const row of rows) expect(row[at]).not.toMatch(/^[=+\-@\t\r]/)
    expect(
      read(all)
        .tables.joint.slice(-evil.length)
        .map(({ name }) => name),
    ).toEqual(evil)
    const descriptor = JSON.parse(all.get(DESCRIPTOR)!) as {
      resources: { name: string; schema: { fields: { name: string; unit?: string }[] } }[]
    }
    const fields = descriptor.resources.find(({ name }) => name === 'joint')!.schema.fields
    expect(fields.find(({ name }) => name === 'brief.heatC')!.unit).toBe('°C')
    expect(fields.find(({ name }) => name === 'brief.widthMm')!.unit).toBe('mm')
  })

  it.each([
    ['brief.weightKg', 'kg'],
    ['size.areaMm2', 'mm²'],
    ['spreadGm2', 'g/m²'],
    ['room.tempC', '°C'],
    ['known.holdsN', 'N'],
    ['label.openS', 's'],
    ['brief.readyH', 'h'],
    ['name', null],
  ])('%s is in %s', (name, unit) => expect(unitOf(name)).toBe(unit))

  const failure = (edit: (all: Map<string, string>) => void): CodedError => {
    const all = files(demo)
    edit(all)
    try {
      read(all)
    } catch (error) {
      return error as CodedError
    }
    throw new Error('it was taken')
  }
  it('that is damaged is refused with the place', () => {
    expect(failure((all) => all.set(DESCRIPTOR, '{"a":1}')).code).toBe('not-a-bench-file')
    expect(failure((all) => all.set(DESCRIPTOR, 'x')).code).toBe('damaged')
    expect(failure((all) => all.delete('data/coupon.csv')).path).toBe('data/coupon.csv')
    const newer = (all: Map<string, string>) =>
      all.set(DESCRIPTOR, all.get(DESCRIPTOR)!.replace(`"version":${BENCH_VERSION}`, '"version":99'))
    expect(failure(newer).code).toBe('newer-version')
    const columns = (all: Map<string, string>) =>
      all.set('data/build.csv', all.get('data/build.csv')!.replace('inServiceBy', '__proto__.x'))
    expect(failure(columns).path).toBe('data/build.csv')
    const number = (all: Map<string, string>) =>
      all.set('data/build.csv', all.get('data/build.csv')!.replace(/,60(?=,|\r|$)/m, ',sixty'))
    expect(failure(number).path).toBe('data/build.csv, row 2, budget')
  })

  it('with one bad row sets it aside, and says where', () => {
    const all = files(demo)
    all.set('data/joint.csv', all.get('data/joint.csv')!.replace(/,H4,/, ',no code,'))
    const { aside, tables } = read(all)
    expect(aside[0]).toMatchObject({ table: 'joint', id: 'h4' })
    expect(tables.joint.map(({ id }) => id)).not.toContain('h4')
  })
})

describe('records as rows of cells', () => {
  const leaf = fc.oneof(
    fc.constant(null),
    fc.constant(''),
    fc.boolean(),
    fc.double({ noNaN: true, noDefaultInfinity: true }).map((one) => (Object.is(one, -0) ? 0 : one)),
    fc.string(),
    fc.constantFrom('(open)', '=x', "'", '""', '(left out)', 'null', 'true', '1'),
    fc.array(fc.oneof(fc.integer(), fc.string(), fc.constant(null)), { maxLength: 3 }),
  )
  const key = fc.constantFrom('name', 'at', 'heatC', 'x', 'odd key', 'a.b')
  const part = fc.dictionary(key, fc.oneof(leaf, fc.dictionary(key, leaf, { maxKeys: 3 })), { maxKeys: 4 })
  const record = fc
    .record({ id: fc.string({ minLength: 1 }), size: part, raw: leaf, note: leaf }, { requiredKeys: ['id'] })
    .map((one) => one)

  it('come back exactly, through the text of a file', () => {
    fc.assert(
      fc.property(fc.array(record, { minLength: 1, maxLength: 6 }), (records) => {
        const sheet = sheetOf(records)
        const [head, ...rows] = Papa.parse<string[]>(csvOf(sheet)).data
        expect(head).toEqual(sheet.columns.map(({ name }) => name))
        const back = recordsOf({ ...sheet, rows })
        expect(back.bad).toEqual([])
        expect(back.records).toEqual(JSON.parse(JSON.stringify(records)))
      }),
      { numRuns: 500, seed: 15 },
    )
  })
})
