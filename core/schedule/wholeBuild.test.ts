import { describe, expect, it } from 'vitest'
import type { Procedure, Step } from '../records/procedure'
import { usualShop, type Shop } from '../records/shop'
import type { JointsToGlue } from './buildJoints'
import { planWhole } from './wholeBuild'
import { without } from './windows'

const HOUR = 3_600_000
// A Wednesday, 12:00.
const NOW = new Date(2026, 11, 2, 12).getTime()
const at = (day: number, hour: number, minute = 0) => new Date(2026, 11, day, hour, minute).getTime()
const step = (kind: Step['kind'], minS = 0): Step => ({ id: kind, kind, text: kind, minS, maxS: null })
const procedure = (cureH: number): Procedure => ({
  id: `p${cureH}`,
  joint: 'j',
  letter: 'A',
  name: 'glue',
  family: 'epoxy-slow',
  adhesive: null,
  helpers: [],
  anyway: false,
  coats: 1,
  spreadGm2: null,
  dilution: null,
  blend: null,
  steps: [step('prepare-a'), step('apply'), step('close'), step('cure', cureH * 3600)],
})
const joints = (cureH: number, count: number): JointsToGlue => ({
  procedure: procedure(cureH),
  count,
  handlingS: 600,
  perMix: null,
})
const evenings: Shop = { ...usualShop, weekly: usualShop.weekly.filter(({ day }) => day >= 1 && day <= 5) }

describe('all joints of a build, planned back from their day', () => {
  it('gives what cures fast the last hours, what cures slowly those before, and never both at once', () => {
    const readyBy = at(5, 8)
    const { sessions, plans, beginBy } = planWhole(
      [
        { id: 'slow', of: joints(24, 6), readyBy },
        { id: 'fast', of: joints(12, 6), readyBy },
      ],
      evenings,
      NOW,
    )
    expect(plans.map(({ id, plan }) => [id, plan.fits])).toEqual([
      ['slow', true],
      ['fast', true],
    ])
    expect(sessions.map(({ id }) => id)).toEqual(['slow', 'fast'])
    // 24 h before Saturday 08:00 is Friday 08:00: Thursday evening; 12 h before it Friday evening, by hand 15 min each.
    expect(sessions[0]!.to).toBeLessThanOrEqual(at(4, 8))
    expect(sessions[1]!.to).toBeLessThanOrEqual(at(4, 20))
    expect(beginBy).toBe(sessions[0]!.from)
  })

  it('keeps hands to one kind at a time where both must be closed in the same evening', () => {
    const readyBy = at(5, 8)
    const parts = ['a', 'b', 'c'].map((id) => ({ id, of: joints(12, 8), readyBy }))
    const { sessions } = planWhole(parts, evenings, NOW)
    expect(sessions.reduce((sum, one) => sum + one.joints, 0)).toBe(24)
    sessions.slice(1).forEach((one, i) => expect(one.from).toBeGreaterThanOrEqual(sessions[i]!.to))
  })

  it('says which kind does not fit any more, and plans the others', () => {
    const { plans, sessions } = planWhole(
      [
        { id: 'late', of: joints(100, 2), readyBy: NOW + 24 * HOUR },
        { id: 'fine', of: joints(2, 2), readyBy: NOW + 72 * HOUR },
      ],
      evenings,
      NOW,
    )
    expect(plans.map(({ plan }) => plan.fits)).toEqual([false, true])
    expect(sessions.every(({ id }) => id === 'fine')).toBe(true)
    expect(planWhole([], evenings, NOW)).toEqual({ sessions: [], plans: [], beginBy: null })
  })
})

describe('hours less those that are taken', () => {
  const hours = (from: number, to: number) => ({ from, to })
  it.each([
    ['a part in the middle', [hours(3, 5)], [hours(0, 3), hours(5, 10)]],
    ['an end', [hours(8, 12)], [hours(0, 8)]],
    ['all of it', [hours(-1, 11)], []],
    ['nothing', [hours(10, 12)], [hours(0, 10)]],
    ['two parts', [hours(1, 2), hours(4, 6)], [hours(0, 1), hours(2, 4), hours(6, 10)]],
  ])('%s', (_, taken, left) => expect(without([hours(0, 10)], taken)).toEqual(left))
})
