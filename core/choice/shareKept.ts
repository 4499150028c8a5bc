import { modelReadings } from '../evidence/modelReadings'
import type { Reading } from '../records/reading'
import type { Arm, Round } from '../records/round'
import type { Coupon } from '../records/coupon'
import type { AnalysisInput } from '../statistics/analyse'

/** An arm after an exposure, and the dry one that it is held against. */
export interface KeptPair {
  exposed: Arm
  dry: Arm
}

/** Arms of a round that have a dry twin: the same test at full cure, without an exposure. */
export function keptPairs({ arms }: Pick<Round, 'arms'>): KeptPair[] {
  return arms.flatMap((exposed): KeptPair[] => {
    if (!exposed.exposure) return []
    const dry = arms.find((one) => one.test === exposed.test && !one.exposure && one.ageS == null)
    return dry ? [{ exposed, dry }] : []
  })
}

/** What the pulls of a procedure after an exposure are called in the analysis. */
export const exposedName = (procedure: string): string => `${procedure} exposed`

/**
 * What the share kept is worked out with: the pulls of both arms in one strength model, and of each procedure the ratio
 * of exposed to dry (methods.md 3). Procedures that were pulled in one of the arms only have no share.
 */
export function keptQuestion(
  { exposed, dry }: KeptPair,
  coupons: readonly Coupon[],
  readings: readonly Reading[],
): AnalysisInput {
  const of = (arm: Arm) => {
    const own = coupons.filter((one) => one.arm === arm.id)
    const ids = new Set(own.map(({ id }) => id))
    return modelReadings(
      arm,
      own,
      readings.filter(({ coupon }) => ids.has(coupon)),
    )
  }
  const after = of(exposed)
  const before = of(dry)
  const both = [...new Set(after.map(({ procedure }) => procedure))].filter((name) =>
    before.some(({ procedure }) => procedure === name),
  )
  return {
    required: null,
    readings: [
      ...before.filter(({ procedure }) => both.includes(procedure)),
      ...after
        .filter(({ procedure }) => both.includes(procedure))
        .map((one) => ({ ...one, procedure: exposedName(one.procedure) })),
    ],
    ratios: both.map((name): [string, string] => [exposedName(name), name]),
  }
}
