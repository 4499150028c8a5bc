import { shareAfter } from '../../cure/cure'
import { block, caution, note, push, type Rule, rule } from '../rule'
import type { Situation } from '../../situation/situation'
import { loaded } from '../../situation/about'
import { durationWords } from '../../quantities/durations'
import { coverS } from './cover'
import { graded } from './scale'

const potLifeVsBatch = rule('pot-life-vs-batch', 'Time a dry run.', 'wetting falls as viscosity doubles', (s) => {
  const pot = s.family.potLifeS
  if (pot === null || s.family.mechanism !== 'two-part' || s.areaCm2 === null) return null
  // Spreading, and half a minute to line up and close.
  const one = coverS(s.areaCm2, s.family) + 30
  const all = one * (s.count ?? 1)
  if (one > 0.7 * pot)
    return caution(
      `Spreading and closing takes about ${durationWords(one)} and the mix is good for ${durationWords(pot)}: ` +
        'it thickens before ' +
        'the last part is wetted.',
    )
  return all > 0.7 * pot
    ? note(
        `All ${s.count} take about ${durationWords(all)} and a mix is good for ${durationWords(pot)}: mix ` +
          `${Math.ceil(all / (0.7 * pot))} small lots.`,
      )
    : null
})

/** Share of its strength that a joint wants at its hour: half, nearly all where a clamp comes off or it is knocked. */
const shareNeeded = (s: Situation) => (s.family.clamp === 'clamp' || loaded(s, 'impact') ? 0.9 : 0.5)

const notReadyInTime = rule(
  'not-ready-in-time',
  'A scrap pulled at the hour at which you need it.',
  'handling and full-cure times of the table or the label',
  (s) => {
    if (s.readyH === null || !s.cure.cures) return null
    const limit = s.readyH * 3600
    const { handlingS, fullS, waitMinS } = s.family
    const labelled = s.labelled.includes('handlingS') || s.labelled.includes('fullS')
    const share = labelled ? null : shareAfter(s.cure, limit - waitMinS)
    const asked = durationWords(limit)
    if (share === null) {
      if (handlingS > limit)
        return block(`It can be handled after ${durationWords(handlingS)}, and you need it in ${asked}.`)
      return fullS <= limit ? null : note(`Full strength takes ${durationWords(fullS)}, and you need it in ${asked}.`)
    }
    const early = handlingS > 1.5 * limit ? -20 : handlingS > limit ? -10 : 0
    const db = Math.min(early, graded(share / shareNeeded(s), [0.2, 0.4, 0.7, 0.9999], [-20, -10, -6, -3, 0]))
    const has100 = Math.round(100 * share)
    const text = `In ${asked} it has about ${has100} % of its strength`
    if (db === 0) return has100 < 100 ? note(`${text}; full strength takes ${durationWords(fullS)}.`) : null
    return push(db, `${text}, too little to be handled: full strength takes ${durationWords(fullS)}.`)
  },
)

/** Handling times past the moment by these shares, and what they push. */
const LATE = [1, 1.5, 3]
const notHandledInTime = rule(
  'not-handled-in-time',
  'A scrap taken up at the minute at which you need it.',
  'handling time of the table or the label against the minute that was said',
  (s) => {
    const limitH = s.said.handledH ?? null
    if (limitH === null) return null
    // Dabs of a fast glue hold it meanwhile.
    if (s.helpers.includes('tack-and-cure')) return note('Its fast dabs hold until it can be handled.')
    const { handlingS } = s.family
    const limit = limitH * 3600
    const db = graded(handlingS / limit, LATE, [0, -6, -10, -20])
    const finding = push(
      db,
      `It can be handled ${durationWords(handlingS)} after closing, and you want to take it up after ` +
        `${durationWords(limit)}.`,
    )
    return db === 0 ? null : { ...finding, ...(s.labelled.includes('handlingS') && { grade: 'label' as const }) }
  },
)

const slowForSoMany = rule(
  'slow-for-so-many',
  'Time three in a row.',
  'hands are the bottleneck: hold time × pieces',
  (s) => {
    if (s.perEvening === null || s.family.clamp !== 'hold') return null
    const hours = (s.perEvening * (s.family.holdS + 30)) / 3600
    return hours > 3
      ? caution(
          `${s.perEvening} pieces in an evening, half a minute to lay each and ${durationWords(s.family.holdS)} to ` +
            `hold it, take about ${hours.toFixed(0)} h by hand.`,
        )
      : null
  },
)

/** A mend that serves until a better one is wanted within the hour, s. */
const MEND_S = 3600
const slowForAMend = rule('slow-for-a-mend', 'Time it on a scrap.', 'handling time of the table or the label', (s) =>
  s.said.life === 'mend' && s.family.handlingS > MEND_S
    ? caution(`For a mend until a better one it is slow: it can be handled after ${durationWords(s.family.handlingS)}.`)
    : null,
)

/** Ready when it is wanted: pot, handling and load against the hour that was named. */
export const inTimeRules: Rule[] = [potLifeVsBatch, notReadyInTime, notHandledInTime, slowForSoMany, slowForAMend]
