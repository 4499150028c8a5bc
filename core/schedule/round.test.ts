import { describe, expect, it } from 'vitest'
import { curedFrom, gapBetween } from '../planning/gluing'
import { handsOnMin } from '../planning/stepWords'
import { seededRandom } from '../planning/random'
import type { Arm } from '../records/round'
import type { Coupon } from '../records/coupon'
import type { Procedure, Step } from '../records/procedure'
import { usualShop, type Shop } from '../records/shop'
import { broken } from './__tests__/checker'
import { eveningsOf, eveningWords } from './evening'
import { parseHours, sayHours } from './hours'
import { problemOf, type RoundToGlue } from './round'
import { search } from './search'
import { atWorkFrom, hoursFrom } from './windows'
import { dayOf } from '../quantities/days'

const MINUTE = 60_000
const step = (kind: Step['kind'], minS = 0, maxS: number | null = null, more: Partial<Step> = {}): Step => ({
  id: kind,
  kind,
  text: kind === 'clamp' ? 'Clamp with flat pads' : kind,
  minS,
  maxS,
  ...more,
})
const procedure = (letter: string, steps: Step[]) => ({ id: letter, letter, steps }) as Procedure
const arm = (id: string, more: Partial<Arm> = {}): Arm => ({
  id,
  test: 'lap-shear',
  exposure: null,
  size: {},
  passLimit: null,
  passSetAt: null,
  lateChanges: [],
  ...more,
})
const coupon = (id: string, of: string, more: Partial<Coupon> = {}) =>
  ({ id, label: `H1-${id}`, procedure: of, arm: 'a1', block: 1, stamps: [], ...more }) as Coupon
const round = (arms: Arm[], procedures: Procedure[], coupons: Coupon[]): RoundToGlue => ({
  round: { id: 'r', arms },
  procedures,
  coupons,
  glues: {},
})
const contact = procedure('A', [
  step('prepare-a'),
  step('apply', 0, 600),
  step('coat', 1200),
  step('wait', 900, 2400),
  step('close'),
  step('hold', 30),
  step('clamp', 3600),
  step('cure', 86_400),
])
const twin = procedure('B', [
  step('mix', 0, 300, { once: true }),
  step('apply'),
  step('close'),
  step('clamp', 7200),
  step('cure', 43_200),
])
/** Friday 27 November 2026, 18:00 on the wall. */
const START = new Date(2026, 10, 27, 18, 0).getTime()
const solved = (of: RoundToGlue[], shop: Shop = usualShop, start = START) => {
  const { problem } = problemOf(of, shop, start)
  const found = search(problem, { random: seededRandom(1), goOn: (tries) => tries < 60 })
  return { problem, found }
}

