import type { Family } from '../knowledge/families'
import type { Adhesive } from '../records/shelf'

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
