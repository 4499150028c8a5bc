import type { Step, StepKind } from '../records/procedure'
import { handsOnMin } from './stepWords'

/** Nobody holds two parts still for longer than this: what needs more is fixed in place. */
export const HOLD_BY_HAND_S = 120

/** Steps that a maker may add, with usual words and times; where they go by themselves: before closing, or after it. */
export const addableSteps: Partial<
  Record<StepKind, { text: string; minS: number; after: 'prepare' | 'apply' | 'close' }>
> = {
  fit: { text: 'Dry-fit, and mark across the joint where the parts meet', minS: 0, after: 'prepare' },
  mask: { text: 'Mask round the joint', minS: 0, after: 'prepare' },
  prime: { text: 'Prime the face thinly and let it dry', minS: 600, after: 'prepare' },
  damp: { text: 'Mist one face lightly with water: damp, no drops', minS: 0, after: 'prepare' },
  coat: { text: 'Let the first coat dry, then coat again', minS: 600, after: 'apply' },
  wait: { text: 'Leave open', minS: 300, after: 'apply' },
  warm: { text: 'Warm the face with a heat gun on low, moving', minS: 20, after: 'apply' },
  'prepare-a': { text: 'Prepare side A once more', minS: 0, after: 'prepare' },
  'prepare-b': { text: 'Prepare side B once more', minS: 0, after: 'prepare' },
  press: { text: 'Press all over, rolling from the middle to the rim', minS: 0, after: 'close' },
  hold: { text: 'Hold still', minS: 60, after: 'close' },
  clamp: { text: 'Fix it in place with a weight, pins or tape', minS: 1800, after: 'close' },
  fillet: { text: 'Lay a fillet along the edge', minS: 0, after: 'close' },
}

/**
 * A procedure's steps with one more, where it belongs: preparing before the glue goes on, clamping after closing.
 * @param place where it must go instead, as care says of heat
 */
export function withStep(steps: readonly Step[], kind: StepKind, id: string, place?: number): Step[] {
  const { text, minS, after } = addableSteps[kind]!
  const usual =
    after === 'prepare'
      ? steps.findIndex((step) => step.kind === 'apply')
      : steps.findLastIndex((step) => step.kind === after) + 1
  const at = place ?? usual
  return [...steps.slice(0, at), { id, kind, text, minS, maxS: null }, ...steps.slice(at)]
}

/** Seconds from closing to full cure that a procedure asks for. */
export const fullCureS = (steps: readonly Step[]): number =>
  steps.filter((step) => step.kind === 'cure').reduce((sum, step) => sum + step.minS, 0)

/** Hands-on minutes of one joint: what the maker stands at it for, not clamp and cure. */
export function handsOnMinutes(steps: readonly Step[]): number {
  return steps.reduce(
    (sum, { kind, minS }) => sum + handsOnMin[kind] + (kind === 'hold' ? Math.min(minS, 600) / 60 : 0),
    0,
  )
}