describe('a round as a timetable', () => {
  it('turns waits into gaps, holding into hands, clamping into a clamp, the cure into the pull’s gap', () => {
    const [chain] = problemOf([round([arm('a1')], [contact], [coupon('A1', 'A')])], usualShop, START).problem.chains
    const said = chain!.steps.map(({ id, minutes, minGap, maxGap, hands, uses }) => [
      id,
      minutes,
      minGap,
      maxGap,
      hands,
      uses[0],
    ])
    expect(said).toEqual([
      ['prepare-a', handsOnMin['prepare-a'], 0, null, true, undefined],
      ['apply', handsOnMin.apply, 0, null, true, undefined],
      // The coat below dries for 20 min; the open time of ten counts from when it is dry.
      ['coat', handsOnMin.coat, 20, 30, true, undefined],
      ['close', handsOnMin.close, 15, 40, true, undefined],
      ['hold', 0.5, 0, 5, true, undefined],
      ['clamp', 60, 0, 5, false, 'clamp'],
      // A day from closing: half a minute of holding and the hour in the clamp lie in it.
      ['pull', 2, 1440 - 60.5, null, true, undefined],
    ])
    expect(gapBetween(step('coat', 1200), step('wait', 900))).toEqual({ minS: 0, maxS: null })
  })

  it('never pulls before the cure that Break waits for', () => {
    const of = round(
      [arm('a1')],
      [contact, twin],
      [coupon('A1', 'A'), coupon('A2', 'A'), coupon('B1', 'B'), coupon('B2', 'B')],
    )
    const { problem, found } = solved([of])
    expect(broken(problem, found!.schedule.steps)).toEqual([])
    for (const one of of.coupons) {
      const at = (id: string) => found!.schedule.steps.find(({ chain, step: s }) => chain === one.id && s === id)!
      const closed = START + at('close').to * MINUTE
      const glue = of.procedures.find(({ id }) => id === one.procedure)!
      const stamped = { ...one, stamps: [{ step: 'close', at: closed }] }
      expect(START + at('pull').from * MINUTE).toBeGreaterThanOrEqual(curedFrom(stamped, glue, of.round.arms[0])! - 1)
    }
    // One mix serves both pieces.
    expect(new Set(found!.schedule.steps.filter(({ step: s }) => s === 'mix').map(({ from }) => from)).size).toBe(1)
  })

  it('lets a mix that was stirred already serve as long as it keeps, and mixes anew for what comes later', () => {
    const pieces = ['B1', 'B2', 'B3', 'B4', 'B5', 'B6'].map((id) => coupon(id, 'B'))
    // Stirred two minutes ago, keeps five: of pieces of 1.5 min each two are laid in time, the others ask for another.
    pieces[0]!.stamps = [{ step: 'mix', at: START - 2 * MINUTE }]
    const { found } = solved([round([arm('a1')], [twin], pieces)])
    const at = (kind: string) => found!.schedule.steps.filter((one) => one.step === kind)
    expect(at('mix').filter(({ to }) => to <= 0).length).toBeGreaterThan(0)
    for (const one of at('apply')) {
      const mixed = at('mix').find(({ chain }) => chain === one.chain)!
      expect(one.from - mixed.to).toBeLessThanOrEqual(5 + 1e-6)
    }
    expect(new Set(at('mix').map(({ from }) => from)).size).toBeGreaterThan(1)
    // What is laid on already asks for no mix.
    pieces[0]!.stamps.push({ step: 'apply', at: START - MINUTE })
    expect(solved([round([arm('a1')], [twin], pieces)]).problem.chains[0]!.steps.map(({ id }) => id)).not.toContain(
      'mix',
    )
  })

  it('goes on from what is done: a wait that runs is kept, one that is over is done at once', () => {
    const stamped = (minutesAgo: number) =>
      coupon('A1', 'A', {
        stamps: ['prepare-a', 'apply', 'coat', 'wait'].map((id) => ({ step: id, at: START - minutesAgo * MINUTE })),
      })
    const firstOf = (minutesAgo: number) =>
      solved([round([arm('a1')], [contact], [stamped(minutesAgo)])]).found!.schedule.steps[0]!
    expect(firstOf(5)).toMatchObject({ step: 'close', from: 10 })
    expect(firstOf(90)).toMatchObject({ step: 'close', from: 0 })
  })

  it('keeps whoever has glue open at the bench, though the evening ends', () => {
    const late = new Date(2026, 10, 27, 20, 55).getTime()
    const open = coupon('A1', 'A', {
      stamps: ['prepare-a', 'apply', 'coat', 'wait'].map((id) => ({ step: id, at: late - 5 * MINUTE })),
    })
    const { problem, found } = solved([round([arm('a1')], [contact], [open])], usualShop, late)
    expect(found!.schedule.steps[0]).toMatchObject({ step: 'close', from: 10 })
    expect(broken(problem, found!.schedule.steps)).toEqual([])
  })

  it('puts pieces into the oven and takes them out, back to the room’s warmth before the pull', () => {
    const hot = arm('a1', { exposure: { kind: 'heat', amount: 50, hours: 2 } })
    const { problem, found } = solved([round([hot], [twin], [coupon('B1', 'B'), coupon('B2', 'B')])], {
      ...usualShop,
      oven: 1,
    })
    expect(broken(problem, found!.schedule.steps)).toEqual([])
    const of = (id: string, name: string) =>
      found!.schedule.steps.find(({ chain, step: s }) => chain === id && s === name)!
    for (const id of ['B1', 'B2']) {
      expect(of(id, 'through').to - of(id, 'through').from).toBe(120)
      expect(of(id, 'pull').from).toBeGreaterThanOrEqual(of(id, 'out').to + 60)
    }
  })

  it('pulls at an age within half an hour of it, in a session of its own', () => {
    const arms = [arm('a1'), arm('a2', { ageS: 86_400 })]
    const of = round(arms, [contact], [coupon('A1', 'A'), coupon('A2', 'A', { arm: 'a2' })])
    const { problem, found } = solved([of])
    expect(broken(problem, found!.schedule.steps)).toEqual([])
    const at = (name: string) => found!.schedule.steps.find(({ chain, step: s }) => chain === 'A2' && s === name)!
    expect(Math.abs(at('pull').from - at('close').to - 1440)).toBeLessThanOrEqual(30.01)
    expect(new Set(problem.chains.map(({ session }) => session))).toEqual(new Set(['cured', 'age 86400']))
  })

  it('respects what the maker has set: a glue later, a pull later, a step at its time', () => {
    const of = round([arm('a1')], [contact, twin], [coupon('A1', 'A'), coupon('B1', 'B')])
    const saturday = new Date(2026, 10, 28, 10, 0).getTime()
    const monday = new Date(2026, 10, 30, 0, 0).getTime()
    const timetable = {
      notBefore: [{ procedure: 'B', at: saturday }],
      pins: [{ coupon: 'A1', step: 'prepare-a', at: START + 30 * MINUTE }],
      pullFrom: monday,
    }
    const { found } = solved([{ ...of, round: { ...of.round, timetable } }])
    const at = (id: string, name: string) =>
      START + found!.schedule.steps.find(({ chain, step: s }) => chain === id && s === name)!.from * MINUTE
    expect(at('A1', 'prepare-a')).toBe(START + 30 * MINUTE)
    expect(at('B1', 'apply')).toBeGreaterThanOrEqual(saturday)
    expect(at('B1', 'pull')).toBeGreaterThanOrEqual(monday)
  })

  it('takes a pin whose time has just passed for now, and forgets one that is long past', () => {
    const of = round([arm('a1')], [contact], [coupon('A1', 'A')])
    const withPin = (minutesAgo: number) => {
      const pins = [{ coupon: 'A1', step: 'prepare-a', at: START - minutesAgo * MINUTE }]
      const timetable = { notBefore: [], pins, pullFrom: null }
      return solved([{ ...of, round: { ...of.round, timetable } }])
    }
    for (const [minutesAgo, pinned] of [
      [1, 0],
      [30, undefined],
    ] as const) {
      const { problem, found } = withPin(minutesAgo)
      expect(problem.chains[0]!.steps[0]!.pinned).toBe(pinned)
      expect(found!.schedule.steps[0]!.from).toBe(0)
    }
  })

  it('lets two joints share hands and clamps, each with a session of its own', () => {
    const one = round([arm('a1')], [contact], [coupon('A1', 'A'), coupon('A2', 'A')])
    const two = { ...round([arm('a1')], [twin], [coupon('B1', 'B')]), round: { id: 'r2', arms: [arm('a1')] } }
    const { problem, found } = solved([one, two], { ...usualShop, clamp: 1 })
    expect(broken(problem, found!.schedule.steps)).toEqual([])
    expect(new Set(problem.chains.map(({ session }) => session)).size).toBe(2)
  })

  it('is said back as evenings with their work', () => {
    const of = round([arm('a1')], [contact, twin], [coupon('A1', 'A'), coupon('B1', 'B')])
    const { found } = solved([of])
    const evenings = eveningsOf(found!.schedule, [of], START)
    expect(evenings.map((one) => eveningWords(one, of.procedures, 2))).toEqual([
      expect.stringMatching(/^glue [AB], then [AB]$/),
      'pull all 2',
    ])
    expect(dayOf(evenings[1]!.from)).toBe('2026-11-29')
    expect(evenings.flatMap(({ tasks }) => tasks).every((task) => task.to >= task.from)).toBe(true)
  })
})

