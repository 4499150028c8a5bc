import { countingReadings } from '../../../core/readings/counting'
import { computed, onScopeDispose, ref, shallowRef, watch, type ComputedRef } from 'vue'
import { marginOf, type Margin } from '../../../core/choice/margin'
import { metExposures } from '../../../core/choice/met'
import { requiredStrength } from '../../../core/choice/requirement'
import { cost, type CostResult } from '../../../core/costs/cost'
import { sayError } from '../../../core/messages'
import { fullCureS, handsOnMinutes } from '../../../core/planning/steps'
import type { Reading } from '../../../core/records/reading'
import type { Coupon, Procedure } from '../../../core/records/round'
import type { Analysis, ProcedureSummary } from '../../../core/statistics/analyse'
import type { ModelReading } from '../../../core/statistics/data'
import { familyTimes, type JointView } from '../../bench/jointView'
import { readReading } from '../../bench/settled'
import type { useBench } from '../../bench/store'
import { benchWorker } from '../../workers/client'

type Store = ReturnType<typeof useBench>

export interface Candidate {
  procedure: Procedure
  /** null while none of its pulls says anything about strength */
  summary: ProcedureSummary | null
  pulls: { coupon: Coupon; reading: Reading }[]
  wet: number
  margin: Margin | null
  cost: CostResult | null
  cureS: number
}

const WASTE = 0.1

/** Cost of one real joint with a procedure; null while its size is open. */
export function costOf(bench: Store, view: JointView, procedure: Procedure): CostResult | null {
  const { brief } = view.joint
  if (brief.widthMm === null || brief.lengthMm === null) return null
  const family = familyTimes(bench, procedure)
  const product = bench.get('adhesive', procedure.adhesive)
  return cost({
    adhesive: {
      family: procedure.family,
      packSize: product?.packSize ?? family.packSize,
      packUnit: product?.packUnit ?? family.packUnit,
      packPrice: product?.packPrice ?? family.packPrice,
      spreadGm2: procedure.spreadGm2 ?? family.spreadGm2,
    },
    areaCm2: (brief.widthMm * brief.lengthMm) / 100,
    coats: procedure.coats,
    waste: WASTE,
    minutes: handsOnMinutes(procedure.steps),
    ratePerHour: bench.bench?.ratePerHour ?? 0,
    joints: brief.count ?? 1,
  })
}

/** The readings of a round as the model takes them; left-out ones stay out. */
export function modelReadings(view: JointView): ModelReading[] {
  const couponById = new Map(view.coupons.map((coupon) => [coupon.id, coupon]))
  return countingReadings(view.readings).flatMap((reading): ModelReading[] => {
    const { datum } = readReading(reading, view.arm!.test)
    return datum.kind === 'leftOut' ? [] : [{ procedure: couponById.get(reading.coupon)!.procedure, ...datum }]
  })
}

/** The limit that counts: what the maker set, else what follows from the brief. */
export const limitOf = (view: JointView): number | null =>
  view.arm === null ? null : (view.arm.passLimit ?? requiredStrength(view.joint.brief, view.arm.test))

/**
 * Runs the analysis of the shown round in the worker, anew whenever a reading or the limit changes; a stale one is
 * cancelled.
 */
export function useAnalysis(view: ComputedRef<JointView>) {
  const analysis = shallowRef<Analysis | null>(null)
  const progress = ref<number | null>(null)
  const problem = ref('')
  let running: AbortController | null = null

  async function run() {
    running?.abort()
    const mine = (running = new AbortController())
    problem.value = ''
    try {
      const readings = view.value.round ? modelReadings(view.value) : []
      const names = [...new Set(readings.map(({ procedure }) => procedure))]
      const ratios = names.flatMap((a, i) => names.slice(i + 1).map((b): [string, string] => [a, b]))
      progress.value = 0
      analysis.value = await benchWorker().analyse(
        { required: limitOf(view.value), readings, ratios },
        { signal: mine.signal, onProgress: (done) => (progress.value = done) },
      )
    } catch (error) {
      if (mine.signal.aborted) return
      problem.value = sayError(error)
    }
    progress.value = null
  }
  const cancel = () => {
    running?.abort()
    progress.value = null
  }
  watch(
    () => JSON.stringify([view.value.round?.id, view.value.arm?.id, limitOf(view.value), view.value.readings]),
    run,
    {
      immediate: true,
    },
  )
  onScopeDispose(() => running?.abort())
  return { analysis, progress, problem, run, cancel }
}

export function useCandidates(
  bench: Store,
  view: ComputedRef<JointView>,
  /** the joint with all arms of its round, where the view is narrowed to one */
  whole: Readonly<{ value: JointView }>,
  analysis: Readonly<{ value: Analysis | null }>,
) {
  return computed<Candidate[]>(() => {
    const { round, arm, procedures, coupons, readings, joint } = view.value
    if (!round || !arm) return []
    const list = procedures
      .filter((procedure) => round.procedures.includes(procedure.id))
      .map((procedure): Candidate => {
        const own = coupons.filter((coupon) => coupon.procedure === procedure.id)
        const pulls = own.flatMap((coupon) => {
          const reading = readings.find((one) => one.coupon === coupon.id)
          return reading ? [{ coupon, reading }] : []
        })
        const summary = analysis.value?.procedures.find((one) => one.procedure === procedure.id) ?? null
        return {
          procedure,
          summary,
          pulls,
          wet: pulls.filter(({ reading }) => reading.outcome.end === 'wet').length,
          margin:
            summary && summary.open !== 'below'
              ? marginOf(
                  joint.brief,
                  arm.test,
                  summary.weakJoint.low95,
                  arm.size,
                  familyTimes(bench, procedure),
                  metExposures(round, whole.value.coupons, whole.value.readings, procedure.id),
                )
              : null,
          cost: costOf(bench, view.value, procedure),
          cureS: fullCureS(procedure.steps),
        }
      })
    return list.sort((x, y) => (y.summary?.weakJoint.low95 ?? -1) - (x.summary?.weakJoint.low95 ?? -1))
  })
}
