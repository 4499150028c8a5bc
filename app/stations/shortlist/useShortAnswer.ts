import { computed, type ComputedRef } from 'vue'
import type { Helper } from '../../../core/knowledge/vocabulary'
import type { Procedure } from '../../../core/records/procedure'
import { shortAnswer } from '../../../core/screening/shortAnswer'
import type { Candidate, Help } from '../../../core/screening/shortlist'
import type { JointView } from '../../bench/jointView'
import type { useBench } from '../../bench/store'
import { pick } from './pick'

/** The short answer, what of it is not in the round yet, and the press that takes it; null when all of it is. */
export function useShortAnswer(
  bench: ReturnType<typeof useBench>,
  view: () => JointView,
  candidates: ComputedRef<Candidate[]>,
  helpOf: ComputedRef<ReadonlyMap<string, Help[]>>,
  pickedOf: (candidate: Candidate) => Procedure[],
) {
  const answer = computed(() => shortAnswer(candidates.value, (one) => helpOf.value.get(one.key) ?? []))
  const isPicked = (one: Candidate, helper: Helper | null) =>
    pickedOf(one).some(({ helpers }) => (helper ? helpers.includes(helper) : helpers.length === 0))
  const left = computed(() => {
    const { three, control } = answer.value
    return [...three, ...(control ? [{ candidate: control, helper: null }] : [])].filter(
      ({ candidate, helper }) => !isPicked(candidate, helper),
    )
  })
  const take = computed(() => {
    const untaken = left.value
    if (!untaken.length) return null
    return () =>
      pick(
        bench,
        view(),
        ...untaken.map(({ candidate, helper }) => ({
          family: candidate.family.id,
          product: candidate.product,
          helpers: helper ? [helper] : [],
          anyway: false,
        })),
      )
  })
  return { answer, left, take }
}
