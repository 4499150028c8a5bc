import type { StepKind } from '../../records/procedure'

/** Where something that must be done stands in a procedure, from first to last: the kinds of step that are drafted. */
export const slots = [
  'ready',
  'prepare-a',
  'prepare-b',
  'try',
  'fit',
  'mask',
  'prime',
  'mix',
  'damp',
  'activate',
  'fill',
  'apply',
  'coat',
  'wait',
  'close',
  'press',
  'dab',
  'light',
  'hold',
  'clamp',
  'fillet',
  'cure',
] as const satisfies readonly StepKind[]
export type Slot = (typeof slots)[number]
/** Where a kind of step stands; −1 for one that is never drafted. */
export const placeOf = (kind: StepKind): number => (slots as readonly StepKind[]).indexOf(kind)

/** What is done once for all pieces of a procedure, not at each. */
export const ONCE: ReadonlySet<Slot> = new Set(['ready', 'try', 'mix'])

/** Something that a step says and does. */
export interface Demand {
  at: Slot
  /** one sentence without its full stop; empty: it asks for the step as it stands */
  text: string
  /** said in place of what the step usually says */
  instead?: true
  /** the step lasts at least this long, s */
  minS?: number
}
