import { figureOf } from '../../quantities/figure'
import type { MaterialClass } from '../../knowledge/materials'
import { shareOfBest } from '../../knowledge/strengths'
import { block, BY_PULL, caution, fit, HARM, note, type Rule, rule, worseOf } from '../rule'
import { bothFaces, called, has, is, needs, someFace, withTrait } from '../../situation/situation'
import {
  isCa,
  isContact,
  isHotmelt,
  isPaper,
  isPlainHotmelt,
  isPressure,
  isPrint,
  isSilicone,
  isTextile,
  styreneFoam,
} from './kinds'

const lowEnergyPlain = rule(
  'low-energy-plain',
  'Water drop, then a peel strip.',
  'surface tension of glue above that of the face',
  (s) => {
    const face = someFace(s, (m) => m.surfaceEnergy === 'low')
    if (
      !face ||
      has(s, 'melts-parts') ||
      s.family.mechanism === 'unknown' ||
      (isCa(s.family) && s.helpers.includes('primer'))
    )
      return null
    return isHotmelt(s.family) || isPressure(s.family) || isContact(s.family) || s.family.chemistry === 'methacrylate'
      ? caution(
          `It may grip cut cells of ${called(face)} but carries little on the smooth face; ask for a grade ` +
            'made for low-energy plastics.',
        )
      : block(`Glue beads up on ${called(face)} and pops off clean.`)
  },
  BY_PULL,
)

const lowEnergyFit = rule(
  'low-energy-fit',
  'Peel strip, prepared against unprepared.',
  'radical grafting, primer interphase or melt diffusion',
  (s) => {
    const face = someFace(s, is('olefin'))
    if (!face) return null
    const [a, b] = s.faces
    const weld = has(s, 'melts-parts') && a.material?.id === b.material?.id
    const primed = isCa(s.family) && s.helpers.includes('primer')
    return weld || primed
      ? fit(
          `${weld ? 'Melting like to like' : 'The primer with instant glue'} is one of the few ways that ` +
            `really hold ${called(face)}.`,
        )
      : null
  },
)

const nonStickSurface = rule(
  'non-stick-surface',
  'Water drop: it stays round.',
  'about 19 mN/m; only etched faces bond',
  (s) =>
    someFace(s, (m) => m.surfaceEnergy === 'very-low')
      ? block('Non-stick plastic is made so that nothing holds; use screws, clips or a sleeve.')
      : null,
  BY_PULL,
)

const hotGlueOnDenseSmooth = rule(
  'hot-glue-on-dense-smooth',
  'Bond, wait an hour, twist and look for a clean face.',
  'heat sink; thermal shrink stress',
  (s) => {
    const face = isPlainHotmelt(s.family) ? someFace(s, is('takes-heat-away')) : null
    return face ? caution(atFace(called(face))) : null
  },
  BY_PULL,
)
const atFace = (face: string) =>
  `Cold ${face} freezes the glue before it wets, so it snaps off clean: warm and scuff the part, or choose ` +
  'another glue for any load.'

const waterGlueOnSealedFaces = rule(
  'water-glue-on-sealed-faces',
  'Peel strip; a clean skin of glue lifts off.',
  'mechanical key plus water removal',
  (s) => {
    if (!needs(s, 'porous-face') || !bothFaces(s, (m) => m.porosity < 0.3)) return null
    const half = s.edgeMm === null ? '' : `; the middle lies ${s.edgeMm.toFixed(0)} mm from the rim`
    return block(
      `It grips by soaking into fibres and finds none here: ${called(s.faces[0])} and ${called(s.faces[1])} ` +
        `are both sealed${half}.`,
    )
  },
)

const paintIsWeakLayer = rule(
  'paint-is-weak-layer',
  'Cut a cross into a painted scrap, press tape on, pull.',
  'paint adhesion often below 1 MPa',
  (s) => {
    const face = s.faces.find((one) => one.state === 'painted-acrylic' || one.state === 'painted-solvent')
    if (!face) return null
    const text = `On side ${face.side} you glue to the paint, and the paint lets go first; bare the joint area.`
    return s.loads?.length ? caution(text) : note(text)
  },
  BY_PULL,
)

