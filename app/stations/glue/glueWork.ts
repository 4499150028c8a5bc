import { armOf } from '../../../core/planning/arms'
import { stepWords } from '../../../core/planning/stepWords'
import { closedAt, curedFrom, stampsFor, type GlueTask } from '../../../core/planning/gluing'
import { insert, update, type Change } from '../../../core/records/entry'
import type { Coupon, CureCheck, StepKind } from '../../../core/records/round'
import { newId } from '../../bench/ids'
import type { JointView } from '../../bench/jointView'
import type { useBench } from '../../bench/store'
import { lasting } from '../../look/figures'

type Store = ReturnType<typeof useBench>

/** What the button says when a step is done. */
export const doneWords: Record<StepKind, string> = {
  ready: 'All is ready',
  try: 'Tried on scrap',
  fit: 'It fits, and is marked',
  mask: 'Masked',
  prime: 'Primed',
  mix: 'Mixed',
  damp: 'Damped',
  activate: 'Activator is on',
  fill: 'The gap is filled',
  press: 'Pressed',
  dab: 'The dabs hold',
  light: 'The lamp is on it',
  fillet: 'The fillet is laid',
  'prepare-a': 'Side A is ready',
  'prepare-b': 'Side B is ready',
  apply: 'Glue is on',
  coat: 'The next coat is on',
  warm: 'It is warm',
  wait: 'It waits',
  close: 'Closed',
  hold: 'It is held',
  clamp: 'Fixed in place',
  cure: 'Left to cure',
}

/** What is said when a step came too early or too late; null when it came in its window. */
export function offWindow(task: GlueTask, now: number): string | null {
  const { kind } = task.step
  if (task.readyAt > now) return `${stepWords[kind]} came ${lasting((task.readyAt - now) / 1000)} early`
  if (task.lateAt !== null && task.lateAt < now)
    return `${stepWords[kind]} came ${lasting((now - task.lateAt) / 1000)} late`
  return null
}

/** Stamps a step as done; a step outside its window is kept with that as a deviation, not refused. */
export function doStep(bench: Store, task: GlueTask, now: number): Promise<boolean> {
  const { coupon } = task
  const off = offWindow(task, now)
  return bench.write(`${coupon.label}: ${doneWords[task.step.kind].toLowerCase()}${off ? ` (${off})` : ''}`, [
    stamped(task, now, off),
  ])
}

const stamped = (task: GlueTask, now: number, off: string | null): Change =>
  update('coupon', task.coupon, {
    stamps: [...task.coupon.stamps, ...stampsFor(task, now)],
    deviations: off ? [...task.coupon.deviations, { at: now, text: off }] : task.coupon.deviations,
  })

/** The same preparing step for all coupons of a block, in one entry. */
export function doBlock(bench: Store, tasks: readonly GlueTask[], task: GlueTask, now: number): Promise<boolean> {
  const same = sameInBlock(tasks, task)
  return bench.write(
    `Block ${task.coupon.block}: ${doneWords[task.step.kind].toLowerCase()} on ${same.length} coupons`,
    same.map((one) => stamped(one, now, null)),
  )
}

export const sameInBlock = (tasks: readonly GlueTask[], task: GlueTask): GlueTask[] =>
  tasks.filter(
    (one) => one.coupon.block === task.coupon.block && one.step.kind === task.step.kind && one.since === task.since,
  )

export function noteDeviation(bench: Store, coupon: Coupon, text: string, now: number): Promise<boolean> {
  return bench.write(
    `${coupon.label}: ${text}`,
    [update('coupon', coupon, { deviations: [...coupon.deviations, { at: now, text }] })],
    true,
  )
}

/** What often goes otherwise at the bench, by one tap. */
export const usualDeviations = ['too much glue', 'too little glue', 'shifted', 'dropped', 'wrong face', 'clamp slipped']

/** A piece is begun anew with fresh parts; what was done to it before stays said. */
export function beginAgain(bench: Store, coupon: Coupon, now: number): Promise<boolean> {
  const deviation = { at: now, text: 'begun again with fresh parts' }
  return bench.write(
    `${coupon.label}: begun again`,
    [update('coupon', coupon, { stamps: [], deviations: [...coupon.deviations, deviation] })],
    true,
  )
}

export function checkCure(bench: Store, coupon: Coupon, state: CureCheck['state'], now: number): Promise<boolean> {
  return bench.write(`${coupon.label} is ${state}`, [
    insert('cureCheck', { id: newId(), coupon: coupon.id, at: now, state }),
  ])
}

/** A piece that is closed: since when, and when it is cured. ms */
export interface Curing {
  coupon: Coupon
  closed: number
  cured: number
}

/** What is closed and cures, or has cured, the latest closed first. */
export function curingOf({
  procedures,
  coupons,
  round,
}: Pick<JointView, 'procedures' | 'coupons' | 'round'>): Curing[] {
  const byId = new Map(procedures.map((procedure) => [procedure.id, procedure]))
  return coupons
    .flatMap((coupon): Curing[] => {
      const procedure = byId.get(coupon.procedure)
      const closed = procedure ? closedAt(coupon, procedure) : null
      return closed === null
        ? []
        : [{ coupon, closed, cured: curedFrom(coupon, procedure!, round && armOf(round, coupon))! }]
    })
    .sort((x, y) => y.closed - x.closed)
}
