import type { Arm } from '../records/round'
import type { Procedure } from '../records/procedure'
import { ageAtPullS } from './gluing'

/** Seconds of a procedure before closing in which nobody's hands are on it: coats that dry, the open wait. */
const openS = ({ steps }: Pick<Procedure, 'steps'>): number =>
  steps
    .filter(({ kind }) => kind === 'coat' || kind === 'wait' || kind === 'prime')
    .reduce((sum, { minS }) => sum + minS, 0)

/**
 * Hours from the first step until all can be pulled: the hands' work on all pieces, then the longest of open time, cure
 * or age, and exposure.
 * @param handsOnMinutes of the whole round
 */
export function hoursToPull(
  procedures: readonly Pick<Procedure, 'steps'>[],
  arms: readonly Pick<Arm, 'ageS' | 'exposure'>[],
  handsOnMinutes: number,
): number {
  const chains = procedures.flatMap((procedure) =>
    arms.map((arm) => (openS(procedure) + ageAtPullS(procedure, arm)) / 3600 + (arm.exposure?.hours ?? 0)),
  )
  return handsOnMinutes / 60 + Math.max(0, ...chains)
}
