// A large bench for the checks: the demo bench many times over, as a data package; and two packages compared.
//   npx tsx scripts/largeBench.ts make FILE READINGS PHOTOS
//   npx tsx scripts/largeBench.ts same FILE OTHER      says what differs; exit 1 where anything does
import { readFileSync, writeFileSync } from 'node:fs'
import { isDeepStrictEqual } from 'node:util'
import { packageBytes } from '../app/bench/packageFile'
import { readAnyBench } from '../app/bench/readAnyBench'
import { tableNames } from '../core/records/tables'
import { buildDemoBench } from '../demo/bench'

const PHOTO_BYTES = 40_000

async function make(file: string, readings: number, photos: number): Promise<void> {
  const tables = buildDemoBench(Date.UTC(2026, 10, 24, 18))
  const round = tables.round.find(({ id }) => id === 'h1-r1')!
  const coupons = tables.coupon.filter((one) => one.round === round.id)
  const first = new Map(tables.reading.map((one) => [one.coupon, one]))
  const pixels = new Map<string, Blob>()
  for (let n = 2; tables.reading.length < readings; n++) {
    tables.round.push({ ...round, id: `r${n}`, number: n })
    for (const coupon of coupons) {
      const id = `c${n}-${coupon.id}`
      const more = pixels.size < photos ? [{ id: `ph${id}`, at: n, width: 40, height: 30 }] : []
      for (const photo of more)
        pixels.set(photo.id, new Blob([new Uint8Array(PHOTO_BYTES).fill(n)], { type: 'image/jpeg' }))
      tables.coupon.push({ ...coupon, id, round: `r${n}`, ...(more.length && { photos: more }) })
      tables.reading.push({ ...first.get(coupon.id)!, id: `x${id}`, coupon: id })
    }
  }
  tables.bench[0]!.name = 'Large bench'
  writeFileSync(file, await packageBytes(tables, 5, async (id) => pixels.get(id) ?? null))
}

async function differences(one: string, other: string): Promise<string[]> {
  const [a, b] = await Promise.all([one, other].map((path) => readAnyBench(new Blob([readFileSync(path)]))))
  const tables = tableNames.filter((name) => name !== 'bench' && !isDeepStrictEqual(a!.tables[name], b!.tables[name]))
  const sizes = (read: typeof a) => read!.photos.map(({ id, blob }) => `${id} ${blob.size}`).sort()
  return [
    ...tables.map((name) => `table ${name}`),
    ...(isDeepStrictEqual(sizes(a), sizes(b)) ? [] : ['photos']),
    ...(b!.aside.length ? ['rows set aside'] : []),
  ]
}

const [verb, file, ...rest] = process.argv.slice(2)
if (verb === 'make') await make(file!, Number(rest[0]), Number(rest[1]))
else {
  const found = await differences(file!, rest[0]!)
  console.log(found.length ? found.join(', ') : 'the same')
  process.exitCode = found.length ? 1 : 0
}
