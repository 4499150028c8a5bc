import type { FailureMode } from '../knowledge/weights'
import type { Helper } from '../knowledge/vocabulary'
import type { Candidate, Help } from './shortlist'
import type { Screening } from './screen'

/** A glue to test first, alone or with the helper that makes it the better way. */
export interface FirstPick {
  candidate: Candidate
  helper: Helper | null
  screening: Screening
}

export interface ShortAnswer {
  /** at most three that fail differently, the likeliest first */
  three: FirstPick[]
  /** a glue of one's own, against which the others are read; null where none stands on the shelf beside the three */
  control: Candidate | null
}

/** A helper is the better way where it wins this many decibans. */
const BETTER_BY = 3
/** Of glues within this many decibans the one that fails otherwise is taken first. */
const ALIKE = 3
const HOW_MANY = 3

/** In what a glue would fail first; null where nothing speaks against it. */
export const doubtOf = ({ reasons }: Pick<Screening, 'reasons'>): FailureMode | null => {
  const against = reasons.filter(({ db }) => db < 0).sort((x, y) => x.db - y.db)
  return against[0]?.mode ?? null
}

/**
 * The short answer: three to test first, of different chemistry and, where their chances are alike, of different
 * doubts, and a control.
 * @param candidates judged, in order
 */
export function shortAnswer(candidates: readonly Candidate[], helpOf: (candidate: Candidate) => Help[]): ShortAnswer {
  const open = candidates
    .filter(({ screening }) => !screening.reasons.some((one) => one.harm && one.verdict === 'block' && !one.lifted))
    .map((candidate): FirstPick => {
      const help = helpOf(candidate).find(({ screening }) => screening.db >= candidate.screening.db + BETTER_BY)
      return { candidate, helper: help?.helper ?? null, screening: help?.screening ?? candidate.screening }
    })
    .filter(({ screening }) => screening.verdict !== 'block')
  const rank = ({ screening }: FirstPick) => (screening.verdict === 'fit' ? 100 : 0) + screening.db
  const rest = [...open].sort((x, y) => rank(y) - rank(x))
  const three: FirstPick[] = []
  while (three.length < HOW_MANY && rest.length) {
    const fresh = rest.filter(({ candidate }) =>
      three.every((one) => one.candidate.family.chemistry !== candidate.family.chemistry),
    )
    const from = fresh.length ? fresh : rest
    const doubts = new Set(three.map(({ screening }) => doubtOf(screening)))
    const alike = from.filter((one) => rank(from[0]!) - rank(one) <= ALIKE)
    const next = alike.find(({ screening }) => !doubtOf(screening) || !doubts.has(doubtOf(screening))) ?? from[0]!
    three.push(next)
    rest.splice(rest.indexOf(next), 1)
  }
  const beside = candidates.filter(
    (one) => one.product && one.screening.verdict !== 'block' && !three.some(({ candidate }) => candidate === one),
  )
  return { three, control: beside.find(({ evidence }) => evidence === 'holds') ?? beside[0] ?? null }
}
