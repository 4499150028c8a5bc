import { durationWords, windowWords, withinWords } from '../quantities/durations'
import type { Step, StepKind } from '../records/procedure'

const TIMED: ReadonlySet<StepKind> = new Set([
  ...(['ready', 'prime', 'activate', 'coat', 'wait', 'warm'] as const),
  ...(['dab', 'light', 'hold', 'clamp', 'cure'] as const),
])
/** Whether a step lasts: its time is said beside its words, and only there. */
export const isTimed = ({ kind }: Pick<Step, 'kind'>): boolean => TIMED.has(kind)

/** How long a step lasts, in words; null where it takes what it takes. A wait has a window, a mix its pot life. */
export function stepTime({ kind, minS, maxS }: Pick<Step, 'kind' | 'minS' | 'maxS'>): string | null {
  if (kind === 'mix') return maxS === null ? null : `use within ${withinWords(maxS)}`
  if (!TIMED.has(kind) || minS <= 0) return null
  return kind === 'wait' && maxS !== null && maxS > minS ? windowWords(minS, maxS) : durationWords(minS)
}
