import { typicalStrength, type TypicalStrength } from '../knowledge/strengths'
import { lightPeel } from '../loads/light'
import { requiredLoad, strengthPerN } from '../loads/requirement'
import { steadyShare } from '../loads/steady'
import { measuredAlike } from '../quantities/betterUnit'
import type { Situation } from '../situation/situation'
import { loaded } from '../situation/about'
import { isCa, isPressure } from './rules/kinds'

/** What a weak joint, one in twenty, is likely to hold, and what it meets; both in the same unit. */
export interface Likely {
  holds: number
  needs: number
  unit: 'N' | 'N/mm'
  /** what the need is of: the said weight as it moves, or light handling */
  under: 'load' | 'light'
  /** what is held by a weight that hangs still, not for a moment */
  forLong: boolean
  /** a part is likely to tear before the glue lets go */
  partFirst: boolean
}

/** Share kept of the strength after water and years. */
function kept(s: Situation): number {
  const washed = s.water === 'wash' || s.water === 'soak'
  const firm = s.family.water === 'wash' || s.family.water === 'soak'
  const wet = washed ? (firm ? 0.7 : 0.5) : 1
  return wet * (s.lasts ? (isPressure(s.family) ? 0.4 : 0.7) : 1)
}
/** One joint in twenty is weaker than this many scatters below the typical. */
const WEAK = 1.645

/** Strengths on both faces by the tables; none where a material is open or a primer changes them. */
function sidesOf(s: Situation): readonly TypicalStrength[] {
  const [a, b] = s.faces
  if (!a.material || !b.material || (isCa(s.family) && s.helpers.includes('primer'))) return []
  return [a.material.id, b.material.id].flatMap((id) => typicalStrength(id, s.family.id) ?? [])
}
/** Of the weaker face the weak joint, after what it meets, corrected by own pulls. */
const least = (s: Situation, sides: readonly TypicalStrength[], value: (one: TypicalStrength) => number) =>
  Math.min(...sides.map((one) => value(one) * Math.exp(-WEAK * one.cv))) * kept(s) * (s.correction?.factor ?? 1)
const partFirst = (sides: readonly TypicalStrength[]) => sides.some(({ failure }) => failure === 'substrate')

/** The said weight on one joint as it moves, N: the load that limit and margin count too. null where none is. */
const loadOf = (s: Situation): number | null => requiredLoad(s.said)?.n || null

/** Of what is held for a moment, so many times less is held by a weight that hangs still. */
const steadily = (s: Situation) => (loaded(s, 'steady') ? 1 / steadyShare(s.family, s.said.life) : 1)

/**
 * In peel, N/mm, against the said weight over its width, or what such a joint meets lightly handled: what asks more.
 * null where it is not peeled or nothing is known.
 */
export function likelyPeel(s: Situation): Likely | null {
  const sides = sidesOf(s)
  if (!sides.length || !loaded(s, 'peel') || s.geometry === 'point' || s.geometry === 'rod') return null
  const holds = least(s, sides, ({ observedPeelNPerMm }) => observedPeelNPerMm)
  const of = { unit: 'N/mm', partFirst: partFirst(sides) } as const
  const classes = s.faces.map(({ material }) => material)
  const light: Likely = { holds, needs: lightPeel(s, classes), under: 'light', forLong: false, ...of }
  const load = loadOf(s)
  const perN = strengthPerN(s.said, 't-peel')
  if (!load || perN === null) return light
  const less = steadily(s)
  const heavy: Likely = { holds: holds / less, needs: load * perN, under: 'load', forLong: less > 1, ...of }
  return light.holds / light.needs < heavy.holds / heavy.needs ? light : heavy
}

/** Pulled along or off, N, against the load with its motion; null where load or size is open, or it is levered. */
export function likelyPull(s: Situation): Likely | null {
  const sides = sidesOf(s)
  const load = loadOf(s)
  if (!sides.length || !load || s.areaCm2 === null) return null
  if (loaded(s, 'peel', 'bend', 'torsion')) return null
  const less = steadily(s)
  const holds = (least(s, sides, ({ observedMPa }) => observedMPa) * s.areaCm2 * 100) / less
  const partTears = partFirst(sides)
  return { holds, needs: load, under: 'load', forLong: less > 1, unit: 'N', partFirst: partTears }
}

const underWords = {
  load: 'it meets',
  light: 'lightly handled it meets',
} as const

/** What a likely strength is of and what it meets, in words that sentences share. */
export const likelyParts = ({ under, forLong }: Pick<Likely, 'under' | 'forLong'>) => ({
  long: forLong ? ' for long' : '',
  meets: underWords[under],
})

/** The likely strength in words, against the need; null where nothing is known of either. */
export function likelyWords(s: Situation): string | null {
  const likely = likelyPull(s) ?? likelyPeel(s)
  if (!likely) return null
  const { holds, needs, unit, partFirst: first } = likely
  const { long, meets } = likelyParts(likely)
  const [held, met] = measuredAlike([holds, needs], unit)
  const source = s.correction ? 'by the tables as your own pulls correct them' : 'by the tables'
  return `A weak joint holds about ${held}${long} ${source}${first ? ', then the part tears' : ''}; ${meets} ${met}.`
}
