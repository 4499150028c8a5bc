// @vitest-environment happy-dom
import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { buildDemoBench } from '../../../demo/bench'
import { mountAt, type Mounted } from '../../testing/mountAt'

vi.mock('../../workers/client', async () => (await import('../../testing/noWorker')).workerHere())

const NOW = Date.parse('2026-11-24T18:00:00')
const MIN = 60_000

/** Opens a glue of the list with all that is said of it. */
async function opened({ wrapper }: Mounted, name: string) {
  const line = () => wrapper.findAll('li.glue').find((one) => one.find('h3').text().startsWith(name))!
  for (const others of [/that suit$/, /that want care$/]) {
    const more = wrapper.findAll('button').find((one) => others.test(one.text()))
    await more?.trigger('click')
  }
  await line()
    .findAll('button')
    .find((one) => one.text().startsWith('All of it'))!
    .trigger('click')
  return line
}
const press = async (line: ReturnType<Awaited<ReturnType<typeof opened>>>, words: RegExp) => {
  await line
    .findAll('button')
    .find((one) => words.test(one.text()))!
    .trigger('click')
  await flushPromises()
}

describe('a glue of the shortlist', () => {
  beforeEach(() => void vi.useFakeTimers({ now: NOW, toFake: ['Date'] }))

  it('has a drop on scrap laid, timed, looked at, and kept as what settles its reason', async () => {
    const mounted = await mountAt(buildDemoBench(NOW), '/joint/h1/shortlist')
    const line = await opened(mounted, 'Tin contact')
    expect(line().text()).toMatch(/Before you do: .*Lay a drop on scrap now and time it/)
    expect(line().text()).toMatch(/To settle it: One drop on the back/)
    await press(line(), /^Lay a drop on scrap now/)
    expect(mounted.bench.all('scrap').filter(({ joint }) => joint === 'h1')).toMatchObject([
      { adhesive: 'tin', family: 'contact-solvent', rule: 'bleed-through-cloth', startedAt: NOW, looks: [] },
    ])
    expect(line().text()).toMatch(/look at it in 10:00, 10 min after it was laid/)
    vi.setSystemTime(NOW + 10 * MIN)
    await press(line(), /^Nothing to see/)
    expect(line().text()).toMatch(/1 days? after it was laid|24 h after it was laid/)
    vi.setSystemTime(NOW + 1441 * MIN)
    await press(line(), /^Nothing to see/)
    expect(line().text()).toMatch(/Your own drop on scrap showed nothing after a day\./)
    expect(line().text()).not.toMatch(/To settle it: One drop on the back/)
    mounted.wrapper.unmount()
  })

  it('says where makers disagree, and puts both ways into the round', async () => {
    const mounted = await mountAt(buildDemoBench(NOW), '/joint/h1/shortlist')
    const line = await opened(mounted, 'Tin contact')
    expect(line().text()).toMatch(/Makers disagree here, on the wait before closing contact glue/)
    await press(line(), /^Put both ways into the round: Tin contact, solvent, the wait/)
    const added = mounted.bench.all('procedure').filter(({ name }) => /joined at/.test(name))
    expect(added.map(({ name, adhesive }) => [name, adhesive])).toEqual([
      ['Tin contact, solvent, joined at 2 min', 'tin'],
      ['Tin contact, solvent, joined at 20 min', 'tin'],
    ])
    const waits = added.map(({ steps }) => steps.find(({ kind }) => kind === 'wait')!.minS)
    expect(waits).toEqual([120, 1200])
    expect(mounted.bench.history()[0]!.label).toMatch(/^H1: test .* as E, .* as F$|^H1: test .* as D, .* as E$/)
    expect(line().text()).not.toMatch(/Put both ways into the round: Tin contact, solvent, the wait/)
    mounted.wrapper.unmount()
  })
})
