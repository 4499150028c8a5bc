import type { Procedure, Step } from '../records/procedure'
import type { Care } from './care'
import { bringsHeat, flammableWet, HEAT_CAUTIONS, NO_HEAT_ON_WET, type WetGlue } from './heat'

/** The lines of care that are about the glue itself. */
export const glueCautions = ({ hazards, combined }: Pick<Care, 'hazards' | 'combined'>): string[] => [
  ...hazards.map(({ show }) => show),
  ...combined,
]

/** Steps at which glue, primer or activator is open. */
const WITH_GLUE: ReadonlySet<Step['kind']> = new Set([
  ...(['try', 'prime', 'mix', 'activate', 'fill', 'apply', 'coat', 'wait', 'warm', 'close'] as const),
  ...(['press', 'dab', 'light', 'hold', 'fillet'] as const),
])

/**
 * What is said on a step's card before it can be started. Preparing needs no glue; from applying on, what the glue
 * gives off counts, also while it waits open; heat brings its own.
 */
export function stepCautions(procedure: Pick<Procedure, 'steps'>, step: Step, care: Care, glue: WetGlue): string[] {
  const at = procedure.steps.findIndex(({ id }) => id === step.id)
  const heat = bringsHeat(step)
    ? [...(flammableWet(procedure.steps, at, glue) ? [NO_HEAT_ON_WET] : []), ...HEAT_CAUTIONS]
    : []
  if (step.kind.startsWith('prepare')) return [...heat, ...care.cleaning]
  const open = WITH_GLUE.has(step.kind)
  return open || heat.length ? [...heat, ...glueCautions(care)] : []
}
