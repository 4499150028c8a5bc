import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { criteriaOf, notWeighed, startWeights, type Item, type ProcedureFacts } from '../../../core/choice/criteria'
import { withGroup, type Moves, type WeightGroup } from '../../../core/choice/whatIf'
import type { School } from '../../../core/choice/rank'
import type { WeighResult } from '../../../core/choice/weighRound'
import { sayError } from '../../../core/messages'
import { handsOnMinutes, fullCureS } from '../../../core/planning/steps'
import { update } from '../../../core/records/entry'
import { criteria as kinds, type Criterion } from '../../../core/records/round'
import type { Procedure } from '../../../core/records/procedure'
import { stampNow } from '../../bench/clock'
import { costOf } from '../../bench/buildJoints'
import { familyTimes, type JointView } from '../../bench/jointView'
import { steady } from '../../bench/steady'
import { useBench } from '../../bench/store'
import { benchWorker, sideWorker } from '../../workers/client'
import { noteStalled, stalled } from '../../workers/stalled'

/** Draws for what is weighed (methods.md 9), and their seed: the same round is always weighed alike. */
const DRAWS = 20_000
const SEED = 1
/** So many of them while a weight is dragged, so that what is shown follows the finger. */
const DRAGGED = 5000
/** What is slower waits until the weights have rested, ms. */
const REST_MS = 400

/** A round weighed on all that counts: by three schools, with weights that may be tried before they are kept. */
export function useWeighed(view: () => JointView) {
  const bench = useBench()
  const factsOf = (procedure: Procedure): ProcedureFacts => {
    const family = familyTimes(bench, procedure)
    return {
      procedure: procedure.id,
      family: family.id,
      cureH: fullCureS(procedure.steps) / 3600,
      handledH: family.handlingS / 3600,
      costPerJoint: costOf(bench, view(), procedure)?.perJoint ?? null,
      handsOnMinutes: handsOnMinutes(procedure.steps),
    }
  }
  const procedures = computed(() => view().procedures.filter(({ id }) => view().round?.procedures.includes(id)))
  const items = steady<Item[]>(
    () => {
      const { round, joint, a, b, coupons, readings } = view()
      if (!round || !readings.length) return []
      return criteriaOf({
        brief: joint.brief,
        a: a?.cls.id ?? null,
        b: b?.cls.id ?? null,
        round,
        coupons,
        readings,
        facts: procedures.value.map(factsOf),
      })
    },
    (list) => [JSON.stringify(list)],
  )
  const missing = computed(() => (view().round ? notWeighed({ round: view().round! }, items.value) : []))
  /** the weights of the kinds as they are kept, and as they are tried */
  const kept = computed<Record<Criterion, number>>(() => ({ ...startWeights, ...view().round?.weights?.values }))
  const tried = ref<Partial<Record<Criterion, number>>>({})
  const weightOf = (kind: Criterion): number => tried.value[kind] ?? kept.value[kind]
  const groups = computed<WeightGroup[]>(() =>
    kinds.flatMap((kind) => {
      const members = items.value.flatMap(({ of }, c) => (of === kind ? [c] : []))
      return members.length ? [{ id: kind, members }] : []
    }),
  )
  const weights = computed(() =>
    groups.value.reduce(
      (all, group) => withGroup(all, group, weightOf(group.id as Criterion)),
      items.value.map(() => 0),
    ),
  )
  const question = steady(
    () => ({
      key: JSON.stringify([items.value.map(({ criterion, from }) => [{ ...criterion, weight: 0 }, from])]),
      of: { items: items.value, procedures: procedures.value.map(({ id }) => id), draws: DRAWS, seed: SEED },
    }),
    ({ key, of }) => [key, of.procedures.join()],
  )

  const result = shallowRef<WeighResult | null>(null)
  const moves = shallowRef<Record<School, Moves[]> | null>(null)
  /** how far the weights may move could not be worked out */
  const movesOpen = ref(false)
  const fault = shallowRef<unknown>(null)
  /** one is asked at a time; what has changed meanwhile is asked when it is back, and only the latest of it */
  let asking = false
  let again = false
  let gone = false
  /** weights are being moved: few draws, until they rest */
  let moving = false
  const anew = () => {
    void ask()
    askMoves()
  }
  async function ask() {
    stalled.delete(anew)
    if (asking) return void (again = true)
    if (!items.value.length || procedures.value.length < 2) return void (result.value = null)
    asking = true
    try {
      const most = moving ? { most: DRAGGED } : {}
      const asked = question.value
      const got = await benchWorker().weigh({ ...asked, weights: weights.value, ...most })
      // Also while a weight is still being moved: what is shown follows it.
      if (!gone && asked === question.value) result.value = got
      fault.value = null
    } catch (error) {
      fault.value = error
      if (!gone) noteStalled(error, anew)
    }
    asking = false
    if (!again || gone) return
    again = false
    void ask()
  }
  let resting: ReturnType<typeof setTimeout> | undefined
  let running: AbortController | null = null
  function askMoves() {
    clearTimeout(resting)
    running?.abort()
    moves.value = null
    movesOpen.value = false
    resting = setTimeout(() => void slow(), REST_MS)
  }
  /** the weights as they stand once they are not moved any more */
  const rested = shallowRef<readonly number[] | null>(null)
  async function slow() {
    rested.value = weights.value
    if (moving) {
      moving = false
      void ask()
    }
    if (!items.value.length || procedures.value.length < 2) return
    const mine = (running = new AbortController())
    try {
      const input = { ...question.value, weights: weights.value, groups: groups.value }
      const got = await sideWorker().moves(input, { signal: mine.signal })
      if (!mine.signal.aborted) moves.value = got
    } catch (error) {
      // The judgement itself stands; that this is open is said beside the weights.
      if (mine.signal.aborted) return
      movesOpen.value = true
      noteStalled(error, anew)
    }
  }
  // What stood for other readings or procedures does not stand for these.
  watch(question, () => {
    result.value = null
    rested.value = null
  })
  watch(
    [question, weights],
    ([asked], [before]) => {
      // The first answer, and that for other readings, is of all draws.
      moving = asked === before && result.value !== null
      void ask()
      askMoves()
    },
    { immediate: true },
  )
  onScopeDispose(() => {
    gone = true
    stalled.delete(anew)
    clearTimeout(resting)
    running?.abort()
  })

  const changed = computed(() =>
    groups.value.some(({ id }) => weightOf(id as Criterion) !== kept.value[id as Criterion]),
  )
  async function keep(): Promise<boolean> {
    const round = view().round!
    const values = Object.fromEntries(kinds.map((kind) => [kind, Math.round(weightOf(kind))])) as Record<
      Criterion,
      number
    >
    const said = { values, setAt: stampNow(), changedLate: view().readings.length ? stampNow() : null }
    const written = await bench.write(
      `${view().joint.code}: what counts`,
      [update('round', round, { weights: said })],
      true,
    )
    if (written) tried.value = {}
    return written
  }
  return {
    items,
    procedures,
    missing,
    groups,
    weights,
    rested,
    weightOf,
    tried,
    changed,
    keep,
    reset: () => (tried.value = {}),
    result,
    moves,
    movesOpen,
    problem: computed(() => (fault.value ? sayError(fault.value) : '')),
    retry: () => void ask(),
  }
}
