import type { MaterialClass } from '../../knowledge/materials'
import { heatRises, wetLoadOf } from '../../knowledge/practice'
import { block, BY_SCRAP, caution, HARM, note, push, type Rule, rule, worseOf } from '../rule'
import {
  atStart,
  attacks,
  bothFaces,
  called,
  type Face,
  has,
  inView,
  is,
  type Situation,
  someFace,
  thicknessOf,
  withTrait,
} from '../../situation/situation'
import {
  fumesWhenHot,
  isCa,
  isFoam,
  isFoamBoard,
  isHardPlastic,
  isPaper,
  isPlainHotmelt,
  isPolyurethane,
  isPressure,
  isTextile,
  isWeld,
  soluble,
  solventBorne,
  styreneFoam,
} from './kinds'
import { graded } from './scale'

const styreneFoamAttacked = rule(
  'styrene-foam-attacked',
  'One drop on scrap, look after 10 min and 24 h; only a product labelled foam-safe may pass.',
  'matching solubility; very large cell surface',
  (s) => {
    const face = someFace(s, styreneFoam)
    if (face && attacks(s, 'styrene-foam') && s.family.form === 'spray')
      return push(
        -10,
        `Most cans eat a hollow into ${called(face)}: only one sold as foam-safe, misted from arm’s length and left ` +
          'till dry to the touch, and a drop on scrap first.',
      )
    return face && attacks(s, 'styrene-foam')
      ? block(
          `Its solvent or monomer eats a hollow into ${called(face)} before it can hold; only types sold as ` +
            'foam-safe leave it alone.',
        )
      : null
  },
  BY_SCRAP,
)

const activatorOnSensitiveFace = rule(
  'activator-on-sensitive-face',
  'One drop of activator alone on scrap.',
  'ketone or hydrocarbon carrier; fast exotherm',
  (s) => {
    if (!s.helpers.includes('activator')) return null
    const sensitive = is('minds-activator')
    const face = someFace(s, sensitive) ?? s.faces.find((one) => one.state === 'painted-acrylic')
    return face
      ? caution(
          'The solvent in the activator can eat, craze or frost ' +
            `${face.state === 'painted-acrylic' ? `the paint on side ${face.side}` : called(face)} even where ` +
            'the glue would spare it.',
        )
      : null
  },
  BY_SCRAP,
)

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

const stressCrazingClear = rule(
  'stress-crazing-clear',
  'Bend a scrap, apply the glue, look after 24 h.',
  'environmental stress cracking',
  (s) => {
    if (!attacks(s, 'clear-plastic-haze')) return null
    const clear = is('crazes')
    const face = someFace(s, clear)
    if (!face) return null
    if (withTrait(s, 'stressed', clear))
      return caution(
        `Stored stress in ${called(face)} and this glue’s solvent, monomer or alcohol may open fine cracks ` +
          'hours later.',
      )
    // Welding clear sheet to itself, or lamp glue, is the usual way and stays clear on stress-free faces.
    if (s.family.mechanism === 'evaporate-solvent')
      return caution(
        `Its solvent may fog or craze ${called(face)} hours later, most of all where it was bent or cut hot.`,
      )
    return note(
      `Where ${called(face)} was bent, flame-polished or laser-cut, fine cracks may open hours later: anneal ` +
        'it or glue the parts before bending.',
    )
  },
  BY_SCRAP,
)

const bloomOnClear = rule(
  'bloom-on-clear',
  'Bond a scrap under a cup and look after 24 h.',
  'monomer vapour polymerising on nearby faces',
  (s) => {
    if (!isCa(s.family)) return null
    const low = has(s, 'low-odour') // the low-odour grade, which hardly gives off vapour
    const face = (low ? null : someFace(s, (m) => m.transparent)) ?? (low ? null : withTrait(s, 'glossy-dark'))
    if (!face) return null
    return s.boxed === true
      ? block(
          `Its vapour settles inside the closed housing as a white fog on ${called(face)}, where it cannot be wiped.`,
        )
      : push(
          s.look === 'clear' ? -10 : -6,
          `Its vapour may settle as a white frost on ${called(face)} around the joint.`,
        )
  },
  BY_SCRAP,
)