describe('when somebody works', () => {
  it('follows the week, and the days that are otherwise', () => {
    const hours = hoursFrom(
      {
        ...usualShop,
        exceptions: [
          { day: '2026-11-28', spans: [] },
          { day: '2026-11-29', spans: [{ from: 600, to: 660 }] },
        ],
      },
      START + 30 * MINUTE,
      4,
    )
    expect(hours.map(({ from, to }) => [dayOf(from), (to - from) / MINUTE])).toEqual([
      ['2026-11-27', 150],
      ['2026-11-29', 60],
      ['2026-11-30', 180],
    ])
  })
  it.each([
    // Friday 27 November 2026: at work from 18 to 21, Saturday from 10 to 18.
    ['2026-11-27T04:00', '2026-11-27T18:00'],
    ['2026-11-27T18:00', '2026-11-27T18:00'],
    ['2026-11-27T20:59', '2026-11-27T20:59'],
    ['2026-11-27T21:00', '2026-11-28T10:00'],
    ['2026-11-29T18:00', '2026-11-30T18:00'],
  ])('from %s on is first %s', (at, first) =>
    expect(atWorkFrom(usualShop, new Date(at).getTime())).toBe(new Date(first).getTime()),
  )
  it('passes over holidays, and takes the time itself where nobody ever works', () => {
    const away = ['2026-11-28', '2026-11-29'].map((day) => ({ day, spans: [] }))
    const at = new Date('2026-11-27T21:00').getTime()
    expect(atWorkFrom({ ...usualShop, exceptions: away }, at)).toBe(new Date('2026-11-30T18:00').getTime())
    expect(atWorkFrom({ weekly: [], exceptions: [] }, at)).toBe(at)
  })
  it('is the clock on the wall over a change of summer time, while minutes stay minutes', () => {
    // Where clocks go back on 25 October 2026, 18:00 to 18:00 is 25 hours; elsewhere it is 24.
    const [saturday, sunday] = hoursFrom(
      { weekly: [0, 6].map((day) => ({ day, span: { from: 1080, to: 1140 } })), exceptions: [] },
      new Date(2026, 9, 24, 12).getTime(),
      2,
    )
    const shift = new Date(2026, 9, 25, 18).getTimezoneOffset() - new Date(2026, 9, 24, 18).getTimezoneOffset()
    expect((sunday!.from - saturday!.from) / MINUTE).toBe(1440 + shift)
    expect([saturday, sunday].map((one) => new Date(one!.from).getHours())).toEqual([18, 18])
  })
  it.each([
    ['18:00 to 21:00', [[1080, 1260]]],
    ['6pm-9:30pm', [[1080, 1290]]],
    [
      '9 – 12, 14.30 till 18',
      [
        [540, 720],
        [870, 1080],
      ],
    ],
    ['20 to 24', [[1200, 1440]]],
    ['', []],
  ])('reads %s', (text, expected) => {
    const spans = parseHours(text, 'Monday')
    expect(spans.map(({ from, to }) => [from, to])).toEqual(expected)
    expect(parseHours(sayHours(spans), 'Monday')).toEqual(spans)
  })
  it.each(['evening', '21 to 18', '25:00 to 26:00', '18:70 to 19', '13pm to 14pm', '18'])('asks again for %s', (text) =>
    expect(() => parseHours(text, 'Monday')).toThrow(),
  )
})
