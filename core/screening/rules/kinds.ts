import type { Family } from '../../knowledge/families'
import type { MaterialClass } from '../../knowledge/materials'
import { is } from '../../situation/about'

/** Groups of materials and glues that several rules speak of. */
export const styreneFoam = is('styrene-foam')
/** Plastics that a solvent cement dissolves. */
export const soluble = is('dissolves')
/** Plastics that a hot tool melts and joins to their own kind. */
export const meltable = is('melts')
/** Plastics that give off acid or worse when overheated. */
export const fumesWhenHot = is('acid-fume')
export const isPrint = (material: MaterialClass): boolean => material.group === 'print'
export const isTextile = (material: MaterialClass): boolean => material.group === 'textile'
export const isPaper = (material: MaterialClass): boolean => material.group === 'paper'
export const isFoam = (material: MaterialClass): boolean => material.group === 'foam'
/** Foamed, and yet as stiff as a sheet. */
export const isFoamBoard = (material: MaterialClass): boolean =>
  isFoam(material) && !material.flexible && !styreneFoam(material)
/** A plastic that is no foam: sheet, print, heat-formable. */
export const isHardPlastic = ({ group }: MaterialClass): boolean =>
  group === 'thermoform' || group === 'print' || group === 'sheet'
/** So soft and stretchy that a rigid line makes a hard lump in it. */
export const stretchy = is('stretchy')

export const isCa = (family: Family): boolean => family.chemistry === 'cyanoacrylate'
export const isHotmelt = (family: Family): boolean => family.traits.includes('gun')
/** Hot melt that only sets by cooling, and softens again. */
export const isPlainHotmelt = (family: Family): boolean => isHotmelt(family) && family.chemistry === 'hot-melt'
export const isWeld = (family: Family): boolean => family.chemistry === 'solvent'
export const isPressure = (family: Family): boolean => family.mechanism === 'pressure'
export const isContact = (family: Family): boolean => family.traits.includes('contact')
export const isEpoxy = (family: Family): boolean => family.chemistry === 'epoxy'
export const isStructural = (family: Family): boolean => isEpoxy(family) || family.chemistry === 'methacrylate'
export const solventBorne = (family: Family): boolean => family.mechanism === 'evaporate-solvent' || isWeld(family)
export const isPolyurethane = (family: Family): boolean => family.chemistry === 'polyurethane'
export const isSilicone = (family: Family): boolean => family.chemistry === 'silicone'
