import { describe, expect, it } from 'vitest'
import { families, familyOf } from '../knowledge/families'
import { materialClassOf } from '../knowledge/materials'
import { openBrief } from '../records/openBrief'
import type { Coupon } from '../records/coupon'
import type { Procedure } from '../records/procedure'
import { doneOnce, closedAt, curedFrom, stampsFor, taskOf, tasksOf } from './gluing'
import { curingAt, openKeyWords, progressOf } from './progress'
import { timesOf } from '../situation/label'
import { fullCureS, handsOnMinutes, withStep } from './steps'
import { usualSteps } from './draft/usual'
import { stepTime } from './stepTime'

const MIN = 60_000
const procedureOf = (family: string, letter = 'A'): Procedure => ({
  id: `p${letter}`,
  joint: 'j',
  letter,
  name: family,
  family,
  adhesive: null,
  helpers: [],
  anyway: false,
  coats: 1,
  spreadGm2: null,
  dilution: null,
  blend: null,
  steps: usualSteps(familyOf(family), null, null),
})
const couponOf = (procedure: Procedure, block = 1, glueAt = 0): Coupon => ({
  id: `${procedure.letter}${block}`,
  round: 'r',
  arm: 'a1',
  procedure: procedure.id,
  block,
  label: `H1-${procedure.letter}${block}`,
  glueAt,
  pullAt: 0,
  size: {},
  stamps: [],
  deviations: [],
})

/** Does the next step of a coupon at a time, as the app does. */
function step(coupon: Coupon, procedure: Procedure, at: number): Coupon {
  return { ...coupon, stamps: [...coupon.stamps, ...stampsFor(taskOf(coupon, procedure)!, at)] }
}

describe('the usual steps', () => {
  it('follow the family: contact glue waits on both faces, instant glue is closed in its open time', () => {
    const kinds = (family: string) => usualSteps(familyOf(family), null, null).map(({ kind }) => kind)
    expect(kinds('contact-solvent')).toEqual([
      'prepare-a',
      'prepare-b',
      'fit',
      'apply',
      'wait',
      'close',
      'press',
      'hold',
      'clamp',
      'cure',
    ])
    expect(kinds('ca-thin')).toEqual(['prepare-a', 'prepare-b', 'fit', 'apply', 'close', 'hold', 'cure'])
    const apply = usualSteps(familyOf('ca-gel'), null, null).find(({ kind }) => kind === 'apply')!
    expect(apply.maxS).toBe(40)
  })
  it('prepare each face as its material asks, and take the label before the table', () => {
    const steps = usualSteps(timesOf(familyOf('epoxy-slow'), { fullS: 1000 }), materialClassOf('foam-eva'), null)
    expect(steps[0]!.text).toBe(
      `Side A, closed-cell EVA foam sheet: ${materialClassOf('foam-eva').prep.replace(/^C/, 'c')}`,
    )
    expect(fullCureS(steps)).toBe(1000)
  })
  it('say what a helper adds at the step it belongs to, and nothing without one', () => {
    const texts = (helpers: Parameters<typeof usualSteps>[3]) =>
      usualSteps(familyOf('ca-gel'), null, null, helpers).map(({ kind, text }) => `${kind} ${text}`)
    const [plain, helped] = [texts([]), texts(['primer', 'activator'])]
    expect(helped.filter((text) => !plain.includes(text))).toEqual([
      expect.stringMatching(/^prime .*primer/),
      expect.stringMatching(/^activate .*activator/),
    ])
  })
  it('take one more step where it belongs', () => {
    const steps = usualSteps(familyOf('epoxy-slow'), null, null)
    const kinds = (kind: Parameters<typeof withStep>[1]) =>
      withStep(steps, kind, 'new')
        .map((step) => step.kind)
        .join(' ')
    expect(kinds('warm')).toBe('prepare-a prepare-b fit mix apply warm close clamp cure')
    expect(kinds('prepare-a')).toBe('prepare-a prepare-b fit mix prepare-a apply close clamp cure')
    expect(kinds('clamp')).toBe('prepare-a prepare-b fit mix apply close clamp clamp cure')
  })
  it('make sense for every family: applied, closed and cured, ids unlike, windows the right way round', () => {
    for (const family of families) {
      const steps = usualSteps(family, null, null)
      expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length)
      for (const kind of ['apply', 'close', 'cure']) expect(steps.filter((one) => one.kind === kind)).toHaveLength(1)
      for (const { minS, maxS } of steps) expect(maxS === null || maxS >= minS, family.id).toBe(true)
      expect(handsOnMinutes(steps)).toBeGreaterThan(0)
    }
  })
})

