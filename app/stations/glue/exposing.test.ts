// @vitest-environment happy-dom
import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { buildDemoBench } from '../../../demo/bench'
import { stateWords } from '../../bench/jointWords'
import { viewJoint } from '../../bench/jointView'
import { useTimers } from '../../frame/timers'
import { eventually } from '../../testing/eventually'
import { mountAt, press, type Mounted } from '../../testing/mountAt'

vi.mock('../../workers/client', async () => (await import('../../testing/noWorker')).workerHere())

const NOW = Date.parse('2026-11-24T18:05:00')
const HOUR = 3_600_000
/** H2 with two arms: block 1 goes through two hours of heat, nothing is pulled yet. */
async function exposedBench(path: string, dry = true): Promise<Mounted> {
  const tables = buildDemoBench(NOW)
  const round = tables.round.find(({ joint }) => joint === 'h2')!
  const [first] = round.arms
  const heat = { ...first!, id: 'a2', exposure: { kind: 'heat', amount: 50, hours: 2 } as const }
  round.arms = dry ? [first!, heat] : [heat]
  const own = tables.coupon.filter((one) => one.round === round.id)
  for (const one of own) one.arm = !dry || one.block === 1 ? 'a2' : 'a1'
  const ids = new Set(own.map(({ id }) => id))
  tables.reading = tables.reading.filter(({ coupon }) => !ids.has(coupon))
  return mountAt(tables, path)
}
const heated = ({ bench }: Mounted) => bench.all('coupon').filter(({ arm, round }) => arm === 'a2' && round === 'h2-r1')
const panel = ({ wrapper }: Mounted) => wrapper.find('[data-exposing="a2"]').text()

let clock = NOW
const at = (later: number) => vi.setSystemTime((clock = NOW + later))
beforeEach(() => {
  vi.useFakeTimers({ now: NOW, toFake: ['Date'] })
  at(0)
})

describe('what pieces go through before their test', () => {
  it('is begun and ended on Glue, its caution before it, and its real length stays on each piece', async () => {
    const mounted = await exposedBench('/joint/h2/glue')
    const joint = () => viewJoint(mounted.bench, mounted.bench.get('joint', 'h2')!)
    const pieces = heated(mounted).length
    // Head and start page count the dry ones alone as ready.
    expect(stateWords(joint(), clock)).toBe(`${12 - pieces} ready to pull, ${pieces} to expose`)
    expect(panel(mounted)).toMatch(/Before you start.*somebody in the room/)
    await press(mounted, /^Put them into the heat/)
    expect(heated(mounted).map(({ exposed }) => exposed)).toEqual(heated(mounted).map(() => ({ from: clock })))
    expect(panel(mounted)).toMatch(/left of 2 h/)
    // The head counts them as one clock, due in two hours.
    const { timers } = useTimers()
    const running = () => timers.value.filter(({ what }) => what === 'take them out of the heat')
    expect(running().map(({ at: due, label }) => [due - clock, label])).toEqual([
      [2 * HOUR, `${heated(mounted)[0]!.label} and ${heated(mounted).length - 1} more`],
    ])
    at(1.5 * HOUR)
    await press(mounted, /^Take them out of the heat/)
    expect(heated(mounted).every(({ exposed }) => exposed!.until! - exposed!.from === 1.5 * HOUR)).toBe(true)
    expect(heated(mounted)[0]!.deviations.at(-1)!.text).toBe('Exposed for 1.5 h where 2 h were planned')
    expect(panel(mounted)).toMatch(/through it, 1.5 h long/)
    expect(running()).toEqual([])
    mounted.wrapper.unmount()
  })

  it('is asked for at Break, where a piece without it is not pulled as one with it', async () => {
    const mounted = await exposedBench('/joint/h2/break')
    const [piece] = heated(mounted)
    await mounted.go(`/joint/h2/break?coupon=${piece!.id}`)
    await mounted.wrapper.unmount()
    const again = await exposedBench(`/joint/h2/break?coupon=${piece!.id}`)
    expect(again.wrapper.find('[data-not-exposed]').text()).toContain('after 2 h at 50 °C')
    expect(again.wrapper.findAll('button').some((one) => /^Log this pull/.test(one.text()))).toBe(false)
    await press(again, /^It did not: pull it as it is/)
    const now = again.bench.get('coupon', piece!.id)!
    expect(now).toMatchObject({ arm: 'a1' })
    expect(now.deviations.at(-1)!.text).toBe('Not put through it (after 2 h at 50 °C)')
    again.wrapper.unmount()
  })

  it('is left out where the round has no arm for it, and taken as planned where the maker says so', async () => {
    const [first, second] = await exposedBench('/joint/h2/break', false).then((mounted) => {
      const found = heated(mounted)
      mounted.wrapper.unmount()
      return found
    })
    const mounted = await exposedBench(`/joint/h2/break?coupon=${first!.id}`, false)
    await press(mounted, /^It did not: leave it out/)
    expect(mounted.bench.get('coupon', first!.id)!.leftOut).toContain('Not put through it')
    await mounted.go(`/joint/h2/break?coupon=${second!.id}`)
    await flushPromises()
    await eventually(() => expect(mounted.wrapper.find('[data-not-exposed]').exists()).toBe(true))
    await press(mounted, /^It went through it as planned/)
    const said = mounted.bench.all('coupon').filter(({ exposed }) => exposed)
    expect(said.map(({ exposed }) => exposed!.until! - exposed!.from)).toEqual([2 * HOUR])
    expect(mounted.wrapper.find('[data-not-exposed]').exists()).toBe(
      said[0]!.label !== mounted.wrapper.find('.which .tape').text(),
    )
    mounted.wrapper.unmount()
  })
})
