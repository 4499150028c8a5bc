import { directionRows, type Direction } from '../knowledge/directions'
import type { OutcomeRecord, Reading } from '../records/reading'
import type { Arm } from '../records/round'

/** What a piece was put through before its own test, in order, from its readings that stand. */
export const earlierOf = (coupon: string, readings: readonly Reading[]): Reading[] =>
  readings
    .filter((one) => one.coupon === coupon && one.direction !== undefined && one.setAside === null && !one.again)
    .sort((x, y) => x.at - y.at)

/** Whether a pull ended the piece: there is nothing left to put to another test. */
export const endsPiece = ({ outcome }: Pick<Reading, 'outcome'>): boolean =>
  outcome.end === 'broke' || outcome.end === 'wet' || outcome.end === 'handling'

/** What comes next of what a piece is put through before its own test; null: its own test. */
export function nextDirection(arm: Pick<Arm, 'first'>, earlier: readonly Reading[]): Direction | null {
  const done = new Set(earlier.map(({ direction }) => direction))
  return (arm.first ?? []).find((one) => !done.has(one)) ?? null
}

/**
 * What becomes of a piece's own test when an earlier way ended it. What is shaken off counts as lost in handling, at
 * most the least that the test reads; what let go under another load says nothing of this one. It is never dropped
 * without a word: those that are left would look stronger than they are.
 * @param lightestN the least that the own test reads, N
 */
export const closedBy = (direction: Direction, lightestN: number): OutcomeRecord =>
  direction === 'shake'
    ? { end: 'handling', lightestN }
    : { end: 'fault', reason: `let go when it was ${directionRows[direction].done}, before this test` }

/** “shaken, pulled straight”: what a piece has behind it; empty for a fresh one. */
export const earlierWords = (earlier: readonly Reading[]): string =>
  earlier.flatMap(({ direction }) => (direction ? [directionRows[direction].done] : [])).join(', ')