const glueLiftsPaint = rule(
  'glue-lifts-paint',
  'One drop on a painted hidden spot.',
  'resolubility of dried films',
  (s) => {
    const face = attacks(s, 'acrylic-paint') ? s.faces.find((one) => one.state === 'painted-acrylic') : undefined
    const lacquer = solventBorne(s.family) ? s.faces.find((one) => one.state === 'painted-solvent') : undefined
    const hit = face ?? lacquer
    return hit
      ? caution(`It can wrinkle or dissolve the paint on side ${hit.side}, also where it shows around the joint.`)
      : null
  },
  BY_SCRAP,
)

const vinylPlasticiser = rule(
  'vinyl-plasticiser',
  'Two weeks pressed together in a warm box, then peel.',
  'plasticiser migration; polyurethane and vinyl-compatible glues resist better',
  (s) => {
    if (!someFace(s, is('plasticised'))) return null
    if (isPressure(s.family) && s.lasts)
      return block(
        'Softener moves out of the vinyl and turns the sticky layer to slime within the years this must last.',
      )
    const touched = isPressure(s.family) || isPlainHotmelt(s.family) || has(s, 'dry-grab')
    return touched
      ? caution('Softener moves out of the vinyl into the glue: the bond may feel fine today and go soft over weeks.')
      : null
  },
)

const solventSoftensThinPlastic = rule(
  'solvent-softens-thin-plastic',
  'One joint on a scrap of the same wall.',
  'solvent swelling; residual stress',
  (s) => {
    if (!solventBorne(s.family)) return null
    const named = is('swells-in-solvent')
    return worseOf(s, (face, m) => {
      if (!named(m) || !(m.sensitiveTo.includes('ketone') || m.sensitiveTo.includes('aromatic'))) return null
      const thin = face.thicknessMm !== null && face.thicknessMm < 1.5
      if (is('coated')(m) || thin)
        return push(
          thin ? -6 : -3,
          atStart(
            `${called(face)}${thin ? `, ${face.thicknessMm} mm,` : ''} may wrinkle, sag or crack later: too ` +
              'much solvent softens the whole wall or lifts the coating.',
          ),
        )
      // A glue that is not meant to dissolve the plastic still swells it; how far depends on the wall.
      return face.thicknessMm === null && !isWeld(s.family) && !is('heat-formable')(m)
        ? push(
            -3,
            `Its solvent swells ${called(face)}: on a thin wall it may wrinkle or crack later. Say how thick it is.`,
          )
        : note(`Little is enough: too much softens ${called(face)} through.`)
    })
  },
  BY_SCRAP,
)

const weldNeedsSolublePlastic = rule(
  'weld-needs-soluble-plastic',
  'One drop on scrap; a face that stays glossy will not weld.',
  'chain diffusion needs a shared solvent',
  (s) => {
    const face = isWeld(s.family) ? someFace(s, (m) => !soluble(m)) : null
    return face
      ? block(
          `Solvent cement only works on plastics that it dissolves; ${called(face)} is none, and nothing is ` +
            'left behind on it to hold.',
        )
      : null
  },
  BY_SCRAP,
)

