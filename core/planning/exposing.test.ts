import { describe, expect, it } from 'vitest'
import type { Coupon } from '../records/coupon'
import type { Procedure } from '../records/procedure'
import type { Arm, Exposure } from '../records/round'
import { exposedHours, exposedUntil, exposingOf, isPutThrough, lacksExposure, unexposedArm } from './exposing'
import { pullQueue, readyFrom } from './pullQueue'

const HOUR = 3_600_000
const heat: Exposure = { kind: 'heat', amount: 50, hours: 2 }
const arm = (id: string, exposure: Exposure | null, more: Partial<Arm> = {}): Arm => ({
  id,
  test: 'lap-shear',
  exposure,
  size: {},
  passLimit: null,
  passSetAt: null,
  lateChanges: [],
  ...more,
})
const procedure = {
  id: 'p',
  steps: [
    { id: 'c', kind: 'close' },
    { id: 'x', kind: 'cure', minS: 3600 },
  ],
} as unknown as Procedure
/** Closed at 0, cured at one hour, unless it is said otherwise. */
const coupon = (id: string, of: string, exposed?: Coupon['exposed'], closed: number | null = 0): Coupon =>
  ({
    id,
    arm: of,
    procedure: 'p',
    label: id,
    pullAt: 0,
    stamps: closed === null ? [] : [{ step: 'c', at: closed }],
    deviations: [],
    ...(exposed && { exposed }),
  }) as unknown as Coupon
const round = { arms: [arm('a1', null), arm('a2', heat)] }

describe('what a coupon goes through before its test', () => {
  it('is begun and ended by somebody, but for weeks that pass and flexes that are counted at the pull', () => {
    const of = (kind: Exposure['kind']) => isPutThrough({ kind, amount: 1, hours: 1 })
    expect((['heat', 'cold', 'wash', 'soak', 'sun'] as const).every(of)).toBe(true)
    expect((['flex', 'wait'] as const).some(of)).toBe(false)
    expect(isPutThrough(null)).toBe(false)
    expect(lacksExposure({}, round.arms[1]!)).toBe(true)
    expect(lacksExposure({ exposed: { from: 0 } }, round.arms[1]!)).toBe(false)
    expect(lacksExposure({}, round.arms[0]!)).toBe(false)
    expect(lacksExposure({}, arm('a3', { kind: 'wait', amount: 4, hours: 672 }))).toBe(false)
  })
  it('lasts as long as it was planned until its end is noted, then as long as it was', () => {
    expect(exposedUntil({}, heat)).toBeNull()
    expect(exposedUntil({ exposed: { from: HOUR } }, heat)).toBe(3 * HOUR)
    expect(exposedUntil({ exposed: { from: HOUR, until: 2.5 * HOUR } }, heat)).toBe(2.5 * HOUR)
    expect(exposedHours({ exposed: { from: HOUR } })).toBeNull()
    expect(exposedHours({ exposed: { from: HOUR, until: 2.5 * HOUR } })).toBe(1.5)
  })
  it('makes nothing ready that was not put through it, however long it has cured', () => {
    const left = [
      coupon('dry', 'a1'),
      coupon('never', 'a2'),
      coupon('in', 'a2', { from: 2 * HOUR }),
      coupon('out', 'a2', { from: 2 * HOUR, until: 3 * HOUR }),
    ]
    expect(
      left.map((one) =>
        readyFrom(
          one,
          procedure,
          round.arms.find(({ id }) => id === one.arm)!,
        ),
      ),
    ).toEqual([HOUR, null, 4 * HOUR, 3 * HOUR])
    const queue = pullQueue(round, [procedure], left, 3.5 * HOUR)
    expect(queue.ready.map(({ id }) => id)).toEqual(['dry', 'out'])
    expect(queue.waiting.map(({ coupon: { id }, at }) => [id, at])).toEqual([
      ['in', 4 * HOUR],
      ['never', null],
    ])
    // Weeks need no note: they are over when they are over.
    const weeks = arm('a3', { kind: 'wait', amount: 4, hours: 672 })
    expect(readyFrom(coupon('w', 'a3'), procedure, weeks)).toBe(673 * HOUR)
  })
  it('is told arm by arm: what cures, what waits for its beginning, what is in it, what is through', () => {
    const left = [
      coupon('wet', 'a2', undefined, 4 * HOUR),
      coupon('open', 'a2', undefined, null),
      coupon('waits', 'a2'),
      coupon('in', 'a2', { from: 2 * HOUR }),
      coupon('later', 'a2', { from: 3 * HOUR }),
      coupon('out', 'a2', { from: 2 * HOUR, until: 3 * HOUR }),
      coupon('dry', 'a1'),
    ]
    const [one, ...more] = exposingOf(round, [procedure], left, 4.5 * HOUR)
    expect(more).toEqual([])
    const ids = (list: Coupon[]) => list.map(({ id }) => id)
    expect([ids(one!.cures), ids(one!.waits), ids(one!.runs), ids(one!.through)]).toEqual([
      ['wet', 'open'],
      ['waits'],
      ['in', 'later'],
      ['out'],
    ])
    expect([one!.from, one!.due]).toEqual([null, 5 * HOUR])
    expect(exposingOf(round, [procedure], [left[0]!, left[2]!], 0)[0]!.from).toBe(5 * HOUR)
    expect(exposingOf(round, [procedure], [left[5]!], 0)[0]).toMatchObject({ from: null, due: null })
  })
  it('leaves what did not go through it to the arm of the same test and age that is dry', () => {
    expect(unexposedArm(round, round.arms[1]!)?.id).toBe('a1')
    expect(unexposedArm({ arms: [arm('a2', heat)] }, arm('a2', heat))).toBeNull()
    expect(unexposedArm(round, arm('a2', heat, { test: 't-peel' }))).toBeNull()
    expect(unexposedArm(round, arm('a2', heat, { ageS: 3600 }))).toBeNull()
  })
})
