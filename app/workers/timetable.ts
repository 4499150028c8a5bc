import { seededRandom } from '../../core/planning/random'
import type { Problem } from '../../core/schedule/problem'
import { search, type Found } from '../../core/schedule/search'
import { whyNot, type Why } from '../../core/schedule/why'

/** What is searched for how long. */
export interface TimetableInput {
  problem: Problem
  seconds: number
  seed: number
}
/** The best that was found, or what stands in the way. */
export type TimetableResult = { found: Found; why: null } | { found: null; why: Why }

/** A look at the clock and a message cost as much as some tries. */
const LOOK_EVERY = 4
const SAY_EVERY_MS = 250
const WHY_OVER_SEARCH = 2

/**
 * Searches for a timetable until its time is over.
 * @param clock ms that pass
 * @param say told how far it is, and of what is best so far
 */
export function findTimetable(
  { problem, seconds, seed }: TimetableInput,
  clock: () => number,
  say: (done: number, best: TimetableResult | null) => void,
): TimetableResult {
  const begun = clock()
  let said = begun
  let best: TimetableResult | null = null
  const goOn = (tries: number) => {
    if (tries % LOOK_EVERY) return true
    const now = clock()
    if (now - said >= SAY_EVERY_MS) {
      said = now
      say(Math.min(1, (now - begun) / (seconds * 1000)), best)
      best = null
    }
    return now - begun < seconds * 1000
  }
  const found = search(problem, {
    random: seededRandom(seed),
    goOn,
    onBetter: (schedule, lowerBound, tries) => (best = { found: { schedule, lowerBound, tries }, why: null }),
  })
  if (found) return { found, why: null }
  // To see what stands in the way takes longer than to see that something does.
  const until = clock() + WHY_OVER_SEARCH * seconds * 1000
  const goOnWhy = () => {
    const now = clock()
    if (now - said >= SAY_EVERY_MS) {
      said = now
      say(1, null)
    }
    return now < until
  }
  return { found: null, why: whyNot(problem, goOnWhy) }
}
