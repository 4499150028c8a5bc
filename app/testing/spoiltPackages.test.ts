// @vitest-environment happy-dom
import { strToU8, unzipSync, zipSync } from 'fflate'
import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'
import { buildDemoBench } from '../../demo/bench'
import { CodedError } from '../../core/errors'
import { readBenchFile, writeBenchFile } from '../../core/formats/benchFile'
import { DESCRIPTOR } from '../../core/formats/dataPackage'
import { seededRandom } from '../../core/planning/random'
import { packageBytes } from '../bench/packageFile'
import { readAnyBench } from '../bench/readAnyBench'
import { leaves, spoil } from './spoil'

// `npm run spoilt` reads two thousand.
const PACKAGES = Number(process.env['SPOILT_PACKAGES'] ?? 500)
const SEED = Number(process.env['SPOILT_SEED'] ?? 2027)
const NOW = Date.parse('2026-11-24T18:00:00')

type Files = Record<string, Uint8Array>
const decoder = new TextDecoder()
const cells = [
  '',
  'oops',
  '=1+1',
  '-1',
  '1e308',
  'NaN',
  '(open)',
  '(left out)',
  '""',
  '[]',
  '{',
  'true',
  '2026-99-99',
  "'",
  '\u0000',
]

/** One thing that goes wrong with the files of a package. @returns it in words */
function damage(files: Files, random: () => number): string {
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!
  const csvs = Object.keys(files).filter((path) => path.endsWith('.csv'))
  const way = Math.floor(random() * 8)
  if (way === 0) {
    const text = decoder.decode(files[DESCRIPTOR])
    const spoilt = spoil(text, leaves(JSON.parse(text)), random)
    files[DESCRIPTOR] = strToU8(spoilt.text)
    return `descriptor: ${spoilt.why}`
  }
  const path = pick(csvs)
  if (way === 1) {
    delete files[path]
    return `${path} is missing`
  }
  if (way === 2) {
    const bytes = files[path]!.slice()
    for (let i = 0; i < 3; i++) bytes[Math.floor(random() * bytes.length)] = Math.floor(random() * 256)
    files[path] = bytes
    return `${path}: three bytes changed`
  }
  if (way === 3) {
    files[pick(['../outside.csv', '/etc/x.csv', 'data/../../x.csv', `C:\\${path}`])] = files[path]!
    return 'a path that leads out'
  }
  const rows = Papa.parse<string[]>(decoder.decode(files[path]).replace(/^\ufeff/, ''), { skipEmptyLines: true }).data
  const row = pick(rows)
  const at = Math.floor(random() * row.length)
  let what = ''
  if (way === 4) {
    what = `a column called ${(rows[0]![at] = pick(['oops', '__proto__', 'constructor', 'id', 'a.b.c', '']))}`
  } else if (way === 5) {
    rows.forEach((one) => one.splice(at, 1))
    what = `column ${at} taken out`
  } else if (way === 6) {
    rows.push([...row])
    what = 'a row twice'
  } else what = `a cell ${(row[at] = pick(cells))}`
  files[path] = strToU8(Papa.unparse(rows))
  return `${path}: ${what}`
}

describe('data packages that went wrong', () => {
  it(`${PACKAGES} of them are refused with the place named, or taken as a bench that is whole`, async () => {
    const whole = buildDemoBench(NOW)
    const bytes = await packageBytes(whole, NOW, async () => null)
    const random = seededRandom(SEED)
    const count = { refused: 0, taken: 0, aside: 0 }
    for (let n = 0; n < PACKAGES; n++) {
      let why: string
      let spoilt: Uint8Array<ArrayBuffer>
      if (random() < 0.1) {
        const cut = Math.floor(random() * bytes.length)
        spoilt = random() < 0.5 ? bytes.slice(0, cut) : bytes.slice()
        if (spoilt.length === bytes.length) spoilt[cut]! ^= 0xff
        why = `a byte of the zip at ${cut}`
      } else {
        const files = unzipSync(bytes)
        const done = Array.from({ length: random() < 0.7 ? 1 : 2 }, () => damage(files, random))
        why = done.join('; ')
        spoilt = zipSync(files, { level: 0 }) as Uint8Array<ArrayBuffer>
      }
      try {
        const read = await readAnyBench(new Blob([spoilt]))
        count.taken++
        if (read.aside.length) count.aside++
        expect(readBenchFile(writeBenchFile(read.tables, NOW)).aside, why).toEqual([])
      } catch (error) {
        if (!(error instanceof CodedError)) throw new Error(`${n} ${why}: ${String(error)}`, { cause: error })
        expect(error.path || error.facts['field'] || error.code === 'not-a-bench-file', why).toBeTruthy()
        count.refused++
      }
    }
    console.log(`${PACKAGES} packages, seed ${SEED}: ${JSON.stringify(count)}`)
    expect(count.refused).toBeGreaterThan(PACKAGES / 10)
    expect(count.taken).toBeGreaterThan(PACKAGES / 10)
    expect(({} as Record<string, unknown>)['oops']).toBeUndefined()
  }, 3_000_000)
})
