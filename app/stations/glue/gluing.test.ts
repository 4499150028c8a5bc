// @vitest-environment happy-dom
import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { buildDemoBench } from '../../../demo/bench'
import { closedAt } from '../../../core/planning/gluing'
import { fullCureS } from '../../../core/planning/steps'
import { mountAt, type Mounted } from '../../testing/mountAt'

vi.mock('../../workers/client', async () => (await import('../../testing/noWorker')).workerHere())

const NOW = Date.parse('2026-11-24T18:05:00')
const HOUR = 3_600_000
type Tables = ReturnType<typeof buildDemoBench>
const glueOf = (change: (tables: Tables) => void = () => {}) => {
  const tables = buildDemoBench(NOW)
  change(tables)
  return mountAt(tables, '/joint/h3/glue')
}
async function press({ wrapper }: Mounted, words: RegExp) {
  await wrapper
    .findAll('button')
    .find((one) => words.test(one.text()))!
    .trigger('click')
  await flushPromises()
}
/** Looks at the closed pieces of a procedure: not firm just before a time after closing, firm just after it. */
const firmAt = (letter: string, hours: number) => (tables: Tables) => {
  const procedure = tables.procedure.find((one) => one.joint === 'h3' && one.letter === letter)!
  const round = tables.round.find(({ joint }) => joint === 'h3')!
  for (const coupon of tables.coupon.filter((one) => one.procedure === procedure.id && one.round === round.id)) {
    const closed = closedAt(coupon, procedure)
    if (closed === null) continue
    for (const [at, state] of [
      [0.95, 'slides'],
      [1.05, 'firm'],
    ] as const)
      tables.cureCheck.push({
        id: `${coupon.id} ${state}`,
        coupon: coupon.id,
        at: Math.round(closed + at * hours * HOUR),
        state,
      })
  }
}
const procedureOf = ({ bench }: Mounted, letter: string) =>
  bench.of('procedure', 'h3').find((one) => one.letter === letter)!

describe('the times of a cure', () => {
  beforeEach(() => void vi.useFakeTimers({ now: NOW, toFake: ['Date'] }))

  it('follow own looks: later than the tables lengthens the cure, by one press, everywhere', async () => {
    const plain = await glueOf()
    const [planned] = [fullCureS(procedureOf(plain, 'A').steps)]
    expect(plain.wrapper.find('[data-times="A"]').exists()).toBe(false)
    plain.wrapper.unmount()
    const slow = await glueOf(firmAt('A', 20))
    const said = slow.wrapper.find('[data-times="A"]').text()
    expect(said).toMatch(/firm after about 20 h by your own looks .*the\s+tables say .* here/)
    await press(slow, /^Let A cure for/)
    const taken = fullCureS(procedureOf(slow, 'A').steps)
    expect(taken).toBeGreaterThan(1.5 * planned)
    expect(slow.wrapper.find('[data-times="A"]').exists()).toBe(false)
    expect(slow.wrapper.text()).toMatch(/cured/)
    slow.wrapper.unmount()
  })

  it('follow the room: a cold one is told, with its times to take over', async () => {
    const cold = await glueOf((tables) => (tables.bench[0]!.room = { tempC: 9, rh: 80, at: NOW }))
    const said = cold.wrapper.find('[data-times="C"]').text()
    expect(said).toMatch(/in the room as it is now, 9 °C and 80 %, it cures in .* stand in the plan/)
    const before = procedureOf(cold, 'C').steps.find(({ kind }) => kind === 'wait')!.minS
    await press(cold, /^Let C cure for/)
    expect(procedureOf(cold, 'C').steps.find(({ kind }) => kind === 'wait')!.minS).toBeGreaterThan(before)
    cold.wrapper.unmount()
  })

  it('ask for a look where it tells most, at the piece at which it is due soonest', async () => {
    const mounted = await glueOf()
    expect(mounted.wrapper.find('[data-next-look]').text()).toMatch(/^A look (tells most|now tells most)/)
    // The piece stays shown after a tap: the next one must not fall on another.
    const label = () => mounted.wrapper.find('#cure-check .tape').text()
    const before = label()
    await press(mounted, /^firm$/)
    expect(label()).toBe(before)
    expect(mounted.wrapper.find('[data-checks]').text()).toMatch(/check.* kept, last: firm/)
    mounted.wrapper.unmount()
  })
})

