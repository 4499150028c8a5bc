import type { MaterialClass } from '../../knowledge/materials'
import { gapLimit } from '../../knowledge/practice'
import { block, BY_PULL, caution, fit, note, push, type Rule, rule } from '../rule'
import { attacks, bothFaces, called, has, is, needs, someFace, wetter, withTrait } from '../../situation/about'
import { durationWords } from '../../quantities/durations'
import { graded } from './scale'
import {
  isContact,
  isFoam,
  isHardPlastic,
  isPrint,
  isStructural,
  isWeld,
  meltable,
  soluble,
  styreneFoam,
} from './kinds'

const thinOnPorous = rule(
  'thin-on-porous',
  'Bond a scrap, pull it open and look for a dry line.',
  'capillary loss; starved joint',
  (s) => {
    const thin = s.family.form === 'thin' && s.family.chemistry !== 'natural-rubber'
    // Into a close joint of wood or board a drop wicks and locks the fibres.
    const wicks = (m: MaterialClass) => m.group === 'wood' || is('board')(m)
    const starved = thin ? someFace(s, (m) => m.porosity > 0.4 && !wicks(m)) : null
    const drinks = starved ?? (thin ? someFace(s, (m) => m.porosity > 0.4) : null)
    if (drinks) {
      const text =
        `It soaks away into ${called(drinks)} and leaves the joint dry: take gel, or size the face first and ` +
        'coat again.'
      return starved ? caution(text) : note(text)
    }
    const edge = withTrait(s, 'cut-edge') ?? (s.geometry === 'butt-edge' ? someFace(s, is('drinks-at-edge')) : null)
    if (!edge || ['gel', 'paste', 'film', 'melt', 'foam', 'stick'].includes(s.family.form)) return null
    const text = `A cut edge drinks the first coat: size side ${edge.side} thinly and coat again.`
    // Sizing with the same glue thinned is the everyday way with water-borne glue; the rest starves.
    return s.family.mechanism === 'evaporate-water' || s.family.faces === 'both' ? note(text) : caution(text)
  },
  BY_PULL,
)

const gapTooWide = rule(
  'gap-too-wide',
  'Bond a scrap with the real gap set by card shims.',
  'cure depth, shrinkage and cohesive limits',
  (s) => {
    if (s.gapMm === null) return null
    const limit = s.labelled.includes('gapMaxMm')
      ? s.family.gapMaxMm
      : (gapLimit(s.family.id, s.helpers) ?? s.family.gapMaxMm)
    // Soft foam closes under the palm: what is left of the gap counts.
    const soft = someFace(s, (m, face) => isFoam(m) && m.flexible && (face.thicknessMm ?? 0) < 10)
    const left = soft ? 0.3 * s.gapMm : s.gapMm
    const db = graded(left / limit, [0.7, 1, 1.5, 3], [0, -3, -6, -10, -20])
    return db === 0
      ? null
      : push(
          db,
          db === -3
            ? `The gap of ${s.gapMm} mm is about all that this bridges (${limit} mm): improve the fit.`
            : `The gap is ${s.gapMm} mm and this bridges ${limit} mm: it stays wet or shrinks away. Improve the fit ` +
                'or take a gap filler.',
        )
  },
)

const gapHelper = rule(
  'gap-helper',
  'One fillet on scrap, snap it.',
  'filled polymer; alkaline or fine powder speeds cure and heat',
  (s) => {
    if (!s.helpers.includes('powder-filler') || !has(s, 'soaks-powder') || someFace(s, styreneFoam)) return null
    return s.gapMm !== null && s.gapMm >= 0.2 && s.gapMm <= 3
      ? fit(`Powder and thin instant glue make a hard fillet at once in the ${s.gapMm} mm gap.`)
      : null
  },
)

const porousWithWaterBorne = rule(
  'porous-with-water-borne',
  'Pull a scrap open, then tear: fibres should come out.',
  'drying path plus mechanical key',
  (s) => {
    const { family } = s
    if (
      family.mechanism !== 'evaporate-water' ||
      someFace(s, (m) => m.surfaceEnergy === 'low' || m.surfaceEnergy === 'very-low')
    )
      return null
    const face = someFace(s, (m) => m.porosity >= 0.3)
    const tooWide = s.gapMm !== null && s.gapMm > family.gapMaxMm
    const tooWet = s.water !== null && wetter(s.water, family.water)
    return face && !tooWide && !tooWet
      ? fit(
          `${called(face).replace(/^./, (c) => c.toUpperCase())} drinks the water and its fibres hold the ` +
            'glue: strong, mild and cheap.',
        )
      : null
  },
)

