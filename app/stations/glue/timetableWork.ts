import { armWords } from '../../../core/planning/arms'
import { armOf } from '../../../core/planning/armOf'
import { stepWords } from '../../../core/planning/stepWords'
import { update } from '../../../core/records/entry'
import type { Round } from '../../../core/records/round'
import type { Coupon } from '../../../core/records/coupon'
import type { Procedure } from '../../../core/records/procedure'
import { PULL, type RoundToGlue } from '../../../core/schedule/round'
import { eveningWords, type Evening, type Task } from '../../../core/schedule/evening'
import type { useBench } from '../../bench/store'

type Store = ReturnType<typeof useBench>
type Timetable = NonNullable<Round['timetable']>

const nothingSet: Timetable = { notBefore: [], pins: [], pullFrom: null }
export const setBy = (round: Pick<Round, 'timetable'>): Timetable => round.timetable ?? nothingSet

const write = (bench: Store, round: Round, patch: Partial<Timetable>, what: string) =>
  bench.write(`Timetable: ${what}`, [update('round', round, { timetable: { ...setBy(round), ...patch } })], true)

/** A procedure is not begun before a time; null: whenever it suits. */
export function beginFrom(bench: Store, round: Round, { id, letter }: Procedure, at: number | null): Promise<boolean> {
  const rest = setBy(round).notBefore.filter((one) => one.procedure !== id)
  const notBefore = at === null ? rest : [...rest, { procedure: id, at }]
  return write(bench, round, { notBefore }, at === null ? `${letter} whenever it suits` : `${letter} begun later`)
}

/** The cured ones are pulled no earlier; null: as soon as they can be. */
export const pullFrom = (bench: Store, round: Round, at: number | null): Promise<boolean> =>
  write(bench, round, { pullFrom: at }, at === null ? 'pulled as soon as may be' : 'pulled later')

/** A step of a piece stays at its time, or may move again. */
export function pin(bench: Store, round: Round, coupon: string, step: string, at: number | null): Promise<boolean> {
  const rest = setBy(round).pins.filter((one) => !(one.coupon === coupon && one.step === step))
  const pins = at === null ? rest : [...rest, { coupon, step, at }]
  return write(bench, round, { pins }, at === null ? 'a step may move' : 'a step stays at its time')
}

const ownWords: Record<string, string> = { [PULL]: 'pull', into: 'put into the test', out: 'take out of the test' }

/** What a task is called: the step of its procedure, or what is done at the end. */
export function taskWords({ step, procedure }: Task, rounds: readonly RoundToGlue[]): string {
  const found = rounds.flatMap(({ procedures }) => procedures).find(({ id }) => id === procedure)
  const kind = found?.steps.find(({ id }) => id === step)?.kind
  return ownWords[step] ?? (kind ? stepWords[kind] : step)
}

/** Labels of the pieces of a task, the first and the last where they are many. */
export function labelsOf({ coupons }: Pick<Task, 'coupons'>, rounds: readonly RoundToGlue[]): string {
  const known = new Map(rounds.flatMap((of) => of.coupons.map((one): [string, Coupon] => [one.id, one])))
  const labels = coupons.flatMap((id) => known.get(id)?.label ?? [])
  return labels.length > 3
    ? `${labels[0]}, ${labels[1]} … ${labels.at(-1)}, ${labels.length} in all`
    : labels.join(', ')
}

/** What an evening holds, in words; which pulls, where there are several kinds. */
export function wordsOf(evening: Evening, rounds: readonly RoundToGlue[]): string {
  const procedures = rounds.flatMap((of) => of.procedures)
  const all = rounds.reduce((sum, { coupons }) => sum + coupons.length, 0)
  const words = eveningWords(evening, procedures, all)
  if (evening.pulled.length !== 1 || evening.pulled[0]!.coupons.length === all) return words
  const id = evening.pulled[0]!.coupons[0]!
  const of = rounds.find(({ coupons }) => coupons.some((one) => one.id === id))!
  const { exposure, ageS, test } = armOf(
    of.round,
    of.coupons.find((one) => one.id === id)!,
  )
  return exposure || ageS != null ? `${words} (${armWords({ test, exposure, ageS })})` : words
}
