// @vitest-environment happy-dom
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { buildDemoBench } from '../../demo/bench'
import { CodedError } from '../../core/errors'
import { interpret } from '../../core/readings/interpret'
import type { Raw, Reading } from '../../core/records/reading'
import type { Tables } from '../../core/records/tables'
import { mountAt } from './mountAt'
import { eventually } from './eventually'

vi.mock('../workers/client', async () => (await import('./noWorker')).workerHere())

const NOW = Date.parse('2026-11-24T18:00:00')
const broke = { end: 'broke', places: { tornA: 0, offA: 0, glue: 100, offB: 0, tornB: 0 } } as const
const gauge = (value: number, unit = 'N'): Raw => ({ way: 'gauge', value, unit, tareKg: 0 })
const trace = (n: number): Raw => ({
  way: 'trace',
  file: 'log.csv',
  take: 'peak',
  points: Array.from({ length: 6 }, (_, s): [number, number, null] => [s, n, null]),
})

/** Readings that older versions let in, and that no strength comes of. */
const unusable: [string, Partial<Reading>, CodedError['code']][] = [
  ['0 N', { raw: gauge(0), outcome: broke }, 'no-load'],
  ['1e308 kN', { raw: gauge(1e308, 'kN'), outcome: broke }, 'out-of-range'],
  ['an unknown unit', { raw: gauge(5, 'furlong'), outcome: broke }, 'unknown-unit'],
  ['a unit that is a word of the language', { raw: gauge(5, 'valueOf'), outcome: broke }, 'unknown-unit'],
  ['a width of 1e-320', { raw: gauge(5), outcome: broke, size: { widthMm: 1e-320, overlapMm: 1 } }, 'out-of-range'],
  ['negative force from a logger', { raw: trace(-4), outcome: broke }, 'out-of-range'],
  ['no sizes', { raw: gauge(5), outcome: broke, size: {} }, 'missing'],
  ['no load at all', { raw: { way: 'none' }, outcome: broke }, 'missing'],
  [
    'places that make 150 %',
    { raw: gauge(5), outcome: { end: 'broke', places: { tornA: 0, offA: 50, glue: 100, offB: 0, tornB: 0 } } },
    'not-hundred-percent',
  ],
]

/** The demo bench with one reading of a half-pulled joint made unusable. */
function spoilt(patch: Partial<Reading>): { tables: Tables; label: string } {
  const tables = buildDemoBench(NOW)
  const coupons = new Map(tables.coupon.map((coupon) => [coupon.id, coupon]))
  const first = tables.reading.find(({ coupon }) => coupons.get(coupon)!.label.startsWith('H2'))!
  const reading = tables.reading.map((one) => (one === first ? { ...one, ...patch } : one))
  return { tables: { ...tables, reading }, label: coupons.get(first.coupon)!.label }
}

describe('a reading that no strength comes of', () => {
  beforeEach(() => void vi.useFakeTimers({ now: NOW, toFake: ['Date'] }))

  it.each(unusable)('%s: a named fault, never a throw', (_, patch, code) => {
    const size = { widthMm: 25, overlapMm: 12 }
    const reading = { size, setAside: null, ...patch } as Reading
    const { datum, fault } = interpret(reading, 'lap-shear')
    expect(datum).toEqual({ kind: 'leftOut', why: 'unusable' })
    expect(fault?.code).toBe(code)
    // Set aside, it is that and no more.
    expect(interpret({ ...reading, setAside: 'slip' }, 'lap-shear').datum).toMatchObject({ why: 'set-aside' })
  })

  it.each(unusable)('%s stands in its place and blanks no page', async (_, patch) => {
    const { tables, label } = spoilt(patch)
    const { wrapper, go, errors, bench } = await mountAt(tables, '/joint/h2/break')
    const line = () => wrapper.findAll('.far li').find((one) => one.text().startsWith(label))!
    expect(line().text()).toMatch(/cannot be used/)
    for (const path of [
      '/',
      '/joint/h2/ask',
      '/joint/h2/shortlist',
      '/joint/h2/plan',
      '/joint/h2/choose',
      '/joint/h2/card',
    ]) {
      await go(path)
      expect(wrapper.text(), path).not.toMatch(/cannot be shown|NaN|Infinity/)
    }
    await go('/joint/h2/break')
    await line()
      .findAll('button')
      .find((one) => one.text().startsWith('Set aside'))!
      .trigger('click')
    await eventually(() => expect(line().text()).toMatch(/set aside/))
    expect(bench.history()[0]!.label).toMatch(/set aside/)
    expect(errors).toEqual([])
    wrapper.unmount()
  })

  it('a second reading of one coupon is shown, counts not, and can be set aside', async () => {
    const tables = buildDemoBench(NOW)
    const first = tables.reading.find(({ coupon }) =>
      tables.coupon.find(({ id }) => id === coupon)!.label.startsWith('H2'),
    )!
    const label = tables.coupon.find(({ id }) => id === first.coupon)!.label
    const { wrapper } = await mountAt(
      { ...tables, reading: [...tables.reading, { ...first, id: 'twin', at: first.at + 5 }] },
      '/joint/h2/break',
    )
    const lines = () => wrapper.findAll('.far li').filter((one) => one.text().startsWith(label))
    expect(lines()).toHaveLength(2)
    expect(lines().filter((one) => one.text().includes('A second reading of the same coupon'))).toHaveLength(1)
    await wrapper
      .findAll('button')
      .find((one) => one.text().startsWith('Set aside this reading'))!
      .trigger('click')
    await eventually(() => expect(lines().filter((one) => one.text().includes('set aside'))).toHaveLength(1))
    wrapper.unmount()
  })

  it('is refused while the coupon is still at hand, with what to do instead', async () => {
    const tables = buildDemoBench(NOW)
    const { wrapper, bench } = await mountAt(tables, '/joint/h2/break')
    const before = bench.all('reading').length
    await wrapper.find('#reading-text').setValue('0 N')
    await wrapper
      .findAll('button')
      .find((one) => one.text().startsWith('in the glue'))!
      .trigger('click')
    await wrapper
      .findAll('button')
      .find((one) => one.text().startsWith('Log this pull'))!
      .trigger('click')
    expect(wrapper.find('.problem').text()).toMatch(/came apart in handling/)
    expect((wrapper.find('#reading-text').element as HTMLInputElement).value).toBe('0 N')
    expect(bench.all('reading')).toHaveLength(before)
    wrapper.unmount()
  })
})
