import { dayOf, noonOf, two } from '../../core/quantities/days'

export { durationWords as lasting } from '../../core/quantities/durations'

/** How times are said: the day and the clock on the maker's wall, and lengths of time in one wording. */

/** "04:12" below an hour, "2 h 05" below two days, then days. */
export function countdown(ms: number): string {
  const s = Math.max(0, Math.round(ms / 1000))
  if (s < 3600) return `${two(Math.floor(s / 60))}:${two(s % 60)}`
  if (s < 48 * 3600) return `${Math.floor(s / 3600)} h ${two(Math.floor((s % 3600) / 60))}`
  return `${(s / 86400).toFixed(1)} days`
}

export const clockTime = (at: number): string => `${two(new Date(at).getHours())}:${two(new Date(at).getMinutes())}`
const weekdays = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat']
const months = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec']
const dayWords = (date: Date) => `${weekdays[date.getDay()]} ${date.getDate()} ${months[date.getMonth()]}`

/** "Sat 12 Dec" of a calendar day such as 2026-12-12. */
export const dayName = (day: string): string => dayWords(new Date(noonOf(day)))

/** "18:46", or with its day when it is not today. */
export function momentName(at: number, now: number): string {
  return dayOf(at) === dayOf(now) ? clockTime(at) : `${dayWords(new Date(at))}, ${clockTime(at)}`
}

/** "28 November 2026", for what is read years later. */
export const dayWithYear = (at: number): string => new Intl.DateTimeFormat('en-GB', { dateStyle: 'long' }).format(at)
