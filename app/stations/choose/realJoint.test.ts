// @vitest-environment happy-dom
import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { buildDemoBench } from '../../../demo/bench'
import { mountAt, shown } from '../../testing/mountAt'

vi.mock('../../workers/client', async () => (await import('../../testing/noWorker')).workerHere())

const NOW = Date.parse('2026-11-24T18:00:00')
type Tables = ReturnType<typeof buildDemoBench>
/** H1 with a wash arm in which each piece kept so much of its dry twin. */
function washed(tables: Tables, keeps: number) {
  const round = tables.round.find(({ joint }) => joint === 'h1')!
  const dry = round.arms[0]!
  round.arms = [dry, { ...dry, id: 'wash', exposure: { kind: 'wash', amount: 3, hours: 6 }, passLimit: null }]
  const pieces = tables.coupon.filter((one) => one.round === round.id && one.arm === dry.id)
  for (const piece of pieces) {
    const reading = tables.reading.find(({ coupon }) => coupon === piece.id)!
    tables.coupon.push({ ...piece, id: `${piece.id}w`, arm: 'wash', label: piece.label.replace(/(\d)$/, '$1$1') })
    tables.reading.push({
      ...reading,
      id: `${reading.id}w`,
      coupon: `${piece.id}w`,
      raw: 'value' in reading.raw ? { ...reading.raw, value: reading.raw.value * keeps } : reading.raw,
    } as typeof reading)
  }
}
const rows = (part: Awaited<ReturnType<typeof shown>>) => part.findAll('tbody tr').map((one) => one.text())
const newton = (row: string) => Number(/([\d.]+) N/.exec(row)![1])

describe('what the real joint holds', () => {
  beforeEach(() => void vi.useFakeTimers({ now: NOW, toFake: ['Date'] }))

  it('goes from what the coupons held to the real joint, a line for each thing that takes of it', async () => {
    const mounted = await mountAt(buildDemoBench(NOW), '/joint/h1/choose')
    const part = await shown(mounted, '[data-real-joint]')
    const lines = rows(part)
    expect(lines[0]).toMatch(/As pulled.*measured/)
    expect(lines[1]).toMatch(/−5 °C cold× 80 %, why\?typical, not tested/)
    expect(lines[2]).toMatch(/Splashes× 90 %, why\?typical, not tested/)
    expect(newton(lines.at(-1)!)).toBeCloseTo(newton(lines[0]!) * 0.8 * 0.9, 0)
    expect(lines.at(-1)).toMatch(/in part on estimates/)
    expect(part.text()).toMatch(/For 3 times the load: width \d+ mm instead of 25 mm/)
    const opened = async (words: RegExp) => {
      await part
        .findAll('.wins .ask-why')
        .find((one) => words.test(one.text()))!
        .trigger('click')
      await flushPromises()
      return mounted.wrapper.find('#why').text()
    }
    const [, times] = /= ([\d.]+) times/.exec(await opened(/^For 3 times/))!
    expect(Number(times)).toBeGreaterThanOrEqual(3)
    expect(await opened(/coat: not tested/)).toMatch(/it rests on nothing yet/)
    const [, required, holds, fixing] = /([\d.]+) N, the said load− ([\d.]+) N that.*= ([\d.]+) N/.exec(
      await opened(/fixing/),
    )!
    expect(3 * Number(required) - Number(holds)).toBeCloseTo(Number(fixing), 0)
    mounted.wrapper.unmount()
  })

  it('is of the same procedure as Why and the decision, whichever of them was pressed', async () => {
    const mounted = await mountAt(buildDemoBench(NOW), '/joint/h1/choose')
    await shown(mounted, '[data-weighed] .said')
    const { wrapper } = mounted
    const decided = () => (wrapper.find('.decide select').element as HTMLSelectElement).value
    const held = () => wrapper.find('[data-real-joint] .said').text()
    const realOf = () => wrapper.find('[data-real-joint] [aria-pressed="true"]').text()
    const letter = (id: string) => mounted.bench.get('procedure', id)!.letter
    expect(realOf().startsWith(letter(decided()))).toBe(true)
    const others = wrapper.findAll('.decide option').map((one) => (one.element as HTMLOptionElement).value)
    const before = held()
    for (const other of others.filter((id) => id !== decided())) {
      await wrapper.find('.decide select').setValue(other)
      await flushPromises()
      expect(decided()).toBe(other)
      expect(wrapper.find('.decide form button').text()).toContain(mounted.bench.get('procedure', other)!.name.slice(1))
      // Of what has no margin nothing is said, and never another’s.
      if (!wrapper.find('[data-real-joint]').exists()) continue
      expect(realOf().startsWith(letter(other))).toBe(true)
      expect(held()).not.toBe(before)
      expect(wrapper.find('#why').text()).toContain('margin of the real joint')
    }
    const [first] = wrapper.findAll('[data-real-joint] .which button')
    await first!.trigger('click')
    await flushPromises()
    expect(first!.text().startsWith(letter(decided()))).toBe(true)
    mounted.wrapper.unmount()
  })

  it('takes what was measured in place of what is typical, and opens in Why', async () => {
    const mounted = await mountAt(
      (() => {
        const tables = buildDemoBench(NOW)
        washed(tables, 0.5)
        return tables
      })(),
      '/joint/h1/choose',
    )
    const part = await shown(mounted, '[data-real-joint]')
    const wet = part.findAll('tbody tr').find((one) => one.text().includes('Splashes'))!
    expect(wet.attributes('data-basis')).toBe('measured')
    const share = Number(/× (\d+) %/.exec(wet.text())![1])
    expect(share).toBeGreaterThan(42)
    expect(share).toBeLessThan(58)
    await part.find('.said button').trigger('click')
    await flushPromises()
    expect(mounted.wrapper.text()).toMatch(/Splashes, measured: Pulled after 3 washes: \d+ % of dry/)
    // What is only typical says so in words, where its own figure is opened.
    const cold = part.findAll('tbody tr').find((one) => one.text().includes('cold'))!
    await cold.find('.ask-why').trigger('click')
    await flushPromises()
    expect(mounted.wrapper.find('#why').text()).toMatch(/Typical, not tested\. Estimated from the family’s limits/)
    await mounted.wrapper.find('[data-kept] .ask-why').trigger('click')
    await flushPromises()
    expect(mounted.wrapper.find('#why').text()).toMatch(/The pulls after 3 washes against the dry ones.*= 5\d %/s)
    mounted.wrapper.unmount()
  })

  it('can be seen for each procedure', async () => {
    const mounted = await mountAt(buildDemoBench(NOW), '/joint/h1/choose')
    const part = await shown(mounted, '[data-real-joint]')
    const before = part.find('.said').text()
    await part.findAll('.which button')[1]!.trigger('click')
    expect(part.find('.said').text()).not.toBe(before)
    expect(part.findAll('.which button')[1]!.attributes('aria-pressed')).toBe('true')
    mounted.wrapper.unmount()
  })
})
