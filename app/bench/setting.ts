import { computed, type ComputedRef } from 'vue'
import type { EvidenceTables, PairEvidence } from '../../core/evidence/pairEvidence'
import type { Brief } from '../../core/records/joint'
import type { Setting } from '../../core/screening/shortlist'
import { benchWorker } from '../workers/client'
import { useAsked } from '../workers/useAsked'
import { useNow } from './clock'
import { materialOf, type JointView } from './jointView'
import { steady } from './steady'
import { useBench } from './store'

type BenchStore = ReturnType<typeof useBench>

/** Class of a material id: own materials stand for their class; null for one that is gone. */
export const classOfMaterial = (bench: BenchStore) => (id: string) => materialOf(bench, id)?.cls.id ?? null

/** The records that tell of the pair of a brief; only its joints are read, so that a long history costs nothing. */
function tablesOfPair(bench: BenchStore, brief: Brief): EvidenceTables {
  const classOf = classOfMaterial(bench)
  const pair = (of: Brief) =>
    [of.a.material, of.b.material]
      .map((id) => (id === null ? '' : (classOf(id) ?? '')))
      .sort()
      .join(' ')
  const wanted = pair(brief)
  const known = brief.a.material !== null && brief.b.material !== null
  const joint = known ? bench.all('joint').filter((one) => pair(one.brief) === wanted) : []
  const round = joint.flatMap(({ id }) => bench.of('round', id))
  const coupon = round.flatMap(({ id }) => bench.of('coupon', id))
  const reading = coupon.flatMap(({ id }) => bench.of('reading', id))
  return { joint, procedure: joint.flatMap(({ id }) => bench.of('procedure', id)), round, coupon, reading }
}

/** Own pulls on the pair of a brief, counted in the worker; none until it has answered. */
function usePairEvidence(bench: BenchStore, brief: () => Brief): () => PairEvidence[] {
  const tables = steady(
    () => tablesOfPair(bench, brief()),
    (one) => Object.values(one).flat(),
  )
  const { answer } = useAsked(
    () => (tables.value.reading.length ? tables.value : null),
    (asked, options) => {
      const classOf = classOfMaterial(bench)
      const ids = asked.joint.flatMap(({ brief: { a, b } }) => [a.material, b.material]).filter((id) => id !== null)
      const classes = Object.fromEntries(ids.map((id) => [id, classOf(id)]))
      return benchWorker().evidence({ tables: asked, classes }, options)
    },
  )
  const none: PairEvidence[] = []
  return () => answer.value ?? none
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
  const evidence = usePairEvidence(bench, () => brief.value)
  return computed(() => settingOf(bench, brief.value, day.value, evidence()))
}

/** A brief with all around it, as the records stand. @param evidence own pulls on the pair, where they were counted */
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
