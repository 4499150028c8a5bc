import { block, BY_SCRAP, caution, note, push, type Rule, rule, worseOf } from '../rule'
import { atStart, attacks, bothFaces, called, has, is, someFace, withTrait } from '../../situation/about'
import { isCa, isPlainHotmelt, isPressure, isWeld, soluble, solventBorne, styreneFoam } from './kinds'

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

/** Glue that attacks what it should hold. */
export const attackRules: Rule[] = [
  styreneFoamAttacked,
  activatorOnSensitiveFace,
  stressCrazingClear,
  bloomOnClear,
  glueLiftsPaint,
  vinylPlasticiser,
  solventSoftensThinPlastic,
  weldNeedsSolublePlastic,
  weldUnlikePlastics,
]
