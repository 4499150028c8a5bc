import { describe, expect, it } from 'vitest'
import { traceFromRows } from '../formats/traceCsv'
import { normalDraw, seededRandom } from '../planning/random'
import { findPull, TOO_FAST_N_S } from './pull'
import { LivePull } from './livePull'
import { steadyPeelN, type TracePoint } from './trace'

interface Trace {
  peakN: number
  stiffness: number
  noise: number
  drift: number
  rest: number
  slip: boolean
  second: boolean
  missing: number
}
/**
 * A made pull: rest, a straight rise with a given stiffness at 2 mm/s to the peak, a sudden drop. Work and stiffness
 * follow from its triangle by hand.
 */
function madeTrace(of: Trace, seed: number): { points: TracePoint[]; workJ: number } {
  const random = seededRandom(seed)
  const [speed, restS] = [2, 2]
  const riseS = of.peakN / of.stiffness / speed
  const points: TracePoint[] = []
  for (let s = 0; s < restS + riseS + 1.5; s += 0.02) {
    const mm = Math.max(0, s - restS) * speed
    let n = s < restS || s > restS + riseS ? 0 : of.stiffness * mm
    // A grip that slips early loses its load for a moment and takes it up again where it was.
    if (of.slip && s > restS + 0.1 * riseS && s < restS + 0.13 * riseS) n *= 0.2
    // The rest of a joint lets go later, lower.
    if (of.second && s > restS + riseS + 0.3 && s < restS + riseS + 0.8)
      n = 0.4 * of.peakN * ((s - restS - riseS - 0.3) / 0.5)
    if (random() < of.missing) continue
    points.push({ s, n: n + of.rest + of.drift * s + of.noise * normalDraw(random), mm })
  }
  return { points, workJ: of.peakN ** 2 / of.stiffness / 2 / 1000 }
}
const plain: Trace = { peakN: 80, stiffness: 10, noise: 0, drift: 0, rest: 0, slip: false, second: false, missing: 0 }

