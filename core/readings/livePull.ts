import type { TracePoint } from './trace'
import { RATE_S } from './pull'

/** Samples that come one by one while a coupon is pulled: what is shown, and when it is over. */
export class LivePull {
  readonly points: TracePoint[] = []
  peakN = 0
  nowN = 0
  /** N/s over the last quarter of a second */
  rateNPerS = 0
  /** how fast it was at the fastest, N/s */
  fastestNPerS = 0
  overload = false
  private zero = 0

  /** What it shows now counts as nothing. */
  tare(): void {
    this.zero += this.nowN
    this.nowN = 0
    this.clear()
  }
  clear(): void {
    this.points.length = 0
    this.peakN = this.rateNPerS = this.fastestNPerS = 0
    this.overload = false
  }

  take({ s, n, mm }: TracePoint): void {
    this.nowN = n - this.zero
    this.points.push({ s, n: this.nowN, mm })
    this.peakN = Math.max(this.peakN, this.nowN)
    let from = this.points.length - 1
    while (from > 0 && s - this.points[from]!.s < RATE_S) from -= 1
    const before = this.points[from]!
    this.rateNPerS = s > before.s ? (this.nowN - before.n) / (s - before.s) : 0
    if (this.nowN > 0.1 * this.peakN) this.fastestNPerS = Math.max(this.fastestNPerS, this.rateNPerS)
  }

  /** It carried something, and that is gone. @param leastN what counts as carrying at all: some steps of the gauge */
  isOver(leastN: number): boolean {
    return this.peakN > leastN && this.nowN < 0.2 * this.peakN
  }
}
