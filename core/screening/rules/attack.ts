import { block, caution, type Rule } from '../rule'
import { bothFaces, called, isAnyOf, someFace } from '../situation'

const styreneFoam = isAnyOf('foam-xps', 'foam-eps')
const soluble = isAnyOf(
  'sheet-styrene',
  'sheet-acrylic',
  'sheet-pvc',
  'foam-pvc',
  'vinyl-soft',
  'print-abs',
  'print-petg',
  'print-pla',
  'thermoform-clear',
)

/** Glue that attacks what it should hold. */
export const attackRules: Rule[] = [
  {
    id: 'styrene-foam-attacked', harm: false,
    settleBy: 'One drop on scrap, look after 10 min and 24 h; only a product labelled foam-safe may pass.',
    basis: 'matching solubility; very large cell surface',
    judge: (s) => {
      const face = someFace(s, styreneFoam)
      return face && s.family.attacks.includes('styrene-foam') ? block(`Its solvent or monomer eats a hollow into ${called(face)} before it can hold; only types sold as foam-safe leave it alone.`) : null
    },
  },
  {
    id: 'hot-glue-melts-styrene-foam', harm: false,
    settleBy: 'One bead on scrap, slice it open.',
    basis: 'application far above the glass transition',
    judge: (s) => {
      const face = someFace(s, styreneFoam)
      const hot = ['hotmelt-high', 'hotmelt-fabric', 'hotmelt-pur', 'web-iron-on', 'hotfix', 'heat-fuse', 'weld-hot-tool'].includes(s.family.id)
      return face && hot ? block(`${called(face)} collapses away from the glue: it softens at ${face.material!.softensC} °C and this is put on far hotter.`.replace(/^./, (c) => c.toUpperCase())) : null
    },
  },
  {
    id: 'vinyl-plasticiser', harm: false,
    settleBy: 'Two weeks pressed together in a warm box, then peel.',
    basis: 'plasticiser migration; polyurethane and vinyl-compatible glues resist better',
    judge: (s) => {
      if (!someFace(s, isAnyOf('vinyl-soft'))) return null
      const { id, mechanism } = s.family
      if (mechanism === 'pressure' && s.life === 'years') return block('Softener moves out of the vinyl and turns the sticky layer to slime within the years this must last.')
      const touched = mechanism === 'pressure' || (id.startsWith('hotmelt') && id !== 'hotmelt-pur') || ['spray-contact', 'contact-solvent', 'contact-water', 'rubber-cement'].includes(id)
      return touched ? caution('Softener moves out of the vinyl into the glue: the bond may feel fine today and go soft over weeks.') : null
    },
  },
  {
    id: 'weld-needs-soluble-plastic', harm: false,
    settleBy: 'One drop on scrap; a face that stays glossy will not weld.',
    basis: 'chain diffusion needs a shared solvent',
    judge: (s) => {
      if (!s.family.id.startsWith('solvent-weld')) return null
      const face = someFace(s, (material) => !soluble(material))
      return face ? block(`Solvent cement only works on plastics that it dissolves; ${called(face)} is none, and nothing is left behind on it to hold.`) : null
    },
  },
  {
    id: 'heat-weld-like-only', harm: false,
    settleBy: 'Fuse two scraps and snap them.',
    basis: 'melt compatibility; thermosets and fibres do not flow',
    judge: (s) => {
      const { id } = s.family
      if (id !== 'weld-hot-tool' && id !== 'heat-fuse') return null
      if (id === 'heat-fuse') return someFace(s, (material) => material.id !== 'thermoform-filled') ? block('Only heat-formable sheet fuses to itself; here one side is something else.') : null
      const meltable = (group: string) => ['foam', 'thermoform', 'print', 'sheet'].includes(group)
      const unlike = s.faces[0].material && s.faces[1].material && s.faces[0].material.id !== s.faces[1].material.id
      const solid = someFace(s, (material) => !meltable(material.group) || ['print-resin', 'fluoropolymer', 'foam-pu-open'].includes(material.id))
      return unlike || solid ? block('Melted plastics join only with their own kind; these two are not the same meltable plastic.') : null
    },
  },
  {
    id: 'cotton-and-cyanoacrylate', harm: true,
    settleBy: 'Do not test by soaking; choose another family.',
    basis: 'huge wet-out area; setting heat released in seconds',
    judge: (s) => {
      if (!s.family.attacks.includes('cotton-exotherm')) return null
      const cloth = someFace(s, isAnyOf('fabric-cotton', 'felt'))
      if (cloth) return block(`Soaked ${called(cloth)} sets the glue so fast that it may smoke and burn skin.`)
      const other = someFace(s, (material) => material.group === 'paper' || ['leather', 'suede', 'leather-coated'].includes(material.id))
      return other || s.helpers.includes('fibre-filler') ? caution('Natural fibre sets this glue fast and hot: tiny dots only, on the bench, never on the body.') : null
    },
  },
  {
    id: 'solvent-in-clear-view', harm: false,
    settleBy: 'Bend a scrap, apply the glue, look after 24 h.',
    basis: 'environmental stress cracking; monomer vapour polymerising on nearby faces',
    judge: (s) => {
      const face = someFace(s, (material) => material.transparent)
      return face && s.look === 'clear' && s.family.attacks.includes('clear-plastic-haze') ? caution(`Its vapour or solvent may fog or craze ${called(face)} hours later, and this joint must stay clear.`) : null
    },
  },
  {
    id: 'like-plastics-only-by-solvent', harm: false,
    settleBy: 'One drop on each, then a snap test.',
    basis: 'solubility differs; layered prints take solvent unevenly',
    judge: (s) => {
      if (!s.family.id.startsWith('solvent-weld') || !bothFaces(s, soluble)) return null
      const unlike = s.faces[0].material!.id !== s.faces[1].material!.id
      return unlike || someFace(s, isAnyOf('print-pla', 'print-petg', 'thermoform-clear')) ? caution('One cement may bite only one of the two plastics: match it to both.') : null
    },
  },
] // prettier-ignore
