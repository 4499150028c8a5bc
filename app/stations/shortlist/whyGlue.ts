import { careFor } from '../../../core/care/care'
import { hazardsOf } from '../../../core/knowledge/hazards'
import type { Candidate } from '../../../core/screening/shortlist'
import type { Reason, Verdict } from '../../../core/screening/screen'
import type { Tone } from '../../look/VerdictMark.vue'
import type { Explanation } from '../../look/why'

export const tones: Record<Verdict, { tone: Tone; word: string }> = {
  fit: { tone: 'holds', word: 'suits' },
  caution: { tone: 'careful', word: 'careful' },
  block: { tone: 'fails', word: 'ruled out' },
}

/** On what a piece of advice rests, and what outranks it. */
function sourceOf(reason: Reason): string {
  if (reason.house) return `Rule of the house, resting on: ${reason.grade}. Evidence: ${reason.basis}.`
  if (reason.rule === 'own-evidence')
    return `Own test: ${reason.basis}. It outranks the rules that a plain pull answers.`
  const outranked = reason.harm
    ? 'It is about harm: no test lifts it.'
    : reason.byPull
      ? 'Three pulls of your own on this pair outrank it.'
      : 'A test of what it warns of outranks it.'
  return (
    `${reason.grade === 'label' ? 'The label' : 'Rule of the trade'} “${reason.rule}”: ${reason.basis}. ` +
    `${outranked}`
  )
}

/** What Why shows for a glue's verdict: every reason, what would settle it, on what it rests. */
export function whyGlue(candidate: Candidate): Explanation {
  const { family, product, screening } = candidate
  const { reasons } = screening
  return {
    about: product?.name ?? family.name,
    ...tones[screening.verdict],
    lines: reasons.length
      ? reasons.map((reason) => reason.text)
      : ['No rule of the trade speaks against it for what was said so far. Words still open may change that.'],
    cautions: [...hazardsOf(family.hazards).map((hazard) => hazard.show), ...careFor(candidate.situation).combined],
    change: [...new Set(reasons.filter(({ verdict }) => verdict !== 'fit').map((reason) => reason.settleBy))],
    source: reasons.map(sourceOf),
  }
}
