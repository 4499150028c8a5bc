import type { Face } from '../../situation/situation'
import {} from '../../quantities/figure'
import type {} from '../../knowledge/materials'
import {} from '../../knowledge/strengths'
import { useOf } from '../../knowledge/everydayUse'
import { block, BY_PULL, caution, fit, HARM, note, push, type Rule, rule, worseOf } from '../rule'
import { bothFaces, called, has, is, needs, someFace, withTrait } from '../../situation/about'
import { isCa, isPrint, isSilicone, isFoam } from './kinds'

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

const waterGlueOnSealedFaces = rule(
  'water-glue-on-sealed-faces',
  'Peel strip; a clean skin of glue lifts off.',
  'mechanical key plus water removal',
  (s) => {
    if (!needs(s, 'porous-face') || !bothFaces(s, (m) => m.porosity < 0.3)) return null
    const half = s.edgeMm === null ? '' : `; the middle lies ${s.edgeMm.toFixed(0)} mm from the rim`
    const rim = s.edgeMm === null || s.edgeMm <= (bothFaces(s, isFoam) ? 10 : 5)
    const [a, b] = s.faces
    const known = useOf(s.family.id, a.material!, b.material!, s.geometry, s.helpers)
    if (known?.names && known.row.use !== 'odd' && known.row.use !== 'never') return null
    return push(
      rim ? -10 : -20,
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
    const firmly = ({ material: m }: Face) => m !== null && (isFoam(m) || is('skinned')(m) || is('coated')(m))
    const glazed = s.faces.filter((one) => one.state === 'glazed')
    const face = glazed.find(firmly) ?? glazed[0] ?? someFace(s, (m, one) => is('skinned')(m) && one.state !== 'sanded')
    if (!face) return null
    // A skin that the maker named stands until the maker says that it is scuffed; else scuffing is an ordinary step.
    const text = `The shiny skin or coating of side ${face.side} gives no key: scuff it matt.`
    if (face.state !== 'glazed') return note(text)
    return push(firmly(face) ? -10 : -6, text)
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

/** What a face lets stick to it. */
export const surfaceRules: Rule[] = [
  lowEnergyFit,
  nonStickSurface,
  waterGlueOnSealedFaces,
  paintIsWeakLayer,
  oldGlueLeft,
  glazedSkin,
  dirtyFace,
  whichSide,
  resinPrintNotCured,
  printLayersSplit,
]
