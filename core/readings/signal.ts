import { largest } from '../quantities/largest'
/** Rest before the pull that its drift is seen in, samples at least. */
const REST = 4
/** Samples at the end that show what is left on the gauge. */
const TAIL = 16

const mean = (values: readonly number[]) => values.reduce((sum, one) => sum + one, 0) / values.length

/** Straight line by least squares: value at 0 and slope. */
export function line(xs: readonly number[], ys: readonly number[]): { at0: number; slope: number } {
  const [mx, my] = [mean(xs), mean(ys)]
  let [xx, xy] = [0, 0]
  xs.forEach((x, i) => {
    xx += (x - mx) ** 2
    xy += (x - mx) * (ys[i]! - my)
  })
  const slope = xx > 0 ? xy / xx : 0
  return { at0: my - slope * mx, slope }
}

/** The middle of three: one wild sample is no load. */
export function calmed(values: readonly number[]): number[] {
  return values.map((value, i) => {
    const three = [values[i - 1] ?? value, value, values[i + 1] ?? value].sort((x, y) => x - y)
    return three[1]!
  })
}

/** The scatter of a gauge from sample to sample: the middle one of the steps between neighbours, as σ. */
export function noiseOf(values: readonly number[]): number {
  const steps = values.slice(1).map((value, i) => Math.abs(value - values[i]!))
  steps.sort((x, y) => x - y)
  // The median of |x − y| of two normal draws is 0.954 σ.
  return (steps[Math.floor(steps.length / 2)] ?? 0) / 0.954
}

/** How far the samples at one end stay where they were: as long as the next few lie on the line of those before. */
function still(xs: readonly number[], ys: readonly number[], noise: number, most: number): number {
  const give = 4 * (noise / Math.sqrt(AHEAD)) + 0.001 * most
  // The line through the first n, kept up with each sample: a gauge may lie at rest for minutes (Welford 1962).
  let [mx, my, xx, xy] = [0, 0, 0, 0]
  let n = 0
  for (; n + AHEAD <= ys.length; n++) {
    if (n >= 2 * REST) {
      const slope = xx > 0 ? xy / xx : 0
      const ahead = mean(ys.slice(n, n + AHEAD)) - (my + slope * (mean(xs.slice(n, n + AHEAD)) - mx))
      if (Math.abs(ahead) > give) break
    }
    const off = xs[n]! - mx
    mx += off / (n + 1)
    my += (ys[n]! - my) / (n + 1)
    xx += off * (xs[n]! - mx)
    xy += off * (ys[n]! - my)
  }
  return n + AHEAD > ys.length ? 0 : n
}
const AHEAD = 5

/** A gauge that drifts this fast, as a share of the rise that follows, is pulled at. */
const DRIFT_SHARE = 0.1
/** Whether the first n samples climb as a pull does: nearly as fast as what follows them up to the peak. */
function climbs(xs: readonly number[], ys: readonly number[], n: number, slope: number): boolean {
  const top = ys.indexOf(largest(ys))
  return top >= n && slope > (DRIFT_SHARE * (ys[top]! - ys[n - 1]!)) / (xs[top]! - xs[n - 1]!)
}

/**
 * What the gauge shows with nothing on it, over time: the rest before the pull, and the rest after it where there is
 * one, tell its drift; a slope within the noise of the first alone is none.
 */
export function restOf(xs: readonly number[], ys: readonly number[], noise: number): (s: number) => number {
  const most = largest(ys)
  const n = still(xs, ys, noise, most)
  const level = n >= REST ? mean(ys.slice(0, n)) : 0
  const before = n < REST ? null : line(xs.slice(0, n), ys.slice(0, n))
  // What begins under load has no rest: its first straight part is the rise itself, and is no drift to take off.
  if (!before || level > 0.3 * most || climbs(xs, ys, n, before.slope)) return () => 0
  const from = mean(xs.slice(0, n))
  const [xr, yr] = [xs.slice(-TAIL), ys.slice(-TAIL)]
  const after = line(xr, yr)
  const tail = yr.every((y, i) => Math.abs(y - after.at0 - after.slope * xr[i]!) < 5 * noise + 0.001 * most)
  const steep = (0.05 * most) / (xs.at(-1)! - xs[0]!) + (4 * noise * Math.sqrt(12 / TAIL)) / (xr.at(-1)! - xr[0]!)
  if (tail && mean(yr) < level + 0.1 * (most - level) && Math.abs(after.slope) < steep) {
    const slope = (mean(yr) - level) / (mean(xr) - from)
    return (s) => level + slope * (s - from)
  }
  const { at0, slope } = before
  const span = xs[n - 1]! - xs[0]!
  // The slope’s own deviation, of n even samples.
  const doubt = (noise * Math.sqrt(12 / n)) / Math.max(span, 1e-9)
  return n >= TAIL && Math.abs(slope) > 5 * doubt ? (s) => at0 + slope * s : () => level
}
