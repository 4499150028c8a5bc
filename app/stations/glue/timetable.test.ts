// @vitest-environment happy-dom
import { flushPromises } from '@vue/test-utils'
import ICAL from 'ical.js'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { buildDemoBench } from '../../../demo/bench'
import type { Evening } from '../../../core/schedule/evening'
import { mountAt, type Mounted } from '../../testing/mountAt'
import { lookEntries } from '../../bench/lookEntries'
import { calendarFile } from './calendarFile'
import { eventually } from '../../testing/eventually'

vi.mock('../../workers/client', async () => (await import('../../testing/noWorker')).workerHere())

const NOW = Date.parse('2026-11-24T18:05:00')
const glueOf = async () => {
  const mounted = await mountAt(buildDemoBench(NOW), '/joint/h3/glue')
  await answered(mounted)
  return mounted
}
/** The search takes as long as it takes; what it found stands on the page. */
const answered = (mounted: Mounted) =>
  eventually(() => {
    if (mounted.wrapper.find('.searching').exists()) throw new Error('still searching')
  })
const evenings = ({ wrapper }: Mounted) => wrapper.findAll('[data-evenings] > li').map((one) => one.find('p').text())
async function press({ wrapper }: Mounted, words: RegExp) {
  await wrapper
    .findAll('button')
    .find((one) => words.test(one.text()))!
    .trigger('click')
  await flushPromises()
}

describe('the timetable on Glue', () => {
  beforeEach(() => void vi.useFakeTimers({ now: NOW, toFake: ['Date'] }))

  it('says what is glued and pulled when, and that nothing can end earlier', async () => {
    const mounted = await glueOf()
    expect(evenings(mounted)).toEqual([expect.stringMatching(/glue /), expect.stringMatching(/pull all 12/)])
    expect(mounted.wrapper.text()).toMatch(/2 sessions; the last pull ends .*, and (no timetable can|none can)/)
    mounted.wrapper.unmount()
  })

  it('begins what is left at the time it is, whenever something was done', async () => {
    const mounted = await glueOf()
    vi.setSystemTime(NOW + 40 * 60_000)
    await mounted.wrapper.find('.task .v-btn.go').trigger('click')
    await flushPromises()
    await answered(mounted)
    const [, from] = /^(\d\d:\d\d)/.exec(evenings(mounted)[0]!)!
    expect(from! >= '18:45').toBe(true)
    mounted.wrapper.unmount()
  })

  it('moves the pulls where the maker wants them, and back', async () => {
    const mounted = await glueOf()
    const before = evenings(mounted)
    const select = mounted.wrapper.findAll('.by-hand select').at(-1)!
    const later = select.findAll('option').at(-1)!
    await select.setValue(later.element.value)
    await flushPromises()
    await answered(mounted)
    expect(mounted.bench.of('round', 'h3')[0]!.timetable!.pullFrom).toBe(Number(later.element.value))
    expect(evenings(mounted).at(-1)).not.toBe(before.at(-1))
    await select.setValue('')
    await flushPromises()
    await answered(mounted)
    expect(evenings(mounted).at(-1)).toBe(before.at(-1))
    mounted.wrapper.unmount()
  })

  it('says what stands in the way when nobody is there, and what would help', async () => {
    const mounted = await glueOf()
    const { bench } = mounted
    const shop = { weekly: [], exceptions: [], hands: 1, clamp: 1, lamp: 1, oven: 1, fridge: 1 }
    await bench.write('nobody', [
      { table: 'bench', id: bench.bench!.id, before: { ...bench.bench! }, after: { ...bench.bench!, shop } } as never,
    ])
    await flushPromises()
    await answered(mounted)
    expect(mounted.wrapper.find('.nothing').text()).toMatch(/Nothing fits\..*window/i)
    mounted.wrapper.unmount()
  })

  it('takes hours as they are typed, and says what it expected', async () => {
    const mounted = await glueOf()
    await eventually(() => expect(mounted.wrapper.find('.shop').exists()).toBe(true))
    const [monday] = mounted.wrapper.findAll('.shop input')
    await monday!.setValue('evenings')
    await mounted.wrapper.find('.shop').trigger('submit')
    await flushPromises()
    expect(mounted.wrapper.find('.shop .problem').text()).toMatch(/hours such as 18:00 to 21:00/)
    await monday!.setValue('7pm-10pm')
    await mounted.wrapper.find('.shop').trigger('submit')
    await flushPromises()
    const kept = mounted.bench.bench!.shop!.weekly.filter(({ day }) => day === 1)
    expect(kept).toEqual([{ day: 1, span: { from: 1140, to: 1320 } }])
    // A day of its own that is typed and not added yet is kept too, or asked about.
    const day = mounted.wrapper.find('.shop input[type="date"]')
    const hours = mounted.wrapper.findAll('.shop input').at(-1)!
    await hours.setValue('9-12')
    await mounted.wrapper.find('.shop').trigger('submit')
    await flushPromises()
    expect(mounted.wrapper.find('.shop .problem').text()).toMatch(/The day is missing/)
    await day.setValue('2026-12-24')
    await mounted.wrapper.find('.shop').trigger('submit')
    await flushPromises()
    expect(mounted.bench.bench!.shop!.exceptions).toContainEqual({
      day: '2026-12-24',
      spans: [{ from: 540, to: 720 }],
    })
    await press(mounted, /^Save as a calendar file/)
    mounted.wrapper.unmount()
  })
})

