import type { StepKind } from '../../records/round'

/** Where something that must be done stands in a procedure, from first to last, and what kind of step it is. */
const order = {
  ready: 'ready',
  'prepare-a': 'prepare-a',
  'prepare-b': 'prepare-b',
  try: 'try',
  fit: 'fit',
  mask: 'mask',
  prime: 'prime',
  mix: 'mix',
  damp: 'damp',
  activate: 'activate',
  fill: 'fill',
  apply: 'apply',
  coat: 'coat',
  wait: 'wait',
  close: 'close',
  press: 'press',
  dab: 'dab',
  light: 'light',
  hold: 'hold',
  clamp: 'clamp',
  fillet: 'fillet',
  cure: 'cure',
} satisfies Record<string, StepKind>
export type Slot = keyof typeof order
export const slots = Object.keys(order) as Slot[]

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
