import { armOf } from '../../../core/planning/arms'
import { stepWords } from '../../../core/planning/stepWords'
import { closedAt, curedFrom, stampsFor, type GlueTask } from '../../../core/planning/gluing'
import { insert, update, type Change } from '../../../core/records/entry'
import type { OffWindowRule } from '../../../core/records/round'
import type { Coupon, CureCheck, Stamp } from '../../../core/records/coupon'
import type { StepKind } from '../../../core/records/procedure'
import { newId } from '../../bench/ids'
import type { JointView } from '../../bench/jointView'
import type { useBench } from '../../bench/store'
import { lasting } from '../../look/times'

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

/** What else is noted with a step: by whom, with what, out of which pack, how much. */
export type Noted = Pick<Stamp, 'by' | 'tool' | 'stock' | 'grams' | 'mix'>

/**
 * Stamps a step as done. A step outside its window is not refused: it is kept with that as a deviation, and a piece
 * that is closed outside it goes the way that its round has set.
 */
export function doStep(
  bench: Store,
  task: GlueTask,
  now: number,
  noted: Noted = {},
  rule: OffWindowRule = 'keep',
): Promise<boolean> {
  const { coupon } = task
  const off = offWindow(task, now)
  const label = `${coupon.label}: ${doneWords[task.step.kind].toLowerCase()}${off ? ` (${off})` : ''}`
  if (!off || task.step.kind !== 'close' || rule === 'keep') return bench.write(label, [stamped(task, now, off, noted)])
  if (rule === 'repeat')
    return bench.write(
      `${coupon.label}: ${off}, so it is begun again`,
      [update('coupon', coupon, begunAgain(coupon, now, `${off}: begun again with fresh parts`))],
      true,
    )
  const change = update('coupon', coupon, {
    ...patchOf(task, now, off, noted),
    leftOut: `${off}, and the round leaves such pieces out`,
  })
  return bench.write(`${label}: its pull will not count`, [change], true)
}

const patchOf = (task: GlueTask, now: number, off: string | null, noted: Noted): Partial<Coupon> => ({
  stamps: [
    ...task.coupon.stamps,
    ...stampsFor(task, now).map((stamp, i) => (i === 0 ? { ...stamp, ...noted } : stamp)),
  ],
  deviations: off ? [...task.coupon.deviations, { at: now, text: off }] : task.coupon.deviations,
})
const stamped = (task: GlueTask, now: number, off: string | null, noted: Noted): Change =>
  update('coupon', task.coupon, patchOf(task, now, off, noted))

/** A piece with fresh parts: nothing of it is done, and what happened to it before stays said. */
const begunAgain = (coupon: Coupon, now: number, text: string): Partial<Coupon> => ({
  stamps: [],
  deviations: [...coupon.deviations, { at: now, text }],
  leftOut: null,
})

/** Which mix of its procedure a step belongs to, from 1; null where nothing is mixed. */
export function mixOf(task: GlueTask, coupons: readonly Coupon[]): number | null {
  const { kind } = task.step
  if (!task.procedure.steps.some((step) => step.kind === 'mix') || (kind !== 'mix' && kind !== 'apply')) return null
  const mixes = coupons
    .filter(({ procedure }) => procedure === task.procedure.id)
    .flatMap(({ stamps }) => stamps.flatMap(({ mix }) => mix ?? []))
  const last = Math.max(0, ...mixes)
  return kind === 'mix' ? last + 1 : last || null
}

/** The same preparing step for all coupons of a block, in one entry. */
export function doBlock(bench: Store, tasks: readonly GlueTask[], task: GlueTask, now: number): Promise<boolean> {
  const same = sameInBlock(tasks, task)
  return bench.write(
    `Block ${task.coupon.block}: ${doneWords[task.step.kind].toLowerCase()} on ${same.length} coupons`,
    same.map((one) => stamped(one, now, null, {})),
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
  return bench.write(
    `${coupon.label}: begun again`,
    [update('coupon', coupon, begunAgain(coupon, now, 'begun again with fresh parts'))],
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
