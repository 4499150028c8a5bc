// @vitest-environment happy-dom
import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { buildDemoBench } from '../../demo/bench'
import { mountAt, press, shown } from '../testing/mountAt'
import { eventually } from '../testing/eventually'

vi.mock('../workers/client', async () => (await import('../testing/noWorker')).workerHere())

const NOW = Date.parse('2026-11-24T18:00:00')
const DAY = 86_400_000

describe('the build as a whole', () => {
  beforeEach(() => void vi.useFakeTimers({ now: NOW, toFake: ['Date'] }))

  it('sums up what is decided, and says what is in no sum yet', async () => {
    const mounted = await mountAt(buildDemoBench(NOW), '/build')
    await shown(mounted, '[data-kit]')
    const rows = mounted.wrapper.findAll('tbody tr').map((one) => one.text())
    expect(rows).toHaveLength(5)
    expect(rows[0]).toMatch(/H1.*Milky contact, water.*2\.07 times.*36 of 36/)
    expect(mounted.wrapper.text()).toMatch(/since nothing is decided: H2, H3, H4, H5/)
    mounted.wrapper.unmount()
  })

  it('buys the packs that are missing for what is left, and none once all are glued', async () => {
    const tables = buildDemoBench(NOW)
    // Two coats: 36 × 0.924 g and a tenth more are 36.6 g; a twentieth of a pack of 270 g is there: 13.5 g.
    const mounted = await mountAt(tables, '/build')
    await shown(mounted, '[data-buy]')
    const buy = mounted.wrapper.find('[data-buy]').text()
    expect(buy).toMatch(/1 pack of Milky contact, water, 250 ml\s*for H1/)
    expect(buy).toMatch(/36\.6 g wanted, 13\.5 g on the shelf/)
    expect(buy).toMatch(/11\.50/)
    const decision = mounted.bench.all('decision')[0]!
    const glued = [{ at: NOW, joints: 36 }]
    await mounted.bench.write('glued', [
      { table: 'decision', id: decision.id, before: decision, after: { ...decision, glued } },
    ])
    await flushPromises()
    expect(mounted.wrapper.find('[data-buy]').exists()).toBe(false)
    expect(mounted.wrapper.text()).toMatch(/Nothing is left to be glued/)
    mounted.wrapper.unmount()
  })

  it('reckons the evenings back from the day, all joints of them, and says when they do not fit', async () => {
    const mounted = await mountAt(buildDemoBench(NOW), '/build')
    await shown(mounted, '.days li')
    const text = mounted.wrapper.find('.days').text()
    const joints = [...text.matchAll(/H1, (\d+) joints?/g)].reduce((sum, [, one]) => sum + Number(one), 0)
    expect(joints).toBe(36)
    const tables = buildDemoBench(NOW)
    const soon = new Date(NOW + DAY).toISOString().slice(0, 10)
    tables.build[0]!.inServiceBy = soon
    tables.joint.forEach((joint) => (joint.brief.inServiceBy = null))
    const late = await mountAt(tables, '/build')
    await eventually(() => expect(late.wrapper.text()).toMatch(/H1 does not fit any more/))
    mounted.wrapper.unmount()
    late.wrapper.unmount()
  })

  it('takes along what mends each decided joint within minutes, with the cautions before it', async () => {
    const mounted = await mountAt(buildDemoBench(NOW), '/build')
    await shown(mounted, '[data-kit]')
    const kit = mounted.wrapper.find('[aria-labelledby="kit"]').text()
    expect(kit).toMatch(/mends H1: 2 sealed small packs/)
    expect(kit.indexOf('Before you mend')).toBeLessThan(kit.indexOf('mends H1'))
    expect(kit).toMatch(/may serve for the day/)
    expect(kit).not.toMatch(/\bsafe\b/)
    mounted.wrapper.unmount()
  })

  it('is called, dated and paid for as the maker says; bad money is a sentence', async () => {
    const mounted = await mountAt(buildDemoBench(NOW), '/build')
    await press(mounted, /^Change name, day or money$/)
    const form = mounted.wrapper.find('form')
    const [name, day, money] = form.findAll('input')
    await name!.setValue('Big heron')
    await day!.setValue('2027-02-01')
    await money!.setValue('sixty')
    await form.trigger('submit')
    await flushPromises()
    expect(mounted.wrapper.find('.problem').exists()).toBe(true)
    expect(mounted.bench.all('build')[0]!.name).toBe('Lantern heron')
    await money!.setValue('75')
    await form.trigger('submit')
    await flushPromises()
    expect(mounted.bench.all('build')[0]).toMatchObject({ name: 'Big heron', inServiceBy: '2027-02-01', budget: 75 })
    mounted.wrapper.unmount()
  })
})
