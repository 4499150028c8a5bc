import type { Stake } from '../knowledge/vocabulary'
import { stakeWords } from '../knowledge/vocabularyWords'

/**
 * Joints for which no advice is given, only recording: where failure could hurt or kill, or glue would enter a body.
 * @returns why, in words; null where advice may be given
 */
export function refusalFor(stakes: readonly Stake[] | null): string | null {
  if (!stakes?.length) return null
  const what = stakes
    .map((stake) => stakeWords[stake].word)
    .join(', ')
    .replace(/, ([^,]*)$/, ' and $1')
  const body = stakes.some((stake) => stake === 'food' || stake === 'medical' || stake === 'skin-closing')
  const rest = stakes.some((stake) => stake !== 'food' && stake !== 'medical' && stake !== 'skin-closing')
  return [
    `This joint ${what}. Paste Bench gives no advice for it and shows no margin; what you test is only recorded.`,
    rest ? 'Use rated mechanical fixings and a qualified person; local codes apply.' : '',
    body ? 'Only a product labelled for that use, used as labelled; ask a medical professional about the body.' : '',
  ]
    .filter(Boolean)
    .join(' ')
}
