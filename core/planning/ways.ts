import type { Step } from '../records/procedure'
import type { Way } from '../screening/schools'

/** The usual steps as one school does them: its wait, or its own words at one step. */
export function stepsOfWay(steps: readonly Step[], { what, value }: Way): Step[] {
  if (what === 'wait') return waiting(steps, Number(value))
  if (what !== 'apply' && what !== 'close' && what !== 'prepare-b') return [...steps]
  return steps.map((step) =>
    step.kind !== what ? step : { ...step, text: what === 'prepare-b' ? `${step.text}. ${value}` : value },
  )
}

/** The film is closed at one moment, and not later than a tenth after it: the wait is what is compared. */
function waiting(steps: readonly Step[], seconds: number): Step[] {
  const window = { minS: seconds, maxS: Math.round(seconds * 1.1) }
  if (steps.some(({ kind }) => kind === 'wait'))
    return steps.map((step) => (step.kind === 'wait' ? { ...step, ...window, text: 'Leave open' } : step))
  const at = steps.findIndex(({ kind }) => kind === 'close')
  const wait: Step = { id: `s${steps.length + 1}`, kind: 'wait', text: 'Leave open', ...window }
  return at < 0 ? [...steps] : [...steps.slice(0, at), wait, ...steps.slice(at)]
}
