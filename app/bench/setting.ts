import { computed, type ComputedRef } from 'vue'
import { ownEvidence, type PairEvidence } from '../../core/evidence/pairEvidence'
import type { Brief } from '../../core/records/joint'
import type { Setting } from '../../core/screening/shortlist'
import { useNow } from './clock'
import { materialOf, type JointView } from './jointView'
import { useBench } from './store'

type BenchStore = ReturnType<typeof useBench>

/** Class of a material id: own materials stand for their class; null for one that is gone. */
export const classOfMaterial = (bench: BenchStore) => (id: string) => materialOf(bench, id)?.cls.id ?? null

/**
 * Own pulls on the joint's pair of materials; only joints of that pair are read, so that a long history costs nothing.
 */
function pairEvidence(bench: BenchStore, brief: Brief): PairEvidence[] {
  const classOf = classOfMaterial(bench)
  const pair = (of: Brief) =>
    [of.a.material, of.b.material]
      .map((id) => (id === null ? '' : (classOf(id) ?? '')))
      .sort()
      .join(' ')
  if (brief.a.material === null || brief.b.material === null) return []
  const wanted = pair(brief)
  const joint = bench.all('joint').filter((one) => pair(one.brief) === wanted)
  const round = joint.flatMap(({ id }) => bench.of('round', id))
  const coupon = round.flatMap(({ id }) => bench.of('coupon', id))
  const reading = coupon.flatMap(({ id }) => bench.of('reading', id))
  return ownEvidence(
    { joint, procedure: joint.flatMap(({ id }) => bench.of('procedure', id)), round, coupon, reading },
    classOf,
  )
}

const DAY = 86_400_000

/**
 * The brief of a joint with all that the shortlist takes into account around it. Follows the records; packs age by
 * days, so that the running clock does not judge anew every second.
 */
export function useSetting(view: () => JointView): ComputedRef<Setting> {
  const bench = useBench()
  const now = useNow()
  const day = computed(() => Math.floor(now.value / DAY) * DAY + DAY / 2)
  const brief = computed(() => view().joint.brief)
  const evidence = computed(() => pairEvidence(bench, brief.value))
  const cls = (material: string | null) => materialOf(bench, material)?.cls ?? null
  return computed(() => ({
    brief: brief.value,
    a: cls(brief.value.a.material),
    b: cls(brief.value.b.material),
    room: bench.bench?.room ?? null,
    now: day.value,
    adhesives: bench.all('adhesive'),
    stock: bench.all('stock'),
    houseRules: bench.all('houseRule'),
    evidence: evidence.value,
    classOf: classOfMaterial(bench),
  }))
}
