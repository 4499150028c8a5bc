import { type Family, familyOrUnknown } from '../knowledge/families'
import { withFacts } from '../knowledge/labelFacts'
import type { Adhesive } from '../records/shelf'

/** A family with what the label says put over it, its own numbers last; s at 20 °C and 50 % RH. */
export function timesOf(family: Family, label: Adhesive['label'] = {}): Family {
  const { facts = {}, ...numbers } = label
  const said = Object.fromEntries(Object.entries(numbers).filter(([, value]) => value !== undefined))
  return { ...withFacts(family, facts), ...said }
}

/** A product's family with its label over it; one of no known family is judged by its label alone. */
export const productFamily = (product: Adhesive): Family => ({
  ...timesOf(familyOrUnknown(product.family), product.label),
})
