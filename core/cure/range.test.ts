import { describe, expect, it } from 'vitest'
import { familyOf } from '../knowledge/families'
import { cureRange } from './range'

const open = {
  faces: [
    { material: null, state: null },
    { material: null, state: null },
  ] as never,
  halfWidthMm: null,
}

describe('the range of a cure in a room that does not stay as it is', () => {
  it('is that of three degrees for a two-part glue: 2^(±3/10)', () => {
    const range = cureRange({ family: familyOf('epoxy-slow')!, room: { tempC: 20, rh: 50 }, ...open })!
    expect(range.low).toBeCloseTo(2 ** -0.3, 6)
    expect(range.high).toBeCloseTo(2 ** 0.3, 6)
  })

  it('follows warmth and damp together where water leaves: by the vapour deficit', () => {
    const deficit = (t: number, rh: number) => 0.6108 * Math.exp((17.27 * t) / (t + 237.3)) * (1 - rh / 100)
    const range = cureRange({ family: familyOf('pva-white')!, room: { tempC: 18, rh: 60 }, ...open })!
    expect(range.low).toBeCloseTo(deficit(18, 60) / deficit(21, 50), 6)
    expect(range.high).toBeCloseTo(deficit(18, 60) / deficit(15, 70), 6)
  })

  it('has no end where three degrees less would stop it, and is none where it does not cure', () => {
    const epoxy = { ...familyOf('epoxy-slow')!, cureMinC: 5 }
    expect(cureRange({ family: epoxy, room: { tempC: 7, rh: 50 }, ...open })!.high).toBe(Infinity)
    expect(cureRange({ family: epoxy, room: { tempC: 4, rh: 50 }, ...open })).toBeNull()
  })
})
