import type { Family } from '../../knowledge/families'
import { exposureWords } from '../../knowledge/exposures'
import { hangsStill, steadyWords } from '../../loads/steady'
import type { Brief } from '../../records/joint'
import type { factorBases } from '../../records/decision'
import type { Exposure } from '../../records/round'
import type { KeptShare } from './keptShares'
import { typicalKept } from './knockDown'
import { surroundings, type Surrounding, type SurroundingId } from './surroundings'

/** What a share rests on: own pulls of the procedure, pulls of the same family elsewhere, or the tables alone. */
export type FactorBasis = (typeof factorBases)[number]

/** What the surroundings leave of a joint's strength. */
export interface Factor {
  id: SurroundingId
  words: string
  /** 0…1; what came out stronger than dry counts as all of it */
  share: number
  basis: FactorBasis
  /** what it rests on, in a sentence */
  from: string
  /** pulled after it, though what it took cannot be told from that */
  met: boolean
}

/** What was pulled that may say something of the surroundings. */
export interface PulledAfter {
  /** of the procedure, with a reading that counts */
  met?: readonly Exposure[]
  /** of all rounds of the bench */
  kept?: readonly KeptShare[]
  procedure?: string
  /** of the arm whose strength is counted with: it is in its readings already */
  own?: Exposure | null
}

const percent = (share: number) => `${Math.round(100 * share)} %`
const middle = (shares: readonly number[]): number =>
  Math.exp(shares.reduce((sum, one) => sum + Math.log(one), 0) / shares.length)

/**
 * What the surroundings of the brief leave of a joint, one by one: measured on this procedure, else borrowed from pulls
 * of the same family, else typical (methods.md 9).
 */
export function factorsOf(brief: Brief, family: Family, pulled: PulledAfter = {}): Factor[] {
  const list: Surrounding[] = surroundings(brief)
  if (hangsStill(brief)) list.push({ id: 'hanging', words: steadyWords(brief.life), metBy: () => false })
  const { met = [], kept = [], procedure, own = null } = pulled
  return list.map(({ id, words, metBy }): Factor => {
    const of = (share: number, basis: FactorBasis, from: string): Factor => ({
      id,
      words,
      share: Math.min(1, share),
      basis,
      from,
      met: met.some(metBy) || basis === 'measured',
    })
    if (own && metBy(own)) return of(1, 'measured', `These pieces were pulled ${exposureWords(own)}.`)
    const after = kept.filter((one) => metBy(one.exposure))
    const mine = after.filter((one) => one.procedure === procedure)
    // Of several, the one that took most.
    const worst = mine.reduce<KeptShare | null>((x, y) => (x && x.share <= y.share ? x : y), null)
    if (worst)
      return of(
        worst.share,
        'measured',
        `Pulled ${exposureWords(worst.exposure)}: ${percent(worst.share)} of dry (${percent(worst.low90)} to ` +
          `${percent(worst.high90)}).`,
      )
    const alike = after.filter((one) => one.family === family.id)
    if (alike.length)
      return of(
        middle(alike.map(({ share }) => share)),
        'borrowed',
        `From pulls of the same family: ${[...new Set(alike.map(({ where }) => where))].join('; ')}.`,
      )
    return of(typicalKept(id, brief, family), 'typical', 'Estimated from the family’s limits in the tables.')
  })
}
