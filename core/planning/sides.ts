import type { Side } from '../coupons/bond'
import { materialClassOf } from '../knowledge/materials'
import type { Brief } from '../records/joint'

/** Both sides of a joint as its coupons are cut: their material, as thick as the brief says, else as it is sold. */
export function couponSides(brief: Pick<Brief, 'a' | 'b'>, a: string | null, b: string | null): [Side, Side] | null {
  if (a === null || b === null) return null
  const side = (name: 'a' | 'b', id: string): Side => {
    const material = materialClassOf(id, name)
    return { name, material, thicknessMm: brief[name].thicknessMm ?? material.typicalThicknessMm }
  }
  return [side('a', a), side('b', b)]
}
