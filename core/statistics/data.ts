import type { Datum } from '../readings/datum'

/** One reading as the model takes it: whose procedure, and what kind of datum. */
export type ModelReading = Datum & { procedure: string }

/** A procedure's readings, as logarithms and sufficient statistics. */
export interface Group {
  procedure: string
  n: number
  exact: number
  /** mean and centred sum of squares of ln of the exact readings */
  mean: number
  squares: number
  /** ln of the bounds, with how often each occurs */
  atLeast: [bound: number, times: number][]
  atMost: [bound: number, times: number][]
  between: [low: number, high: number, times: number][]
}

/**
 * Where a reading stands on the log scale, for the prior's middle: its value, its bound, or the geometric mid
 * (methods.md 3).
 */
function lnMiddle(reading: Datum): number {
  switch (reading.kind) {
    case 'exact':
      return Math.log(reading.value)
    case 'atLeast':
      return Math.log(reading.low)
    case 'atMost':
      return Math.log(reading.high)
    case 'between':
      return reading.low > 0 ? (Math.log(reading.low) + Math.log(reading.high)) / 2 : Math.log(reading.high)
  }
}

const counted = (bounds: number[]): [number, number][] => {
  const times = new Map<number, number>()
  for (const bound of bounds) times.set(bound, (times.get(bound) ?? 0) + 1)
  return [...times].sort((a, b) => a[0] - b[0])
}

function groupOf(procedure: string, readings: readonly ModelReading[]): Group {
  const exact: number[] = []
  const lows: number[] = []
  const highs: number[] = []
  const between = new Map<string, [number, number, number]>()
  for (const reading of readings) {
    if (reading.kind === 'exact') exact.push(Math.log(reading.value))
    else if (reading.kind === 'atLeast') lows.push(Math.log(reading.low))
    else if (reading.kind === 'atMost' || reading.low <= 0) highs.push(Math.log(reading.high))
    else {
      const key = `${reading.low} ${reading.high}`
      const seen = between.get(key)
      if (seen) seen[2]++
      else between.set(key, [Math.log(reading.low), Math.log(reading.high), 1])
    }
  }
  exact.sort((a, b) => a - b)
  const mean = exact.length ? exact.reduce((sum, y) => sum + y, 0) / exact.length : 0
  const squares = exact.reduce((sum, y) => sum + (y - mean) ** 2, 0)
  return {
    procedure,
    n: readings.length,
    exact: exact.length,
    mean,
    squares,
    atLeast: counted(lows),
    atMost: counted(highs),
    between: [...between.values()].sort((a, b) => a[0] - b[0] || a[1] - b[1]),
  }
}

/**
 * Groups in order of first appearance, and m0, the prior's middle over all readings. The order within a group does not
 * matter.
 */
export function grouped(readings: readonly ModelReading[]): { groups: Group[]; m0: number } {
  const byProcedure = new Map<string, ModelReading[]>()
  for (const reading of readings) {
    const list = byProcedure.get(reading.procedure)
    if (list) list.push(reading)
    else byProcedure.set(reading.procedure, [reading])
  }
  const middles = readings.map(lnMiddle).sort((a, b) => a - b)
  const m0 = middles.reduce((sum, y) => sum + y, 0) / Math.max(1, middles.length)
  return { groups: [...byProcedure].map(([procedure, list]) => groupOf(procedure, list)), m0 }
}
