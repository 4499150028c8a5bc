import { computed, effectScope, shallowRef, type ComputedRef, type Ref } from 'vue'
import type { EvidenceTables, PairEvidence } from '../../core/evidence/pairEvidence'
import type { Joint } from '../../core/records/joint'
import type { Round } from '../../core/records/round'
import type { Procedure } from '../../core/records/procedure'
import { benchWorker, type AskOptions } from '../workers/client'
import { useAsked } from '../workers/useAsked'
import { classOfMaterial } from './jointView'
import type { Pulled } from './records'
import { sameParts, steady } from './steady'
import { useBench } from './store'

type BenchStore = ReturnType<typeof useBench>

/** Most readings that go to the worker at a time: a whole year at once would hold up the page. */
const AT_ONCE = 1000

/** One round with all that its count hangs on. */
interface RoundParts {
  joint: Joint
  round: Round
  procedures: readonly Procedure[]
  pulled: Pulled
  /** class of each material of the joint */
  classes: Record<string, string | null>
}
/** What was counted of the rounds of the open bench: a pull counts its own round anew, and no other. */
interface Counting {
  evidence: ComputedRef<PairEvidence[]>
  /** rounds that are not counted as they stand */
  open: ComputedRef<RoundParts[]>
  count: (_: readonly RoundParts[], options: AskOptions) => Promise<void>
}
const countings = new WeakMap<BenchStore, Counting>()

function partsOf(bench: BenchStore, round: Round): RoundParts[] {
  const joint = bench.get('joint', round.joint)
  const pulled = bench.pulled(round.id)
  if (!joint || !pulled.readings.length) return []
  const classOf = classOfMaterial(bench)
  const materials = [joint.brief.a.material, joint.brief.b.material].filter((id) => id !== null)
  return [
    {
      joint,
      round,
      procedures: round.procedures.flatMap((id) => bench.get('procedure', id) ?? []),
      pulled,
      classes: Object.fromEntries(materials.map((id) => [id, classOf(id)])),
    },
  ]
}
const listOf = ({ joint, round, procedures, pulled, classes }: RoundParts): readonly unknown[] => [
  joint,
  round,
  ...procedures,
  pulled,
  ...Object.entries(classes).flat(),
]

const tablesOf = (rounds: readonly RoundParts[]): EvidenceTables => ({
  joint: [...new Set(rounds.map(({ joint }) => joint))],
  procedure: [...new Set(rounds.flatMap(({ procedures }) => procedures))],
  round: rounds.map(({ round }) => round),
  coupon: rounds.flatMap(({ pulled }) => pulled.coupons),
  reading: rounds.flatMap(({ pulled }) => pulled.readings),
})

/** Rounds in parts of so many readings as go to the worker at a time; a larger round goes alone. */
function inParts(rounds: readonly RoundParts[]): RoundParts[][] {
  const parts: RoundParts[][] = []
  let room = 0
  for (const one of rounds) {
    const size = one.pulled.readings.length
    if (size > room || !parts.length) {
      parts.push([])
      room = AT_ONCE
    }
    parts.at(-1)!.push(one)
    room -= size
  }
  return parts
}

/** Kept for the bench, not for a page: the next page has what the last one counted. */
function countingOf(bench: BenchStore): Counting {
  const known = countings.get(bench)
  if (known) return known
  const made = effectScope(true).run((): Counting => {
    const counted = new Map<string, { parts: readonly unknown[]; found: PairEvidence[] }>()
    /** goes up when rounds were counted */
    const turn = shallowRef(0)
    let of: string | null = null
    const rounds = steady(
      () => {
        if (of !== bench.id) counted.clear()
        of = bench.id
        return bench.everything('round').flatMap((round) => partsOf(bench, round))
      },
      (all) => all.flatMap(listOf),
    )
    const isOpen = (parts: RoundParts) => {
      const known = counted.get(parts.round.id)
      return !(known && sameParts(known.parts, listOf(parts)))
    }
    const open = computed(() => {
      void turn.value
      return rounds.value.filter(isOpen)
    })
    const evidence = steady(() => {
      void turn.value
      return rounds.value.flatMap(({ round }) => counted.get(round.id)?.found ?? [])
    })
    async function countPart(part: readonly RoundParts[]) {
      const { id } = bench
      const classes = Object.assign({}, ...part.map((one) => one.classes)) as RoundParts['classes']
      const found = await benchWorker().evidence({ tables: tablesOf(part), classes })
      if (id !== bench.id) return
      for (const one of part)
        counted.set(one.round.id, { parts: listOf(one), found: found.filter(({ round }) => round === one.round.id) })
    }
    /** A page that is left ends it after the part that is being counted, which the next page need not count again. */
    async function countOpen({ signal, onProgress }: AskOptions) {
      const parts = inParts(rounds.value.filter(isOpen))
      for (const [i, part] of parts.entries()) {
        if (signal?.aborted) return
        onProgress?.(i / parts.length)
        await countPart(part)
      }
      if (parts.length) turn.value++
    }
    let before: Promise<unknown> = Promise.resolve()
    /** One after the other: who comes second finds it counted. */
    function count(_: readonly RoundParts[], options: AskOptions): Promise<void> {
      const mine = before.catch(() => {}).then(() => countOpen(options))
      before = mine
      return mine
    }
    return { evidence, open, count }
  })!
  countings.set(bench, made)
  return made
}

/**
 * All pulls of the bench, other makers' among them, gathered round by round in the worker; what was gathered before
 * stays until its records change.
 */
export function useEvidence(): {
  evidence: ComputedRef<PairEvidence[]>
  /** rounds are still being counted */
  counting: ComputedRef<boolean>
  /** 0…1 while they are counted, else null */
  progress: Ref<number | null>
  fault: Ref<unknown>
  again: () => void
} {
  const { evidence, open, count } = countingOf(useBench())
  const { progress, fault, again } = useAsked(() => (open.value.length ? open.value : null), count)
  return { evidence, counting: computed(() => open.value.length > 0), progress, fault, again }
}
