import { familyOf, isFamily, unknownFamily, type Family } from '../knowledge/families'
import type { Adhesive } from '../records/shelf'

/** Times of a family with what the label says put over them; s at 20 °C and 50 % RH. */
export function timesOf(family: Family, label: Adhesive['label'] = {}): Family {
  const said = Object.fromEntries(Object.entries(label).filter(([, value]) => value !== undefined))
  return { ...family, ...said }
}

/** A product's family with its label over it; one of no known family is judged by its label alone. */
export const productFamily = (product: Adhesive): Family => ({
  ...timesOf(isFamily(product.family) ? familyOf(product.family) : unknownFamily, product.label),
})
