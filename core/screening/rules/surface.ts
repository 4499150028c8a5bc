import { isCyanoacrylate } from '../../knowledge/families'
import { block, caution, type Rule } from '../rule'
import { bothFaces, called, isAnyOf, someFace } from '../situation'

/** What a face lets stick to it. */
export const surfaceRules: Rule[] = [
  {
    id: 'non-stick-surface', harm: false,
    settleBy: 'Water drop: it stays round.',
    basis: 'about 19 mN/m; only etched faces bond',
    judge: (s) => (someFace(s, (material) => material.surfaceEnergy === 'very-low') ? block('Non-stick plastic is made so that nothing holds; use screws, clips or a sleeve.') : null),
  },
  {
    id: 'low-energy-plain', harm: false,
    settleBy: 'Water drop, then a peel strip.',
    basis: 'surface tension of glue above that of the face',
    judge: (s) => {
      const face = someFace(s, (material) => material.surfaceEnergy === 'low')
      const { id, mechanism } = s.family
      if (!face || id === 'weld-hot-tool' || (isCyanoacrylate(id) && s.helpers.includes('primer'))) return null
      const grips = mechanism === 'melt' || mechanism === 'pressure' || ['contact-solvent', 'contact-water', 'spray-contact', 'mma'].includes(id)
      return grips
        ? caution(`It may grip cut cells of ${called(face)} but carries little on the smooth face; ask for a grade made for low-energy plastics.`)
        : block(`Glue beads up on ${called(face)} and pops off clean.`)
    },
  },
  {
    id: 'water-glue-on-sealed-faces', harm: false,
    settleBy: 'Peel strip; a clean skin of glue lifts off.',
    basis: 'mechanical key plus water removal',
    judge: (s) =>
      s.family.needs.includes('porous-face') && bothFaces(s, (material) => material.porosity < 0.3)
        ? block(`It grips by soaking into fibres, and finds none here: ${called(s.faces[0])} and ${called(s.faces[1])} are both sealed.`)
        : null,
  },
  {
    id: 'paint-is-weak-layer', harm: false,
    settleBy: 'Cut a cross into a painted scrap, press tape on, pull.',
    basis: 'paint adhesion often below 1 MPa',
    judge: (s) => {
      const face = s.faces.find((one) => one.state === 'painted-acrylic' || one.state === 'painted-solvent')
      return face && s.loads?.length ? caution(`On side ${face.side} you glue to the paint, and the paint lets go first; bare the joint area.`) : null
    },
  },
  {
    id: 'dirty-face', harm: false,
    settleBy: 'A water drop should spread; clear tape pressed on should come off clean.',
    basis: 'weak boundary layer',
    judge: (s) => {
      const face = s.faces.find((one) => one.state === 'greasy' || one.state === 'dusty')
      return face ? caution(`Side ${face.side} is ${face.state}: glue sticks to the dirt and the dirt to nothing. Clean, sand, clean again.`) : null
    },
  },
  {
    id: 'glazed-skin', harm: false,
    settleBy: 'Peel strip, scuffed against shiny.',
    basis: 'weak skin; lower true area',
    judge: (s) => {
      const face = s.faces.find((one) => one.state === 'glazed') ?? someFace(s, (material, one) => isAnyOf('leather-coated', 'rubber-sole')(material) && one.state !== 'sanded')
      return face ? caution(`The shiny skin of side ${face.side} gives no key: scuff it matt.`) : null
    },
  },
] // prettier-ignore
