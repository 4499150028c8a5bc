import { DAB_SHARE } from '../../core/coupons/dabs'
import { families, familyOf, familyOrUnknown } from '../../core/knowledge/families'
import { otherParts, secondShare, type KnownGlue, type OtherPart } from '../../core/planning/mix'
import type { Procedure, Second } from '../../core/records/procedure'
import { productFamily } from '../../core/situation/label'
import { packInUse } from '../../core/situation/packs'
import type { Adhesive } from '../../core/records/shelf'
import { dabOf } from './careOf'
import { familyTimes, type JointView } from './jointView'
import type { useBench } from './store'

/**
 * What else a procedure takes: the parts of its blend, glues of the shelf by name or other name, else families by name;
 * and the fast glue of its dabs, from the shelf where one of that kind stands there.
 * @param day ms, for what is left of the pack in use; null where that does not matter
 */
export function otherGlues(
  bench: ReturnType<typeof useBench>,
  view: JointView,
  procedure: Procedure,
  day: number | null,
): OtherPart[] {
  const known = (product: Adhesive): KnownGlue => {
    const pack = day === null ? null : packInUse(bench.of('stock', product.id), day)
    return { family: productFamily(product), product, left: pack?.left ?? null }
  }
  const same = (one: string, two: string) => one.trim().toLowerCase() === two.trim().toLowerCase()
  const byName = (name: string): KnownGlue | null => {
    const product = bench.all('adhesive').find((one) => [one.name, ...one.aliases].some((other) => same(other, name)))
    if (product) return known(product)
    const family = families.find((one) => same(one.name, name))
    return family ? { family, product: null, left: null } : null
  }
  const dab = dabOf(bench, view, procedure)
  const dabs = (family: string): OtherPart[] => {
    const product = bench.all('adhesive').find((one) => one.family === family)
    const glue = product ? known(product) : { family: familyOf(family), product: null, left: null }
    return [{ name: product?.name ?? glue.family.name, share: DAB_SHARE, known: glue }]
  }
  const beside = (second: Second): OtherPart[] => {
    const product = bench.get('adhesive', second.adhesive)
    const family = familyOrUnknown(second.family)
    const glue = product ? known(product) : { family, product: null, left: null }
    const own = familyTimes(bench, procedure)
    const { coats } = procedure
    const laid = { spreadGm2: procedure.spreadGm2 ?? own.spreadGm2, faces: own.faces === 'both' ? 2 : 1, coats }
    return [{ name: product?.name ?? glue.family.name, share: secondShare(second, glue.family, laid), known: glue }]
  }
  const { second } = procedure
  return [...otherParts(procedure, byName), ...(dab ? dabs(dab) : []), ...(second ? beside(second) : [])]
}
