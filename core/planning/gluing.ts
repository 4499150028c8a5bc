import { fireHold, type Burning, type FireGlue, type FireHold } from '../care/fire'
import type { Arm } from '../records/round'
import type { Coupon } from '../records/coupon'
import type { Procedure, Step } from '../records/procedure'

/** A step of a coupon that can be done next, and when. */
export interface GlueTask {
  coupon: Coupon
  procedure: Procedure
  step: Step
  /** from when it may be done, ms; past or now: do it */
  readyAt: number
  /** by when it must be done, ms; null without a limit */
  lateAt: number | null
  /** the step before it was started at, ms; null before the first */
  since: number | null
  /** it waits for a film that may burn, or for something hot, of another piece; null without such */
  hold: FireHold | null
}

/** Steps that a person does; waiting, holding, clamping and curing run by themselves once their step began. */
const RUNS_BY_ITSELF = new Set(['wait', 'hold', 'clamp', 'cure'])

/** When the steps that are done once for all pieces of a procedure were done, ms, by step. */
export type DoneOnce = ReadonlyMap<string, number>

/** Of a procedure's coupons; what has gone off by now, a mix past its pot life, is to be done anew. */
export function doneOnce(procedure: Procedure, coupons: readonly Coupon[], now: number): DoneOnce {
  const done = new Map<string, number>()
  for (const step of procedure.steps.filter(({ once }) => once))
    for (const coupon of coupons)
      for (const { step: id, at } of coupon.procedure === procedure.id ? coupon.stamps : [])
        if (id === step.id && (step.maxS === null || at + step.maxS * 1000 > now))
          done.set(id, Math.max(at, done.get(id) ?? 0))
  return done
}

/**
 * Where a coupon stands: what is done, what runs, what comes next.
 * @param once what was done for all pieces of the procedure at one of them
 */
export function taskOf(coupon: Coupon, procedure: Procedure, once: DoneOnce = new Map()): GlueTask | null {
  const stampOf = (step: Step) =>
    coupon.stamps.find((stamp) => stamp.step === step.id)?.at ?? (step.once ? (once.get(step.id) ?? null) : null)
  const { steps } = procedure
  const index = steps.findIndex((step) => stampOf(step) === null)
  if (index < 0) return null
  const step = steps[index]!
  const before = steps[index - 1]
  const since = before ? stampOf(before) : null
  if (!before || since === null) return { coupon, procedure, step, readyAt: 0, lateAt: null, since: null, hold: null }
  const gap = gapBetween(before, step)
  return {
    coupon,
    procedure,
    step,
    readyAt: Math.max(before.kind === 'ready' ? 0 : since + gap.minS * 1000, warmAt(step, steps, stampOf)),
    lateAt: gap.maxS === null ? null : since + gap.maxS * 1000,
    since,
    hold: null,
  }
}

/** Whether fire keeps a step from being done now: to no button, key or knock is it on offer. */
export const isHeld = ({ hold, readyAt }: Pick<GlueTask, 'hold' | 'readyAt'>, now: number): boolean =>
  hold !== null && readyAt > now

/** What is hot or may burn on the bench, and what each procedure brings to it. */
export interface FireWatch {
  /** by procedure */
  glues: Readonly<Record<string, FireGlue>>
  all: readonly Burning[]
}

/** A task as it stands beside what is hot or may burn elsewhere on the bench. */
export function heldByFire(task: GlueTask, { glues, all }: FireWatch, now: number): GlueTask {
  const glue = glues[task.procedure.id]
  const hold = glue ? fireHold({ ...task, glue }, task.step, all, now) : null
  return hold ? { ...task, hold, readyAt: Math.max(task.readyAt, hold.until) } : task
}

/**
 * How long after a step the next may begin, s: what dries or waits, and no gun that warms up meanwhile. Another coat
 * waits for the one below it to dry, not for itself.
 */
export function gapBetween(before: Step, next: Step): { minS: number; maxS: number | null } {
  const own = before.kind === 'ready' || before.kind === 'coat' ? 0 : before.minS
  const dries = next.kind === 'coat' ? next.minS : 0
  return { minS: own + dries, maxS: before.maxS === null ? null : before.maxS + dries }
}

/** The gun and the place come to heat while the parts are prepared: only the glue waits for them. ms */
function warmAt(step: Step, steps: readonly Step[], stampOf: (step: Step) => number | null): number {
  const ready = step.kind === 'apply' ? steps.find(({ kind }) => kind === 'ready') : undefined
  return ready ? (stampOf(ready) ?? 0) + ready.minS * 1000 : 0
}

/** The coupon was closed at, ms: the start of its cure; null before. */
export function closedAt(coupon: Coupon, procedure: Procedure): number | null {
  const close = procedure.steps.find((step) => step.kind === 'close')
  return close ? (coupon.stamps.find((stamp) => stamp.step === close.id)?.at ?? null) : null
}

/** Seconds from closing to the pull: the age that the arm asks for, else the cure that the procedure asks for. */
export const ageAtPullS = (procedure: Pick<Procedure, 'steps'>, arm?: Pick<Arm, 'ageS'> | null): number =>
  arm?.ageS ?? procedure.steps.find((step) => step.kind === 'cure')?.minS ?? 0

/**
 * Ready to be pulled from, ms: closing plus the age that is asked for; null before closing.
 * @param arm of the coupon, where it is pulled at an age of its own
 */
export function curedFrom(coupon: Coupon, procedure: Procedure, arm?: Pick<Arm, 'ageS'> | null): number | null {
  const closed = closedAt(coupon, procedure)
  return closed === null ? null : closed + ageAtPullS(procedure, arm) * 1000
}

/**
 * Steps stamped by starting: the clock of wait, hold, clamp or cure begins with the step before it, so one tap is
 * enough.
 */
export function stampsFor(task: GlueTask, now: number): { step: string; at: number }[] {
  const { steps } = task.procedure
  const from = steps.indexOf(task.step)
  const next = steps[from + 1]
  const done = [{ step: task.step.id, at: now }]
  if (next && RUNS_BY_ITSELF.has(next.kind)) done.push({ step: next.id, at: now })
  return done
}

/**
 * The tasks of a round in the order to do them: what is about to be late first, then what is ready, then by the
 * randomised glue order; running ones last, by the time they are ready.
 * @param fire what keeps a step from being done now
 */
export function tasksOf(
  coupons: readonly Coupon[],
  procedures: readonly Procedure[],
  now: number,
  fire: FireWatch = { glues: {}, all: [] },
): GlueTask[] {
  const byId = new Map(
    procedures.map((procedure) => [procedure.id, { procedure, once: doneOnce(procedure, coupons, now) }]),
  )
  const tasks = coupons.flatMap((coupon) => {
    const known = byId.get(coupon.procedure)
    const task = known ? taskOf(coupon, known.procedure, known.once) : null
    return task ? [heldByFire(task, fire, now)] : []
  })
  const open = (task: GlueTask) => task.readyAt <= now
  return tasks.sort((x, y) => {
    if (open(x) !== open(y)) return open(x) ? -1 : 1
    if (!open(x)) return x.readyAt - y.readyAt
    // Begun pieces before fresh ones, the one with the earlier limit first.
    if ((x.since === null) !== (y.since === null)) return x.since === null ? 1 : -1
    const limit = (task: GlueTask) => task.lateAt ?? Infinity
    if (limit(x) !== limit(y)) return limit(x) - limit(y)
    return x.coupon.glueAt - y.coupon.glueAt
  })
}
