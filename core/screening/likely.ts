import { typicalStrength, type TypicalStrength } from '../knowledge/strengths'
import { strengthPerN } from '../loads/requirement'
import { steadyShare } from '../loads/steady'
import { motionFactor } from '../knowledge/vocabulary'
import { measuredAlike } from '../quantities/betterUnit'
import type { Situation } from '../situation/situation'
import { is, loaded } from '../situation/about'
import { isCa, isPaper, isPressure } from './rules/kinds'

/** What a weak joint, one in twenty, is likely to hold, and what it meets; both in the same unit. */
export interface Likely {
  holds: number
  needs: number
  unit: 'N' | 'N/mm'
  /** what the need is of: the said weight as it moves, the said weight walked about, or light handling */
  under: 'load' | 'load-walked' | 'light'
  /** what is held by a weight that hangs still, not for a moment */
  forLong: boolean
  /** a part is likely to tear before the glue lets go */
  partFirst: boolean
}

/** N/mm that a joint which is peeled stands where no weight was said. */
function lightPeel(s: Situation): number {
  if (s.faces.some(({ material }) => material && is('opens')(material))) return 1
  if (s.faces.some(({ material }) => material && isPaper(material))) return 0.1
  const cloth = s.faces.every(({ material }) => material?.group === 'textile' || material?.group === 'leather')
  if (cloth && (loaded(s, 'flex') || s.skin === true)) return 0.5
  if (loaded(s, 'flex') || s.flex === 'must-flex') return 0.3
  return s.geometry === 'face-large' ? 0.2 : 0.1
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

/** The said weight on one joint as it moves, N; walked about where no motion is said. null where no weight is. */
const loadOf = (s: Situation): { n: number; under: 'load' | 'load-walked' } | null =>
  s.restN === null || s.restN === 0
    ? null
    : { n: s.restN * motionFactor[s.said.motion ?? 'walked'], under: s.said.motion ? 'load' : 'load-walked' }

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
  const light: Likely = { holds, needs: lightPeel(s), under: 'light', forLong: false, ...of }
  const load = loadOf(s)
  const perN = strengthPerN(s.said, 't-peel')
  if (!load || perN === null) return light
  const less = steadily(s)
  const heavy: Likely = { holds: holds / less, needs: load.n * perN, under: load.under, forLong: less > 1, ...of }
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
  return { holds, needs: load.n, under: load.under, forLong: less > 1, unit: 'N', partFirst: partTears }
}

const underWords = {
  load: 'it meets',
  'load-walked': 'walked about it meets',
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
