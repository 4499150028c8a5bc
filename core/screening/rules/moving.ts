import { caution, push, type Rule, rule } from '../rule'
import { atStart, bothFaces, called, has, is, loaded, someFace, thicknessOf } from '../../situation/about'
import { stretchy } from './kinds'
import { partFirst } from './partFirst'
import { graded } from './scale'
import { supplenessOf } from './suppleness'

/** Bend radius where none was said, mm. */
const USUAL_BEND_MM = 30
const rigidOnFlexing = rule(
  'rigid-on-flexing',
  'Fold it fifty times.',
  'strain of the line against its elongation',
  (s) => {
    const stiff = supplenessOf(s)
    const bends = loaded(s, 'flex') || s.flex === 'must-flex' || s.flex === 'band'
    const soft = s.family.flex === 'rigid' ? someFace(s, stretchy) : null
    if (soft && !bends)
      return push(
        partFirst(s, -6),
        atStart(`${called(soft)} stretches and the glue sets hard: a stiff lump whose edge cracks or tears it.`),
      )
    if (!stiff || !bends) return null
    const bending = s.faces.filter((face) => face.material?.flexible)
    const thick = Math.min(...bending.map((face) => thicknessOf(face) ?? 2), ...(bending.length ? [] : [2]))
    // Distance of the line from the middle of the bend: sheet laid on equal sheet lies near it.
    // Where no shape was said the mildest is taken: what is unknown blocks nothing.
    const mild = s.geometry === null || s.geometry === 'lap' || s.geometry === 'face-large'
    const middle = mild ? 0.2 * thick : thick / 2
    const strain = (100 * middle) / (s.said.bendRadiusMm ?? USUAL_BEND_MM)
    const byStrain = graded(strain / stiff.elongationPct, [0.2, 0.5, 1], [0, -3, -6, -10])
    const byKind =
      s.family.flex !== 'rigid'
        ? 0
        : bending.length === 2
          ? -10
          : bending.length === 1 || s.flex === 'must-flex'
            ? -6
            : 0
    const knit = s.family.flex === 'semi' && someFace(s, is('knit')) ? -6 : 0
    const folds = loaded(s, 'flex') && s.flex === 'must-flex' && has(s, 'folds-crack') ? -6 : 0
    const soaked = s.family.chemistry === 'methacrylate' && bending.length ? -6 : 0
    const db = partFirst(s, Math.min(byStrain, byKind, knit, folds, soaked))
    if (db === 0) return null
    const face = bending[0]
    return push(
      db,
      atStart(
        `${face ? called(face) : 'the joint'} bends and the glue gives too little: the line cracks or tears the part.`,
      ),
    )
  },
)

const elasticWhereStiff = rule('elastic-where-stiff', 'Hang it, then push sideways.', 'low shear modulus', (s) => {
  const { flex } = s.family
  if (s.flex === 'must-be-stiff' && (flex === 'elastic' || flex === 'flexible'))
    return push(
      -10,
      `It stays ${flex === 'elastic' ? 'rubbery' : 'soft'}: the parts wobble and sag where the joint must be stiff.`,
    )
  if (s.flex === 'band' && flex === 'elastic') return caution('It stays rubbery, and the joint must not flop.')
  if (!bothFaces(s, (m) => !m.flexible)) return null
  if (loaded(s, 'bend') && flex === 'elastic') return caution('A rubbery line lets hard parts wobble and sag.')
  // Edge to edge or round in a socket there is no overlap to steady the parts.
  const unsteady = (s.geometry === 'butt-edge' || s.geometry === 'rod') && loaded(s, 'tension', 'bend', 'torsion')
  return unsteady && (flex === 'elastic' || flex === 'flexible')
    ? caution('With so little face a soft line lets hard parts wobble and slide apart slowly.')
    : null
})

const unlikeExpansion = rule(
  'unlike-expansion',
  'Hot box then freezer, three rounds.',
  'thermal and moisture movement',
  (s) => {
    if (s.family.flex !== 'rigid' || s.areaCm2 === null || s.areaCm2 <= 100) return null
    const [a, b] = s.faces
    if (!a.material || !b.material) return null
    const swing = Math.max(20, s.tempMaxC ?? 20) - Math.min(20, s.tempMinC ?? 20)
    const ratio =
      Math.max(a.material.modulusMPa, b.material.modulusMPa) / Math.min(a.material.modulusMPa, b.material.modulusMPa)
    const unlike =
      a.material.id !== b.material.id && (ratio > 5 || a.material.group === 'wood' || b.material.group === 'wood')
    return unlike && swing > 30
      ? caution(
          `Over ${s.areaCm2.toFixed(0)} cm² and ${swing} °C of swing the two parts grow by different amounts ` +
            'and shear a rigid line apart.',
        )
      : null
  },
)

/** Parts that bend, pull apart or grow against each other. */
export const movingRules: Rule[] = [rigidOnFlexing, elasticWhereStiff, unlikeExpansion]
