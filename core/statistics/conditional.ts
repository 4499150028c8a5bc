import type { Group } from './data'
import { FINE, cdfOf, meshOf, pointsOf, type LogCurve, type Mesh } from './mesh'
import { logDensity, logPhi, logPhiBetween, phiCdf } from './normal'

/** Prior standard deviation of a procedure's ln strength about m0 (methods.md 3). */
export const PRIOR_SD = 1.5

/** What is known of one procedure's μ once σ is fixed: a normal when all its readings are exact, else a mesh. */
export type Conditional = { logZ: number } & (
  { kind: 'normal'; mean: number; sd: number } | { kind: 'mesh'; mesh: Mesh }
)

const LN_2PI = Math.log(2 * Math.PI)

/** Exact readings only: normal times normal, in closed form. */
function closedForm(group: Group, sigma: number, m0: number): Conditional {
  const n = group.exact
  const priorVar = PRIOR_SD ** 2
  const meanVar = sigma ** 2 / n
  const spread = priorVar + meanVar
  const logZ =
    -(n / 2) * LN_2PI -
    n * Math.log(sigma) -
    group.squares / (2 * sigma ** 2) +
    0.5 * (LN_2PI + Math.log(meanVar)) -
    0.5 * (LN_2PI + Math.log(spread)) -
    (group.mean - m0) ** 2 / (2 * spread)
  return {
    kind: 'normal',
    logZ,
    mean: (group.mean * priorVar + m0 * meanVar) / spread,
    sd: Math.sqrt((priorVar * meanVar) / spread),
  }
}

/** ln of prior times likelihood in μ, with its slope; every term is log-concave. */
function curveOf(group: Group, sigma: number, m0: number): LogCurve {
  const priorLog = -0.5 * LN_2PI - Math.log(PRIOR_SD)
  const exactLog = -(group.exact / 2) * LN_2PI - group.exact * Math.log(sigma) - group.squares / (2 * sigma ** 2)
  return (mu) => {
    let log = priorLog - (mu - m0) ** 2 / (2 * PRIOR_SD ** 2) + exactLog
    let slope = (m0 - mu) / PRIOR_SD ** 2
    if (group.exact > 0) {
      const off = group.mean - mu
      log -= (group.exact * off * off) / (2 * sigma * sigma)
      slope += (group.exact * off) / (sigma * sigma)
    }
    for (const [bound, times] of group.atLeast) {
      const z = (mu - bound) / sigma
      const tail = logPhi(z)
      log += times * tail
      slope += (times * Math.exp(logDensity(z) - tail)) / sigma
    }
    for (const [bound, times] of group.atMost) {
      const z = (bound - mu) / sigma
      const tail = logPhi(z)
      log += times * tail
      slope -= (times * Math.exp(logDensity(z) - tail)) / sigma
    }
    for (const [low, high, times] of group.between) {
      const [a, b] = [(low - mu) / sigma, (high - mu) / sigma]
      const inside = logPhiBetween(a, b)
      log += times * inside
      slope += (times * (Math.exp(logDensity(a) - inside) - Math.exp(logDensity(b) - inside))) / sigma
    }
    return { log, slope }
  }
}

/** A guess of where μ's peak lies, to start the search: the middle of what was read. */
function startOf(group: Group, m0: number): number {
  const bounds = [
    ...group.atLeast.map(([b]) => b),
    ...group.atMost.map(([b]) => b),
    ...group.between.map(([l, h]) => (l + h) / 2),
  ]
  if (group.exact > 0) return group.mean
  return bounds.length ? bounds.reduce((sum, b) => sum + b, 0) / bounds.length : m0
}

export function conditionalOf(group: Group, sigma: number, m0: number, tolerance = FINE): Conditional {
  if (group.exact === group.n) return closedForm(group, sigma, m0)
  const mesh = meshOf(
    curveOf(group, sigma, m0),
    startOf(group, m0),
    Math.min(PRIOR_SD, sigma / Math.sqrt(Math.max(1, group.exact))),
    tolerance,
  )
  return { kind: 'mesh', logZ: mesh.logZ, mesh }
}

/** P(μ ≤ x | σ). */
export const cdfAt = (c: Conditional, x: number): number =>
  c.kind === 'normal' ? phiCdf((x - c.mean) / c.sd) : cdfOf(c.mesh, x)

/** The range outside which nothing of the distribution lies. */
export function rangeOf(c: Conditional): [number, number] {
  return c.kind === 'normal' ? [c.mean - 9 * c.sd, c.mean + 9 * c.sd] : [c.mesh.x[0]!, c.mesh.x.at(-1)!]
}

/**
 * Places and weights for averaging over μ | σ. A normal gets even steps (exponentially exact for smooth integrands),
 * fine enough for a partner of standard deviation `finest`.
 */
export function averagingPoints(c: Conditional, finest: number): { x: number[]; w: number[] } {
  if (c.kind === 'mesh') return pointsOf(c.mesh)
  const step = Math.min(0.3 * c.sd, Math.max(0.5 * finest, 0.02 * c.sd))
  const half = Math.ceil((7 * c.sd) / step)
  const x: number[] = []
  const w: number[] = []
  let total = 0
  for (let i = -half; i <= half; i++) {
    x.push(c.mean + i * step)
    w.push(Math.exp(-0.5 * ((i * step) / c.sd) ** 2))
    total += w.at(-1)!
  }
  return { x, w: w.map((weight) => weight / total) }
}