const weldUnlikePlastics = rule(
  'weld-unlike-plastics',
  'One drop on each, then a snap test.',
  'solubility differs; layered prints take solvent unevenly',
  (s) => {
    if (!isWeld(s.family) || !bothFaces(s, soluble)) return null
    const unlike = s.faces[0].material!.id !== s.faces[1].material!.id
    return unlike || someFace(s, is('dissolves-unevenly'))
      ? caution(
          'One cement may bite only one of the two plastics, and layered prints take it unevenly: match it to both.',
        )
      : null
  },
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

const bleedThroughCloth = rule(
  'bleed-through-cloth',
  'One drop on the back; look at the front when dry.',
  'capillary wicking',
  (s) => {
    if (!(attacks(s, 'fabric-bleed') || s.family.form === 'thin')) return null
    const shield = s.helpers.includes('cloth-primer')
      ? 'priming'
      : s.helpers.includes('paper-backing')
        ? 'paper backing'
        : null
    return worseOf(s, (face, m) => {
      const mm = face.thicknessMm ?? m.typicalThicknessMm
      const pale = face.traits?.includes('pale')
      if (!isTextile(m) || !(pale || mm < 0.5)) return null
      if (shield)
        return note(`The ${shield} keeps the glue from the good side of ${called(face)}; look at a scrap first.`)
      // Where the good side is neither pale nor printed nor looked at, a halo does no harm.
      const mild = !pale && !face.traits?.includes('printed') && !inView(s)
      const text = `It may wick through ${called(face)}, ${mm} mm, and show as a dark or stiff patch on the good side.`
      return mild ? note(text) : caution(`${text} Prime the back thinly or line it with thin paper.`)
    })
  },
  BY_SCRAP,
)

const stainOrCorrode = rule(
  'stain-or-corrode',
  'One drop on scrap, looked at after a week.',
  'carried oils and solvent; acid released on cure',
  (s) => {
    const hide = worseOf(s, (face, m) => {
      if (!attacks(s, 'leather-stain') || !is('hide')(m)) return null
      const text = `It may darken pale ${called(face)} where it is squeezed out.`
      return is('open-nap')(m) || inView(s) || face.traits?.includes('pale') ? caution(text) : note(text)
    })
    if (hide) return hide
    const metal = attacks(s, 'metal-corrosion') ? someFace(s, is('corrodes')) : null
    if (metal) return caution('The common acid-curing type corrodes bare metal: take a neutral-curing one.')
    const stone = attacks(s, 'stone-stain') ? someFace(s, is('stone')) : null
    return stone ? caution('It may leave an oily halo in stone: take a non-staining type.') : null
  },
  BY_SCRAP,
)

/** Grams in a square metre of sheet a millimetre thick. */
const G_PER_M2_MM = 800
/** Smaller faces dry flat. */
const SMALL_CM2 = 20

const paperCockle = rule(
  'paper-cockle',
  'Full-size scrap dried under weight.',
  'fibre swelling across the grain',
  (s) => {
    const { waterGm2 } = wetLoadOf(s.family.id)
    const said = s.areaCm2 !== null && s.areaCm2 > SMALL_CM2
    if (!waterGm2 || !(said || s.geometry === 'face-large')) return null
    return worseOf(s, (face, m) => {
      if (!is('cockles')(m) && !is('cockles-thin')(m)) return null
      const mm = thicknessOf(face) ?? 1
      const load = waterGm2 / (mm * G_PER_M2_MM)
      const broad = said ? `${s.areaCm2!.toFixed(0)} cm² dry` : 'a large face dries'
      const text =
        `Its water swells ${called(face)}: ${broad} wavy unless the thicker piece is coated and both are pressed ` +
        'between boards.'
      // Pressed between boards a thin coat dries flat.
      const pressed = graded(load, [0.4, 0.8, 1.5], [0, -3, -6, -10])
      // What rests on a size that nobody said counts by half.
      const db = said ? pressed : pressed / 2
      return load <= 0.15 ? null : db === 0 ? note(text) : push(db, text, !said || face.thicknessMm === null)
    })
  },
)

/** Declared pH-neutral by their kind. */
const neutral = (s: Situation) => has(s, 'neutral')
const paperYellowAcid = rule(
  'paper-yellow-acid',
  'No quick test; ask for a declared pH-neutral, ageing-tested type.',
  'oxidation of rubber and tackifier; acid hydrolysis',
  (s) => {
    const face = s.lasts && !neutral(s) ? someFace(s, isPaper) : null
    if (!face) return null
    return s.family.yellows
      ? caution(`Over years it stains ${called(face)} and makes it brittle.`)
      : caution(`Unless its label declares it pH-neutral it may stain ${called(face)} over years.`)
  },
)

const inkOrDyeRuns = rule(
  'ink-or-dye-runs',
  'Press a swab wet with the glue on a spare print.',
  'soluble colourant',
  (s) => {
    const wet = attacks(s, 'ink-run') || solventBorne(s.family)
    const face = wet ? (withTrait(s, 'printed') ?? someFace(s, is('print-runs'))) : null
    return face ? caution(`Ink or dye on ${called(face)} that looks dry may run.`) : null
  },
  BY_SCRAP,
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

/** Glue that attacks what it should hold. */
export const attackRules: Rule[] = [
  styreneFoamAttacked,
  activatorOnSensitiveFace,
  heatMarksPart,
  stressCrazingClear,
  bloomOnClear,
  glueLiftsPaint,
  vinylPlasticiser,
  solventSoftensThinPlastic,
  weldNeedsSolublePlastic,
  weldUnlikePlastics,
  cottonAndCyanoacrylate,
  bleedThroughCloth,
  stainOrCorrode,
  paperCockle,
  paperYellowAcid,
  inkOrDyeRuns,
  heatCutFume,
]
