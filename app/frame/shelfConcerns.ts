import { familyOf, isFamily } from '../../core/knowledge/families'
import type { Adhesive, StockItem } from '../../core/records/shelf'
import { packAge } from '../../core/situation/packs'
import { dateName } from '../look/times'

export interface ShelfConcern {
  id: string
  name: string
  why: string
}

/** Packs past their date, or open for longer than their family keeps (rules, shelf-old). */
export function shelfConcerns(
  stock: readonly StockItem[],
  adhesives: readonly Adhesive[],
  now: number,
): ShelfConcern[] {
  const byId = new Map(adhesives.map((adhesive) => [adhesive.id, adhesive]))
  return stock.flatMap((pack): ShelfConcern[] => {
    const adhesive = byId.get(pack.adhesive)
    if (!adhesive) return []
    const { daysOpen: open, expired } = packAge(pack, now)
    const keeps = isFamily(adhesive.family) ? familyOf(adhesive.family).shelfOpenedDays : Infinity
    if (expired) return [{ id: pack.id, name: adhesive.name, why: `past its date of ${dateName(pack.expiresOn!)}` }]
    if (open !== null && open > keeps)
      return [{ id: pack.id, name: adhesive.name, why: `open for ${open} days where its kind keeps about ${keeps}` }]
    return []
  })
}
