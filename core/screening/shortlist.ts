import { usableDab } from './rules/help'
import type { ForceUnit } from '../quantities/force'
import { hasPrice, packOf } from '../costs/pack'
import { correctionOf } from '../evidence/corrections'
import { onThisPair, sayingOf, type PairEvidence, type Saying } from '../evidence/pairEvidence'
import { scrapsOn } from '../evidence/scrap'
import { families, type Family } from '../knowledge/families'
import type { MaterialClass } from '../knowledge/materials'
import type { Helper } from '../knowledge/vocabulary'
import { productFamily } from '../situation/label'
import { packAge, packInUse } from '../situation/packs'
import type { Brief } from '../records/joint'
import type { Scrap } from '../records/scrap'
import type { Adhesive, HouseRule, StockItem } from '../records/shelf'
import { houseReasons } from './houseRules'
import { schoolReasons } from './schools'
import { screen, weighed, type Screening, type Verdict } from './screen'
import { situationOf, type Around, type Situation } from '../situation/situation'
import { withEvidence } from './withEvidence'
import { withScraps } from './withScraps'

/** The brief with what is known around it. */
export interface Setting {
  brief: Brief
  /** the materials' classes; null while open */
  a: MaterialClass | null
  b: MaterialClass | null
  room: { tempC: number; rh: number } | null
  currency: string
  /** what forces are told in; left out: newtons */
  forceUnit?: ForceUnit
  /** the day it is, ms */
  now: number
  adhesives: readonly Adhesive[]
  stock: readonly StockItem[]
  houseRules: readonly HouseRule[]
  evidence: readonly PairEvidence[]
  scraps: readonly Scrap[]
  classOf: (material: string) => string | null
}

/** One glue judged: a product of the shelf, or a family of the tables none of whose products stands there. */
export interface Candidate {
  /** product id, or family id */
  key: string
  /** the family's values, the label's put over them */
  family: Family
  product: Adhesive | null
  pack: StockItem | null
  situation: Situation
  screening: Screening
  evidence: Saying | null
}

function around(
  family: Family,
  product: Adhesive | null,
  pack: StockItem | null,
  setting: Setting,
  more: Around,
): Around {
  return {
    ...more,
    room: setting.room,
    currency: setting.currency,
    forceUnit: setting.forceUnit,
    labelled: product ? Object.keys(product.label) : [],
    facts: product?.label.facts ?? {},
    pack: pack && packAge(pack, setting.now),
    // A family that is not on the shelf is counted at the tables' typical price.
    packPrice: product ? product.packPrice : hasPrice(null, family) ? family.packPrice : null,
  }
}

/** Judges one glue by every rule, the rules of the house and the bench's own evidence. */
export function judged(
  family: Family,
  product: Adhesive | null,
  setting: Setting,
  more: Pick<Around, 'helpers' | 'dab' | 'second'> = {},
): Candidate {
  const { brief, a, b, houseRules, now } = setting
  const packs = product ? setting.stock.filter((one) => one.adhesive === product.id) : []
  const pack = packInUse(packs, now)
  const { packSize, packUnit } = packOf(product, family)
  const correction = a && b ? correctionOf(setting.evidence, a.id, b.id, product?.family ?? family.id) : null
  const situation = situationOf(
    brief,
    a,
    b,
    { ...family, packSize, packUnit },
    { ...around(family, product, pack, setting, more), correction },
  )
  const subject = { adhesive: product?.id ?? null, materials: [brief.a.material, brief.b.material] }
  const evidence = onThisPair(setting.evidence, brief, setting.classOf).filter((one) =>
    product
      ? one.adhesive === product.id || (one.adhesive === null && one.family === product.family)
      : one.family === family.id,
  )
  const glue = { family: product?.family ?? family.id, adhesive: product?.id ?? null }
  const scraps = scrapsOn(setting.scraps, brief, glue)
  const byRule = screen(situation).reasons
  const reasons = [
    ...houseReasons(houseRules, situation, subject),
    ...withEvidence(withScraps(byRule, scraps), evidence, brief),
    ...schoolReasons(situation),
  ]
  const sayings = evidence.map((one) => sayingOf(one, brief).says)
  return {
    key: product?.id ?? family.id,
    family: situation.family,
    product,
    pack,
    situation,
    screening: weighed(situation.family, reasons),
    evidence: sayings.includes('fails')
      ? 'fails'
      : sayings.includes('holds')
        ? 'holds'
        : sayings.length
          ? 'unclear'
          : null,
  }
}

