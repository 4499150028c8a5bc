// @vitest-environment happy-dom
import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { buildDemoBench } from '../../demo/bench'
import { CodedError } from '../../core/errors'
import { readBenchFile, writeBenchFile } from '../../core/formats/benchFile'
import { seededRandom } from '../../core/planning/random'
import type { Tables } from '../../core/records/tables'
import { mountAt } from './mountAt'

vi.mock('../workers/client', async () => (await import('./noWorker')).workerHere())

const FILES = 500
const bad: unknown[] = [
  null,
  '',
  'oops',
  -1,
  0,
  1e308,
  1e-320,
  3.7,
  true,
  [],
  {},
  '2026-99-99',
  'constructor',
  '__proto__',
  -0.5,
  1e21,
  'NaN',
  ['x'],
  { a: 1 },
  '\u0000',
]

type Spot = (string | number)[]
/** Every place in the file that holds a single value. */
function spots(value: unknown, path: Spot = []): Spot[] {
  if (typeof value !== 'object' || value === null) return [path]
  return Object.entries(value).flatMap(([key, one]) => spots(one, [...path, Array.isArray(value) ? Number(key) : key]))
}
function spoilt(tables: Tables, path: Spot, value: unknown): string {
  const file = JSON.parse(writeBenchFile(tables, 1)) as Record<string, unknown>
  let at: Record<string | number, unknown> = file
  for (const key of path.slice(0, -1)) at = at[key] as typeof at
  at[path.at(-1)!] = value
  return JSON.stringify(file)
}

const NOW = Date.parse('2026-11-24T18:00:00')

/** Pages that read a table's rows; every tenth file opens all of them all the same. */
const stations = ['ask', 'shortlist', 'plan', 'glue', 'break', 'choose', 'card', 'print']
const reading: Record<string, string[]> = {
  reading: ['start', 'break', 'choose', 'card'],
  cureCheck: ['glue'],
  coupon: ['start', 'plan', 'glue', 'break', 'print'],
  procedure: ['start', 'plan', 'glue', 'break', 'card'],
  round: ['start', 'plan', 'glue', 'break', 'choose', 'print'],
  joint: ['start', 'ask', 'shortlist', 'plan', 'glue'],
  decision: ['start', 'choose', 'card', 'evidence'],
  stock: ['start', 'shelf', 'shortlist', 'build'],
  adhesive: ['shelf', 'shortlist', 'plan', 'choose', 'card', 'build'],
  houseRule: ['start', 'shelf', 'shortlist'],
  material: ['shelf', 'ask', 'plan'],
  offcut: ['print'],
  build: ['start', 'build', 'evidence'],
  maker: ['evidence'],
  said: ['evidence'],
}
const pathOf = (page: string, joint: string) =>
  page === 'start' ? '/' : stations.includes(page) ? `/joint/${joint}/${page}` : `/${page}`

/** One app, shown one bench after the other. */
async function viewer(first: Tables) {
  const { go, errors, wrapper, bench } = await mountAt(first, '/')
  return async (tables: Tables, pages: string[], joint: string) => {
    errors.length = 0
    await go('/history')
    await bench.openInMemory(null, tables)
    let text = ''
    for (const page of pages) {
      await go(pathOf(page, joint))
      await flushPromises()
      text += ` ${wrapper.text()}`
    }
    return { errors: [...errors], text }
  }
}

describe('bench files with one wrong value each', () => {
  afterEach(() => vi.useRealTimers())

  it(`${FILES} of them are refused with the place named, or taken so that every page opens`, async () => {
    vi.useFakeTimers({ now: NOW, toFake: ['Date'] })
    const whole = buildDemoBench(NOW)
    const random = seededRandom(2026)
    const places = spots(JSON.parse(writeBenchFile(whole, 1)))
    const show = await viewer(whole)
    let refused = 0
    let taken = 0
    for (let n = 0; n < FILES; n++) {
      const path = places[Math.floor(random() * places.length)]!
      const value = bad[Math.floor(random() * bad.length)]
      const why = `${path.join('.')} = ${JSON.stringify(value)}`
      let read
      try {
        read = readBenchFile(spoilt(whole, path, value))
      } catch (error) {
        expect(error, why).toBeInstanceOf(CodedError)
        expect(
          (error as CodedError).path || (error as CodedError).facts['field'] || path[0] === 'format',
          why,
        ).toBeTruthy()
        refused++
        continue
      }
      taken++
      const total = (tables: Tables) => Object.values(tables).reduce((sum, rows) => sum + rows.length, 0)
      if (total(read.tables) < total(whole)) expect(read.aside.length, why).toBeGreaterThan(0)
      // The joint on which the wrong value stood, where the row tells it; else each in turn.
      const table = String(path[1])
      const row = (whole[table as keyof Tables] as { joint?: string; coupon?: string }[] | undefined)?.[Number(path[2])]
      const owner = (row as { id?: string } | undefined)?.id
      const joints = read.tables.joint.map(({ id }) => id)
      const joint = joints.find((id) => id === row?.joint || id === owner) ?? joints[n % joints.length]!
      const pages = n % 10 === 0 ? ['start', 'shelf', ...stations] : (reading[table] ?? stations)
      const { errors, text } = await show(read.tables, pages, joint)
      expect(errors, why).toEqual([])
      // A name may be any text, also this one.
      expect(value === 'NaN' ? text.split('NaN').join('') : text, why).not.toMatch(
        /cannot be shown|NaN|undefined|Infinity|\d(\.\d+)?e[+-]?\d/,
      )
      // And what was taken is a file that is taken back whole.
      expect(readBenchFile(writeBenchFile(read.tables, 1)).aside, why).toEqual([])
    }
    expect(refused + taken).toBe(FILES)
    expect(taken).toBeGreaterThan(FILES / 3)
  }, 1_800_000)
})
