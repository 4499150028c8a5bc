import { familyOf, isFamily } from '../../core/knowledge/families'
import type { Adhesive, StockItem } from '../../core/records/shelf'

export interface ShelfConcern {
  id: string
  name: string
  why: string
}

const DAY = 86_400_000

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
    const open = pack.openedOn ? Math.floor((now - Date.parse(`${pack.openedOn}T12:00`)) / DAY) : null
    const keeps = isFamily(adhesive.family) ? familyOf(adhesive.family).shelfOpenedDays : Infinity
    if (pack.expiresOn && Date.parse(`${pack.expiresOn}T23:59`) < now)
      return [{ id: pack.id, name: adhesive.name, why: `past its date of ${pack.expiresOn}` }]
    if (open !== null && open > keeps)
      return [{ id: pack.id, name: adhesive.name, why: `open for ${open} days where its kind keeps about ${keeps}` }]
    return []
  })
}
