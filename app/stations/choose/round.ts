import { computed, type ComputedRef } from 'vue'
import type { PulledAfter } from '../../../core/choice/real/factors'
import type { JointCost } from '../../../core/choice/jointCost'
import type { KeptShare } from '../../../core/choice/real/keptShares'
import { marginOf, type Margin } from '../../../core/choice/real/margin'
import { metExposures } from '../../../core/choice/met'
import { modelReadings } from '../../../core/evidence/modelReadings'
import { sayError } from '../../../core/messages'
import { countingOf, formulaOf } from '../../../core/knowledge/testKinds'
import { neededN } from '../../../core/loads/needed'
import { limitOf } from '../../../core/planning/limits'
import { fullCureS } from '../../../core/planning/steps'
import type { Reading } from '../../../core/records/reading'
import type { Arm } from '../../../core/records/round'
import type { Decision } from '../../../core/records/decision'
import type { Coupon } from '../../../core/records/coupon'
import type { Procedure } from '../../../core/records/procedure'
import type { Analysis, AnalysisInput, ProcedureSummary } from '../../../core/statistics/analyse'
import { costOf } from '../../bench/buildJoints'
import { familyTimes, latestDecision, narrowed, type JointView } from '../../bench/jointView'
import { steady } from '../../bench/steady'
import type { useBench } from '../../bench/store'
import { benchWorker, sideWorker } from '../../workers/client'
import { useAsked } from '../../workers/useAsked'

type Store = ReturnType<typeof useBench>

export interface Candidate {
  /** the test by whose pulls it is weighed */
  arm: Arm
  procedure: Procedure
  /** null while none of its pulls says anything about strength */
  summary: ProcedureSummary | null
  pulls: { coupon: Coupon; reading: Reading }[]
  wet: number
  margin: Margin | null
  cost: JointCost | null
  cureS: number
}

/** Of every joint what was decided last. */
export const latestDecisions = (bench: Store): Decision[] =>
  bench.all('joint').flatMap(({ id }) => latestDecision(bench, id) ?? [])

/** What was pulled after exposures and may say something of a procedure's real joint. */
const pulledAfter = (
  { round, coupons, readings }: Pick<JointView, 'round' | 'coupons' | 'readings'>,
  arm: Arm,
  procedure: Procedure,
  kept: readonly KeptShare[],
): PulledAfter => ({
  met: round ? metExposures(round, coupons, readings, procedure.id) : [],
  kept,
  procedure: procedure.id,
  own: arm.exposure,
})

/** The limit of the shown arm; null where there is none. */
export const limitHere = ({ arm, joint }: JointView): number | null => arm && limitOf(arm, joint.brief)

/** What the analysis of the shown arm is asked with: each of its procedures against each other. */
function questionOf(view: JointView): AnalysisInput {
  const readings = view.arm ? modelReadings(view.arm, view.coupons, view.readings) : []
  const names = [...new Set(readings.map(({ procedure }) => procedure))]
  const ratios = names.flatMap((a, i) => names.slice(i + 1).map((b): [string, string] => [a, b]))
  const end = view.arm ? (countingOf(view.arm.test)?.end ?? null) : null
  return { required: limitHere(view), readings, ratios, end }
}
const partsOf = ({ required, readings }: AnalysisInput) => [
  required,
  ...readings.flatMap((one) => Object.values(one) as unknown[]),
]

/** The analysis of the shown arm, in the worker, anew whenever a reading or the limit changes. */
export function useAnalysis(view: ComputedRef<JointView>) {
  const question = steady(() => questionOf(view.value), partsOf)
  const { answer, fault, ...rest } = useAsked(
    () => question.value,
    (input, options) => benchWorker().analyse(input, options),
  )
  return { analysis: answer, problem: computed(() => (fault.value ? sayError(fault.value) : '')), ...rest }
}