const oldGlueLeft = rule(
  'old-glue-left',
  'Scrape one half bare, bond both, compare; water drop for silicone.',
  'weak boundary layer; poor wetting',
  (s) => {
    const polish = withTrait(s, 'polish-near')
    if (polish && !isSilicone(s.family))
      return block(
        `Traces of silicone, wax or polish on side ${polish.side} stop nearly every glue and paint: strip and ` +
          'scrub it first.',
      )
    const face = polish ?? s.faces.find((one) => one.state === 'old-glue')
    return face
      ? caution(`On side ${face.side} new glue is only as good as the old layer below it: scrape it bare.`)
      : null
  },
  BY_PULL,
)

const glazedSkin = rule(
  'glazed-skin',
  'Peel strip, scuffed against shiny.',
  'weak skin; lower true area',
  (s) => {
    const face =
      s.faces.find((one) => one.state === 'glazed') ??
      someFace(s, (m, one) => is('skinned')(m) && one.state !== 'sanded')
    return face ? caution(`The shiny skin or coating of side ${face.side} gives no key: scuff it matt.`) : null
  },
  BY_PULL,
)

const dirtyFace = rule(
  'dirty-face',
  'A water drop should spread; clear tape pressed on should come off clean.',
  'weak boundary layer',
  (s) => {
    const dirty = s.faces.find((one) => one.state === 'greasy' || one.state === 'dusty')
    const face = dirty ?? withTrait(s, 'mould-fresh')
    return face
      ? caution(
          `Side ${face.side} is ${dirty ? face.state : 'fresh from the mould, oily or not wiped'}: glue sticks ` +
            'to the dirt and the dirt to nothing. Clean, sand, clean again.',
        )
      : null
  },
  BY_PULL,
)

const whichSide = rule(
  'which-side',
  'Peel strip of each side.',
  'different surface chemistry and key',
  (s) => {
    const twoSided = is('two-sided')
    const fuses = has(s, 'fuses-sheet')
    return worseOf(s, (face, m) => {
      if (!twoSided(m)) return null
      if (fuses)
        return face.state === 'textured-side'
          ? caution(`Side ${face.side} is the textured one: it fuses on the smooth, tacky side.`)
          : note('It fuses on the smooth, tacky side.')
      if (face.state === 'smooth-side')
        return caution(
          `You glue the smooth side of ${called(face)}: cloth or fibre backs and scuffed textured sides hold ` +
            'far better.',
        )
      return face.state === null
        ? note(`The two sides of ${called(face)} bond very differently: say which one is glued.`)
        : null
    })
  },
  BY_PULL,
)

const resinPrintNotCured = rule(
  'resin-print-not-cured',
  'White cloth wiped over it, gloves on; any smear means not cured.',
  'monomer layer',
  (s) => {
    const face = withTrait(s, 'uncured', is('resin'))
    if (face)
      return block(`Wet resin on side ${face.side} stops the bond and harms skin: wash, dry and post-cure it first.`)
    return someFace(s, is('resin')) ? note('Only on a washed, post-cured print: wet resin stops the bond.') : null
  },
  HARM,
)

const printLayersSplit = rule(
  'print-layers-split',
  'Snap a printed scrap without glue.',
  'interlayer strength near half of in-plane',
  (s) => {
    const face = withTrait(s, 'across-layers', isPrint)
    if (face)
      return caution(
        `The print of side ${face.side} may split between its layers before the joint fails: add a pin or a ` +
          'patch, or turn the print.',
      )
    return s.loads?.some((load) => load === 'tension' || load === 'bend') && someFace(s, isPrint)
      ? note('Pulled across its layers a print may split before the joint: say which way it is printed.')
      : null
  },
)

/**
 * Shares of the best that a pair can give, below which a glue hardly counts as holding; hard pairs give so much that a
 * MPa is enough.
 */
