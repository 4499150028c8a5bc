/** How far a copy of a bench goes: how many entries, and which was the last. */
export interface Mark {
  entries: number
  /** id of the last entry; '' before the first */
  last: string
}

/** A copy's mark, with those of other copies beside it that its entries continue. No clock is asked. */
export interface CopyOrder extends Mark {
  continues: Mark[]
}

interface Ordered {
  /** null: a copy of a build that did not note it */
  order: CopyOrder | null
  /** ms, by whatever clock */
  savedAt: number
}

const sameMark = (one: Mark, other: Mark) => one.entries === other.entries && one.last === other.last
const continues = ({ order: later }: Ordered, { order: earlier }: Ordered): boolean =>
  later !== null && earlier !== null && later.continues.some((mark) => sameMark(mark, earlier))

/**
 * Copies that no other one continues, that with the most entries first: one, or several that part. Copies without
 * an order count only where none has one, and then the newest of them.
 */
export function foremost<T extends Ordered>(copies: readonly T[]): T[] {
  const ordered = copies.filter(({ order }) => order !== null)
  if (!ordered.length) return [...copies].sort((x, y) => y.savedAt - x.savedAt).slice(0, 1)
  const left = ordered.filter(
    (one, i) =>
      !ordered.some((other) => other !== one && continues(other, one) && !continues(one, other)) &&
      ordered.findIndex((other) => sameMark(other.order!, one.order!)) === i,
  )
  return left.sort((x, y) => y.order!.entries - x.order!.entries)
}

/** Copies that part are kept beside each other up to so many. */
const MOST = 4

/**
 * Which copy gives way to a new one: half a copy; of two that the new one continues that with fewer entries; a copy
 * that parts from it only where there are too many.
 * @param there copies as they stand; whole: false for one that was cut off; continued: the new one goes on from it
 * @returns its place in the list, or null for a place of its own
 */
export function givesWay(
  there: readonly { whole: boolean; continued: boolean; order: CopyOrder | null }[],
): number | null {
  const half = there.findIndex(({ whole }) => !whole)
  if (half >= 0) return half
  if (there.length < 2) return null
  const entries = (at: number) => there[at]!.order?.entries ?? -1
  const fewest = (places: number[]) => places.sort((x, y) => entries(x) - entries(y))[0] ?? null
  const places = there.map((_, at) => at)
  const behind = places.filter((at) => there[at]!.continued)
  if (behind.length) return fewest(behind)
  return there.length < MOST ? null : fewest(places)
}
