import { unknownFamily, type Family } from '../knowledge/families'
import type { Adhesive } from '../records/shelf'

/** Whether anything says what a pack costs: the shelf of the product, or the tables of its family. */
export const hasPrice = (product: Pick<Adhesive, 'packPrice'> | null, { id }: Pick<Family, 'id'>): boolean =>
  product?.packPrice != null || id !== unknownFamily.id

/** What keeps no longer than this once opened is not there for the next evening, days. */
const KEEPS_DAYS = 14
/** Whether a pack is gone with the evening on which it is opened: then a whole one is paid for. */
export const isFleeting = ({ shelfOpenedDays }: Pick<Family, 'shelfOpenedDays'>): boolean =>
  shelfOpenedDays <= KEEPS_DAYS

export type Pack = Pick<Family, 'packSize' | 'packUnit' | 'packPrice'>

/**
 * The pack that is counted: what the shelf knows of the product's, else its family's usual one. A unit goes with the
 * size that it counts.
 */
export function packOf(product: Pick<Adhesive, keyof Pack> | null, family: Pack): Pack {
  const packPrice = product?.packPrice ?? family.packPrice
  return product?.packSize == null
    ? { packSize: family.packSize, packUnit: family.packUnit, packPrice }
    : { packSize: product.packSize, packUnit: product.packUnit, packPrice }
}
