import { families } from '../../core/knowledge/families'
import { otherParts, type KnownGlue, type OtherPart } from '../../core/planning/mix'
import type { Procedure } from '../../core/records/round'
import { productFamily } from '../../core/situation/label'
import { packInUse } from '../../core/situation/packs'
import type { useBench } from './store'

/**
 * What else a procedure's blend is stirred from: glues of the shelf by name or other name, else families by name.
 * @param day ms, for what is left of the pack in use; null where that does not matter
 */
export function otherGlues(bench: ReturnType<typeof useBench>, procedure: Procedure, day: number | null): OtherPart[] {
  const same = (one: string, two: string) => one.trim().toLowerCase() === two.trim().toLowerCase()
  const byName = (name: string): KnownGlue | null => {
    const product = bench.all('adhesive').find((one) => [one.name, ...one.aliases].some((other) => same(other, name)))
    if (product) {
      const pack = day === null ? null : packInUse(bench.of('stock', product.id), day)
      return { family: productFamily(product), product, left: pack?.left ?? null }
    }
    const family = families.find((one) => same(one.name, name))
    return family ? { family, product: null, left: null } : null
  }
  return otherParts(procedure, byName)
}
