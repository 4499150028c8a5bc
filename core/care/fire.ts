import type { Procedure, Step, StepKind } from '../records/procedure'
import type { Coupon } from '../records/coupon'
import { DAY_MS } from '../quantities/days'
import { bringsHeat, mayBurn, type WetGlue } from './heat'

/** What decides whether a procedure brings fire into the room, or something that fire may light. */
export interface FireGlue extends WetGlue {
  /** glue, dabs or second glue are laid hot: a gun, an iron, a hot tool is on */
  hot: boolean
}

/** From the beginning of one step to some time after the end of another: something is hot, or its vapour may burn. */
export interface FireSpan {
  kind: 'heat' | 'film'
  /** by index among the procedure's steps, both included */
  from: number
  to: number
  /** it lasts so long beyond, s */
  afterS: number
}

/**
 * Until the air has cleared after the last flammable film has dried or is closed, and until a tool that was switched
 * off is cold, s: general practice; label and local fire codes come first.
 */
export const CLEARS_S = 600

const LAYS: ReadonlySet<StepKind> = new Set(['prime', 'activate', 'apply', 'coat'])
const HOT: ReadonlySet<StepKind> = new Set(['apply', 'close', 'press', 'dab', 'warm'])
/** A gun or tool that is switched on and comes to heat; one that is left cold is not. */
const heatsUp = ({ kind, minS }: Step) => kind === 'ready' && minS > 0

/**
 * Heat sources and flammable films of a procedure. A film that dries open burns no more once it has, one that is closed
 * wet once it is closed; either way the air clears after it.
 */
export function fireSpans(steps: readonly Step[], glue: FireGlue): FireSpan[] {
  const spans: FireSpan[] = []
  if (mayBurn(glue.hazards)) {
    const from = steps.findIndex(({ kind }) => LAYS.has(kind))
    const laid = steps.findLastIndex(({ kind }) => LAYS.has(kind))
    const wait = steps.slice(laid + 1).find(({ kind, minS }) => kind === 'wait' && minS >= glue.waitMinS)
    const dries = glue.waitMinS > 0 && wait !== undefined
    const close = steps.findIndex(({ kind }) => kind === 'close')
    const to = dries ? laid : Math.max(laid, close)
    if (from >= 0) spans.push({ kind: 'film', from, to, afterS: (dries ? wait.minS : 0) + CLEARS_S })
  }
  if (glue.hot) {
    const from = steps.findIndex((step) => heatsUp(step) || HOT.has(step.kind))
    const to = steps.findLastIndex(({ kind }) => HOT.has(kind))
    if (from >= 0) spans.push({ kind: 'heat', from, to, afterS: CLEARS_S })
  } else
    steps.forEach((step, i) => {
      if (bringsHeat(step)) spans.push({ kind: 'heat', from: i, to: i, afterS: CLEARS_S + step.minS })
    })
  return spans
}

/** A piece of a bench and how it is glued. */
export interface FirePiece {
  coupon: Pick<Coupon, 'id' | 'label' | 'stamps' | 'leftOut'>
  procedure: Pick<Procedure, 'id' | 'steps'>
  glue: FireGlue
}

/** Something hot or flammable on the bench now. */
export interface Burning {
  kind: FireSpan['kind']
  coupon: string
  label: string
  /** over at, ms; null: once the piece is closed, or the last hot glue is laid */
  until: number | null
}

/** A tool that was switched on and not used for so long is off, ms. */
const FORGOTTEN_MS = 4 * 3_600_000

/** All that is hot, and all whose vapour may burn, at a time: as the records of the bench stand. */
export const burning = (pieces: readonly FirePiece[], now: number): Burning[] =>
  pieces.flatMap((piece) => {
    const { coupon, procedure, glue } = piece
    if (coupon.leftOut || !coupon.stamps.length) return []
    const at = (i: number) => coupon.stamps.find(({ step }) => step === procedure.steps[i]!.id)?.at ?? null
    return fireSpans(procedure.steps, glue).flatMap(({ kind, from, to, afterS }): Burning[] => {
      const times = procedure.steps.slice(from, to + 1).flatMap((_, i) => at(from + i) ?? [])
      if (!times.length) return []
      const last = Math.max(...times)
      const end = at(to)
      if (end === null && now - last > (kind === 'heat' ? FORGOTTEN_MS : DAY_MS)) return []
      const until = end === null ? null : last + afterS * 1000
      return until !== null && until <= now ? [] : [{ kind, coupon: coupon.id, label: coupon.label, until }]
    })
  })

/** Why a step must wait, and until when at the earliest. */
export interface FireHold {
  kind: FireSpan['kind']
  /** of the pieces it waits for */
  labels: string[]
  /** ms; where the end is open never sooner than the air takes to clear or the tool to cool */
  until: number
  /** nobody knows yet when: a piece is still to be closed, or hot glue to be laid */
  open: boolean
  /** a film of this piece is open already: it is gone on with, and the hot thing goes off */
  begun: boolean
}

/**
 * Whether a step must wait since it brings heat to a film that may burn, or lays such a film beside something hot, of
 * whatever piece of the bench; null where nothing stands against it.
 */
export function fireHold(
  piece: FirePiece,
  step: Pick<Step, 'id'>,
  all: readonly Burning[],
  now: number,
): FireHold | null {
  const { coupon, procedure, glue } = piece
  const { steps } = procedure
  const at = steps.findIndex(({ id }) => id === step.id)
  const asked = fireSpans(steps, glue).find(({ from, to, kind }) => at >= from && at <= to && brings(steps[at]!, kind))
  const against = all.filter((one) => asked && one.kind !== asked.kind && one.coupon !== coupon.id)
  if (!asked || !against.length) return null
  const laid = steps.slice(asked.from, at).some(({ id }) => coupon.stamps.some((stamp) => stamp.step === id))
  const begun = asked.kind === 'film' && laid
  return {
    kind: against[0]!.kind,
    labels: [...new Set(against.map(({ label }) => label))],
    until: begun ? 0 : Math.max(...against.map(({ until }) => until ?? now + CLEARS_S * 1000)),
    open: against.some(({ until }) => until === null),
    begun,
  }
}

/** Whether a step inside a span itself lays a film or brings heat: closing what is dry does neither. */
const brings = (step: Step, kind: FireSpan['kind']): boolean =>
  kind === 'film' ? LAYS.has(step.kind) : heatsUp(step) || HOT.has(step.kind) || bringsHeat(step)

const FOLLOW = 'Follow the label and local fire codes.'
/** Why it waits, as it is said at the step. */
export function holdWords({ kind, labels, begun }: FireHold): string {
  const some = labels.length > 3 ? `${labels.slice(0, 2).join(', ')} … ${labels.at(-1)!}` : labels.join(', ')
  if (begun)
    return (
      `Something hot is on for ${some}, and vapour of this film may catch fire: switch it off and take it away ` +
      `first. ${FOLLOW}`
    )
  return kind === 'film'
    ? `Nothing hot yet: vapour of ${some} may catch fire. Wait until that film is dry or closed and the air is ` +
        `clear. ${FOLLOW}`
    : `No flammable glue yet: something hot is on for ${some}. Wait until that is laid, switched off and cold. ` +
        FOLLOW
}
