import { computed, shallowRef, type ComputedRef, type Ref, type ShallowRef } from 'vue'
import type { EvidenceTables, PairEvidence } from '../../core/evidence/pairEvidence'
import type { Round } from '../../core/records/round'
import { benchWorker } from '../workers/client'
import { useAsked } from '../workers/useAsked'
import { classOfMaterial } from './jointView'
import { steady } from './steady'
import { useBench } from './store'

type BenchStore = ReturnType<typeof useBench>

/** The records of one round, with what they were when it was last counted. */
interface Counted {
  parts: readonly unknown[]
  found: PairEvidence[]
}
/** What was counted of each round of the open bench: a pull counts its own round anew, and no other. */
interface Cache {
  bench: string | null
  counted: Map<string, Counted>
  /** goes up when rounds were counted, so that all pages see it */
  turn: ShallowRef<number>
}
const caches = new WeakMap<BenchStore, Cache>()
function cacheOf(bench: BenchStore): Cache {
  const known = caches.get(bench)
  if (known) return known
  const made: Cache = { bench: null, counted: new Map(), turn: shallowRef(0) }
  caches.set(bench, made)
  return made
}

function tablesOf(bench: BenchStore, round: Round): EvidenceTables {
  const joint = bench.get('joint', round.joint)
  const coupon = bench.of('coupon', round.id)
  return {
    joint: joint ? [joint] : [],
    procedure: round.procedures.flatMap((id) => bench.get('procedure', id) ?? []),
    round: [round],
    coupon,
    reading: coupon.flatMap(({ id }) => bench.of('reading', id)),
  }
}

const same = (was: readonly unknown[], is: readonly unknown[]) =>
  was.length === is.length && was.every((one, i) => one === is[i])

/**
 * All pulls of the bench, other makers' among them, gathered round by round in the worker; what was gathered before
 * stays until its records change.
 */
export function useEvidence(): {
  evidence: ComputedRef<PairEvidence[]>
  /** rounds are still being counted */
  counting: ComputedRef<boolean>
  fault: Ref<unknown>
  again: () => void
} {
  const bench = useBench()
  const cache = cacheOf(bench)
  const { counted, turn } = cache
  const rounds = steady(
    () => {
      if (cache.bench !== bench.id) {
        counted.clear()
        cache.bench = bench.id
      }
      return bench.everything('round').map((round) => tablesOf(bench, round))
    },
    (all) => all.flatMap((tables) => partsOf(bench, tables)),
  )
  const open = computed(() => {
    void turn.value
    return rounds.value.filter((tables) => {
      const known = counted.get(tables.round[0]!.id)
      return tables.reading.length > 0 && !(known && same(known.parts, partsOf(bench, tables)))
    })
  })
  const { fault, again } = useAsked(
    () => (open.value.length ? open.value : null),
    async (asked, options) => {
      const classOf = classOfMaterial(bench)
      const tables = Object.fromEntries(
        (['joint', 'procedure', 'round', 'coupon', 'reading'] as const).map((name) => [
          name,
          [...new Set(asked.flatMap((one) => one[name] as readonly unknown[]))],
        ]),
      ) as unknown as EvidenceTables
      const found = await benchWorker().evidence({ tables, classes: classesOf(tables, classOf) }, options)
      for (const one of asked) {
        const { id } = one.round[0]!
        counted.set(id, { parts: partsOf(bench, one), found: found.filter(({ round }) => round === id) })
      }
      turn.value++
      return found
    },
  )
  const evidence = steady(() => {
    void turn.value
    return rounds.value.flatMap((tables) =>
      tables.reading.length ? (counted.get(tables.round[0]!.id)?.found ?? []) : [],
    )
  })
  return { evidence, counting: computed(() => open.value.length > 0), fault, again }
}

const materials = ({ joint }: EvidenceTables) =>
  joint.flatMap(({ brief: { a, b } }) => [a.material, b.material]).filter((id) => id !== null)
const classesOf = (tables: EvidenceTables, classOf: (id: string) => string | null) =>
  Object.fromEntries(materials(tables).map((id) => [id, classOf(id)]))
/** What its count hangs on: the records, and the classes of its materials. */
const partsOf = (bench: BenchStore, tables: EvidenceTables): unknown[] => {
  const { joint, procedure, round, coupon, reading } = tables
  return [...joint, ...procedure, ...round, ...coupon, ...reading, ...materials(tables).map(classOfMaterial(bench))]
}
