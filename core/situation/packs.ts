import type { StockItem } from '../records/shelf'
import { DAY_MS, daysUntil, endOfDay } from '../quantities/days'

/** The pack that would be used; ages in whole days and months, null where a date is not known. */
export interface PackAge {
  daysOpen: number | null
  monthsOld: number | null
  expired: boolean
}

const daysSince = (day: string | null, now: number) => (day === null ? null : 0 - daysUntil(day, now))

/** How old a pack is; a pack past its date is expired from the day after. */
export function packAge(pack: StockItem, now: number): PackAge {
  const bought = daysSince(pack.boughtOn, now)
  return {
    daysOpen: daysSince(pack.openedOn, now),
    monthsOld: bought === null ? null : Math.floor(bought / 30.44),
    expired: pack.expiresOn !== null && endOfDay(pack.expiresOn) < now,
  }
}

/** The pack one would reach for: not empty, not past its date, opened before unopened, the oldest of those first. */
export function packInUse(packs: readonly StockItem[], now: number): StockItem | null {
  const rank = (pack: StockItem) => [
    pack.left > 0 ? 0 : 1,
    packAge(pack, now).expired ? 1 : 0,
    pack.openedOn ? 0 : 1,
    Date.parse(pack.openedOn ?? pack.boughtOn ?? '2999-01-01'),
  ]
  const before = (x: number[], y: number[]) => x.map((value, i) => value - y[i]!).find((gap) => gap !== 0) ?? 0
  return [...packs].sort((x, y) => before(rank(x), rank(y)))[0] ?? null
}

/**
 * Days until a pack is past its date or open for too long, the sooner of the two; null where neither is known.
 * @param keepsOpenDays how long its kind keeps once opened
 */
export function packDaysLeft(pack: StockItem, keepsOpenDays: number, now: number): number | null {
  const expires = pack.expiresOn === null ? Infinity : Math.floor((endOfDay(pack.expiresOn) - now) / DAY_MS)
  const { daysOpen } = packAge(pack, now)
  const keeps = daysOpen === null ? Infinity : keepsOpenDays - daysOpen
  const left = Math.min(expires, keeps)
  return Number.isFinite(left) ? left : null
}
