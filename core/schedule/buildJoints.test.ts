import { describe, expect, it } from 'vitest'
import type { Procedure, Step } from '../records/procedure'
import { usualShop, type Shop } from '../records/shop'
import { planJoints, type JointsToGlue } from './buildJoints'

const MINUTE = 60_000
const HOUR = 60 * MINUTE
// A Wednesday, 12:00.
const NOW = new Date(2026, 11, 2, 12).getTime()
const at = (day: number, hour: number, minute = 0) => new Date(2026, 11, day, hour, minute).getTime()

const step = (kind: Step['kind'], minS = 0, more: Partial<Step> = {}): Step => ({
  id: kind,
  kind,
  text: kind,
  minS,
  maxS: null,
  ...more,
})
const procedure = (steps: Step[]): Procedure => ({
  id: 'p',
  joint: 'j',
  letter: 'A',
  name: 'glue',
  family: 'epoxy-5min',
  adhesive: null,
  helpers: [],
  anyway: false,
  coats: 1,
  spreadGm2: null,
  dilution: null,
  blend: null,
  steps,
})
const joints = (steps: Step[], more: Partial<JointsToGlue> = {}): JointsToGlue => ({
  procedure: procedure(steps),
  count: 4,
  handlingS: 3600,
  perMix: null,
  ...more,
})
/** prepare 1 min, apply 1 min, close half a minute: 2.5 min a joint by one pair of hands */
const plain = [step('prepare-a'), step('apply'), step('close'), step('cure', 12 * 3600)]
const evenings: Shop = { ...usualShop, weekly: usualShop.weekly.filter(({ day }) => day >= 1 && day <= 5) }

describe('the build’s own joints, planned back from the day on which they must carry', () => {
  it('begins as late as the last cure allows: by hand', () => {
    // Ready by Saturday 08:00, 12 h of cure: the last one is closed by Friday 20:00, 10 min after the first is begun.
    const plan = planJoints(joints(plain), evenings, at(5, 8), NOW)
    if (!plan.fits) throw new Error('it fits')
    expect(plan.closed).toBeLessThanOrEqual(at(4, 20))
    expect(at(4, 20) - plan.closed).toBeLessThanOrEqual(5 * MINUTE)
    expect(plan.closed - plan.beginBy).toBe(10 * MINUTE)
    expect(plan.handled).toBe(plan.closed + HOUR)
    expect(plan.ready).toBe(plan.closed + 12 * HOUR)
    expect(plan.evenings).toEqual([{ from: plan.beginBy, to: plan.closed, joints: 4 }])
  })

  it('needs as many evenings as the clamps ask for', () => {
    // Clamped for 10 h: each evening as many as there are clamps.
    const clamped = [...plain.slice(0, 3), step('clamp', 10 * 3600, { text: 'Clamp it' }), step('cure', 12 * 3600)]
    const plan = planJoints(joints(clamped, { count: 36 }), { ...evenings, clamp: 12 }, at(12, 8), NOW)
    if (!plan.fits) throw new Error('it fits')
    expect(plan.evenings.map((one) => one.joints)).toEqual([12, 12, 12])
    expect(new Date(plan.evenings[0]!.from).getDate()).toBe(9)
    expect(plan.ready).toBeLessThanOrEqual(at(12, 8))
  })

  it('says when all would be ready where the day is too near', () => {
    const plan = planJoints(joints(plain), evenings, at(2, 20), NOW)
    // This evening from 18:00, ten minutes, then twelve hours.
    expect(plan).toEqual({ fits: false, earliest: at(3, 6, 10) })
    expect(planJoints(joints(plain), { ...evenings, weekly: [] }, at(5, 8), NOW)).toEqual({
      fits: false,
      earliest: null,
    })
  })

  it('mixes anew for as many joints as one mix serves', () => {
    const mixed = [step('mix', 0, { once: true, maxS: 3600 }), ...plain]
    const free = planJoints(joints(mixed, { count: 6 }), evenings, at(5, 8), NOW)
    const few = planJoints(joints(mixed, { count: 6, perMix: 2 }), evenings, at(5, 8), NOW)
    if (!free.fits || !few.fits) throw new Error('both fit')
    // One minute for the only mix, or for each of three.
    expect((free.closed - free.beginBy) / MINUTE).toBeCloseTo(16, 6)
    expect((few.closed - few.beginBy) / MINUTE).toBeCloseTo(18, 6)
  })

  it('is begun no earlier than one evening’s work asks for, however many and however long', () => {
    for (const [count, cureH, day] of [
      [9, 3, 5],
      [20, 30, 8],
      [70, 24, 9],
    ] as const) {
      const of = joints([...plain.slice(0, 3), step('cure', cureH * 3600)], { count })
      const plan = planJoints(of, evenings, at(day, 8), NOW)
      if (!plan.fits) throw new Error('it fits')
      expect(plan.ready).toBeLessThanOrEqual(at(day, 8))
      // All by one pair of hands without a pause: the end of the last evening in which it is in time, less its work.
      const last = at(day, 8) - cureH * HOUR
      let end = -Infinity
      for (let d = 2; d <= day; d++) {
        const weekday = new Date(2026, 11, d).getDay()
        if (weekday >= 1 && weekday <= 5 && at(d, 18) < last) end = Math.max(end, Math.min(last, at(d, 21)))
      }
      // What does not fit that evening is done in those before it; here all of it does, or fills them.
      const work = count * 2.5
      if (work <= (end - at(new Date(end).getDate(), 18)) / MINUTE)
        expect((end - plan.beginBy) / MINUTE - work).toBeLessThan(5)
      else expect(plan.evenings.length).toBeGreaterThan(1)
    }
  })
})
