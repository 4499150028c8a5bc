import { stakeWords } from '../../knowledge/vocabularyWords'
import { block, BY_PULL, caution, HARM, note, push, type Rule, rule } from '../rule'
import { isCa } from './kinds'
import { partFirst } from './partFirst'
import type { Situation } from '../../situation/situation'
import { has, loaded, someFace, thicknessOf } from '../../situation/about'

const rigidInPeelOrCleavage = rule(
  'rigid-in-peel-or-cleavage',
  'Peel strip, or drop it from waist height.',
  'low fracture energy; stress at the edge',
  (s) =>
    s.family.flex === 'rigid' && loaded(s, 'peel', 'cleavage', 'impact')
      ? push(
          partFirst(s, loaded(s, 'impact') && isCa(s.family) ? -10 : -6),
          'Strong in a straight pull, but it unzips from one edge or cracks when dropped.',
        )
      : null,
  BY_PULL,
)

const buttEdgeSmall = rule(
  'butt-edge-small',
  'Bend a scrap seam with and without a strip.',
  'area and leverage',
  (s) => {
    if (s.geometry !== 'butt-edge' || !loaded(s, 'bend', 'tension', 'flex')) return null
    const thin = s.faces.filter((face) => (thicknessOf(face) ?? Infinity) < 3)
    const face = thin.sort((x, y) => thicknessOf(x)! - thicknessOf(y)!)[0]
    return face
      ? caution(`An edge of ${thicknessOf(face)} mm has hardly any glue area: add a backing strip, a bevel or pins.`)
      : null
  },
)

/** How far a patch goes beyond what it covers, mm: ten times the thinner side, and 15 at least. */
export const patchMarginMm = (s: Situation): number =>
  Math.round(Math.max(15, 10 * Math.min(...s.faces.map((face) => thicknessOf(face) ?? 1.5))))

const patchMargin = rule(
  'patch-margin',
  'Peel strip from a corner.',
  'load passes over a short length; corners start peel',
  (s) => {
    if (s.geometry !== 'patch') return null
    return note(
      `Let the patch overlap by ${patchMarginMm(s)} mm or more on every side, with round corners and thin edges.`,
    )
  },
)

const curvedFaces = rule(
  'curve-springs-back',
  'Close a scrap over the real curve and leave it a day.',
  'stored bending moment works as a steady peel',
  (s) => {
    if (s.curveMm === null) return null
    // A strip of thickness t bent to radius R carries a strain of t/(2R + t): above about 1 % it pulls at its own ends.
    const springy = someFace(
      s,
      (m, face) =>
        !m.flexible &&
        (thicknessOf(face) ?? 0) / (2 * s.curveMm! + (thicknessOf(face) ?? 0)) > 0.01 &&
        m.modulusMPa > 500 &&
        (thicknessOf(face) ?? 9) < 4,
    )
    return springy &&
      s.family.holdS < 3600 &&
      ['flexible', 'elastic', 'semi'].includes(s.family.flex) &&
      !has(s, 'holds-bent')
      ? caution(
          `Side ${springy.side}, bent to ${s.curveMm} mm, wants to spring back and peels at its ends all the ` +
            'time: shape it first, or take a glue that sets hard under a clamp.',
        )
      : null
  },
)

const hangsInPeel = rule(
  'hangs-in-peel',
  'Hang four times the weight for 24 h.',
  'factor for creep, scatter and handling',
  (s) => {
    return s.restN && loaded(s, 'peel') && loaded(s, 'steady')
      ? caution('The weight hangs in peel all the time: turn the joint so that it is pulled sideways, or add a fixing.')
      : null
  },
  BY_PULL,
)

const lifeSafety = rule(
  'life-safety',
  'No home test settles it.',
  'scatter, ageing and duty of care; local codes apply',
  (s) => {
    const stake = s.stakes?.find((one) => !['food', 'medical', 'skin-closing'].includes(one))
    return stake
      ? block(
          `This joint ${stakeWords[stake].word}: glue tested at home must not be all that keeps someone from ` +
            'harm. Use rated mechanical fixings and a qualified person; local codes apply.',
        )
      : null
  },
  HARM,
)

const notForSkinOrMouth = rule(
  'not-for-skin-or-mouth',
  'No home test; ask a medical professional about allergies.',
  'burns, sensitisation, migration limits; local codes',
  (s) => {
    const stake = s.stakes?.find((one) => ['food', 'medical', 'skin-closing'].includes(one))
    return stake
      ? block(
          `This joint ${stakeWords[stake].word}: no workshop glue belongs there; only a product labelled for ` +
            'that use, used as labelled.',
        )
      : null
  },
  HARM,
)

/** The joint's shape and load, and what hangs on it. */
export const shapeRules: Rule[] = [
  rigidInPeelOrCleavage,
  buttEdgeSmall,
  patchMargin,
  curvedFaces,
  hangsInPeel,
  lifeSafety,
  notForSkinOrMouth,
]
