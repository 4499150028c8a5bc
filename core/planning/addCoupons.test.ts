import { describe, expect, it } from 'vitest'
import { openBrief } from '../records/openBrief'
import type { Arm, Round } from '../records/round'
import type { Coupon } from '../records/coupon'
import { addCoupons, armFor } from './addCoupons'

const dry = {
  id: 'a1',
  test: 'lap-shear',
  exposure: null,
  size: { widthMm: 22 },
  passLimit: 2,
  passSetAt: 1,
  lateChanges: [],
} as Arm
const round = { arms: [dry] } as Pick<Round, 'arms'>
const coupon = (procedure: string, block: number, at: number) =>
  ({
    id: `${procedure}${block}`,
    round: 'r',
    arm: 'a1',
    procedure,
    block,
    label: `H2-${procedure}${block}`,
    glueAt: at,
    pullAt: at,
  }) as Coupon
const all = [coupon('A', 1, 1), coupon('B', 1, 2), coupon('A', 2, 3), coupon('B', 2, 4)]
const wash = { kind: 'wash', amount: 3, hours: 6 } as const

describe('coupons that are added after the first pulls', () => {
  it('bear the next numbers, are glued and pulled last, and leave the arms as they are', () => {
    const { arms, coupons } = addCoupons(round, dry, 'A', all, ['x', 'y'], 9)
    expect(arms).toBeNull()
    expect(coupons.map(({ label, glueAt, pullAt, arm }) => [label, glueAt, pullAt, arm])).toEqual([
      ['H2-A3', 5, 5, 'a1'],
      ['H2-A4', 6, 6, 'a1'],
    ])
    expect(all).toHaveLength(4)
  })
  it('after an exposure are of a new arm with the size and the limit of its dry twin', () => {
    const arm = armFor(round, { like: 'a1', exposure: wash }, openBrief(), 9)!
    expect(arm).toMatchObject({ id: 'a2', test: 'lap-shear', exposure: wash, size: { widthMm: 22 }, passLimit: 2 })
    const { arms, coupons } = addCoupons(round, arm, 'B', all, ['x'], 9)
    expect(arms!.map(({ id }) => id)).toEqual(['a1', 'a2'])
    expect(coupons[0]).toMatchObject({ label: 'H2-B3', arm: 'a2' })
    // The second time the arm stands in the round.
    expect(addCoupons({ arms: arms! }, arm, 'B', [...all, ...coupons], ['y'], 9).arms).toBeNull()
  })
  it('of an arm that is not there are none', () => {
    expect(armFor(round, { arm: 'a1' }, openBrief(), 9)).toBe(dry)
    expect(armFor(round, { arm: 'a7' }, openBrief(), 9)).toBeNull()
    expect(armFor(round, { like: 'a7', exposure: wash }, openBrief(), 9)).toBeNull()
  })
})
