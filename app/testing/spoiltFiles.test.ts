// @vitest-environment happy-dom
import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { buildDemoBench } from '../../demo/bench'
import { CodedError } from '../../core/errors'
import { readBenchFile, writeBenchFile, type BenchFileRead } from '../../core/formats/benchFile'
import { seededRandom } from '../../core/planning/random'
import type { Tables } from '../../core/records/tables'
import { mountAt } from './mountAt'
import { pathOf, reading, stations, worksOn } from './pages'
import { leaves, spoil, type Spoilt } from './spoil'

vi.mock('../workers/client', async () => (await import('./noWorker')).workerHere())

// `npm run spoilt` opens all pages of ten thousand files; here a part of them for each.
const FILES = Number(process.env['SPOILT_FILES'] ?? 500)
const SEED = Number(process.env['SPOILT_SEED'] ?? 2026)
const PAGES = Number(process.env['SPOILT_PAGES'] ?? 1)
const NOW = Date.parse('2026-11-24T18:00:00')

/** One app, shown one bench after the other. */
async function viewer(first: Tables) {
  const { go, errors, wrapper, bench } = await mountAt(first, '/')
  return async (tables: Tables, pages: string[], joint: string) => {
    errors.length = 0
    await go('/history')
    await bench.openInMemory(null, tables)
    const shown: [string, string][] = []
    for (const page of pages) {
      await go(pathOf(page, joint))
      await flushPromises()
      shown.push([page, wrapper.text()])
    }
    return { errors: [...errors], shown }
  }
}

const total = (tables: Tables) => Object.values(tables).reduce((sum, rows) => sum + rows.length, 0)
/** The bench, or the sentence with which its file was refused. */
function readOrRefused({ text, why }: Spoilt): BenchFileRead | null {
  try {
    return readBenchFile(text)
  } catch (error) {
    expect(error, why).toBeInstanceOf(CodedError)
    const { path, facts, code } = error as CodedError
    expect(path || facts['field'] || code === 'not-a-bench-file', why).toBeTruthy()
    return null
  }
}
/** What no page may say of a bench, whatever its names are. */
const broken = /cannot be shown|\bNaN\b|undefined|\bInfinity\b|\[object|\d(\.\d+)?e[+-]?\d/

describe('bench files that went wrong', () => {
  afterEach(() => vi.useRealTimers())

  it.each([
    ['usual', FILES],
    ['other', Math.ceil(FILES / 5)],
  ] as const)(
    '%s: %i are refused with the place named, or taken so that every page opens',
    async (by, files) => {
      vi.useFakeTimers({ now: NOW, toFake: ['Date'] })
      const whole = buildDemoBench(NOW)
      const text = writeBenchFile(whole, 1)
      const random = seededRandom(SEED)
      const spots = leaves(JSON.parse(text))
      const show = await viewer(whole)
      const count = { refused: 0, taken: 0, aside: 0, pages: 0 }
      const faults: string[] = []
      for (let n = 0; n < files; n++) {
        const spoilt = spoil(text, spots, random, by)
        const { why } = spoilt
        const read = readOrRefused(spoilt)
        if (!read) {
          count.refused++
          continue
        }
        count.taken++
        if (read.aside.length) count.aside++
        const again = readBenchFile(writeBenchFile(read.tables, 1))
        expect(again.aside, why).toEqual([])
        expect(total(again.tables), why).toBe(total(read.tables))
        const joints = read.tables.joint.map(({ id }) => id)
        const joint = worksOn(whole, spoilt, joints) ?? joints[n % Math.max(1, joints.length)] ?? 'none'
        const all = PAGES > 1 || n % 40 === 0 ? ['start', 'shelf', 'evidence', 'build', 'history', ...stations] : null
        const own = reading[spoilt.table ?? ''] ?? stations
        const pages = all ?? [own[n % own.length]!, own[Math.floor(n / own.length + 1) % own.length]!]
        const { errors, shown } = await show(read.tables, [...new Set(pages)], joint)
        count.pages += shown.length
        for (const [page, words] of shown) {
          const odd = broken.exec(words.split('oops').join(''))
          if (odd && !spoilt.why.includes('"NaN"'))
            faults.push(`${n} ${why} → ${page}: …${words.slice(Math.max(0, odd.index - 60), odd.index + 60)}…`)
        }
        if (errors.length) faults.push(`${n} ${why} → ${shown.map(([page]) => page).join()}: ${stackOf(errors[0])}`)
        if (faults.length >= (PAGES > 1 ? 60 : 10)) break
      }
      expect(faults).toEqual([])
      expect(count.refused + count.taken).toBe(files)
      expect(count.taken).toBeGreaterThan(files / 3)
      expect(count.aside).toBeGreaterThan(files / 20)
      console.log(`${files} files, ${by}, seed ${SEED}: ${JSON.stringify(count)}`)
    },
    20_000_000,
  )
})

const stackOf = (error: unknown) =>
  error instanceof Error ? `${error.message} ${(error.stack ?? '').split('\n').slice(1, 4).join(' ')}` : String(error)