/** Every product of the shelf, and every family none of whose products stands there, judged and in order. */
export function shortlist(setting: Setting): Candidate[] {
  const products = setting.adhesives.map((product) => judged(productFamily(product), product, setting))
  const onShelf = new Set(setting.adhesives.map(({ family }) => family))
  const rest = families.filter(({ id }) => !onShelf.has(id)).map((family) => judged(family, null, setting))
  return inOrder([...products, ...rest])
}

const order: Record<Verdict, number> = { fit: 0, caution: 1, block: 2 }
const tableOrder = new Map(families.map(({ id }, place) => [id, place]))

/** By the verdict and the chance, then what is on the shelf, then least hazard, then cost and the tables' order. */
export function inOrder(candidates: readonly Candidate[]): Candidate[] {
  const place = ({ family }: Candidate) => tableOrder.get(family.id) ?? Infinity
  const cost = ({ situation }: Candidate) => situation.glueCost ?? 0
  return [...candidates].sort(
    (x, y) =>
      order[x.screening.verdict] - order[y.screening.verdict] ||
      y.screening.db - x.screening.db ||
      Number(y.product !== null) - Number(x.product !== null) ||
      x.family.hazards.length - y.family.hazards.length ||
      cost(x) - cost(y) ||
      place(x) - place(y) ||
      x.key.localeCompare(y.key),
  )
}

/** Gaps below this are filled by the glue itself, mm. */
const FILLED_MM = 0.1

/** Which helpers could do anything for a glue here at all; the rest need not be tried. */
function helpersWorthTrying({ family, situation, screening }: Candidate): Helper[] {
  const speaks = (rule: string) => screening.reasons.some((one) => one.rule === rule && one.db < 0)
  const instant = family.chemistry === 'cyanoacrylate'
  const gap = situation.gapMm !== null && situation.gapMm > FILLED_MM
  const slippery = situation.faces.some(({ material }) => material?.surfaceEnergy === 'low')
  const worth: Partial<Record<Helper, boolean>> = {
    activator: instant,
    'powder-filler': instant && gap,
    'fibre-filler': instant && gap && family.form === 'thin',
    primer: instant && slippery,
    // Dabs that hold on none of these faces help nothing.
    'tack-and-cure': family.holdS > 120 && usableDab(situation) !== null,
    'cloth-primer': speaks('bleed-through-cloth'),
    'paper-backing': speaks('bleed-through-cloth'),
  }
  return (Object.keys(worth) as Helper[]).filter((helper) => worth[helper])
}

export interface Help {
  helper: Helper
  /** what the glue becomes with it */
  screening: Screening
  /** why it helps here: the reason the helper gives, or the one it takes away */
  text: string
}

/**
 * The helper without which a glue is ruled out here, and with which it is not: it is offered so, and no other way. null
 * where it is not ruled out, or nothing helps.
 * @param helps as helpersThatHelp found them
 */
export const onlyWith = ({ screening }: Candidate, helps: readonly Help[]): Help | null =>
  screening.verdict === 'block' && !screening.reasons.some((one) => one.harm && one.verdict === 'block' && !one.lifted)
    ? (helps.find((help) => help.screening.verdict !== 'block') ?? null)
    : null

/** A helper is worth its trouble where it wins this many decibans. */
const BETTER_BY = 3

/** Helpers that make a glue suit better here, the most useful first. */
export function helpersThatHelp(candidate: Candidate, setting: Setting): Help[] {
  const before = candidate.screening
  return helpersWorthTrying(candidate)
    .flatMap((helper): Help[] => {
      const { screening } = judged(candidate.family, candidate.product, setting, { helpers: [helper] })
      const gives = screening.reasons.find(
        (reason) =>
          reason.verdict === 'fit' &&
          !before.reasons.some(({ rule, verdict }) => rule === reason.rule && verdict === 'fit'),
      )
      const better = order[screening.verdict] < order[before.verdict] || screening.db >= before.db + BETTER_BY
      if (!better && !(gives && order[screening.verdict] <= order[before.verdict])) return []
      const gone = before.reasons.find(
        ({ rule, verdict }) =>
          (verdict === 'block' || verdict === 'caution') &&
          !screening.reasons.some((reason) => reason.rule === rule && reason.verdict === verdict),
      )
      return [{ helper, screening, text: gives?.text ?? (gone ? `It answers: ${gone.text}` : '') }]
    })
    .sort((x, y) => y.screening.db - x.screening.db)
}
