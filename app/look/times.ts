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

/** Further away than this, ms, a day is named with its year: the same day of another year could be meant. */
const NEAR = 300 * 86_400_000

/** "18:46", or with its day when it is not today, and its year when it is long ago or far ahead. */
export function momentName(at: number, now: number): string {
  if (dayOf(at) === dayOf(now)) return clockTime(at)
  const date = new Date(at)
  const year = Math.abs(at - now) > NEAR ? ` ${date.getFullYear()}` : ''
  return `${dayWords(date)}${year}, ${clockTime(at)}`
}

/** "28 November 2026", for what is read years later. */
export const dayWithYear = (at: number): string => new Intl.DateTimeFormat('en-GB', { dateStyle: 'long' }).format(at)
/** "19 October 2026" of a calendar day such as 2026-10-19. */
export const dateName = (day: string): string => dayWithYear(noonOf(day))