describe('a pull in a trace', () => {
  it('is found to one in a hundred in 200 made ones', () => {
    const random = seededRandom(9)
    for (let seed = 1; seed <= 200; seed++) {
      const of: Trace = {
        peakN: 20 + 380 * random(),
        stiffness: 4 + 16 * random(),
        noise: 0,
        drift: random() < 0.5 ? (random() - 0.5) * 0.4 : 0,
        rest: random() < 0.5 ? random() * 3 : 0,
        slip: random() < 0.3,
        second: random() < 0.3,
        missing: random() < 0.3 ? 0.15 : 0,
      }
      of.noise = random() < 0.6 ? 0.002 * of.peakN : 0
      const { points, workJ } = madeTrace(of, seed)
      const found = findPull(points, 500)
      // A sample each fiftieth second: the last one before the drop lies this far below the peak at most.
      const grain = (of.stiffness * 0.04 * (of.missing ? 4 : 1)) / of.peakN
      const near = (one: number, other: number, by: number) =>
        expect(
          Math.abs(one / other - 1),
          JSON.stringify({ of, found: { ...found, points: found.points.length } }),
        ).toBeLessThan(by)
      near(found.peakN, of.peakN, 0.01 + grain)
      near(found.stiffnessNPerMm!, of.stiffness, 0.01)
      // A slip takes its share of the work with it.
      near(found.workJ!, workJ, 0.01 + 2 * grain + (of.slip ? 0.01 : 0))
      // What is kept of it begins with the pull itself: looked at again it is the same pull.
      const again = findPull(found.points)
      near(again.peakN, found.peakN, 0.005)
      near(again.stiffnessNPerMm!, found.stiffnessNPerMm!, 0.01)
      near(again.workJ!, found.workJ!, 0.02 + 2 * grain)
    }
  })

  it('has its start and end, and what the gauge showed at rest', () => {
    const found = findPull(madeTrace({ ...plain, rest: 1.5, noise: 0.05 }, 1).points)
    expect(found.startS).toBeGreaterThan(1.95)
    expect(found.startS).toBeLessThan(2.3)
    expect(found.endS).toBeCloseTo(6, 0)
    expect(found.restN).toBeCloseTo(1.5, 1)
    expect(found.slips).toBe(0)
  })

  it('is none the lower where the gauge began to write under load, by a straight rise or a curved one', () => {
    for (const seed of [1, 2, 3, 4, 5])
      for (const curve of [1, 0.8, 0.6])
        for (const rests of [0, 3, 6]) {
          const random = seededRandom(seed)
          const points = Array.from({ length: 160 }, (_, i): TracePoint => {
            const share = Math.max(0, i - rests) / 150
            const n = share > 1 ? 0 : 200 * share ** curve
            return { s: 0.033 * i, n: n + 0.3 * normalDraw(random), mm: 0.1 * Math.max(0, i - rests) }
          })
          const found = findPull(points, 500)
          const words = JSON.stringify({ seed, curve, rests })
          expect(Math.abs(found.peakN / 200 - 1), words).toBeLessThan(0.01)
          // Area under 200 · share^curve over 15 mm.
          expect(Math.abs(found.workJ! / ((200 * 15) / (curve + 1) / 1000) - 1), words).toBeLessThan(0.02)
        }
  })

  it('counts a slip that it climbed over, names a jerk, and says when the gauge was at its end', () => {
    const slipped = madeTrace(plain, 1).points.map((one) =>
      one.s > 4 && one.s < 4.1 ? { ...one, n: one.n * 0.5 } : one,
    )
    expect(findPull(slipped).slips).toBe(1)
    // 10 N/mm at 2 mm/s are 20 N/s; five times as stiff is a jerk.
    expect(findPull(madeTrace(plain, 1).points).rateNPerS).toBeCloseTo(20, 0)
    expect(findPull(madeTrace({ ...plain, stiffness: 50 }, 1).points).rateNPerS).toBeGreaterThan(TOO_FAST_N_S)
    const capped = madeTrace(plain, 1).points.map((one) => ({ ...one, n: Math.min(50, one.n) }))
    expect(findPull(capped, 50).atLimit).toBe(true)
    expect(findPull(capped, 60).atLimit).toBe(false)
  })

  it('is not one wild sample, and asks again for nothing', () => {
    const wild = madeTrace(plain, 1).points.map((one, i) => (i === 40 ? { ...one, n: 900 } : one))
    expect(findPull(wild).peakN).toBeLessThan(81)
    expect(() => findPull([{ s: 0, n: 1, mm: null }])).toThrow(expect.objectContaining({ code: 'trace-too-short' }))
    const nothing = Array.from({ length: 9 }, (_, s) => ({ s, n: 0, mm: null }))
    expect(() => findPull(nothing)).toThrow(expect.objectContaining({ code: 'no-load' }))
    const noTravel = madeTrace(plain, 1).points.map((one) => ({ ...one, mm: null }))
    expect(findPull(noTravel)).toMatchObject({ stiffnessNPerMm: null, workJ: null })
  })

  it('is the same in five units and with comma decimals, from a file', () => {
    const { points } = madeTrace(plain, 1)
    const want = findPull(points).peakN
    for (const [unit, newtons] of [
      ['N', 1],
      ['kgf', 9.80665],
      ['lbf', 4.4482216152605],
      ['g', 0.00980665],
      ['kN', 1000],
    ] as const) {
      const rows = [
        ['time (s)', `load (${unit})`, 'travel (mm)'],
        ...points.map(({ s, n, mm }) => [s, n / newtons, mm!].map((one) => one.toFixed(7).replace('.', ','))),
      ]
      expect(findPull(traceFromRows(rows).points).peakN / want).toBeCloseTo(1, 3)
    }
  })

  it('of a peel has the mean of its steady part, whatever it sticks and slips', () => {
    const random = seededRandom(2)
    const points = Array.from({ length: 2000 }, (_, i): TracePoint => {
      const mm = i * 0.05
      const n = 6 * Math.min(1, mm / 4) * (1 + 0.1 * Math.sin(mm * 1.7)) + 0.05 * normalDraw(random)
      return { s: i * 0.02, n, mm }
    })
    expect(Math.abs(steadyPeelN(points).meanN / 6 - 1)).toBeLessThan(0.01)
  })
})

describe('a pull that is read live', () => {
  it('holds its peak, tells its rate, and is over when its load is gone', () => {
    const live = new LivePull()
    madeTrace({ ...plain, rest: 2 }, 1).points.forEach((point, i) => {
      live.take(point)
      if (i === 20) live.tare()
      if (point.s < 5.9) expect(live.isOver(1)).toBe(false)
    })
    expect(live.peakN).toBeCloseTo(80, 0)
    expect(live.fastestNPerS).toBeCloseTo(20, 0)
    expect(live.nowN).toBeCloseTo(0, 6)
    expect(live.isOver(1)).toBe(true)
    live.clear()
    expect(live).toMatchObject({ peakN: 0, points: [] })
  })
})
