import { normalDraw, type Random } from '../core/planning/random'
import { formulaOf, type TestId } from '../core/knowledge/testKinds'
import type { TracePoint } from '../core/readings/trace'

/** One simulated pull. */
export interface TraceQuestion {
  test: TestId
  /** what the joint carries: its peak, or for a peel the mean of its steady part, N */
  forceN: number
  /** length of a strip that is peeled, mm */
  lengthMm?: number
}

/** Samples a second, and how fast the stand pulls, mm/s. */
export const SAMPLES_PER_S = 20
const SPEED_MM_S = 2.5
/** Slack of grips and webbing that is taken up before anything carries, s. */
const SLACK_S = 0.6
/** A straight pull or a shear is at its peak after so long, s; a strong one later, so that it is no jerk. */
const RISE_S = 3.2
const FASTEST_N_S = 45
const AFTER_S = 0.8
/** The gauge’s own noise, as a share of the load, and at rest, N. */
const NOISE_SHARE = 0.004
const NOISE_N = 0.03
/** How far a peel sticks and slips about its mean, and how often, per mm. */
const STICK_SHARE = 0.09
const STICKS_PER_MM = 0.28
const PEEL_MM = 60

/**
 * The force over time and travel of one simulated pull, natural for its kind: a slow start, a rise that bends over, a
 * peak and a sudden drop; a peel rises to a plateau on which it sticks and slips.
 */
export function simulatedTrace({ test, forceN, lengthMm }: TraceQuestion, random: Random): TracePoint[] {
  const peels = formulaOf(test)?.id === 'peel'
  const plateauS = peels ? (lengthMm ?? PEEL_MM) / SPEED_MM_S : 0
  // The rise is steepest at its start: 1.6 times its mean.
  const riseS = peels ? Math.max(0.9, (1.6 * forceN) / FASTEST_N_S) : Math.max(RISE_S, (1.6 * forceN) / FASTEST_N_S)
  const [riseEnd, end] = [SLACK_S + riseS, SLACK_S + riseS + plateauS]
  const count = Math.ceil((end + AFTER_S) * SAMPLES_PER_S)
  const phase = random() * 2 * Math.PI
  const at = (s: number): number => {
    if (s <= SLACK_S) return 0
    if (s < riseEnd) {
      // 1 − (1 − x)^1.6: straight at first, softer towards its peak.
      const x = (s - SLACK_S) / (riseEnd - SLACK_S)
      return forceN * (1 - (1 - x) ** 1.6)
    }
    if (s > end) return 0
    if (!peels) return forceN
    return forceN * (1 + STICK_SHARE * Math.sin(phase + 2 * Math.PI * STICKS_PER_MM * SPEED_MM_S * (s - riseEnd)))
  }
  const points: TracePoint[] = []
  for (let i = 0; i < count; i++) {
    const s = i / SAMPLES_PER_S
    const load = at(s)
    const n = load * (1 + NOISE_SHARE * normalDraw(random)) + NOISE_N * normalDraw(random)
    points.push({ s, n: Math.max(-0.2, n), mm: Math.max(0, s - SLACK_S / 2) * SPEED_MM_S })
  }
  // The peak lies between two samples otherwise: what the joint carries is what its trace shows.
  if (!peels) points[Math.round(riseEnd * SAMPLES_PER_S)]!.n = forceN
  return points
}
