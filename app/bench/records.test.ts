import { describe, expect, it } from 'vitest'
import { seededRandom } from '../../core/planning/random'
import type { Change } from '../../core/records/entry'
import type { TableName } from '../../core/records/tables'
import { buildDemoBench } from '../../demo/bench'
import { BenchRecords } from './records'

describe('what was pulled of a round', () => {
  it('is what a look through all records finds, and the same object while none of it changes', () => {
    const tables = buildDemoBench(Date.parse('2026-11-24T18:00:00'))
    const records = new BenchRecords()
    records.load(tables)
    const rounds = tables.round.map(({ id }) => id)
    const random = seededRandom(5)
    const pick = <T>(list: readonly T[]) => list[Math.floor(random() * list.length)]!
    const lookedThrough = (round: string) => {
      const coupons = records.all('coupon').filter((one) => one.round === round)
      const readings = records.all('reading').filter(({ coupon }) => coupons.some(({ id }) => id === coupon))
      return { coupons: ids(coupons), readings: ids(readings) }
    }
    const ids = (rows: readonly { id: string }[]) => rows.map(({ id }) => id).sort()
    const change = (table: TableName): Change => {
      const before = pick(records.all(table)) as never as { id: string }
      const how = random()
      const id = how < 0.3 ? `new-${random()}` : before.id
      const moved = table === 'coupon' ? { round: pick(rounds) } : { coupon: pick(records.all('coupon')).id }
      const after = how < 0.6 ? { ...before, id, ...moved } : null
      return { table, id, before: null, after } as never
    }
    let kept = 0
    for (let n = 0; n < 150; n++) {
      const was = new Map(rounds.map((round) => [round, records.pulled(round)]))
      records.apply([change(pick(['coupon', 'reading'])), ...(n % 3 ? [] : [change('reading')])])
      for (const round of rounds) {
        const { coupons, readings, ofCoupon } = records.pulled(round)
        expect({ coupons: ids(coupons), readings: ids(readings) }).toEqual(lookedThrough(round))
        for (const [id, own] of ofCoupon) expect(own).toEqual(records.of('reading', id))
        if (was.get(round) === records.pulled(round)) kept++
      }
    }
    // A change touches two rounds or three of all; the others stand.
    expect(kept).toBeGreaterThan(150 * (rounds.length - 4))
    expect(kept).toBeLessThan(150 * rounds.length)
  })
})