describe('the step to do', () => {
  beforeEach(() => void vi.useFakeTimers({ now: NOW, toFake: ['Date'] }))

  it('folds its cautions once they were read, and asks again the next evening', async () => {
    // Of the pieces of one glue that is nothing for the lungs: its first step has its cautions.
    const fresh = (tables: Tables) => {
      const solvent = tables.procedure.find((one) => one.joint === 'h3' && one.letter === 'B')!
      const round = tables.round.find(({ joint }) => joint === 'h3')!
      for (const coupon of tables.coupon)
        if (coupon.round === round.id && coupon.procedure === solvent.id)
          coupon.stamps = solvent.steps.slice(0, 4).map(({ id }) => ({ step: id, at: NOW - HOUR / 2 }))
        else if (coupon.round === round.id) coupon.stamps = []
    }
    const mounted = await glueOf(fresh)
    const care = () => mounted.wrapper.find('.task .care')
    expect(care().element.tagName).toBe('DIV')
    await press(mounted, /^I have read this$/)
    expect(care().element.tagName).toBe('DETAILS')
    expect(care().text()).toMatch(/read this evening/)
    mounted.wrapper.unmount()
    vi.setSystemTime(NOW + 24 * HOUR)
    const later = await glueOf(fresh)
    expect(later.wrapper.find('.task .care').element.tagName).toBe('DIV')
    later.wrapper.unmount()
  })

  it('notes what went differently by one tap, and begins a piece again with all that was said of it', async () => {
    const mounted = await glueOf()
    const label = mounted.wrapper.find('.task .tape').text()
    const piece = () => mounted.bench.all('coupon').find((one) => one.label === label)!
    expect(piece().stamps.length).toBeGreaterThan(0)
    await press(mounted, /^Something went differently/)
    await press(mounted, /^too much glue$/)
    expect(piece().deviations.at(-1)!.text).toBe('too much glue')
    await press(mounted, /^Something went differently/)
    await press(mounted, /^Begin this piece again$/)
    expect(piece().stamps).toEqual([])
    expect(
      piece()
        .deviations.map(({ text }) => text)
        .slice(-2),
    ).toEqual(['too much glue', 'begun again with fresh parts'])
    mounted.wrapper.unmount()
  })
})

describe('a moment that went wrong', () => {
  beforeEach(() => void vi.useFakeTimers({ now: NOW, toFake: ['Date'] }))

  it.each([
    ['in 1970', 0],
    ['in the year 9999', Date.UTC(9999, 0, 1)],
  ])('%s does not make the strips draw thousands of lines', async (_, at) => {
    const mounted = await glueOf((tables) => {
      const round = tables.round.find(({ joint }) => joint === 'h3')!
      const coupon = tables.coupon.find((one) => one.round === round.id && one.stamps.length > 1)!
      coupon.stamps = coupon.stamps.map((stamp) => ({ ...stamp, at }))
    })
    const lines = mounted.wrapper.findAll('svg .tick').length
    expect(lines).toBeGreaterThan(2)
    expect(lines).toBeLessThan(120)
    expect(mounted.wrapper.findAll('svg *').length).toBeLessThan(1500)
    mounted.wrapper.unmount()
  })
})

describe('heat beside a film that may burn', () => {
  beforeEach(() => void vi.useFakeTimers({ now: NOW, toFake: ['Date'] }))
  const MINUTE = 60_000
  const gunSteps = [
    { id: 's1', kind: 'ready', text: 'Switch the glue gun on', minS: 300, maxS: null, once: true },
    { id: 's2', kind: 'apply', text: 'Lay one hot bead', minS: 0, maxS: 60 },
    { id: 's3', kind: 'close', text: 'Close at once on the marks', minS: 0, maxS: null },
    { id: 's4', kind: 'cure', text: 'Leave alone', minS: 3600, maxS: null },
  ] as const
  /** Of H3 only one piece is left, of hot melt; a piece of another joint had its solvent contact laid so long ago. */
  const gunAfter = (minutes: number) => (tables: Tables) => {
    const h3 = tables.round.find(({ joint }) => joint === 'h3')!
    const gun = tables.procedure.find(({ joint, letter }) => joint === 'h3' && letter === 'C')!
    Object.assign(gun, { family: 'hotmelt-low', adhesive: null, helpers: [], steps: gunSteps })
    const contact = tables.procedure.find(({ joint, letter }) => joint === 'h3' && letter === 'B')!
    let first = true
    for (const one of tables.coupon) {
      const film = tables.procedure.find(({ id }) => id === one.procedure)!
      if (one.round === h3.id) {
        one.stamps = []
        one.leftOut = one.procedure === gun.id ? null : 'not glued'
      } else if (first) {
        first = false
        Object.assign(film, { family: 'contact-solvent', adhesive: null, helpers: [], steps: contact.steps })
        const laid = film.steps.findLastIndex(({ kind }) => kind === 'apply' || kind === 'coat')
        one.stamps = film.steps.slice(0, laid + 1).map(({ id }) => ({ step: id, at: NOW - minutes * MINUTE }))
      } else one.stamps = one.stamps.map((stamp) => ({ ...stamp, at: Math.min(stamp.at, NOW - 48 * HOUR) }))
    }
    tables.reading = []
    tables.cureCheck = []
    tables.decision = []
  }
  it('waits, across joints, says until when, and is on offer to no button and no key', async () => {
    const mounted = await glueOf(gunAfter(2))
    const task = mounted.wrapper.find('.task')
    expect(task.text()).toMatch(/Switch the glue gun on/)
    expect(task.text()).toMatch(/Nothing hot yet: vapour of H\d-\w+ may catch fire/)
    expect(task.find('[role=timer]').text()).toMatch(/^\d+:\d\d/)
    expect(task.text()).toMatch(/at least, until the air is clear/)
    expect(task.find('.v-btn.go').exists()).toBe(false)
    const before = mounted.bench.all('coupon')
    window.dispatchEvent(new KeyboardEvent('keydown', { key: ' ', bubbles: true }))
    await flushPromises()
    expect(mounted.bench.all('coupon')).toEqual(before)
    mounted.wrapper.unmount()
  })
  it('is on offer again once the film is dry and the air has cleared', async () => {
    const mounted = await glueOf(gunAfter(20 * 60))
    const task = mounted.wrapper.find('.task')
    expect(task.text()).not.toMatch(/Nothing hot yet/)
    expect(task.find('.v-btn.go').text()).toMatch(/All is ready/)
    mounted.wrapper.unmount()
  })
})
