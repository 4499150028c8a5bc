import { computed, type ComputedRef } from 'vue'
import type { PairEvidence } from '../../core/evidence/pairEvidence'
import type { Brief } from '../../core/records/joint'
import type { Setting } from '../../core/screening/shortlist'
import { useNow } from './clock'
import { useEvidence } from './evidence'
import { classOfMaterial, materialOf, type JointView } from './jointView'
import { useBench } from './store'
import { DAY_MS } from '../../core/quantities/days'

type BenchStore = ReturnType<typeof useBench>

/**
 * The brief of a joint with all that the shortlist takes into account around it. Follows the records; packs age by
 * days, so that the running clock does not judge anew every second.
 */
export function useSetting(view: () => JointView): ComputedRef<Setting> {
  const bench = useBench()
  const now = useNow()
  const day = computed(() => Math.floor(now.value / DAY_MS) * DAY_MS + DAY_MS / 2)
  const brief = computed(() => view().joint.brief)
  const { evidence } = useEvidence()
  return computed(() => settingOf(bench, brief.value, day.value, evidence.value))
}

/** A brief with all around it, as the records stand. @param evidence pulls, where they were counted */
export function settingOf(bench: BenchStore, brief: Brief, now: number, evidence: readonly PairEvidence[]): Setting {
  const cls = (material: string | null) => materialOf(bench, material)?.cls ?? null
  return {
    brief,
    a: cls(brief.a.material),
    b: cls(brief.b.material),
    room: bench.bench?.room ?? null,
    currency: bench.bench?.currency ?? '',
    forceUnit: bench.bench?.gauge.unit,
    now,
    adhesives: bench.all('adhesive'),
    stock: bench.all('stock'),
    houseRules: bench.all('houseRule'),
    evidence,
    scraps: bench.all('scrap'),
    classOf: classOfMaterial(bench),
  }
}
