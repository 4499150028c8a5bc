// @vitest-environment happy-dom
import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { buildDemoBench } from '../../../demo/bench'
import { eventually } from '../../testing/eventually'
import { mountAt, press, shown } from '../../testing/mountAt'
import { weakestOf, type Candidate } from './round'

vi.mock('../../workers/client', async () => (await import('../../testing/noWorker')).workerHere())

const NOW = Date.parse('2026-11-24T18:00:00')

const SIZE = { areaMm2: 625 }
/** H1 with a straight pull of the same pieces, in which each read so many times its first strength. */
function pulledOff(times: number) {
  const tables = buildDemoBench(NOW)
  tables.decision = []
  const round = tables.round.find(({ joint }) => joint === 'h1')!
  const first = round.arms[0]!
  round.arms = [first, { ...first, id: 'off', test: 'tension', size: SIZE, passLimit: null }]
  for (const piece of tables.coupon.filter((one) => one.round === round.id)) {
    const reading = tables.reading.find(({ coupon }) => coupon === piece.id)
    if (!reading || !('value' in reading.raw)) continue
    tables.coupon.push({ ...piece, id: `${piece.id}o`, arm: 'off', label: `${piece.label}7` })
    const raw = { ...reading.raw, value: reading.raw.value * times }
    tables.reading.push({ ...reading, id: `${reading.id}o`, coupon: `${piece.id}o`, size: SIZE, raw } as typeof reading)
  }
  return { tables, first: first.id }
}

describe('the weakest of a joint’s tests', () => {
  beforeEach(() => void vi.useFakeTimers({ now: NOW, toFake: ['Date'] }))

  it('counts, whichever is shown: said beside the real joint, shown on a press, kept with the decision', async () => {
    for (const [times, least] of [
      [0.01, 'off'],
      [100, 'first'],
    ] as const) {
      const { tables, first } = pulledOff(times)
      const { wrapper, bench } = await mountAt(tables, '/joint/h1/choose')
      const part = await shown({ wrapper }, '[data-real-joint]')
      for (let i = 0; i < 5; i++) await flushPromises()
      const weaker = part.find('[data-weaker]')
      expect(weaker.exists()).toBe(least === 'off')
      if (weaker.exists()) expect(weaker.text()).toMatch(/^By its straight pull it holds less: [\d.]+ times the load/)
      await wrapper.find('.decide input').setValue('it holds')
      await wrapper.find('.decide form').trigger('submit')
      await flushPromises()
      const [decision] = bench.all('decision')
      expect(decision!.arm).toBe(least === 'off' ? 'off' : first)
      const told = /([\d.]+) times/.exec(weaker.exists() ? weaker.text() : part.find('.said').text())!
      expect(decision!.known.margin!).toBeCloseTo(Number(told[1]), 1)
      // By the stronger test nothing is said of what would win margin: it “could be smaller”.
      expect(wrapper.find('.wins').exists()).toBe(least === 'first')
      if (least === 'off') {
        await press({ wrapper }, /^Show the straight pull/)
        await eventually(() => expect(wrapper.find('[data-real-joint] .wins').exists()).toBe(true))
        expect(wrapper.find('[data-weaker]').exists()).toBe(false)
        expect(wrapper.find('[data-real-joint] .said').text()).toContain(`That is ${told[1]} times`)
      }
      wrapper.unmount()
    }
  }, 60_000)

  it('is of that procedure, and of a test that gave a margin', () => {
    const of = (procedure: string, times: number | null) =>
      ({ procedure: { id: procedure }, margin: times === null ? null : { times } }) as Candidate
    const shownOne = of('a', 5)
    expect(weakestOf(shownOne, [of('b', 1), of('a', null), of('a', 6)])).toBe(shownOne)
    const less = of('a', 4)
    expect(weakestOf(shownOne, [of('a', 4.5), less])).toBe(less)
    expect(weakestOf(of('a', null), [less])).toBe(less)
  })
})