describe('the calendar file', () => {
  it('opens elsewhere with every evening at its time, its work, and its alarms', async () => {
    const from = Date.UTC(2026, 10, 27, 17, 0)
    const evening = (at: number, more: Partial<Evening>): Evening => ({
      from: at,
      to: at + 95 * 60_000,
      glued: [],
      pulled: [],
      tasks: [],
      ...more,
    })
    const list = [
      evening(from, { glued: [{ procedure: 'p1', pieces: 4 }] }),
      evening(from + 2 * 86_400_000, { pulled: [{ session: 'cured', coupons: ['c1'] }] }),
    ]
    const of = {
      round: { id: 'r', arms: [{ id: 'a1', test: 'lap-shear', exposure: null }] },
      procedures: [{ id: 'p1', letter: 'A', steps: [] }],
      coupons: [{ id: 'c1', label: 'H1-A1', procedure: 'p1', arm: 'a1' }],
    }
    const text = await calendarFile(list, [of as never], 'r', 'H1 Rib; to "cloth", wing')
    // Read by a parser that shares nothing with what wrote it.
    const events = new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent').map((one) => new ICAL.Event(one))
    expect(events.map((one) => one.startDate.toJSDate().getTime())).toEqual([from, from + 2 * 86_400_000])
    expect(events.map((one) => one.endDate.toUnixTime() - one.startDate.toUnixTime())).toEqual([5700, 5700])
    expect(events.map((one) => one.summary)).toEqual([
      'H1 Rib; to "cloth", wing: Glue A',
      'H1 Rib; to "cloth", wing: Pull all 1',
    ])
    const alarms = events.map((one) =>
      one.component
        .getAllSubcomponents('valarm')
        .map((alarm) => (alarm.getFirstPropertyValue('trigger') as ICAL.Duration).toSeconds()),
    )
    expect(alarms).toEqual([[-900], [-900, -86_400]])
    expect(new Set(events.map(({ uid }) => uid)).size).toBe(2)
  })

  it('bears the day on which coupons come back from a long exposure, and none of a short one', () => {
    const at = Date.parse('2026-12-01T20:00:00Z')
    const steps = [
      { id: 'c', kind: 'close', text: '', minS: 0, maxS: null },
      { id: 'k', kind: 'cure', text: '', minS: 86_400, maxS: null },
    ]
    const arm = (id: string, hours: number) => ({
      id,
      test: 'lap-shear',
      exposure: { kind: 'soak', amount: hours, hours },
    })
    const coupon = (label: string, of: string) => ({
      id: label,
      label,
      arm: of,
      procedure: 'p',
      stamps: [{ step: 'c', at }],
    })
    const view = {
      joint: { code: 'H1', name: 'Rib' },
      round: { arms: [arm('long', 48), arm('short', 2)] },
      procedures: [{ id: 'p', steps }],
      coupons: [coupon('H1-A1', 'long'), coupon('H1-A2', 'long'), coupon('H1-A3', 'short')],
      readings: [],
    }
    expect(lookEntries([view as never])).toEqual([
      {
        // a day of cure and two under water
        from: at + 3 * 86_400_000,
        to: at + 3 * 86_400_000 + 30 * 60_000,
        title: 'H1 Rib: lap shear, after 48 h under water',
        lines: ['Pull or count H1-A1, H1-A2'],
        alarms: [15, 1440],
      },
    ])
  })
})
