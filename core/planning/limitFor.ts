import { type CouponSize, type TestId } from '../knowledge/testKinds'
import { lightN } from '../loads/light'
import { handlingPeel } from '../loads/needed'
import { jointSize, requiredLoad, requiredStrength, strengthPerN } from '../loads/requirement'
import { forceWords, type ForceUnit } from '../quantities/force'
import type { Brief } from '../records/joint'

/**
 * A pass limit with what it stands on: the load and size that the brief says, or, where one of them is open, a load
 * that is taken (rules of practice, light-load default): it is checked for that only, and says so.
 */
export interface Limit {
  limit: number
  /**
   * the load that is taken, N, and which of the brief's words is open, or light handling that asks more than the said
   * load; null where the limit is the brief's own
   */
  assumed: { n: number; open: 'load' | 'handling' | 'size' | 'lever' } | null
}

/**
 * The pass limit of a test, to three significant figures: more would claim what no bench can read. What is open is
 * taken: a load for light handling, and a said one never for less; a size as the coupon's.
 * @param size of the coupon, which stands in for what is open of the joint's own
 * @returns null for a test that weighs no load
 */
export function limitFor(brief: Brief, test: TestId, size: CouponSize): Limit | null {
  const tidy = (n: number) => Number(n.toPrecision(3))
  const said = requiredStrength(brief, test)
  // What is peeled meets light handling too: the Shortlist asks that of a glue, and so does the limit.
  const least = handlingPeel(brief, test)
  if (said !== null && said >= (least ?? 0)) return { limit: tidy(said), assumed: null }
  const joint = jointSize(brief, test)
  const known = Object.fromEntries(Object.entries(joint).filter(([, value]) => value != null))
  const perN = strengthPerN(brief, test, { ...size, ...known })
  if (perN === null) return null
  const load = requiredLoad(brief)?.n ?? 0
  const handling = least === null ? lightN(brief) : least / perN
  const n = Math.max(load, handling)
  const open = load === 0 ? 'load' : least !== null && handling >= load ? 'handling' : openOf(brief, test, size)
  return { limit: tidy(perN * n), assumed: { n, open } }
}

/** What of the joint's own measures is open: its lever where that alone would do. */
const openOf = (brief: Brief, test: TestId, { armMm }: CouponSize) =>
  strengthPerN(brief, test, { ...jointSize(brief, test), armMm }) === null ? 'size' : 'lever'

/** What a limit that is not the brief's own stands on, and what would change that. */
export function assumedWords({ n, open }: NonNullable<Limit['assumed']>, unit: ForceUnit): string {
  const force = forceWords(n, unit)
  const say = (word: string) => `say the ${word} on Ask for a limit of your own.`
  if (open === 'load') return `No load was said. Light handling is taken, ${force}: ${say('weight')}`
  if (open === 'handling') return `Light handling asks more of a peel than the said load does: ${force} on the joint.`
  if (open === 'lever')
    return `The lever was not said. The coupon’s arm stands in for it, under ${force}: ${say('lever')}`
  return `The joint’s own size was not said. The coupon’s stands in for it, under ${force}: ${say('size')}`
}