const HARDLY = { any: 0.06, belowOneMPa: 0.1, peel: 0.17 }
const weakGrip = rule(
  'weak-grip',
  'Pull one scrap by hand against a glue you trust.',
  'typical strengths of the tables, the weaker face counting',
  (s) => {
    const [a, b] = s.faces
    // The tables hold unprimed values.
    if (!a.material || !b.material || !s.loads?.length || (isCa(s.family) && s.helpers.includes('primer'))) return null
    const here = shareOfBest(a.material.id, b.material.id, s.family.id)
    if (!here) return null
    const share = here.mpa / here.bestMPa
    // Paper and card weigh little: a dot or a tape that is not peeled holds them.
    const light =
      isPressure(s.family) &&
      someFace(s, isPaper) &&
      !s.loads.some((load) => ['peel', 'flex', 'impact', 'steady', 'cleavage'].includes(load))
    if (light) return null
    // A rubbery seal holds by its area: half a MPa between hard faces is what it is chosen for.
    const seal =
      s.family.flex === 'elastic' &&
      s.family.form === 'paste' &&
      bothFaces(s, (m) => m.group === 'hard' || m.group === 'wood')
    if (share < HARDLY.any || (share < HARDLY.belowOneMPa && here.mpa < 1 && !seal))
      return caution(
        `It hardly grips here: about ${figureOf(here.mpa)} MPa, where the best for this pair give ` +
          `${figureOf(here.bestMPa)} MPa.`,
      )
    // Where paper is peeled it tears within the sheet, at less than water-borne glue holds.
    if (s.family.mechanism === 'evaporate-water' && someFace(s, isPaper)) return null
    return s.loads.includes('peel') && here.peel / here.bestPeel < HARDLY.peel
      ? caution(
          `It peels off easily here: about ${figureOf(here.peel)} N/mm, where the best for this pair give ` +
            `${figureOf(here.bestPeel)} N/mm.`,
        )
      : null
  },
  BY_PULL,
)

/** Acrylic-rich pastes grip dense faces by themselves; textile glue takes on foam that is cut or sanded. */
const gripsOneSideOnly = rule(
  'grips-one-side-only',
  'Pull one open by hand: a clean skin of glue on the sealed side.',
  'mechanical key on one side, none on the other',
  (s) => {
    if (!needs(s, 'porous-face') || has(s, 'grips-sealed')) return null
    const porous = someFace(s, (m) => m.porosity >= 0.3)
    const sealed = someFace(
      s,
      (m) => m.porosity <= 0.1 && !styreneFoam(m) && !(m.group === 'foam' && has(s, 'grips-foam')),
    )
    if (!porous || !sealed) return null
    // Sealed in between two coats it holds paper and thin cloth on glass, plastic and foam that nothing pulls at.
    const light =
      is('drinks')(porous.material!) ||
      (has(s, 'seals-over') && (isPaper(porous.material!) || isTextile(porous.material!)))
    const text = `It soaks into ${called(porous)} but only lies on ${called(sealed)}, and lets go there first.`
    return light || !s.loads?.length ? note(text) : caution(text)
  },
  BY_PULL,
)

const paperGlueElsewhere = rule(
  'paper-glue-elsewhere',
  'Pull one scrap by hand against a glue you trust.',
  'low solids, made for sheets that tear first',
  (s) => {
    const made = (m: MaterialClass) =>
      (has(s, 'for-paper') && isPaper(m)) ||
      (has(s, 'for-cloth') && isTextile(m) && !is('strap')(m)) ||
      (has(s, 'for-leather') && is('hide')(m) && !is('open-nap')(m))
    if (!has(s, 'for-paper') || !bothFaces(s, (m) => !made(m))) return null
    const [a, b] = s.faces
    return caution(
      'It is made for ' +
        `${has(s, 'seals-over') ? 'paper and thin cloth laid on something' : 'paper and card'}, ` +
        `and carries little between ${called(a)} and ${called(b)}.`,
    )
  },
  BY_PULL,
)

const touchesTipsOnly = rule(
  'tape-on-fibres',
  'Press a strip on, pull: fibre or dust on the tape, and no grip.',
  'a film touches only the tips of a nap or open cell',
  (s) => {
    const face = isPressure(s.family) ? someFace(s, (m) => m.porosity >= 0.8 && !isPaper(m)) : null
    return face
      ? caution(`A sticky film touches only the tips of ${called(face)} and lifts off with fibre or dust.`)
      : null
  },
  BY_PULL,
)

/** What a face lets stick to it. */
export const surfaceRules: Rule[] = [
  lowEnergyPlain,
  lowEnergyFit,
  nonStickSurface,
  hotGlueOnDenseSmooth,
  waterGlueOnSealedFaces,
  paintIsWeakLayer,
  oldGlueLeft,
  glazedSkin,
  dirtyFace,
  whichSide,
  resinPrintNotCured,
  printLayersSplit,
  gripsOneSideOnly,
  paperGlueElsewhere,
  touchesTipsOnly,
  weakGrip,
]
