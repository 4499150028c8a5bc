import { computed } from 'vue'
import { directionRows, directions, type Direction } from '../../../core/knowledge/directions'
import { gradingOf, testKinds } from '../../../core/knowledge/testKinds'
import { isUntreated, untreated } from '../../../core/planning/controls'
import { fairness, type Mend } from '../../../core/planning/fairness'
import { needsOf, type NeedOf } from '../../../core/planning/needs'
import { resized } from '../../../core/planning/newArm'
import { hoursToPull } from '../../../core/planning/readyWhen'
import { atWorkFrom } from '../../../core/schedule/windows'
import { usualShop } from '../../../core/records/shop'
import { insert } from '../../../core/records/entry'
import { newId } from '../../bench/ids'
import { letterFor } from '../../bench/letterFor'
import { showMoney } from '../../../core/quantities/money'
import type { Arm, Round } from '../../../core/records/round'
import type { Procedure } from '../../../core/records/procedure'
import { packInUse } from '../../../core/situation/packs'
import { stampNow } from '../../bench/clock'
import { familyTimes, type JointView } from '../../bench/jointView'
import { otherGlues } from '../../bench/otherGlues'
import { useBench } from '../../bench/store'
import { asPlan, canUnplan, draftRound, editDraft, fairnessSetting, isPlanned, mendDraft } from './planDraft'

const HOUR = 3_600_000
type Make = (round: Round) => Partial<Round>

/** The plan of a joint as it stands: its round, what it takes, what is unfair in it, and how it is changed. */
export function usePlan(view: () => JointView) {
  const bench = useBench()
  // The first draft bears the time at which the page was opened, so that it does not change every second.
  const opened = stampNow()
  const today = Math.floor(opened / HOUR) * HOUR
  const planned = computed(() => isPlanned(view()))
  const procedures = computed(() => view().procedures)
  const list = computed(() =>
    procedures.value.map((procedure): NeedOf => {
      const pack = procedure.adhesive === null ? null : packInUse(bench.of('stock', procedure.adhesive), today)
      return {
        procedure,
        family: familyTimes(bench, procedure),
        product: bench.get('adhesive', procedure.adhesive),
        left: pack?.left ?? null,
        others: otherGlues(bench, view(), procedure, today),
      }
    }),
  )
  const setting = computed(() => fairnessSetting(bench, view(), today))
  const minutesOf = ({ arms, blocks }: Pick<Round, 'arms' | 'blocks'>) =>
    needsOf(list.value, arms, blocks).handsOnMinutes
  const round = computed(() => (planned.value ? view().round! : draftRound(view(), setting.value, minutesOf, opened)))
  const plan = computed(() => asPlan(round.value, procedures.value))
  const needs = computed(() => needsOf(list.value, round.value.arms, round.value.blocks))
  const money = (value: number) => showMoney(value, bench.bench?.currency)

  const edit = (make: Make | Partial<Round>, what: string, before?: Make) =>
    editDraft(bench, view(), round.value, typeof make === 'function' ? make : () => make, what, before)
  const putArm = (arm: Arm, patch: (one: Arm) => Partial<Arm>) => (of: Round) => ({
    arms: of.arms.map((one) => (one.id === arm.id ? { ...one, ...patch(one) } : one)),
  })
  /** A limit that stands on the coupon's size goes with it. */
  const sizedTo = (arm: Arm, size: Arm['size']) =>
    putArm(arm, (one) => {
      const now = resized(one, { ...one.size, ...size }, view().joint.brief)
      return { size: now.size, passLimit: now.passLimit }
    })
  return {
    opened,
    planned,
    round,
    list,
    needs,
    locked: computed(() => planned.value && !canUnplan(view())),
    faults: computed(() => (planned.value ? [] : fairness(plan.value, setting.value))),
    adviceOn: (procedure: Procedure) => setting.value.advice!(procedure),
    coupons: computed(() => procedures.value.length * round.value.blocks * round.value.arms.length),
    money,
    /** ms from which all could be pulled, were it begun when the page was opened: cured, and somebody at work */
    pulledFrom: computed(() => {
      const hours = hoursToPull(procedures.value, round.value.arms, needs.value.handsOnMinutes)
      // An estimate of hands and cure is told to the hour, the next full one.
      const ripe = Math.ceil((opened + hours * HOUR) / HOUR) * HOUR
      return atWorkFrom(bench.bench?.shop ?? usualShop, ripe)
    }),
    costOf: (n: number) => {
      const { cost, handsOnMinutes } = needsOf(list.value, round.value.arms, n)
      return { money: money(cost), minutes: handsOnMinutes }
    },
    edit,
    resize: (arm: Arm, size: Arm['size'], what: string, before: Arm['size']) =>
      edit(sizedTo(arm, size), what, sizedTo(arm, before)),
    byGauge: (arm: Arm) =>
      edit(
        putArm(arm, () => ({ read: { way: 'gauge' } })),
        'read by the gauge',
      ),
    /** of what stands when it is written, so that two quick ticks are both in */
    putFirst: (arm: Arm, direction: Direction, on: boolean) => {
      const put = (to: boolean) =>
        putArm(arm, ({ first = [] }) => ({
          first: directions.filter((one) => (one === direction ? to : first.includes(one))),
        }))
      const { name } = testKinds[arm.test]
      const { done } = directionRows[direction]
      return edit(put(on), on ? `${done} before ${name}` : `not ${done} before ${name}`, put(!on))
    },
    dropArm: (arm: Arm) => edit(({ arms }) => ({ arms: arms.filter(({ id }) => id !== arm.id) }), 'a test left out'),
    addArm: (arm: Arm) => edit(({ arms }) => ({ arms: [...arms, arm] }), 'another test'),
    /** all tests are looked at, and no piece is left as it was */
    wantsUntreated: computed(
      () =>
        !planned.value &&
        round.value.arms.every(({ test }) => gradingOf(test) !== null) &&
        !procedures.value.some(isUntreated),
    ),
    addUntreated: () => {
      const letter = letterFor(bench, view().procedures)
      if (letter === null) return
      const piece = untreated(view().joint.id, newId(), letter)
      return bench.write(
        `${view().joint.code}: an untreated piece as ${piece.letter}`,
        [insert('procedure', piece)],
        true,
      )
    },
    mend: ({ words, apply }: Mend) => mendDraft(bench, view(), round.value, apply(plan.value), words),
  }
}
