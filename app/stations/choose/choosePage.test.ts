// @vitest-environment happy-dom
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { buildDemoBench } from '../../../demo/bench'
import { mountAt } from '../../testing/mountAt'

vi.mock('plotly.js-cartesian-dist-min', async () => (await import('../../testing/noWorker')).noCharts())
vi.mock('../../workers/client', async () => (await import('../../testing/noWorker')).workerHere())

const NOW = Date.parse('2026-11-24T18:00:00')

describe('the result', () => {
  beforeEach(() => void vi.useFakeTimers({ now: NOW, toFake: ['Date'] }))

  it('names every pull that was early or wet, and none that is set aside', async () => {
    const tables = buildDemoBench(NOW)
    const labelOf = (coupon: string) => tables.coupon.find(({ id }) => id === coupon)!.label
    const ours = tables.reading.filter(({ coupon }) => labelOf(coupon).startsWith('H2'))
    const wet = ours.find(({ outcome }) => outcome.end === 'wet')!
    const early = ours.find(({ outcome }) => outcome.end === 'broke')!
    const reading = tables.reading.map((one) =>
      one === early ? { ...one, early: { curedS: 600, fullS: 86_400 } } : one,
    )
    const { wrapper } = await mountAt({ ...tables, reading }, '/joint/h2/choose')
    const said = () =>
      wrapper.find('header').text() +
      wrapper
        .findAll('header p')
        .map((one) => one.text())
        .join(' ')
    expect(said()).toMatch(new RegExp(`Pulled before the full cure: ${labelOf(early.coupon)}\\. They may read too low`))
    expect(said()).toMatch(new RegExp(`Still wet when pulled: ${labelOf(wet.coupon)}`))
    wrapper.unmount()
    const aside = tables.reading.map((one) => (one === wet ? { ...one, setAside: 'wrong bottle' } : one))
    const again = await mountAt({ ...tables, reading: aside }, '/joint/h2/choose')
    expect(again.wrapper.text()).not.toMatch(/Still wet when pulled/)
    again.wrapper.unmount()
  })

  it('of pulls that have only an order is an order, with where each let go, and no strength', async () => {
    const tables = buildDemoBench(NOW)
    const round = tables.round.find(({ joint }) => joint === 'h2')!
    const coupons = tables.coupon.filter(({ round: of }) => of === round.id)
    const letterOf = (id: string) => tables.procedure.find((one) => one.id === id)!.letter
    const none = { tornA: 0, offA: 0, glue: 0, offB: 0, tornB: 0 }
    // A always with two hands and tears the part; all others with one finger, off B.
    const reading = coupons.map((coupon, i): (typeof tables.reading)[number] => {
      const best = letterOf(coupon.procedure) === 'A'
      return {
        id: `o${i}`,
        coupon: coupon.id,
        at: NOW + i,
        raw: { way: 'hands', rung: best ? 'two-hands' : 'one-finger', lowN: null, highN: null },
        outcome: { end: 'broke', places: best ? { ...none, tornA: 100 } : { ...none, offB: 100 } },
        size: {},
        early: null,
        note: '',
        setAside: null,
        corrected: [],
      }
    })
    const { wrapper } = await mountAt({ ...tables, reading }, '/joint/h2/choose')
    expect(wrapper.find('h1').text()).toBe('An order, no strengths')
    const rows = wrapper.findAll('[data-ranks] tbody tr').map((one) => one.text())
    expect(rows).toHaveLength(round.procedures.length)
    expect(rows[0]).toMatch(/H2-A.*3 pulls\s*100 %/)
    // tore the part three times; the others let go at B three times each
    expect(rows[0]).toMatch(/3$/)
    expect(rows[1]).toMatch(/3–$/)
    expect(wrapper.find('[data-ranks]').text()).toMatch(/comes out first by the order/)
    wrapper.unmount()
  })
})
