/**
 * Calendar days, "2026-12-12", where the maker lives: a day begins at midnight of the clock on the wall. Every day that
 * is typed, kept or shown becomes a time here, and back.
 */

/** ms */
export const HOUR_MS = 3_600_000
/** A day of the clock that is not put forward or back, ms. */
export const DAY_MS = 86_400_000

/** As a clock or a calendar writes a number below a hundred: “07”. */
export const two = (n: number): string => String(n).padStart(2, '0')

/** The day on which a time lies. @param at ms since 1970 */
export function dayOf(at: number): string {
  const date = new Date(at)
  return `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`
}

/** Its midnight, noon and last moment, ms since 1970. */
export const startOfDay = (day: string): number => Date.parse(`${day}T00:00`)
export const noonOf = (day: string): number => Date.parse(`${day}T12:00`)
export const endOfDay = (day: string): number => Date.parse(`${day}T23:59:59.999`)

/** Calendar days from the day of a time to a day: 0 on it, 1 on the evening before, below 0 once it is past. */
export const daysUntil = (day: string, at: number): number => Math.round((noonOf(day) - noonOf(dayOf(at))) / DAY_MS)