describe('gluing along the clock', () => {
  const contact = procedureOf('contact-solvent')
  const glued = [0, 1, 2, 3].reduce((coupon) => step(coupon, contact, 5 * MIN), couponOf(contact))
  it('opens the closing window from the glue going on: 10 to 40 minutes', () => {
    const task = taskOf(glued, contact)!
    expect(task.step.kind).toBe('close')
    expect([task.readyAt, task.lateAt]).toEqual([15 * MIN, 45 * MIN])
  })
  it('starts holding with closing, and the cure from there', () => {
    const closed = step(glued, contact, 20 * MIN)
    expect(closedAt(closed, contact)).toBe(20 * MIN)
    expect(curedFrom(closed, contact)).toBe(20 * MIN + 432_000_000)
    const pressed = step(closed, contact, 20.5 * MIN)
    expect(taskOf(pressed, contact)!.step.kind).toBe('clamp')
    expect(taskOf(pressed, contact)!.readyAt).toBe(20.5 * MIN + 15_000)
    const clamped = step(pressed, contact, 21 * MIN)
    expect(taskOf(clamped, contact)).toBeNull()
  })
  it('puts first what is begun and soonest too late, then fresh pieces in glue order, then what still waits', () => {
    const instant = procedureOf('ca-gel', 'B')
    const wet = [0, 1, 2, 3].reduce((coupon) => step(coupon, instant, 9 * MIN), couponOf(instant))
    const fresh = [couponOf(contact, 3, 8), couponOf(contact, 2, 7)]
    const order = tasksOf([glued, wet, ...fresh], [contact, instant], 9 * MIN + 20_000).map(({ coupon }) => coupon.id)
    expect(order).toEqual(['B1', 'A2', 'A3', 'A1'])
  })
})

describe('what is done once for all pieces of a procedure', () => {
  const mixed = procedureOf('epoxy-fast')
  const mixStep = mixed.steps.find(({ kind }) => kind === 'mix')!
  const [first, second] = [couponOf(mixed, 1, 0), couponOf(mixed, 2, 1)]
  const prepared = [0, 1, 2].reduce((coupon) => step(coupon, mixed, MIN), second)
  it('is not asked for again at the next piece, as long as the mix is good', () => {
    const stirred = { ...first, stamps: [{ step: mixStep.id, at: 2 * MIN }] }
    const at = (now: number) => taskOf(prepared, mixed, doneOnce(mixed, [stirred, prepared], now))!
    expect(at(4 * MIN).step.kind).toBe('apply')
    // 0.7 of five minutes later it has thickened: a fresh one.
    expect(at(2 * MIN + 211_000).step.kind).toBe('mix')
    expect(taskOf(prepared, mixed)!.step.kind).toBe('mix')
  })
  it('heats the gun while the parts are prepared: only the glue waits for it', () => {
    const gun = procedureOf('hotmelt-low')
    const on = step(couponOf(gun), gun, 0)
    expect(taskOf(on, gun)).toMatchObject({ step: { kind: 'prepare-a' }, readyAt: 0 })
    const ready = [0, 1, 2].reduce((coupon) => step(coupon, gun, MIN), on)
    expect(taskOf(ready, gun)).toMatchObject({ step: { kind: 'apply' }, readyAt: 5 * MIN })
  })
})

describe('where a joint stands', () => {
  const brief = {
    ...openBrief(),
    geometry: 'lap' as const,
    loads: [],
    heatC: 20,
    water: 'no' as const,
    air: 'window' as const,
    a: { material: 'card', thicknessMm: null, state: null, traits: null },
    b: { material: 'wood', thicknessMm: null, state: null, traits: null },
  }
  const contact = procedureOf('contact-solvent')
  const round = { id: 'r', arms: [{ id: 'a1' }] } as never
  it('goes through the stations as records come', () => {
    const done = Array.from({ length: 5 }).reduce<Coupon>((coupon) => step(coupon, contact, 0), couponOf(contact))
    const at = (...args: Parameters<typeof progressOf>) => progressOf(...args)
    expect(at(openBrief(), [], null, [], [], null)).toMatchObject({ at: 'ask', openWords: 7 })
    expect(at(brief, [], null, [], [], null)).toMatchObject({ at: 'shortlist', openWords: 0 })
    expect(at(brief, [contact], null, [], [], null).at).toBe('plan')
    expect(at(brief, [contact], round, [couponOf(contact)], [], null)).toMatchObject({ at: 'glue', closed: 0 })
    expect(at(brief, [contact], round, [done], [], null)).toMatchObject({
      at: 'break',
      closed: 1,
      curedAt: [432_000_000],
    })
    const closed = at(brief, [contact], round, [done], [], null)
    expect(curingAt(closed, 172_799_999)).toEqual({ cured: 0, next: 432_000_000 })
    expect(curingAt(closed, 432_000_000)).toEqual({ cured: 1, next: null })
    expect(at(brief, [contact], round, [done], [{ coupon: done.id } as never], null)).toMatchObject({
      at: 'choose',
      pulled: 1,
    })
  })
  it('takes an empty list of loads for an answer, and an open one for none', () => {
    expect(openKeyWords(brief)).toEqual([])
    expect(openKeyWords({ ...brief, loads: null })).toEqual(['loads'])
  })
})

