import { familyOf, type Family } from '../knowledge/families'
import type { Situation } from '../situation/situation'
import type { Step } from '../records/procedure'

/** What decides whether heat may meet wet glue: how long the film must stand open, and what is in it. */
export interface WetGlue {
  /** the least open time of the family or the label, s; 0: it is closed wet */
  waitMinS: number
  /** hazard codes of the glue and its helpers */
  hazards: readonly string[]
}

const FLAMMABLE = ['flammable', 'pressure-can']
/** Whether a glue's vapour or can may catch fire. */
export const mayBurn = (hazards: readonly string[]): boolean => FLAMMABLE.some((code) => hazards.includes(code))
/** A glue that comes hot, or is set with heat. */
export const laidHot = ({ traits, mechanism }: Pick<Family, 'traits' | 'mechanism'>): boolean =>
  traits.includes('gun') || traits.includes('melts-parts') || mechanism === 'heat-activated' || mechanism === 'melt'
/** Whether glue, second glue or dabs of a joint come hot. */
export const gluedHot = ({ family, second, dab }: Pick<Situation, 'family' | 'second' | 'dab'>): boolean =>
  [family, second?.family, dab && familyOf(dab)].some((one) => one && laidHot(one))
/** Words by which a maker's own step brings heat. */
const HEAT = /\b(heat gun|hot air|hair ?dryer|heat|torch|flame|lighter|candle|iron|warm(ed|ing)? with)\b/i
const DENIED = /\b(no|not|never|without|away from|keep off)\b[^.;]*\b(heat|flame|torch|iron)/i

/** A face’s material is no work: a “heat-formable sheet” that is wiped brings no heat. */
const NAMED_FACE = /^Side [AB], [^:]*:|(?<=side [AB] )\([^)]*\)/g

export function bringsHeat({ kind, text }: Pick<Step, 'kind' | 'text'>): boolean {
  const work = text.replace(NAMED_FACE, '')
  return kind === 'warm' || (HEAT.test(work) && !DENIED.test(work))
}

/**
 * Whether a flammable film is still wet when step `at` begins: glue was put on before it, and has not stood open for
 * its least time since. A glue that is closed wet stays wet until it is cured.
 */
export function flammableWet(steps: readonly Step[], at: number, glue: WetGlue): boolean {
  if (!mayBurn(glue.hazards)) return false
  const before = steps.slice(0, at)
  const coated = before.findLastIndex(({ kind }) => kind === 'apply' || kind === 'coat')
  if (coated < 0 || before.some(({ kind }) => kind === 'cure')) return false
  const dried = before.slice(coated + 1).some(({ kind, minS }) => kind === 'wait' && minS >= glue.waitMinS)
  return glue.waitMinS <= 0 || !dried
}

/** Steps that bring heat to a wet, flammable film. */
export const heatOnWetFilm = (steps: readonly Step[], glue: WetGlue): Step[] =>
  steps.filter((step, i) => bringsHeat(step) && flammableWet(steps, i, glue))

/** Where a warming step may go: behind the glue, once its film is dry; null where it never is before closing. */
export function placeToWarm(steps: readonly Step[], glue: WetGlue): number | null {
  const close = steps.findIndex(({ kind }) => kind === 'close')
  const end = close < 0 ? steps.length : close
  const apply = steps.findLastIndex(({ kind }) => kind === 'apply' || kind === 'coat')
  for (let at = apply + 1; at <= end; at++) if (!flammableWet(steps, at, glue)) return at
  return null
}

export const NO_HEAT_ON_WET =
  'No heat while this film is wet: its vapour may catch fire. Let it stand open until it is dry and the air is ' +
  'clear, then warm it in another place. Follow the label and local fire codes.'

/** What every step with a heat gun needs, in the usual wording. */
export const HEAT_CAUTIONS: readonly string[] = [
  'Hot air and hot parts may burn: keep it moving on low, fingers out of its way, the gun on its stand, a ' +
    'heat-proof surface under it.',
  'Nothing flammable near: lids on, wet glue, solvents, cans and wipes in another place. Stop at the first ' +
    'smoke or smell.',
]
