import type { MaterialClass } from '../../knowledge/materials'
import { heatRises } from '../../knowledge/practice'
import { block, BY_SCRAP, caution, HARM, note, push, type Rule, rule, worseOf } from '../rule'
import type { Face, Situation } from '../../situation/situation'
import { attacks, called, has, is, someFace, thicknessOf } from '../../situation/about'
import {
  fumesWhenHot,
  isCa,
  isFoam,
  isFoamBoard,
  isHardPlastic,
  isPaper,
  isPolyurethane,
  isTextile,
  styreneFoam,
} from './kinds'
import { graded } from './scale'

/** Room that heat is counted from, °C. */
const USUAL_ROOM_C = 20
/** A few seconds of cooling, or the bead on the sturdier side first, take this from the rise, °C. */
const PAUSE_C = 15
const THICK_MM = 4

/** How much of a rise comes through to a face, and what it bears above its softening (rules of practice, heat dose). */
function bears(material: MaterialClass, thicknessMm: number, iron: boolean): { part: number; allowance: number } {
  const { group } = material
  const solid = isFoamBoard(material) || isHardPlastic(material)
  const dense = is('dense')(material) || is('stone')(material)
  const soft = isTextile(material) || isPaper(material) || group === 'leather' || group === 'wood'
  const part = iron ? 1 : dense ? 0.1 : solid ? (thicknessMm < 1 ? 0.8 : 0.6) : isFoam(material) ? 1 : 0.8
  return { part, allowance: soft ? 20 : isFoam(material) && material.flexible ? 35 : 0 }
}

/** °C above what the face bears under the usual dose; with the pause that an ordinary procedure makes. */
function excess(s: Situation, face: Face, mm: number): { hot: number; paused: number } {
  const material = face.material!
  const rises = heatRises(s.family.id).filter(({ dose }) => dose !== 'poured')
  const usual = s.geometry === 'point' ? ['dab', 'bead'] : ['bead', 'line', 'dab']
  const row = usual.flatMap((dose) => rises.find((one) => one.dose === dose) ?? [])[0] ?? rises[0]
  if (!row) return { hot: -Infinity, paused: -Infinity }
  const iron = row.dose === 'pressed-iron'
  const { part, allowance } = bears(material, mm, iron)
  const over = (rise: number) => USUAL_ROOM_C + rise * part - material.softensC - allowance
  const thick = mm >= THICK_MM && !styreneFoam(material)
  const halved = (e: number) => (e > 0 && thick ? e / 2 : e)
  const hot = halved(over(row.surfaceRiseC))
  return { hot, paused: iron || styreneFoam(material) ? hot : halved(over(row.surfaceRiseC - PAUSE_C)) }
}

const heatMarksPart = rule(
  'heat-marks-part',
  'One bead or press on the thinnest scrap; slice it open and lay a straightedge on it.',
  'rise of the face under the dose against its softening',
  (s) => {
    // Welding melts the parts, and heat-formable sheet is meant to soften where it fuses.
    if (has(s, 'fuses-sheet') || has(s, 'melts-parts')) return null
    return worseOf(s, (face, m) => {
      const { hot, paused } = excess(s, face, thicknessOf(face) ?? THICK_MM)
      if (hot <= 0) return null
      const what = isTextile(m)
        ? `glaze or pucker ${called(face)}`
        : styreneFoam(m)
          ? `melt a hollow into ${called(face)}, which softens at ${m.softensC} °C`
          : `dent or warp ${called(face)}, which softens near ${m.softensC} °C`
      const text = `Its heat can ${what}: take the coolest type, heat the sturdier part first and let it cool a moment.`
      return paused <= 0
        ? note(text)
        : push(graded(paused <= 10 ? paused : hot, [10, 20, 35], [-3, -6, -10, -20]), text)
    })
  },
  BY_SCRAP,
)

const cottonAndCyanoacrylate = rule(
  'cotton-and-cyanoacrylate',
  'Do not test by soaking; choose another family.',
  'huge wet-out area; setting heat released in seconds',
  (s) => {
    if (!attacks(s, 'cotton-exotherm')) return null
    const cloth = someFace(s, is('smokes'))
    if (cloth) return block(`Soaked ${called(cloth)} sets the glue so fast that it may smoke and burn skin.`)
    const fibre = s.helpers.includes('fibre-filler')
    if (fibre && (s.skin === true || someFace(s, isTextile)))
      return block(
        'Cotton fibre and instant glue heat up strongly: on hard parts at the bench only, never on cloth or at ' +
          'the body.',
      )
    const other = someFace(s, (m) => isPaper(m) || is('hide')(m))
    if (other)
      return caution(
        `Natural fibre such as ${called(other)} sets this glue fast and hot: pea-sized dots of gel only, on ` +
          'the bench, never on the body.',
      )
    return fibre
      ? caution('Cotton fibre and instant glue may smoke: a pinch at a time, on hard parts, in moving air.')
      : null
  },
  HARM,
)

const heatCutFume = rule(
  'heat-cut-fume',
  'No test; cut cold.',
  'thermal decomposition products',
  (s) => {
    const wire = s.later?.includes('hot-wire')
    const gun = s.later?.includes('heat-form')
    const welds = has(s, 'melts-parts')
    if (!wire && !gun && !welds) return null
    const face = someFace(s, fumesWhenHot)
    const line = isPolyurethane(s.family) || s.family.chemistry === 'polychloroprene'
    if (wire && face) return block(`Under a hot wire ${called(face)} gives off acid or worse fume: cut it cold.`)
    if (wire && isCa(s.family))
      return block(
        'A hot wire through this line gives off irritant, cyanide-type fume: cut cold, or keep the line out of the ' +
          'cut.',
      )
    if (wire && line)
      return caution(
        'A hot wire through this line may give off irritant fume: thin lines laid out of the cut path, and cut it ' +
          'outdoors or with extraction.',
      )
    if (face) return caution(`Overheated, ${called(face)} gives off acid fume: low heat, outdoors or with extraction.`)
    return gun && (line || isCa(s.family))
      ? caution('A heat gun on this line may drive off irritant fume: shape first, glue after.')
      : null
  },
  HARM,
)

/** Heat that glue brings, frees in setting, or meets later. */
export const heatRules: Rule[] = [heatMarksPart, cottonAndCyanoacrylate, heatCutFume]
