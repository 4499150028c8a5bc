import type { ModelReading } from './data'

/** Share of the end that a reading may come near to: half a degree of 180 is all that a set square tells. */
const NEAR = 1 - 1 / 360

/**
 * A figure with an end of its own, as a positive one without: its odds x/(end − x), so that no figure of the model
 * lies beyond the end.
 */
export const oddsOf = (x: number, end: number): number => {
  const share = Math.min(NEAR, Math.max(x / end, 0))
  return share / (1 - share)
}

/** The figure that has these odds. */
export const ofOdds = (odds: number, end: number): number => (odds === Infinity ? end : (end * odds) / (1 + odds))

/** Readings of a figure with an end as the model takes them; at the end itself it is at least that. */
export function asOdds(readings: readonly ModelReading[], end: number): ModelReading[] {
  const odds = (x: number) => oddsOf(x, end)
  const full = (x: number) => x >= NEAR * end
  return readings.map((one): ModelReading => {
    switch (one.kind) {
      case 'exact':
        return full(one.value)
          ? { procedure: one.procedure, kind: 'atLeast', low: odds(one.value) }
          : { ...one, value: odds(one.value) }
      case 'atLeast':
        return { ...one, low: odds(one.low) }
      case 'atMost':
        return { ...one, high: odds(one.high) }
      case 'between':
        return full(one.low)
          ? { procedure: one.procedure, kind: 'atLeast', low: odds(one.low) }
          : full(one.high)
            ? { procedure: one.procedure, kind: 'atLeast', low: Math.max(odds(one.low), 1e-6) }
            : { ...one, low: odds(one.low), high: odds(one.high) }
    }
  })
}
