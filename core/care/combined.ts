import type { Situation } from '../situation/situation'
import { gluedHot } from './heat'
import { called, is, someFace } from '../situation/about'

interface Combination {
  id: string
  /** said at preparing and cleaning, before any glue is out */
  cleaning?: true
  says: (s: Situation, codes: readonly string[]) => string | null
}

const has = (codes: readonly string[], ...some: string[]) => some.some((code) => codes.includes(code))

/** What comes from two things meeting, in the usual wording of workshop safety. */
export const combinations: Combination[] = [
  {
    id: 'solvent-near-heat',
    says: (s, codes) => {
      const hot = s.heatNear === true || s.later?.some((work) => work === 'hot-wire' || work === 'heat-form')
      const dabs = s.helpers.includes('tack-and-cure') && s.dab === 'hotmelt-low'
      const gun = dabs || s.second?.family.traits.includes('gun')
      if (!has(codes, 'flammable', 'pressure-can') || !(hot || gun)) return null
      const what = hot ? 'a hot wire, heat gun or flame' : `a hot gun for the ${dabs ? 'dabs' : 'second glue'}`
      return (
        `Flammable vapour and ${what} must ` +
        'not meet: glue first, let the film dry and the air clear, then heat in another place. See the label.'
      )
    },
  },
  {
    id: 'hot-in-the-room',
    says: (s, codes) => {
      return gluedHot(s) && !has(codes, 'flammable', 'pressure-can')
        ? 'Hot glue or tool: nothing flammable open in the room, of another joint either (contact glue, primer, ' +
            'spray, cleaner, cans); glue those first, let the film dry and the air clear.'
        : null
    },
  },
  {
    id: 'instant-on-fibre',
    says: (s) => {
      const instant = [s.family, s.second?.family].some((one) => one?.chemistry === 'cyanoacrylate')
      if (!instant && s.dab !== 'ca-gel') return null
      const face = someFace(s, is('fibrous'))
      if (s.helpers.includes('fibre-filler'))
        return (
          'The cotton of the fill may smoke and burn as it sets: one thin pinch on hard parts, never at the body, ' +
          'hands off until it is cool. No other cotton or wool near it: gloves, wipes, swabs.'
        )
      return face
        ? `Instant glue on ${called(face)} may smoke and burn: never soak it. No cotton or wool gloves, wipes or ` +
            'swabs near it.'
        : 'No cotton or wool gloves, wipes or swabs: soaked with instant glue they may smoke and burn.'
    },
  },
  {
    id: 'activator-burst',
    says: (s) =>
      s.helpers.includes('activator') || s.helpers.includes('powder-filler') || s.helpers.includes('fibre-filler')
        ? 'Activator, powder or fibre sets instant glue in one hot burst with a puff of vapour: small amounts, face ' +
          'away, moving air.'
        : null,
  },
  {
    id: 'isocyanate-air',
    says: (s, codes) =>
      has(codes, 'isocyanate') && s.air !== 'outdoors'
        ? 'Isocyanates: strong moving air, no spraying, no heating; cutting or sanding it fresh frees them. Some ' +
          'places ask for training first.'
        : null,
  },
  {
    id: 'expanding-foam',
    says: (s) =>
      s.family.expands > 2
        ? `It swells to ${s.family.expands} times what is laid: it may burst a closed shell and lift what it ` +
          'should hold. Fill in thin lifts.'
        : null,
  },
  {
    id: 'cleaning-solvent',
    cleaning: true,
    says: (s) => {
      const wiped = s.faces.filter(({ material }) => material?.prep.includes('isopropanol'))
      if (!wiped.length) return null
      const hot = s.heatNear === true ? ' Not while a flame or hot tool is in the room.' : ''
      return (
        `Cleaning with isopropanol: a damp cloth, not a wet one, lid on, air moving.${hot} Keep it off stressed ` +
        'clear plastic.'
      )
    },
  },
  {
    id: 'sanding-dust',
    cleaning: true,
    says: (s) =>
      s.faces.some(
        ({ material, state }) => state === 'sanded' || (material && /\b(sand|scuff|grit)/i.test(material.prep)),
      )
        ? 'Sanding and scuffing give off dust that may harm: wet or with extraction, a mask of the class in the ' +
          'data sheet, eyes covered.'
        : null,
  },
  {
    id: 'no-solvent-wipe',
    cleaning: true,
    says: (s) => {
      const face = someFace(s, is('styrene-foam'))
      return face ? `No solvent wipe and no spray paint on bare ${called(face)}: it melts and gives off styrene.` : null
    },
  },
  {
    id: 'heated-vinyl',
    says: (s) => {
      const hot =
        s.family.needs.includes('heat') || s.later?.some((work) => work === 'hot-wire' || work === 'heat-form')
      const face = hot ? someFace(s, is('pvc')) : null
      return face
        ? `${called(face).replace(/^./, (c) => c.toUpperCase())} gives off acid fume when it is overheated: low ` +
            'heat, moving air, stop at the first smell.'
        : null
    },
  },
  {
    id: 'lamp-and-eyes',
    says: (s) =>
      s.family.mechanism === 'light'
        ? 'The lamp may harm eyes that see it, also by reflection: rated glasses for everyone in the room, wet ' +
          'glue out of its light until wanted.'
        : null,
  },
  {
    id: 'people-near',
    says: (s, codes) => {
      if (!s.users?.length || !codes.length) return null
      const who = [
        s.users.includes('child') && 'children',
        s.users.includes('sensitised') && 'anyone who has reacted before',
      ].filter(Boolean)
      return `Keep ${who.join(' and ')} away while it is open and until it is fully cured.`
    },
  },
]

/** Cautions of two things meeting: those at the cleaning step, or all others. */
export const combinedCautions = (s: Situation, codes: readonly string[], at: 'cleaning' | 'gluing'): string[] =>
  combinations
    .filter(({ cleaning }) => (cleaning === true) === (at === 'cleaning'))
    .flatMap(({ says }) => says(s, codes) ?? [])
