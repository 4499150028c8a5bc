import { isCyanoacrylate, type Family } from '../../knowledge/families'
import type { MaterialClass } from '../../knowledge/materials'
import { isAnyOf } from '../../situation/situation'

/** Groups of materials and glues that several rules speak of. */
export const styreneFoam = isAnyOf('foam-xps', 'foam-eps')
/** Plastics that a solvent cement dissolves. */
export const soluble = isAnyOf(
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
/** Plastics that a hot tool melts and joins to their own kind. */
export const meltable = isAnyOf(
  'print-pla',
  'print-petg',
  'print-abs',
  'print-tpu',
  'sheet-styrene',
  'sheet-acrylic',
  'sheet-pvc',
  'foam-pvc',
  'vinyl-soft',
  'polyolefin',
  'pet-bottle',
  'thermoform-filled',
  'thermoform-clear',
  'foam-pe',
  'foam-eva',
)
/** Plastics that give off acid or worse when overheated. */
export const fumesWhenHot = isAnyOf('sheet-pvc', 'foam-pvc', 'vinyl-soft', 'fluoropolymer')
export const barrier = (material: MaterialClass): boolean => material.vapourBarrier
export const isPrint = (material: MaterialClass): boolean => material.group === 'print'
export const isTextile = (material: MaterialClass): boolean => material.group === 'textile'
export const isPaper = (material: MaterialClass): boolean => material.group === 'paper'
export const isFoam = (material: MaterialClass): boolean => material.group === 'foam'
/** So soft and stretchy that a rigid line makes a hard lump in it. */
export const stretchy = isAnyOf('foam-pu-open', 'fabric-stretch')

export const isCa = (family: Family): boolean => isCyanoacrylate(family.id)
export const isHotmelt = (family: Family): boolean => family.id.startsWith('hotmelt')
export const isWeld = (family: Family): boolean => family.id.startsWith('solvent-weld')
export const isPressure = (family: Family): boolean => family.mechanism === 'pressure'
export const isContact = (family: Family): boolean =>
  ['contact-solvent', 'contact-water', 'spray-contact'].includes(family.id)
export const isEpoxy = (family: Family): boolean => family.id.startsWith('epoxy')
export const isStructural = (family: Family): boolean => isEpoxy(family) || family.id === 'mma'
export const solventBorne = (family: Family): boolean => family.mechanism === 'evaporate-solvent' || isWeld(family)
export const isPolyurethane = (family: Family): boolean =>
  ['pu-foaming', 'pu-clear', 'foam-can', 'sealant-pu', 'hotmelt-pur'].includes(family.id)
