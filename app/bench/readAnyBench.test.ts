import { strToU8, zipSync, type Zippable } from 'fflate'
import { describe, expect, it } from 'vitest'
import { csvPath, describePackage, DESCRIPTOR } from '../../core/formats/dataPackage'
import { writeBenchFile } from '../../core/formats/writeBenchFile'
import { buildDemoBench } from '../../demo/bench'
import { deflated, rawZip, type RawFile } from '../testing/rawZip'
import { packageBytes } from './packageFile'
import { MOST, readAnyBench } from './readAnyBench'

const NOW = Date.parse('2026-11-24T18:00:00')
const tables = buildDemoBench(NOW)
const blob = (bytes: Uint8Array) => new Blob([bytes as Uint8Array<ArrayBuffer>])
const descriptor = strToU8(JSON.stringify(describePackage(tables, NOW, []).descriptor))
const zipOf = (files: readonly RawFile[]) => new Blob([rawZip(files)])
const commas = (count: number) => Buffer.alloc(count, ',')
async function refusedIn(file: Blob): Promise<{ code: string; said: string }> {
  const { code, facts } = await readAnyBench(file).then(
    () => Promise.reject(new Error('it was read')),
    (error: { code: string; facts: Record<string, string> }) => error,
  )
  return { code, said: `${facts['field']}: ${facts['detail']}` }
}

describe('a file that was made to do harm, or went wrong', () => {
  it('that unpacks to 300 MB is refused long before, whatever it says of its size', async () => {
    for (const says of [0, 100, 300_000_000]) {
      const bomb = zipOf([
        { name: DESCRIPTOR, packed: deflated(descriptor), says: descriptor.length },
        { name: csvPath('joint'), packed: deflated(commas(300_000_000)), says },
      ])
      expect(bomb.size).toBeLessThan(400_000)
      const refused = await refusedIn(bomb)
      expect(refused).toMatchObject({ code: 'too-large' })
      // Stopped within a slice of the limit: two digits, not 300.
      expect(refused.said).toMatch(/“data\/joint\.csv”: \d\d MB, where up to 60 MB are read/)
    }
  })

  it('whose one row has millions of cells is refused before it is made into cells', async () => {
    const wide = zipOf([
      { name: DESCRIPTOR, packed: deflated(descriptor), says: 1 },
      { name: csvPath('bench'), packed: deflated(Buffer.from(`id${','.repeat(5_000_000)}\r\n`)), says: 1 },
    ])
    expect((await refusedIn(wide)).said).toMatch(/“data\/bench\.csv”: a row has more than 2000 cells/)
  })

  it('of a thousand entries that are none of a package’s is told to be none', async () => {
    const files: Zippable = {}
    for (let n = 0; n < 1000; n++) files[`part${n}.bin`] = new Uint8Array(100_000)
    expect(await refusedIn(blob(zipSync(files)))).toMatchObject({
      code: 'not-a-bench-file',
    })
    const many = zipOf(
      Array.from({ length: 20_001 }, (_, n) => ({ name: `photos/${n}.jpg`, packed: deflated(commas(1)), says: 1 })),
    )
    expect((await refusedIn(many)).said).toMatch(/more than 20000 files/)
  })

  it('with one path twice, or cut off, is refused with the path named', async () => {
    const one = { name: csvPath('joint'), packed: deflated(commas(3)), says: 3 }
    expect(await refusedIn(zipOf([one, one]))).toMatchObject({
      code: 'damaged',
      said: 'the package: “data/joint.csv” is in it twice',
    })
    const whole = blob(await packageBytes(tables, NOW, async () => null))
    for (const share of [0.2, 0.5, 0.9]) {
      const { code } = await refusedIn(whole.slice(0, Math.floor(whole.size * share)))
      expect(code).toMatch(/damaged|not-a-bench-file/)
    }
  })

  it('of 600 MB is refused by its size, as a text and as a stream in a zip', async () => {
    const huge = { size: 600_000_000, slice: (from: number, to: number) => new Blob(['{'.repeat(to - from)]) }
    expect((await refusedIn(huge as unknown as Blob)).said).toBe('The bench file: 600 MB, where up to 200 MB are read')
    const photo = zipOf([{ name: 'photos/a.jpg', packed: deflated(Buffer.alloc(600_000_000)), says: 5 }])
    const refused = await refusedIn(photo)
    expect(refused.said).toMatch(/“photos\/a\.jpg”: \d\d MB, where up to 40 MB are read/)
    expect(MOST.photo).toBe(40_000_000)
  })

  it('that the engine cannot hold is told to be too large', async () => {
    const file = new Blob([writeBenchFile(tables, NOW)])
    const original = JSON.parse
    JSON.parse = () => {
      throw new RangeError('Invalid string length')
    }
    const refused = await refusedIn(file).finally(() => (JSON.parse = original))
    expect(refused.code).toBe('too-large')
  })

  it('that is whole is read to the last photo, also out of a folder, with progress', async () => {
    const own = structuredClone(tables)
    own.coupon[0]!.photos = [{ id: 'p1', at: NOW, width: 2, height: 2 }]
    const bytes = await packageBytes(own, NOW, async () => new Blob(['x'.repeat(300_000)], { type: 'image/png' }))
    const told: number[] = []
    const read = await readAnyBench(blob(bytes), (done) => told.push(done))
    expect(read.aside).toEqual([])
    expect(read.tables).toEqual(own)
    expect(read.photos.map(({ id, blob: pixels }) => [id, pixels.size, pixels.type])).toEqual([
      ['p1', 300_000, 'image/png'],
    ])
    expect(told.length).toBeGreaterThan(3)
    expect([...told].sort((x, y) => x - y)).toEqual(told)
  })
})
