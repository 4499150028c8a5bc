import type { Reading } from '../../records/reading'
import type { Exposure, Round } from '../../records/round'
import type { Coupon } from '../../records/coupon'
import type { Procedure } from '../../records/procedure'
import { analyse, type AnalysisInput } from '../../statistics/analyse'
import { exposedName, keptPairs, keptQuestion } from '../shareKept'

/** What a procedure kept of its dry strength after an exposure, as it was pulled. */
export interface KeptShare {
  procedure: string
  family: string
  exposure: Exposure
  /** of its dry strength: the middle, and where nine in ten lie */
  share: number
  low90: number
  high90: number
  /** the round that it was pulled in: “H4, round 1” */
  where: string
}

/** One exposure of one round to be worked out; plain, since it goes to another thread. */
export interface KeptAsked {
  exposure: Exposure
  question: AnalysisInput
  /** by procedure */
  families: Record<string, string>
  where: string
}

/** Every exposure of a round that was pulled beside its dry twin. */
export function keptAsked(
  round: Pick<Round, 'arms' | 'number'>,
  coupons: readonly Coupon[],
  readings: readonly Reading[],
  procedures: readonly Pick<Procedure, 'id' | 'family'>[],
  code: string,
): KeptAsked[] {
  return keptPairs(round).flatMap((pair): KeptAsked[] => {
    const question = keptQuestion(pair, coupons, readings)
    if (!question.readings.length) return []
    return [
      {
        exposure: pair.exposed.exposure!,
        question,
        families: Object.fromEntries(procedures.map(({ id, family }) => [id, family])),
        where: `${code}, round ${round.number}`,
      },
    ]
  })
}

/** The shares of all that is asked, by the strength model (methods.md 3); slow enough to belong in another thread. */
export const keptShares = (asked: readonly KeptAsked[]): KeptShare[] =>
  asked.flatMap(({ exposure, question, families, where }) =>
    analyse(question).ratios.flatMap(({ of, to, median, low90, high90 }): KeptShare[] =>
      of === exposedName(to)
        ? [{ procedure: to, family: families[to] ?? '', exposure, share: median, low90, high90, where }]
        : [],
    ),
  )
