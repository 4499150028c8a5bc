import { packGrams } from '../../costs/cost'
import { hasPrice, packOf } from '../../costs/pack'
import { glueShare, type KnownGlue, type OtherPart } from '../../planning/mix'
import { gramsPerCm2 } from '../../planning/needs'
import type { Brief } from '../../records/joint'
import type { Procedure } from '../../records/procedure'
import type { StockItem } from '../../records/shelf'
import { packDaysLeft } from '../../situation/packs'

/** Kept back for joints that go wrong, as a share of what they take. */
const SPARE = 0.1

/** A decided joint, and how many of its kind are still to be glued. */
export interface JointToBuy {
  code: string
  brief: Brief
  procedure: Procedure
  glue: KnownGlue
  /** what else is laid on: parts of a blend, a second glue, dabs */
  others: readonly OtherPart[]
  left: number
}

/** One line of the shopping list: a product, or a family of which none stands on the shelf. */
export interface ToBuy {
  key: string
  name: string
  codes: string[]
  /** for the joints that are left, waste counted, g */
  needG: number
  /** with the spare, g */
  wantedG: number
  /** on the shelf and good until it is wanted, g */
  leftG: number
  /** packs of it that stand there and are past their date, or will be */
  expiring: number
  /** whole packs to buy, and what one holds */
  packs: number
  packG: number
  pack: string
  /** money for them; null where nothing is known of the price */
  price: number | null
  /** the sum with its numbers */
  sum: string[]
}

export interface Shopping {
  list: ToBuy[]
  /** money for all of it that has a price */
  price: number
  /** joints that are in no sum, since their size is open */
  unsized: string[]
  /** what is stirred in and stands on no shelf */
  unknown: string[]
}

const g = (grams: number) => `${grams < 10 ? grams.toFixed(2) : grams.toFixed(1)} g`

/**
 * What to buy for all joints that are decided and not glued yet: grams by procedure and size, a tenth to spare, less
 * what stands on the shelf and is good when it is wanted; in whole packs.
 * @param wantedAt the last day on which something is glued, ms
 */
export function shoppingList(joints: readonly JointToBuy[], stock: readonly StockItem[], wantedAt: number): Shopping {
  const needs = new Map<string, { glue: KnownGlue; codes: Set<string>; grams: number; sum: string[] }>()
  const unsized: string[] = []
  const unknown = new Set<string>()
  const add = (glue: KnownGlue, code: string, grams: number, line: string) => {
    const key = glue.product?.id ?? glue.family.id
    const need = needs.get(key) ?? { glue, codes: new Set(), grams: 0, sum: [] }
    need.codes.add(code)
    need.grams += grams
    need.sum.push(line)
    needs.set(key, need)
  }
  for (const { code, brief, procedure, glue, others, left } of joints) {
    if (left <= 0) continue
    if (brief.widthMm === null || brief.lengthMm === null) {
      unsized.push(code)
      continue
    }
    const areaCm2 = (brief.widthMm * brief.lengthMm) / 100
    const eachG = areaCm2 * gramsPerCm2(procedure, glue.family)
    const own = eachG * glueShare(procedure)
    add(glue, code, own * left, `${code}: ${left} × ${g(own)} = ${g(own * left)}`)
    for (const { name, share, known } of others) {
      if (known) add(known, code, eachG * share * left, `${code}, beside it: ${left} × ${g(eachG * share)}`)
      else unknown.add(name)
    }
  }
  const list = [...needs].map(([key, { glue, codes, grams, sum }]): ToBuy => {
    const pack = packOf(glue.product, glue.family)
    const packG = packGrams({ family: glue.family.id, ...pack, spreadGm2: glue.family.spreadGm2 })
    const own = stock.filter((one) => one.adhesive === glue.product?.id && one.left > 0)
    const good = own.filter((one) => (packDaysLeft(one, glue.family.shelfOpenedDays, wantedAt) ?? 0) >= 0)
    const leftG = good.reduce((total, one) => total + one.left * packG, 0)
    const wantedG = grams * (1 + SPARE)
    // A hair of slack, so that rounding in the sum buys no further pack.
    const packs = Math.max(0, Math.ceil((wantedG - leftG) / packG - 1e-9))
    return {
      key,
      name: glue.product?.name ?? glue.family.name,
      codes: [...codes],
      needG: grams,
      wantedG,
      leftG,
      expiring: own.length - good.length,
      packs,
      packG,
      pack: `${pack.packSize} ${pack.packUnit}`,
      price: hasPrice(glue.product, glue.family) ? packs * pack.packPrice : packs ? null : 0,
      sum: [
        ...sum,
        `and ${100 * SPARE} % to spare: ${g(wantedG)}`,
        `on the shelf and good: ${g(leftG)}`,
        packs ? `to buy: ${g(wantedG - leftG)} ÷ ${g(packG)} a pack, so ${packs}` : 'enough is there',
      ],
    }
  })
  list.sort((x, y) => y.packs - x.packs || (x.name < y.name ? -1 : 1))
  return { list, price: list.reduce((sum, one) => sum + (one.price ?? 0), 0), unsized, unknown: [...unknown] }
}