/** The procedures of a view narrowed to one arm, weighed by that arm's pulls; strongest first. */
function candidatesOf(
  bench: Store,
  view: JointView,
  whole: JointView,
  analysis: Analysis | null,
  kept: KeptShare[] | null,
): Candidate[] {
  const { round, arm, procedures, coupons, readings, joint } = view
  if (!round || !arm) return []
  const list = procedures
    .filter((procedure) => round.procedures.includes(procedure.id))
    .map((procedure): Candidate => {
      const own = coupons.filter((coupon) => coupon.procedure === procedure.id)
      const pulls = own.flatMap((coupon) => {
        const reading = readings.find((one) => one.coupon === coupon.id)
        return reading ? [{ coupon, reading }] : []
      })
      const summary = analysis?.procedures.find((one) => one.procedure === procedure.id) ?? null
      return {
        arm,
        procedure,
        summary,
        pulls,
        wet: pulls.filter(({ reading }) => reading.outcome.end === 'wet').length,
        margin:
          summary && summary.open !== 'below' && kept
            ? marginOf(
                joint.brief,
                arm.test,
                summary.weakJoint.low95,
                arm.size,
                familyTimes(bench, procedure),
                pulledAfter(whole, arm, procedure, kept),
              )
            : null,
        cost: costOf(bench, view, procedure),
        cureS: fullCureS(procedure.steps),
      }
    })
  return list.sort((x, y) => (y.summary?.weakJoint.low95 ?? -1) - (x.summary?.weakJoint.low95 ?? -1))
}

/** The procedures of the shown arm, weighed by its pulls. */
export const useCandidates = (
  bench: Store,
  view: ComputedRef<JointView>,
  /** the joint with all arms of its round, where the view is narrowed to one */
  whole: Readonly<{ value: JointView }>,
  analysis: Readonly<{ value: Analysis | null }>,
  /** what was kept after exposures; null until it is known: no margin is told before */
  kept: Readonly<{ value: KeptShare[] | null }>,
) => computed<Candidate[]>(() => candidatesOf(bench, view.value, whole.value, analysis.value, kept.value))

/** Arms beside the shown one that weigh the joint's load as well: dry, with a strength that was pulled. */
const otherArms = (whole: JointView, shown: string | undefined): JointView[] =>
  (whole.round?.arms ?? [])
    .filter(
      ({ id, test, exposure }) => id !== shown && !exposure && neededN(whole.joint.brief, test) && formulaOf(test),
    )
    .map(({ id }) => narrowed(whole, id))
    .filter(({ readings }) => readings.length)

/**
 * The same procedures weighed by the joint's other tests: pulled along it may hold a hundred times its load, and
 * snapped no more than twice. A list an arm; null until all are worked out.
 */
export function useOtherTests(
  bench: Store,
  view: ComputedRef<JointView>,
  whole: Readonly<{ value: JointView }>,
  kept: Readonly<{ value: KeptShare[] | null }>,
) {
  const others = computed(() => otherArms(whole.value, view.value.arm?.id))
  const questions = steady(
    () => others.value.map(questionOf),
    (list) => list.flatMap((one, i) => [i, ...partsOf(one)]),
  )
  const { answer, fault } = useAsked(
    () => questions.value,
    (list, options) => Promise.all(list.map((input) => sideWorker().analyse(input, { signal: options.signal }))),
  )
  return computed<Candidate[] | null>(() => {
    const analyses = answer.value
    // Where it cannot be worked out the shown test stands alone, as its failure is said where that test is shown.
    if (fault.value) return []
    if (!kept.value || analyses?.length !== others.value.length) return null
    return others.value.flatMap((one, i) => candidatesOf(bench, one, whole.value, analyses[i]!, kept.value))
  })
}

/** Of a procedure the test by which the real joint holds least; the shown one where no other holds less. */
export const weakestOf = (shown: Candidate, others: readonly Candidate[]): Candidate =>
  others
    .filter(({ procedure, margin }) => procedure.id === shown.procedure.id && margin)
    .reduce((least, one) => (one.margin!.times < (least.margin?.times ?? Infinity) ? one : least), shown)
