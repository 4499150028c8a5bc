import { CodedError } from '../errors'
import { notNegative, positive } from '../quantities/require'
import { familyOf } from '../knowledge/families'

export interface CostInput {
  adhesive: {
    family: string
    /** usable contents of a pack in packUnit */
    packSize: number
    /** g, ml, m (tape), piece, stick */
    packUnit: string
    packPrice: number
    /** g/m² a coat and face; the family's when left out */
    spreadGm2?: number | null
    densityGml?: number | null
  }
  areaCm2: number
  coats: number
  /** share of glue lost in mixing, in the nozzle, on the brush: 0.1 = a tenth more */
  waste: number
  /** hands-on minutes for one joint, and the maker's rate (0 by default) */
  minutes?: number
  ratePerHour?: number
  /** price of things used up for one joint: mixing cups, gloves, abrasive */
  consumables?: number
  joints: number
}

export interface CostResult {
  perJoint: number
  /** g of glue in one joint, waste included */
  glueG: number
  /** whole packs to open for all joints */
  packs: number
  /** perJoint × joints */
  total: number
  /** the money for those packs, whole: what leaves the purse */
  packsPrice: number
  /** perJoint when the rest of the last pack is thrown away */
  perJointWithRest: number
  /** the parts of perJoint */
  glueCost: number
  workCost: number
}

/** Share of glue lost in mixing, nozzle and brush. */
export const WASTE = 0.1
/** One hot-melt stick is 9 g (knowledge, reading notes). */
const STICK_G = 9
/** Width of a tape whose row says none, mm. */
const USUAL_TAPE_MM = 12

/** Grams of glue in a pack. @throws CodedError not-one-of */
export function packGrams(adhesive: CostInput['adhesive']): number {
  const family = familyOf(adhesive.family)
  const size = positive(adhesive.packSize, 'adhesive.packSize', 'The pack size', 'the cost')
  const density = adhesive.densityGml ?? family.densityGml
  const spread = adhesive.spreadGm2 ?? family.spreadGm2
  switch (adhesive.packUnit) {
    case 'g':
      return size
    case 'ml':
      return size * density
    case 'l':
      return size * 1000 * density
    case 'kg':
      return size * 1000
    case 'stick':
      return size * STICK_G
    case 'm':
      return size * ((family.tapeWidthMm ?? USUAL_TAPE_MM) / 1000) * Math.max(spread, 1)
    case 'piece':
      // A dot or trim of about 10 mm; counted by the area it covers.
      return size * 1e-4 * Math.max(spread, 1)
    default:
      throw new CodedError('not-one-of', 'adhesive.packUnit', {
        field: 'The pack unit',
        got: adhesive.packUnit,
        known: 'g, kg, ml, l, stick, m, piece',
      })
  }
}

/**
 * Cost of one joint (methods.md 8): glue used (with waste, both faces where both are coated) × price ÷ usable pack +
 * consumables + hands-on minutes × rate. `spreadGm2` is the weight laid on, so what it swells to later does not count
 * twice.
 * @throws CodedError naming the field
 */
export function cost(input: CostInput): CostResult {
  const family = familyOf(input.adhesive.family)
  const areaCm2 = positive(input.areaCm2, 'areaCm2', 'The bonded area', 'the cost')
  const coats = positive(input.coats, 'coats', 'Coats', 'the cost')
  const waste = notNegative(input.waste, 'waste', 'Waste', 'the cost')
  const joints = positive(input.joints, 'joints', 'The number of joints', 'the cost')
  const price = notNegative(input.adhesive.packPrice, 'adhesive.packPrice', 'The pack price', 'the cost')
  const faces = family.faces === 'both' ? 2 : 1
  const spread = notNegative(
    input.adhesive.spreadGm2 ?? family.spreadGm2,
    'adhesive.spreadGm2',
    'The spread',
    'the cost',
  )
  const glueG = (areaCm2 / 1e4) * faces * spread * coats * (1 + waste)
  const packG = packGrams(input.adhesive)
  const workCost =
    (notNegative(input.minutes ?? 0, 'minutes', 'Minutes', 'the cost') / 60) *
    notNegative(input.ratePerHour ?? 0, 'ratePerHour', 'The rate', 'the cost')
  const other = notNegative(input.consumables ?? 0, 'consumables', 'Consumables', 'the cost')
  const glueCost = (glueG / packG) * price
  const perJoint = glueCost + other + workCost
  // A hair of slack, so that rounding in the sum opens no further pack.
  const packs = Math.ceil((glueG * joints) / packG - 1e-9)
  const packsPrice = packs * price
  return {
    perJoint,
    glueG,
    packs,
    total: perJoint * joints,
    packsPrice,
    perJointWithRest: packsPrice / joints + other + workCost,
    glueCost,
    workCost,
  }
}
