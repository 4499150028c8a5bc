import { measured } from '../quantities/betterUnit'
import { digitsOf, figureOf } from '../quantities/figure'
import { bondedAreaOf, withSpares } from '../coupons/pieces'
import { packGrams, WASTE } from '../costs/cost'
import { hasPrice, isFleeting, packOf } from '../costs/pack'
import type { Family } from '../knowledge/families'
import type { Arm } from '../records/round'
import type { Procedure } from '../records/procedure'
import { coverS } from '../screening/rules/cover'
import { glueShare, type KnownGlue, type OtherPart } from './mix'
import { isUntreated } from './controls'
import { CLOSE_S, LEAST_MIX_G, POT_SHARE } from './mixing'
import { handsOnMinutes } from './steps'

/** Pulling and noting one piece, min. */
export const PULL_MIN = 2

export interface NeedOf extends KnownGlue {
  procedure: Procedure
  /** what else its blend is stirred from */
  others?: readonly OtherPart[]
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
  /** pieces that are laid before the first of them skins; null where it waits open, or does not skin */
  atOnce: number | null
  /** on the shelf, g; null when there is none */
  leftG: number | null
  /** whole packs to buy */
  packs: number
  /** nothing is known of its pack */
  onNoShelf: boolean
  /** value of the glue used; null where nothing is known of its pack or its price */
  cost: number | null
  /** money for the packs to buy; null as the cost */
  buy: number | null
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
  /** what has no price, and so is in no sum: parts of blends on no shelf, packs of unknown price */
  unpriced: string[]
  handsOnMinutes: number
}

/** Grams laid on a square centimetre of a joint, waste counted: faces × spread × coats. */
export const gramsPerCm2 = ({ spreadGm2, coats }: Pick<Procedure, 'spreadGm2' | 'coats'>, family: Family): number =>
  ((family.faces === 'both' ? 2 : 1) * (spreadGm2 ?? family.spreadGm2) * coats * (1 + WASTE)) / 1e4

const g = (n: number) => measured(n, 'g')

/**
 * Glue, money and hands-on time of a round before anything is cut (methods.md 5 and 8): bonded area × faces × spread ×
 * coats × (1 + waste), for every coupon and its spares.
 * @throws CodedError naming the field
 */
export function needsOf(list: readonly NeedOf[], arms: readonly Pick<Arm, 'test' | 'size'>[], blocks: number): Needs {
  const glues = new Map<string, Laid>()
  const each = withSpares(blocks)
  const areas = arms.map(({ test, size }) => bondedAreaOf(test, size) / 100)
  let minutes = 0
  const lay = (glue: Glue, letter: string, grams: number, cover: number, sum: string) => {
    const old = glues.get(glue.key) ?? { ...glue, letters: [], coupons: 0, grams: 0, cover: 0, sum: [] }
    glues.set(glue.key, {
      ...old,
      letters: [...old.letters, letter],
      coupons: old.coupons + each * arms.length,
      grams: old.grams + grams,
      cover: Math.max(old.cover, cover),
      sum: [...old.sum, sum],
    })
  }
  for (const { procedure, others = [], ...known } of list) {
    const { family } = known
    // An untreated piece takes no glue.
    if (isUntreated(procedure)) {
      minutes += PULL_MIN * blocks * arms.length
      continue
    }
    const { letter, coats } = procedure
    const spread = procedure.spreadGm2 ?? family.spreadGm2
    const faces = family.faces === 'both' ? 2 : 1
    const perCm2 = gramsPerCm2(procedure, family) * each
    const laid = areas.reduce((sum, area) => sum + area * perCm2, 0)
    const areaWords = areas.map((area) => `${digitsOf(Number(area.toPrecision(4)))} cm²`).join(' + ')
    const sum =
      `${letter}: (${areaWords}) × ${faces === 2 ? '2 faces × ' : ''}${spread} g/m² × ` +
      `${coats === 1 ? '' : `${coats} coats × `}${each} pieces × ${1 + WASTE}`
    const partOf = (share: number, what: string) =>
      `${sum}${share === 1 ? '' : ` × ${figureOf(share)} of it ${what}`} = ${g(laid * share)}`
    const cover = Math.max(...areas.map((area) => coverS(area, family) + CLOSE_S))
    // Of what is laid on, water and the other parts of a blend are not this glue.
    const own = glueShare(procedure)
    lay(glueOf(known, spread), letter, laid * own, cover, partOf(own, 'glue'))
    for (const { name, share, known: other } of others) {
      const glue = other ? glueOf(other, spread) : unknownGlue(name)
      lay(glue, letter, laid * share, 0, partOf(share, name))
    }
    minutes += (handsOnMinutes(procedure.steps) * each + PULL_MIN * blocks) * arms.length
  }
  const done = [...glues.values()].map(counted)
  const total = (pick: (need: GlueNeed) => number | null) => done.reduce((sum, need) => sum + (pick(need) ?? 0), 0)
  return {
    glues: done,
    coupons: list.length * arms.length * blocks,
    pieces: list.length * arms.length * each,
    cost: total(({ cost }) => cost),
    buy: total(({ buy }) => buy),
    unpriced: done.filter(({ cost }) => cost === null).map(({ name }) => name),
    handsOnMinutes: minutes,
  }
}

