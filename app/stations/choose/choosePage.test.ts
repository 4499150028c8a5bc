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
})
