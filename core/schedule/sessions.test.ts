import { describe, expect, it } from 'vitest'
import type { Coupon } from '../records/coupon'
import type { Procedure } from '../records/procedure'
import type { Arm } from '../records/round'
import { pullSessions } from './sessions'

const HOUR = 3_600_000
const arm = (id: string, more: Partial<Arm> = {}) => ({ id, test: 'lap-shear', exposure: null, ...more }) as Arm
const steps = [
  { id: 'close', kind: 'close', minS: 0, maxS: null, text: '' },
  { id: 'cure', kind: 'cure', minS: 24 * 3600, maxS: null, text: '' },
]
const procedures = [{ id: 'A', steps }] as unknown as Procedure[]
const coupon = (id: string, of: string, closedH: number | null) =>
  ({
    id,
    arm: of,
    procedure: 'A',
    stamps: closedH === null ? [] : [{ step: 'close', at: closedH * HOUR }],
  }) as unknown as Coupon

describe('when what is glued is pulled', () => {
  it('is one session for what is only to cure, and others at an age or after a soak', () => {
    const soak = { kind: 'soak', amount: 24, hours: 24 } as NonNullable<Arm['exposure']>
    const round = { arms: [arm('dry'), arm('peel'), arm('young', { ageS: 3600 }), arm('wet', { exposure: soak })] }
    const coupons = [
      coupon('1', 'dry', 0),
      coupon('2', 'peel', 2),
      coupon('3', 'young', 1),
      coupon('4', 'wet', 3),
      coupon('5', 'dry', null),
    ]
    const found = pullSessions(round, procedures, coupons)
    expect(found.map(({ from, coupons: n, arms }) => [from / HOUR, n, arms.map(({ id }) => id)])).toEqual([
      [2, 1, ['young']],
      [26, 2, ['dry', 'peel']],
      [27, 1, ['wet']],
    ])
  })
})
