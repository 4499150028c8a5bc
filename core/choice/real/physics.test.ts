import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { familyOf } from '../../knowledge/families'
import { testIds, testKinds, type TestId } from '../../knowledge/testKinds'
import { interpret } from '../../readings/interpret'
import type { Brief } from '../../records/joint'
import { openBrief } from '../../records/openBrief'
import type { Raw, Reading } from '../../records/reading'
import { marginOf } from './margin'

/** Tables of the page that was worked by hand, by their headings. */
const page = readFileSync(new URL('../../../docs/worked-physics.md', import.meta.url), 'utf8')
const tableOf = (heading: string): string[][] =>
  page
    .slice(page.indexOf(`## ${heading}`))
    .split('\n## ')[0]!
    .split('\n')
    .filter((line) => line.startsWith('| ') && !/^\| -+ /.test(line) && !line.startsWith('| test'))
    .map((line) =>
      line
        .slice(2, -2)
        .split(' | ')
        .map((cell) => cell.trim()),
    )
/** “widthMm=25 overlapMm=12” as a record. */
const words = (cell: string): Record<string, never> =>
  cell === '-'
    ? {}
    : Object.fromEntries(
        cell.split(' ').map((one) => {
          const [key, value] = one.split('=') as [string, string]
          return [key, (Number.isNaN(Number(value)) ? value : Number(value)) as never]
        }),
      )
const places = { tornA: 0, offA: 0, glue: 100, offB: 0, tornB: 0 }
const read = (test: TestId, raw: Raw, size: Reading['size']) =>
  interpret({ raw, outcome: { end: 'broke', places }, size, setAside: null } as Reading, test)
const near = (got: number, wanted: string, line: string) =>
  expect(got / Number(wanted), `${line}: ${got}`).toBeCloseTo(1, 4)

describe('the page that was worked by hand', () => {
  it('is what the app works out of a weighed load, from the reading to the margin', () => {
    const rows = tableOf('A load, weighed')
    const supple = familyOf('contact-water')
    for (const row of rows) {
      const [test, reading, loadN, coupon, strength, joint, holds, load, asks, margin] = row as [TestId, ...string[]]
      const line = `${test} ${reading}`
      const size = words(coupon!)
      const found = read(test, { tareKg: 0, ...words(reading!) } as unknown as Raw, size)
      near((found.load as { value: number }).value, loadN!, line)
      near((found.read as { value: number }).value, strength!, line)
      const brief: Brief = { ...openBrief(), ...words(joint!), ...words(load!) }
      const real = marginOf(brief, test, Number(strength), size, supple, [])
      if (joint === '-') expect(real, line).toBeNull()
      else {
        near(real!.requiredN, asks!, line)
        near(real!.dryN, holds!, line)
        near(real!.times, margin!, line)
      }
    }
    const counted = (of: (row: string[]) => string) =>
      rows.reduce((n, row) => n.set(of(row), (n.get(of(row)) ?? 0) + 1), new Map<string, number>())
    // Three of each kind that is weighed, and of each way in which one number is read.
    for (const id of testIds)
      if (testKinds[id].reads.by === 'load') expect(counted(([test]) => test!).get(id), id).toBeGreaterThanOrEqual(3)
    for (const way of ['gauge', 'mass', 'water', 'lever'])
      expect(counted((row) => words(row[1]!)['way']!).get(way), way).toBeGreaterThanOrEqual(3)
  })

  it('is what it works out between two loads', () => {
    const rows = tableOf('Between two loads')
    expect(rows).toHaveLength(6)
    for (const [test, reading, coupon, low, high] of rows as [TestId, ...string[]][]) {
      const said = words(reading!)
      const way = 'lowN' in said ? 'hands' : 'steps'
      const { datum } = read(test, { way, ...said } as unknown as Raw, words(coupon!))
      expect(datum.kind).toBe('between')
      near((datum as { low: number }).low, low!, reading!)
      near((datum as { high: number }).high, high!, reading!)
    }
  })

  it('is what it works out of a trace', () => {
    const rows = tableOf('A trace')
    expect(rows).toHaveLength(3)
    for (const [test, trace, coupon, loadN, strength] of rows as [TestId, ...string[]][]) {
      const points = trace!.split(' ').map((one) => one.split(':').map(Number) as [number, number])
      const raw = { way: 'trace', take: 'peak', points: points.map(([s, n]) => [s, n, null]) } as unknown as Raw
      const found = read(test, raw, words(coupon!))
      near((found.load as { value: number }).value, loadN!, trace!)
      near((found.read as { value: number }).value, strength!, trace!)
    }
  })

  it('is what it works out of a count', () => {
    const rows = tableOf('Counted')
    for (const [test, reading, coupon, low, high] of rows as [TestId, ...string[]][]) {
      const { read: found } = read(test, { way: 'count', ...words(reading!) } as unknown as Raw, words(coupon!))
      const span = found as { low: number; high: number }
      if (low === '0') expect(span.low).toBe(0)
      else near(span.low, low!, `${test} ${reading}`)
      near(span.high, high!, `${test} ${reading}`)
    }
    for (const id of testIds)
      if (testKinds[id].reads.by === 'count')
        expect(
          rows.filter(([test]) => test === id),
          id,
        ).toHaveLength(3)
  })
})