/** A glue with its pack; packG null: nothing is known of it. */
interface Glue {
  key: string
  name: string
  /** of a pack; null: nothing says it */
  price: number | null
  packG: number | null
  leftG: number | null
  potS: number | null
  /** until it skins, s; null where that does not count */
  skinsS: number | null
  /** once opened it is gone with the evening: whole packs are paid for */
  fleeting: boolean
}
type Laid = Glue & Pick<GlueNeed, 'letters' | 'coupons' | 'grams' | 'sum'> & { cover: number }

function glueOf({ family, product, left }: KnownGlue, spreadGm2: number): Glue {
  const pack = packOf(product, family)
  const packG = packGrams({ family: family.id, ...pack, spreadGm2, densityGml: family.densityGml })
  return {
    key: product?.id ?? family.id,
    name: product?.name ?? family.name,
    price: hasPrice(product, family) ? pack.packPrice : null,
    packG,
    leftG: left === null ? null : left * packG,
    potS: family.mechanism === 'two-part' ? family.potLifeS : null,
    skinsS: skinsIn(family),
    fleeting: isFleeting(family),
  }
}
const unknownGlue = (name: string): Glue => ({
  key: `part ${name.trim().toLowerCase()}`,
  name,
  price: null,
  packG: null,
  leftG: null,
  potS: null,
  skinsS: null,
  fleeting: false,
})

/** Until a glue that is closed wet skins or chills, s. */
const skinsIn = ({ faces, waitMinS, openS, mechanism, form }: Family): number | null =>
  faces === 'both' || waitMinS > 0 || mechanism === 'pressure' || form === 'film' || !Number.isFinite(openS)
    ? null
    : openS

/** Mixes, packs and money of what is laid on. */
function counted({ price, packG, potS, skinsS, fleeting, cover, ...laid }: Laid): GlueNeed {
  // Closing is done piece by piece afterwards: only laying counts.
  const laying = Math.max(1, cover - CLOSE_S)
  const atOnce = skinsS === null ? null : Math.max(1, Math.floor((POT_SHARE * skinsS) / laying))
  const need = { ...laid, atOnce, onNoShelf: packG === null }
  const mixes = potS === null ? 0 : Math.ceil(need.coupons / Math.max(1, Math.floor((POT_SHARE * potS) / cover)))
  const grams = Math.max(need.grams, mixes * LEAST_MIX_G)
  const least = grams > need.grams ? [`at least ${mixes} × ${LEAST_MIX_G} g a mix = ${g(grams)}`] : []
  if (packG === null) return { ...need, grams, mixes, packs: 0, cost: null, buy: null, sum: [...need.sum, ...least] }
  const whole = fleeting ? Math.ceil(grams / packG - 1e-9) : null
  const packs = Math.max(0, Math.ceil((grams - (need.leftG ?? 0)) / packG - 1e-9))
  const share = whole === null ? `${g(grams)} ÷ ${g(packG)} a pack` : `${whole} whole, it does not keep once opened,`
  if (price === null) {
    const sum = [...need.sum, ...least, `${share} without a price: put it beside the glue on the Shelf`]
    return { ...need, grams, mixes, cost: null, packs, buy: null, sum }
  }
  const cost = (whole ?? grams / packG) * price
  const sum = [...need.sum, ...least, `${share} × ${price} = ${cost.toFixed(2)}`]
  return { ...need, grams, mixes, cost, packs, buy: packs * price, sum }
}
