import type { Shop } from '../records/shop'
import { dayOf } from '../quantities/days'

/** A span of time, ms. */
export interface Hours {
  from: number
  to: number
}

/**
 * When somebody works, from a time on: the weekly pattern, and the days that are otherwise. Hours are those of the
 * clock on the wall; what lies between them is real time, so that a change of summer time moves no cure.
 * @param days how many days are looked at
 */
export function hoursFrom(
  { weekly, exceptions }: Pick<Shop, 'weekly' | 'exceptions'>,
  from: number,
  days: number,
): Hours[] {
  const start = new Date(from)
  const other = new Map(exceptions.map((one) => [one.day, one.spans]))
  const out: Hours[] = []
  for (let n = 0; n < days; n++) {
    const midnight = new Date(start.getFullYear(), start.getMonth(), start.getDate() + n)
    const at = (minute: number) =>
      new Date(midnight.getFullYear(), midnight.getMonth(), midnight.getDate(), 0, minute).getTime()
    const spans =
      other.get(dayOf(midnight.getTime())) ??
      weekly.filter(({ day }) => day === midnight.getDay()).map(({ span }) => span)
    for (const span of [...spans].sort((x, y) => x.from - y.from)) {
      const hours = { from: Math.max(from, at(span.from)), to: at(span.to) }
      const last = out.at(-1)
      if (last && hours.from <= last.to) last.to = Math.max(last.to, hours.to)
      else if (hours.to > hours.from) out.push(hours)
    }
  }
  return out
}

/** Days that are looked ahead for somebody at work: longer holidays than that are not planned for. */
const AHEAD_DAYS = 60

/** The first moment, from a time on, at which somebody works; that time itself where nobody does for two months. */
export const atWorkFrom = (shop: Pick<Shop, 'weekly' | 'exceptions'>, at: number): number =>
  hoursFrom(shop, at, AHEAD_DAYS)[0]?.from ?? at

/** Hours less those that are taken. */
export function without(hours: readonly Hours[], taken: readonly Hours[]): Hours[] {
  return taken.reduce<Hours[]>(
    (left, { from, to }) =>
      left.flatMap((one) =>
        to <= one.from || from >= one.to
          ? [one]
          : [
              { from: one.from, to: from },
              { from: to, to: one.to },
            ].filter((part) => part.to > part.from),
      ),
    [...hours],
  )
}
