import { couponsOf } from '../core/planning/coupons'
import { seededRandom } from '../core/planning/random'
import type { Reading } from '../core/records/reading'
import type { Arm } from '../core/records/round'
import type { Tables } from '../core/records/tables'
import { buildDemoBench } from './bench'

/** What a maker has after a year: for measuring, not for showing. */
export interface YearSize {
  joints: number
  readings: number
  photos: number
  evenings: number
  makers: number
}
export const aYear: YearSize = { joints: 60, readings: 20_000, photos: 2000, evenings: 400, makers: 6 }

const DAY_MS = 86_400_000
const ROUNDS = 3
const BUILDS = 8

/**
 * The demo bench and a year of work beside it: joints of several builds, each with three rounds, whose pieces were
 * pulled over as many evenings; some of them on benches of other makers.
 * @param now ms; the last evening
 */
export function yearBench(now: number, size: YearSize = aYear, seed = 1): Tables {
  const random = seededRandom(seed)
  const tables = buildDemoBench(now)
  const joint = tables.joint.find(({ code }) => code === 'H1')!
  const round = tables.round.find((one) => one.joint === joint.id)!
  const procedures = tables.procedure.filter(({ id }) => round.procedures.includes(id))
  const makers = Array.from({ length: size.makers - tables.maker.length }, (_, n) => ({
    ...tables.maker[0]!,
    id: `maker-${n}`,
    name: `Workshop ${n + 2}`,
  }))
  tables.maker.push(...makers)
  const owners = [...Array.from({ length: BUILDS }, () => undefined), ...makers.map(({ id }) => id)]
  owners.forEach((owner, n) =>
    tables.build.push({ ...tables.build[0]!, id: `build-${n}`, name: `Build ${n}`, ...(owner && { owner }) }),
  )
  const missing = size.joints - tables.joint.length
  const blocks = Math.min(
    40,
    Math.ceil((size.readings - tables.reading.length) / (missing * ROUNDS * procedures.length)),
  )
  let photos = 0
  let pulls = 0
  for (let k = 0; k < missing; k++) {
    const id = `year-${k}`
    const at = k % owners.length
    const code = `K${100 + k}`
    const own = procedures.map((one) => ({ ...one, id: `${id}-${one.letter}`, joint: id }))
    tables.joint.push({ ...joint, id, code, build: `build-${at}`, name: `Joint ${k}` })
    tables.procedure.push(...own)
    for (let number = 1; number <= ROUNDS; number++) {
      const rid = `${id}-r${number}`
      const arms: Arm[] = [{ ...round.arms[0]!, id: `${rid}-a` }]
      const big = { ...round, id: rid, joint: id, number, arms, blocks, procedures: own.map((one) => one.id) }
      tables.round.push({ ...big, hunch: null, control: null })
      couponsOf(code, big, own, (label) => `${rid}-${label}`).forEach((coupon, i) => {
        const evening = Math.floor((pulls / size.readings) * size.evenings)
        const pulled = now - Math.max(0, size.evenings - evening) * (365 / size.evenings) * DAY_MS + i * 60_000
        const photo = pulls % Math.floor(size.readings / size.photos) === 0 && photos < size.photos
        if (photo) photos++
        tables.coupon.push({
          ...coupon,
          stamps: own
            .find((one) => one.id === coupon.procedure)!
            .steps.map(({ id: step }, s) => ({ step, at: Math.round(pulled - 3 * DAY_MS + s * 60_000) })),
          ...(photo && { photos: [{ id: `photo-${photos}`, at: Math.round(pulled), width: 320, height: 240 }] }),
        })
        if (pulls++ + tables.reading.length > 2 * size.readings) return
        tables.reading.push(pullOf(coupon.id, Math.round(pulled), arms[0]!, random(), owners[at]))
      })
    }
  }
  return tables
}

/** A pull whose load scatters like those of a careful hand. */
const pullOf = (coupon: string, at: number, arm: Arm, chance: number, owner: string | undefined): Reading => ({
  id: `pull-${coupon}`,
  ...(owner && { owner }),
  coupon,
  at,
  raw: { way: 'gauge', value: Math.round(10 * (18 + 20 * chance)) / 10, unit: 'N' },
  outcome: { end: 'broke', places: { tornA: 0, offA: 100, glue: 0, offB: 0, tornB: 0 } },
  size: arm.size,
  early: null,
  note: '',
  setAside: null,
  corrected: [],
})