const contactForFlexibleSheets = rule(
  'contact-for-flexible-sheets',
  'Peel strip after 24 h.',
  'high peel strength of elastomer films',
  (s) => {
    if (!isContact(s.family) || s.reach === 'one') return null
    const attacked = someFace(
      s,
      (m) =>
        (styreneFoam(m) && attacks(s, 'styrene-foam')) || m.surfaceEnergy === 'low' || m.surfaceEnergy === 'very-low',
    )
    const face = attacked ? null : someFace(s, (m) => m.flexible)
    return face ? fit('Two dry rubbery films grab at once over the whole area and bend with the part.') : null
  },
)

const weldLikeToLike = rule(
  'weld-like-to-like',
  'Snap a scrap; it should break beside the joint.',
  'chain interdiffusion',
  (s) => {
    const [a, b] = s.faces
    if (!a.material || a.material.id !== b.material?.id) return null
    const joins =
      (isWeld(s.family) && soluble(a.material)) ||
      (has(s, 'melts-parts') && meltable(a.material)) ||
      (has(s, 'fuses-sheet') && is('heat-formable')(a.material))
    return joins ? fit('The parts become one piece with no glue line to age.') : null
  },
)

const structuralForHardFaces = rule(
  'structural-for-hard-faces',
  'Hang four times the weight for 24 h.',
  'two-part cure; low shrinkage',
  (s) => {
    const fits = s.gapMm !== null && s.gapMm >= 0.1 && s.gapMm <= s.family.gapMaxMm
    return isStructural(s.family) && fits && bothFaces(s, (m) => !m.flexible)
      ? fit(`It hardens without air or damp, fills the ${s.gapMm} mm gap and carries load between hard parts.`)
      : null
  },
)

const closeFitNeeded = rule(
  'close-fit-needed',
  'Hold the dry joint to a light; then break a scrap and look at the wetted share.',
  'contact area controls strength',
  (s) => {
    if (!needs(s, 'close-fit')) return null
    const rough = s.faces.find((face) => face.state === 'textured-side')
    if (rough || s.fit === 'rough')
      return caution(
        'It only works where the faces truly touch, and ' +
          `${rough ? `side ${rough.side} is textured` : 'these touch only here and there'}: flatten them or take ` +
          'a glue that fills.',
      )
    const print = someFace(s, (m, face) => isPrint(m) && face.state !== 'sanded')
    return print && s.fit !== 'close'
      ? note(`It only works where the faces truly touch: sand the layer lines of side ${print.side} flat first.`)
      : null
  },
  BY_PULL,
)

const clampTooHard = rule(
  'clamp-too-hard',
  'Clamp a scrap, break it and look for bare spots.',
  'low compressive yield; best line 0.1–0.3 mm',
  (s) => {
    // What cannot be clamped is not clamped too hard.
    if (s.canClamp === false) return null
    const soft =
      s.family.clamp === 'clamp'
        ? someFace(
            s,
            (m, face) =>
              isFoam(m) || is('dents')(m) || (face.thicknessMm !== null && face.thicknessMm < 1.5 && isHardPlastic(m)),
          )
        : null
    if (soft) return note(`Clamp ${called(soft)} lightly with flat pads: dents spring open later.`)
    return isStructural(s.family) ? note('Clamp lightly: hard pressure squeezes it out of its own joint.') : null
  },
)

const expansionShiftsParts = rule(
  'expansion-shifts-parts',
  'Clamp a scrap and measure before and after.',
  'carbon dioxide foaming',
  (s) => {
    const { expands, holdS } = s.family
    if (expands <= 1.2) return null
    if (s.canClamp === false || expands > 10)
      return push(
        s.canClamp === false ? -6 : -3,
        `It swells ${expands} times, pushes the parts apart and oozes out of seams` +
          (s.canClamp === false
            ? `, and this joint cannot be clamped for the ${durationWords(holdS)} it needs.`
            : ': brace or weight them.'),
      )
    return note(`It swells ${expands} times: clamp for ${durationWords(holdS)}, spread thin, and trim what oozes out.`)
  },
)

const expansionInClosedShell = rule(
  'expansion-in-closed-shell',
  'Fill a scrap tube in thin lifts and measure.',
  'expansion pressure; moisture starvation',
  (s) =>
    has(s, 'propellant') && s.inShell === true
      ? block('In a closed shell it swells for hours, splits the shell and stays wet inside.')
      : null,
)

/** How the glue meets the shape: gaps, time to cover, closing and clamping. */
export const formRules: Rule[] = [
  thinOnPorous,
  gapTooWide,
  gapHelper,
  porousWithWaterBorne,
  contactForFlexibleSheets,
  weldLikeToLike,
  structuralForHardFaces,
  closeFitNeeded,
  clampTooHard,
  expansionShiftsParts,
  expansionInClosedShell,
]
