import { describe, expect, it } from 'vitest'
import { openBrief } from '../records/openBrief'
import type { Reading } from '../records/reading'
import type { Round } from '../records/round'
import type { Decision } from '../records/decision'
import type { Coupon } from '../records/coupon'
import { belowAfter, reopenedBy } from './reopen'

const AT = Date.parse('2026-11-24T20:00:00')
const arm = (id: string, exposure: object | null) => ({ id, test: 'lap-shear', exposure, size: {}, passLimit: 2 })
const round = { arms: [arm('dry', null), arm('washed', { kind: 'wash', amount: 3, hours: 6 })] } as unknown as Round
const decision = (known: object = {}) =>
  ({
    procedure: 'A',
    arm: 'dry',
    at: AT,
    known: { pulls: 3, typical: 6, weakLow: 4, unit: 'MPa', margin: 2, required: 2, ...known },
  }) as unknown as Decision
const coupon = (id: string, of: string, procedure: string) => ({ id, arm: of, procedure }) as Coupon
const coupons = [coupon('a', 'dry', 'A'), coupon('w', 'washed', 'A'), coupon('b', 'washed', 'B')]
const reading = (of: string, minutes: number, more: object = {}) =>
  ({ coupon: of, at: AT + minutes * 60_000, setAside: null, ...more }) as unknown as Reading
const by = (readings: Reading[], known: object = {}, stock: { openedOn: string | null; batch: string }[] = []) =>
  reopenedBy(decision(known), openBrief(), round, coupons, readings, stock)

describe('a decision', () => {
  it('stands while nothing new speaks about it', () => {
    expect(
      by([reading('a', -5)], {}, [
        { openedOn: '2026-11-20', batch: '' },
        { openedOn: null, batch: '' },
      ]),
    ).toEqual([])
    expect(by([reading('w', 5, { setAside: 'wrong bag' }), reading('w', 6, { direction: 'shake' })])).toEqual([])
    // Older ones do not know what they had to hold.
    expect(by([], { required: null })).toEqual([])
    expect(by([], { required: 2.01 })).toEqual([])
  })

  it('is opened again by later pulls, test by test, by another limit, and by another pack', () => {
    expect(by([reading('b', 5), reading('w', 6), reading('a', 7)])).toEqual([
      { why: 'later-pulls', test: 'lap shear', pulls: 1, ofChosen: true },
      { why: 'later-pulls', test: 'lap shear, after 3 washes', pulls: 2, ofChosen: true },
    ])
    expect(by([reading('b', 5)])).toMatchObject([{ ofChosen: false }])
    expect(by([], { required: 1.5 })).toEqual([{ why: 'limit', before: 1.5, now: 2 }])
    expect(by([], {}, [{ openedOn: '2026-11-26', batch: '7' }])).toEqual([
      { why: 'pack', openedOn: '2026-11-26', batch: '7' },
    ])
  })

  it('falls below what it must hold where an exposure leaves too little', () => {
    expect(belowAfter(decision(), 2, '3 washes', 0.6)).toBeNull()
    expect(belowAfter(decision(), 2, '3 washes', 0.5)).toBeNull()
    expect(belowAfter(decision(), 2, '3 washes', 0.4)).toEqual({
      why: 'below',
      after: '3 washes',
      kept: 0.4,
      holds: 1.6,
      limit: 2,
    })
    expect(belowAfter(decision({ weakLow: null }), 2, '3 washes', 0.1)).toBeNull()
    expect(belowAfter(decision(), null, '3 washes', 0.1)).toBeNull()
  })
})
