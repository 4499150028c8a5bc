import { digitsOf, figureOf } from '../quantities/figure'
import { bondedAreaOf, withSpares } from '../coupons/pieces'
import { packGrams } from '../costs/cost'
import { packOf } from '../costs/pack'
import type { Family } from '../knowledge/families'
import type { Arm, Procedure } from '../records/round'
import type { Adhesive } from '../records/shelf'
import { coverS } from '../screening/rules/cover'
import { handsOnMinutes } from './steps'

/** Share of glue lost in mixing, nozzle and brush. */
export const WASTE = 0.1
/** A two-part batch below this is easily off its ratio, g (rules of the trade, mix-off-ratio). */
export const LEAST_MIX_G = 5
/** A mix is spread within this share of its pot life. */
const POT_SHARE = 0.7
/** Lining up and closing one coupon, s; pulling and noting one, min. */
const CLOSE_S = 30
export const PULL_MIN = 2

export interface NeedOf {
  procedure: Procedure
  /** the family with the label's values over it */
  family: Family
  product: Adhesive | null
  /** what is left of the pack in use, 0…1; null when none is on the shelf */
  left: number | null
}

export interface GlueNeed {
  key: string
  name: string
  letters: string[]
  /** coupons glued with it, spares included */
  coupons: number
  grams: number
  /** mixes of a two-part glue, none larger than its pot life allows; 0 for others */
  mixes: number
  /** on the shelf, g; null when there is none */
  leftG: number | null
  /** whole packs to buy */
  packs: number
  /** value of the glue used */
  cost: number
  /** money for the packs to buy */
  buy: number
  /** the sum with its numbers */
  sum: string[]
}

export interface Needs {
  glues: GlueNeed[]
  coupons: number
  /** with spares */
  pieces: number
  cost: number
  buy: number
  handsOnMinutes: number
}

const g = (n: number) => `${figureOf(n)} g`

/** Share of what is laid on that is the procedure's own glue: less when it is diluted, or the first part of a blend. */
export function glueShare({ dilution, blend }: Pick<Procedure, 'dilution' | 'blend'>): number {
  if (dilution) return dilution.glue / (dilution.glue + dilution.water)
  if (!blend) return 1
  return blend.parts[0]!.parts / blend.parts.reduce((sum, { parts }) => sum + parts, 0)
}

/** A batch as a recipe: grams of each part for the weight that is needed. */
export function recipe(
  procedure: Pick<Procedure, 'dilution' | 'blend' | 'name'>,
  grams: number,
): { name: string; grams: number }[] {
  const { dilution, blend, name } = procedure
  const parts = dilution
    ? [
        { name, parts: dilution.glue },
        { name: 'water', parts: dilution.water },
      ]
    : (blend?.parts ?? [])
  const total = parts.reduce((sum, one) => sum + one.parts, 0)
  return parts.map((one) => ({ name: one.name, grams: (grams * one.parts) / total }))
}

/**
 * Glue, money and hands-on time of a round before anything is cut (methods.md 5 and 8): bonded area × faces × spread ×
 * coats × (1 + waste), for every coupon and its spares.
 * @throws CodedError naming the field
 */
export function needsOf(list: readonly NeedOf[], arms: readonly Pick<Arm, 'test' | 'size'>[], blocks: number): Needs {
  const glues = new Map<string, GlueNeed & { price: number; packG: number; potS: number | null; cover: number }>()
  const each = withSpares(blocks)
  let minutes = 0
  for (const { procedure, family, product, left } of list) {
    const key = product?.id ?? procedure.family
    const pack = packOf(product, family)
    const spread = procedure.spreadGm2 ?? family.spreadGm2
    const packG = packGrams({ family: procedure.family, ...pack, spreadGm2: spread, densityGml: family.densityGml })
    const faces = family.faces === 'both' ? 2 : 1
    const old = glues.get(key) ?? {
      key,
      name: product?.name ?? family.name,
      letters: [],
      coupons: 0,
      grams: 0,
      mixes: 0,
      leftG: left === null ? null : left * packG,
      packs: 0,
      cost: 0,
      buy: 0,
      sum: [],
      price: pack.packPrice,
      packG,
      potS: family.mechanism === 'two-part' ? family.potLifeS : null,
      cover: 0,
    }
    const areas = arms.map(({ test, size }) => bondedAreaOf(test, size) / 100)
    const laid = areas.reduce(
      (sum, area) => sum + (area / 1e4) * faces * spread * procedure.coats * (1 + WASTE) * each,
      0,
    )
    // Of what is laid on, water and the other parts of a blend are not this glue.
    const grams = laid * glueShare(procedure)
    const share = grams === laid ? '' : ` × ${figureOf(glueShare(procedure))} of it glue`
    const areaWords = areas.map((area) => `${digitsOf(Number(area.toPrecision(4)))} cm²`).join(' + ')
    const sum =
      `${procedure.letter}: (${areaWords}) × ${faces === 2 ? '2 faces × ' : ''}${spread} g/m² × ` +
      `${procedure.coats === 1 ? '' : `${procedure.coats} coats × `}${each} pieces × ${1 + WASTE}${share} = ` +
      `${g(grams)}`
    const cover = Math.max(old.cover, ...areas.map((area) => coverS(area, family) + CLOSE_S))
    glues.set(key, {
      ...old,
      letters: [...old.letters, procedure.letter],
      coupons: old.coupons + each * arms.length,
      grams: old.grams + grams,
      cover,
      sum: [...old.sum, sum],
    })
    minutes += (handsOnMinutes(procedure.steps) * each + PULL_MIN * blocks) * arms.length
  }
  const done = [...glues.values()].map(({ price, packG, potS, cover, ...need }): GlueNeed => {
    const mixes = potS === null ? 0 : Math.ceil(need.coupons / Math.max(1, Math.floor((POT_SHARE * potS) / cover)))
    const grams = Math.max(need.grams, mixes * LEAST_MIX_G)
    const cost = (grams / packG) * price
    const packs = Math.max(0, Math.ceil((grams - (need.leftG ?? 0)) / packG - 1e-9))
    const least = grams > need.grams ? [`at least ${mixes} × ${LEAST_MIX_G} g a mix = ${g(grams)}`] : []
    const sum = [...need.sum, ...least, `${g(grams)} ÷ ${g(packG)} a pack × ${price} = ${cost.toFixed(2)}`]
    return { ...need, grams, mixes, cost, packs, buy: packs * price, sum }
  })
  const total = (pick: (need: GlueNeed) => number) => done.reduce((sum, need) => sum + pick(need), 0)
  const coupons = list.length * arms.length * blocks
  return {
    glues: done,
    coupons,
    pieces: list.length * arms.length * each,
    cost: total(({ cost }) => cost),
    buy: total(({ buy }) => buy),
    handsOnMinutes: minutes,
  }
}
