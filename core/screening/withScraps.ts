import { scrapSays } from '../evidence/scrap'
import type { Scrap } from '../records/scrap'
import type { Reason } from './reason'

const SAW = {
  fine: 'Your own drop on scrap showed nothing after a day.',
  open: 'Your own drop on scrap is being watched.',
  mark: 'Your own drop on scrap left a mark.',
  spoilt: 'Your own drop spoilt the scrap.',
} as const
/** A scrap that was spoilt weighs as practice that shows it fails; a mark as a doubt. */
const SPOILT_DB = -20
const MARK_DB = -6

/**
 * What own drops on scrap make of the reasons that such a drop settles: what showed nothing after a day lifts the
 * reason, what was spoilt settles it the other way. Never one about harm to people.
 * @param scraps of this glue on these faces, the newest first
 */
export const withScraps = (reasons: readonly Reason[], scraps: readonly Scrap[]): Reason[] =>
  reasons.map((reason) => {
    const scrap = reason.byScrap && !reason.harm ? scraps.find(({ rule }) => rule === reason.rule) : undefined
    if (!scrap) return reason
    const says = scrapSays(scrap)
    const text = `${reason.text} ${SAW[says]}`
    if (says === 'open') return { ...reason, text }
    const grade = 'own test' as const
    if (says === 'fine') return { ...reason, text, grade, verdict: 'note', lifted: true }
    return says === 'spoilt'
      ? { ...reason, text, grade, verdict: 'block', db: SPOILT_DB }
      : { ...reason, text, grade, verdict: 'caution', db: MARK_DB }
  })