describe('the order of what to do', () => {
  const plain = (letter: string): Procedure => ({
    ...procedureOf('pva-white', letter),
    steps: [
      { id: 'on', kind: 'apply', text: '', minS: 0, maxS: letter === 'C' ? null : letter === 'A' ? 600 : 300 },
      { id: 'shut', kind: 'close', text: '', minS: 0, maxS: null },
      { id: 'rest', kind: 'cure', text: '', minS: 3600, maxS: null },
    ],
  })
  const [a, b, c] = [plain('A'), plain('B'), plain('C')]
  const begun = (of: Procedure, at: number, glueAt: number): Coupon => ({
    ...couponOf(of, 1, glueAt),
    stamps: [{ step: 'on', at }],
  })
  const ids = (list: Coupon[], now: number) => tasksOf(list, [a, b, c], now).map(({ coupon }) => coupon.id)
  it('is what will be late first, then what has no limit, then fresh pieces as they are to be glued', () => {
    // A is late at 600 s, B at 300 s, C never.
    const list = [couponOf(a, 9, 7), couponOf(b, 9, 3), begun(c, 0, 0), begun(a, 0, 1), begun(b, 0, 2)]
    expect(ids(list, 60_000)).toEqual(['B1', 'A1', 'C1', 'B9', 'A9'])
    // Two alike go by the order of gluing.
    const alike = [begun(c, 0, 5), { ...begun(c, 0, 4), id: 'C2' }]
    expect(ids(alike, 60_000)).toEqual(['C2', 'C1'])
  })
  it('puts what still runs last, the soonest ready first, and what is ready at this moment before it', () => {
    const wait = (of: Procedure, minS: number): Procedure => ({
      ...of,
      steps: [of.steps[0]!, { id: 'w', kind: 'wait', text: '', minS, maxS: null }, ...of.steps.slice(1)],
    })
    const [slow, fast] = [wait(a, 500), wait(b, 100)]
    const started = (of: Procedure): Coupon => step(couponOf(of), of, 0)
    const order = (now: number) =>
      tasksOf([started(slow), started(fast), couponOf(c, 9, 9)], [slow, fast, c], now).map(({ coupon }) => coupon.id)
    expect(order(50_000)).toEqual(['C9', 'B1', 'A1'])
    expect(order(99_999)).toEqual(['C9', 'B1', 'A1'])
    expect(order(100_000)).toEqual(['B1', 'C9', 'A1'])
  })
  it('leaves out what is done, and what no procedure is known of', () => {
    const done: Coupon = { ...begun(a, 0, 0), stamps: ['on', 'shut', 'rest'].map((id) => ({ step: id, at: 0 })) }
    expect(tasksOf([done, { ...couponOf(a), procedure: 'gone' }], [a], 0)).toEqual([])
  })
})

describe('how long a step lasts, in words', () => {
  const said = (kind: Procedure['steps'][number]['kind'], minS: number, maxS: number | null = null) =>
    stepTime({ kind, minS, maxS })
  it('is a window for a wait that has one, its least time else, and nothing for what takes what it takes', () => {
    expect(said('wait', 600, 2400)).toBe('10 to 40 min')
    expect(said('wait', 600, 600)).toBe('10 min')
    expect(said('wait', 600)).toBe('10 min')
    expect(said('clamp', 600, 2400)).toBe('10 min')
    expect([said('hold', 0), said('hold', 1), said('apply', 600), said('close', 600)]).toEqual([
      null,
      '1 s',
      null,
      null,
    ])
  })
})

describe('the station of a joint', () => {
  const procedure = procedureOf('pva-white')
  const closed = (id: string, at: number): Coupon => ({
    ...couponOf(procedure),
    id,
    stamps: procedure.steps.filter(({ kind }) => kind !== 'cure').map(({ id: step }) => ({ step, at })),
  })
  const decision = { id: 'd' } as Parameters<typeof progressOf>[5]
  it('is decided only by a decision, and cured in the order of closing', () => {
    const of = (made: typeof decision) =>
      progressOf(openBrief(), [procedure], null, [closed('1', 9000), closed('2', 1000)], [], made)
    expect(of(null)).toMatchObject({ at: 'break', decided: false, closed: 2 })
    expect(of(decision)).toMatchObject({ at: 'choose', decided: true })
    const [first, second] = of(null).curedAt
    expect(second! - first!).toBe(8000)
    // Cured, and not put through its heat: not ready, and said so.
    const arms = [{ id: 'a1', exposure: { kind: 'heat', amount: 50, hours: 2 } }]
    const heated = { ...closed('3', 0), arm: 'a1' }
    const lacking = progressOf(openBrief(), [procedure], { arms } as never, [heated], [], null)
    expect(lacking).toMatchObject({ at: 'break', closed: 1, curedAt: [], lacking: 1 })
    const through = { ...heated, exposed: { from: 1e9, until: 2e9 } }
    expect(progressOf(openBrief(), [procedure], { arms } as never, [through], [], null)).toMatchObject({
      curedAt: [2e9],
      lacking: 0,
    })
    expect(progressOf(openBrief(), [], null, [], [], decision).at).toBe('choose')
    expect(progressOf(openBrief(), [procedure], null, [], [], null).at).toBe('plan')
    expect(progressOf(openBrief(), [], null, [], [], null).at).toBe('ask')
  })
})
