import { CodedError } from '../errors'
import { grips, type Grip, type Rung } from '../knowledge/rungs'

export type HandCalibration = Record<Grip, number[]>

/** Pulls of one grip that are needed before its rung says more than an order. */
export const PULLS_NEEDED = 3

/** Type 7 quantile (linear between order statistics, the usual spreadsheet percentile) of unsorted values. */
export function quantileType7(values: readonly number[], p: number): number {
  const sorted = [...values].sort((a, b) => a - b)
  const at = (sorted.length - 1) * p
  const below = sorted[Math.floor(at)]!
  return below + (at - Math.floor(at)) * (sorted[Math.ceil(at)]! - below)
}

export type LoadInterval = { lowN: number; highN: number | null }

/**
 * The load that a rung stands for, from the maker's own pulls on the scale: the 10th and 90th percentile of that grip's
 * pulls bound it. "Falls off" lies below the weakest calibrated grip; "would not come" is at least the strongest (open
 * top).
 * @throws CodedError uncalibrated-hands when the grip has fewer than PULLS_NEEDED pulls
 */
export function rungInterval(rung: Rung, calibration: Partial<HandCalibration>): LoadInterval {
  const pulls = (grip: Grip) => calibration[grip] ?? []
  const usable = (grip: Grip) => pulls(grip).length >= PULLS_NEEDED
  if (rung === 'falls-off' || rung === 'would-not-come') {
    const order = rung === 'falls-off' ? grips : [...grips].reverse()
    const grip = order.find(usable)
    if (!grip) throw new CodedError('uncalibrated-hands', rung)
    return rung === 'falls-off'
      ? { lowN: 0, highN: quantileType7(pulls(grip), 0.1) }
      : { lowN: quantileType7(pulls(grip), 0.1), highN: null }
  }
  if (!usable(rung)) throw new CodedError('uncalibrated-hands', rung)
  return { lowN: quantileType7(pulls(rung), 0.1), highN: quantileType7(pulls(rung), 0.9) }
}
