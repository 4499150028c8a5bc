import { measured } from '../quantities/betterUnit'
import { forceWords, type ForceUnit } from '../quantities/force'
import type { LoadMode } from '../knowledge/vocabulary'
import type { Brief } from '../records/joint'
import { figureOf } from '../quantities/figure'
import { alongSeam, jointAreaMm2, openingMm, requiredLoad, type RequiredLoad } from './requirement'

/** What one load mode asks of the joint. */
export interface Demand {
  mode: LoadMode
  /** N for a force, N·mm for a turning load, mm for a bend radius, N/mm for a peel; null while a word for it is open */
  value: number | null
  unit: 'N' | 'N·mm' | 'mm' | 'N/mm' | '°'
  /** the sum with the numbers in it, the result last; or what is still to be said */
  sum: string[]
  /** the word of the brief that is open, when value is null */
  open: 'weightKg' | 'widthMm' | 'lengthMm' | 'leverMm' | 'flexDeg' | null
}

const open = (mode: LoadMode, unit: Demand['unit'], word: NonNullable<Demand['open']>, say: string): Demand => ({
  mode,
  value: null,
  unit,
  sum: [say],
  open: word,
})

/**
 * Required load of one joint by mode (methods.md 9, turned into the joint's mode as in methods.md 1): sideways and
 * straight pulls as a force; peel and prising as force over width; twist and snap as force × lever; flexing as the
 * angle or radius wanted.
 * @param shownIn what forces are told in within the sums; left out: newtons
 */
export function demands(brief: Brief, shownIn?: ForceUnit): Demand[] {
  const load = requiredLoad(brief)
  return (brief.loads ?? []).map((mode) => demand(mode, brief, load, shownIn))
}

function demand(mode: LoadMode, brief: Brief, load: RequiredLoad | null, shownIn?: ForceUnit): Demand {
  if (mode === 'flex') return flexDemand(brief)
  if (!load) return open(mode, 'N', 'weightKg', 'Say the weight it carries.')
  const force = forceWords(load.n, shownIn)
  if (mode === 'peel' || mode === 'cleavage') {
    const opens = openingMm(brief)
    if (opens === null)
      return alongSeam(brief)
        ? open(
            mode,
            'N/mm',
            brief.lengthMm === null ? 'lengthMm' : 'widthMm',
            'Say how long the seam is, and how wide.',
          )
        : open(mode, 'N/mm', 'widthMm', 'Say how wide the glued face is.')
    const value = load.n / opens
    return {
      mode,
      value,
      unit: 'N/mm',
      sum: [
        `${force} ÷ ${figureOf(opens)} mm ${alongSeam(brief) ? 'of seam' : 'wide'}`,
        `= ${measured(value, 'N/mm')}`,
      ],
      open: null,
    }
  }
  if (mode === 'torsion' || mode === 'bend') {
    if (brief.leverMm === null) return open(mode, 'N·mm', 'leverMm', 'Say how far from the joint the weight sits.')
    const value = load.n * brief.leverMm
    return {
      mode,
      value,
      unit: 'N·mm',
      sum: [`${force} × ${figureOf(brief.leverMm)} mm lever`, `= ${measured(value, 'N·mm')}`],
      open: null,
    }
  }
  const area = jointAreaMm2(brief)
  const spread = area === null ? [] : [`over ${measured(area, 'mm²')}: ${measured(load.n / area, 'MPa')}`]
  return { mode, value: load.n, unit: 'N', sum: [force, ...spread], open: null }
}

function flexDemand(brief: Brief): Demand {
  if (brief.bendRadiusMm !== null) {
    const thick = Math.max(brief.a.thicknessMm ?? 0, brief.b.thicknessMm ?? 0)
    // Strain of the outer face of a sheet t thick bent to radius R: t/(2R + t) (methods.md 1).
    const strain =
      thick > 0
        ? [
            `outer face stretches ${figureOf((100 * thick) / (2 * brief.bendRadiusMm + thick))} % at ` +
              `${figureOf(thick)} mm`,
          ]
        : []
    return {
      mode: 'flex',
      value: brief.bendRadiusMm,
      unit: 'mm',
      sum: [`bent to a radius of ${figureOf(brief.bendRadiusMm)} mm`, ...strain],
      open: null,
    }
  }
  if (brief.flexDeg !== null)
    return {
      mode: 'flex',
      value: brief.flexDeg,
      unit: '°',
      sum: [`bent to ${figureOf(brief.flexDeg)}° each time`],
      open: null,
    }
  return open('flex', '°', 'flexDeg', 'Say how far it bends each time.')
}
