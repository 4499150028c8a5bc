import type { ComputedRef } from 'vue'
import type { Helper } from '../../../core/knowledge/vocabulary'
import type { Candidate } from '../../../core/screening/shortlist'
import { schoolOf, type School, type Way } from '../../../core/screening/schools'
import type { JointView } from '../../bench/jointView'
import type { useBench } from '../../bench/store'
import { nameOfPicked, pick, type Picked } from './pick'

const mayHarm = ({ screening }: Candidate) =>
  screening.reasons.some((reason) => reason.harm && reason.verdict === 'block' && !reason.lifted)

/** Where makers disagree about a glue, and the press that puts both ways into the round. */
export function useSchools(
  bench: ReturnType<typeof useBench>,
  view: () => JointView,
  candidates: ComputedRef<readonly Candidate[]>,
) {
  /** What a way would be as a procedure: the glue at hand, or that of the shelf, or the family. */
  function pickedAs(candidate: Candidate, way: Way): Picked | null {
    const family = way.what === 'family' ? way.value : candidate.family.id
    const own = candidates.value.filter((one) => one.family.id === family)
    const glue = candidate.family.id === family ? candidate : (own.find(({ product }) => product) ?? own[0])
    if (!glue || mayHarm(glue)) return null
    const helpers = way.what === 'helper' ? [way.value as Helper] : []
    const anyway = glue.screening.verdict === 'block'
    return { family: glue.family.id, product: glue.product, helpers, anyway, way }
  }
  const inRound = (one: Picked) => view().procedures.some(({ name }) => name === nameOfPicked(one))

  function bothWays(candidate: Candidate, { ways }: School): (() => unknown) | null {
    const picked = ways?.map((way) => pickedAs(candidate, way))
    if (!picked || picked.includes(null)) return null
    const left = (picked as Picked[]).filter((one) => !inRound(one))
    return left.length ? () => pick(bench, view(), ...left) : null
  }
  /** As the glue was judged with them. */
  const schoolsOf = ({ screening }: Candidate): School[] =>
    screening.reasons.flatMap(({ school }) => (school ? (schoolOf(school) ?? []) : []))
  return { schoolsOf, bothWays }
}
