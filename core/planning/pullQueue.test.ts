import { describe, expect, it } from 'vitest'
import type { Arm } from '../records/round'
import type { Coupon } from '../records/coupon'
import type { Procedure } from '../records/procedure'
import { passedOver, pullQueue, readyFrom, spareFor, swapped } from './pullQueue'

const H = 3_600_000
const step = (id: string, kind: 'close' | 'cure', minS: number) => ({ id, kind, text: '', minS, maxS: null })
const procedure = { id: 'p', steps: [step('c', 'close', 0), step('k', 'cure', 24 * 3600)] } as Procedure
const arms = [
  { id: 'dry', exposure: null },
  { id: 'soaked', exposure: { kind: 'soak', amount: 24, hours: 24 } },
  { id: 'young', exposure: null, ageS: 3600 },
] as Arm[]
const coupon = (label: string, pullAt: number, closed: number | null, arm = 'dry', more: Partial<Coupon> = {}) =>
  ({
    id: label,
    label,
    round: 'r',
    arm,
    procedure: 'p',
    block: Number(/\d+$/.exec(label)![0]),
    glueAt: pullAt,
    pullAt,
    size: {},
    stamps: closed === null ? [] : [{ step: 'c', at: closed }],
    deviations: [],
    ...more,
  }) as Coupon

describe('the order of the pulls', () => {
  it('passes over what is not cured, not through its exposure, or not closed', () => {
    const left = [
      coupon('H1-A1', 3, 0),
      coupon('H1-A2', 0, 10 * H),
      coupon('H1-A3', 1, 0, 'soaked', { exposed: { from: 24 * H } }),
      coupon('H1-A4', 2, null),
      coupon('H1-A5', 4, 22 * H, 'young'),
    ]
    const at = (h: number) => {
      const { ready, waiting } = pullQueue({ arms }, [procedure], left, h * H)
      return [ready.map(({ label }) => label), waiting.map((one) => [one.coupon.label, one.at && one.at / H])]
    }
    expect(at(24)).toEqual([
      ['H1-A1', 'H1-A5'],
      [
        ['H1-A2', 34],
        ['H1-A3', 48],
        ['H1-A4', null],
      ],
    ])
    // Nobody began it: it is none of those that were soaked.
    expect(readyFrom({ ...left[2]!, exposed: undefined }, procedure, arms[1]!)).toBeNull()
    expect(at(48)[0]).toEqual(['H1-A2', 'H1-A3', 'H1-A1', 'H1-A5'])
    expect(readyFrom(left[2]!, procedure, arms[1]!)).toBe(48 * H)
  })

  it('is changed with a reason that stays: to the end, or with another', () => {
    const all = [coupon('H1-A1', 0, 0), coupon('H1-B1', 1, 0), coupon('H1-A2', 2, 0)]
    expect(passedOver(all[0]!, all, 'no jig', 7)).toEqual({
      pullAt: 3,
      deviations: [{ at: 7, text: 'Passed over in the order of the pulls: no jig' }],
    })
    const [mine, theirs] = swapped(all[0]!, all[2]!, 'no jig', 7)
    expect([mine.pullAt, theirs.pullAt]).toEqual([2, 0])
    expect(mine.deviations[0]!.text).toMatch(/H1-A2: no jig/)
    expect(theirs.deviations[0]!.text).toMatch(/H1-A1: no jig/)
  })

  it('takes a spare of the same procedure and test, with the next free number, glued and pulled last', () => {
    const all = [
      coupon('H1.2-A1', 0, 0, 'soaked'),
      coupon('H1.2-A10', 1, 0),
      coupon('H1.2-B99', 2, 0, 'dry', { procedure: 'q' }),
    ]
    const spare = spareFor(all[0]!, all, 'new', 7)
    expect(spare).toMatchObject({
      id: 'new',
      label: 'H1.2-A11',
      block: 11,
      arm: 'soaked',
      procedure: 'p',
      glueAt: 3,
      pullAt: 3,
      stamps: [],
    })
    expect(spare.deviations[0]!.text).toMatch(/H1\.2-A1/)
  })
})
