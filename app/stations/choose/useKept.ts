import { computed } from 'vue'
import { keptAsked, type KeptAsked, type KeptShare } from '../../../core/choice/real/keptShares'
import { ownReadings } from '../../../core/readings/counting'
import { steady } from '../../bench/steady'
import type { useBench } from '../../bench/store'
import { sideWorker } from '../../workers/client'
import { useAsked } from '../../workers/useAsked'

type Store = ReturnType<typeof useBench>

/** Every exposure of the bench that was pulled beside its dry twin. */
function askedOf(bench: Store): KeptAsked[] {
  return bench.all('joint').flatMap((joint) =>
    bench.of('round', joint.id).flatMap((round) => {
      if (!round.arms.some(({ exposure }) => exposure)) return []
      const coupons = bench.of('coupon', round.id)
      const readings = ownReadings(coupons.flatMap(({ id }) => bench.of('reading', id)))
      return keptAsked(round, coupons, readings, bench.of('procedure', joint.id), joint.code)
    }),
  )
}

/**
 * What procedures of the whole bench kept after exposures, in the worker; null until it is known. Where it cannot be
 * worked out the margin goes by what is typical, and says so.
 */
export function useKept(bench: Store) {
  const asked = steady(
    () => askedOf(bench),
    (list) => [JSON.stringify(list)],
  )
  const { answer, fault } = useAsked<KeptAsked[], KeptShare[]>(
    () => (asked.value.length ? asked.value : null),
    (input, options) => sideWorker().kept(input, options),
  )
  return computed<KeptShare[] | null>(() => (!asked.value.length || fault.value ? [] : answer.value))
}
