// @vitest-environment happy-dom
import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { buildDemoBench } from '../../../demo/bench'
import { mountAt, shown } from '../../testing/mountAt'

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
    await wrapper.find('[data-ranks] .ask-why').trigger('click')
    await flushPromises()
    expect(wrapper.find('#why').text()).toMatch(/3 × tore the part.*= 100 % of the comparisons won/s)
    wrapper.unmount()
  })

  it('of a round that was only looked at is weighed and decided all the same, and rests on no strength', async () => {
    const tables = buildDemoBench(NOW)
    const round = tables.round.find(({ joint }) => joint === 'h2')!
    round.arms = [{ ...round.arms[0]!, test: 'looks', passLimit: null, size: {} }]
    const coupons = tables.coupon.filter(({ round: of }) => of === round.id)
    const letterOf = (id: string) => tables.procedure.find((one) => one.id === id)!.letter
    tables.reading = coupons.map((coupon, i): (typeof tables.reading)[number] => ({
      id: `g${i}`,
      coupon: coupon.id,
      at: NOW + i,
      raw: { way: 'grades', grades: { clear: letterOf(coupon.procedure) === 'B' ? 2 : 0 }, afterH: 24 },
      outcome: { end: 'held' },
      size: {},
      early: null,
      note: '',
      setAside: null,
      corrected: [],
    }))
    const { wrapper, bench } = await mountAt(tables, '/joint/h2/choose')
    await shown({ wrapper }, '[data-school="points"]')
    expect(wrapper.find('[data-real-joint]').exists()).toBe(false)
    const select = wrapper.find<HTMLSelectElement>('.decide select')
    const best = tables.procedure.find((one) => one.joint === 'h2' && one.letter === 'B')!
    await select.setValue(best.id)
    await wrapper.find('.decide input').setValue('clear as glass')
    await wrapper.find('.decide form').trigger('submit')
    await flushPromises()
    const decision = bench.all('decision').find(({ joint }) => joint === 'h2')!
    expect(decision).toMatchObject({ procedure: best.id, known: { weakLow: null, margin: null, pulls: 3 } })
    expect(wrapper.find('[data-rests-on]').text()).toMatch(/It rests on 3 pulls; no strength was read/)
    wrapper.unmount()
  })

  it('of a decided joint says what it rested on, how the forecast did, and how well one guesses', async () => {
    const tables = buildDemoBench(NOW)
    const decision = tables.decision[0]!
    const round = tables.round.find(({ id }) => id === decision.round)!
    const order = round.procedures
    round.hunch = { order, at: NOW }
    decision.known.hunch = { expected: order, found: [...order].reverse() }
    decision.known.required = 0.1
    decision.known.forecasts = [{ procedure: decision.procedure, chance: 0.9, db: 9 }]
    const { wrapper } = await mountAt(tables, '/joint/h1/choose')
    await shown({ wrapper }, '[data-guesses]')
    expect(wrapper.find('[data-rests-on]').text()).toMatch(
      /The shortlist said it serves in about 9 in 10 such joints; its pulls held what was asked/,
    )
    expect(wrapper.find('[data-guesses]').text()).toMatch(/Over 1 decided round your first was the first in 0/)
    wrapper.unmount()
  })
})
