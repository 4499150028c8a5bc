import type { Instrument } from '../records/instrument'
import { STANDARD_GRAVITY, WATER_KG_PER_LITRE } from '../quantities/units'

/** A gauge that reads wrong by more than this is told, as a share. */
const OFF_SHARE = 0.03

export interface GaugeError {
  /** mean of read over true, less one */
  share: number
  checks: number
  /** beyond what its own step explains */
  off: boolean
}

/** What a bottle of water pulls, N: its water and the empty bottle. @param litres of water @param bottleKg empty */
export const waterWeightN = (litres: number, bottleKg: number): number =>
  (litres * WATER_KG_PER_LITRE + bottleKg) * STANDARD_GRAVITY

/** How far an instrument reads wrong, by its checks against known weights; null before the first. */
export function gaugeError({ checks, resolutionN }: Pick<Instrument, 'checks' | 'resolutionN'>): GaugeError | null {
  if (!checks.length) return null
  const share = checks.reduce((sum, { trueN, readN }) => sum + readN / trueN - 1, 0) / checks.length
  const byStep = checks.reduce((sum, { trueN }) => sum + resolutionN / 2 / trueN, 0) / checks.length
  return { share, checks: checks.length, off: Math.abs(share) > Math.max(OFF_SHARE, byStep) }
}
