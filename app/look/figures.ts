import { figureOf } from '../../core/quantities/figure'

export { durationWords as lasting } from '../../core/quantities/durations'

/** How numbers are shown: three significant figures, units small and always there (interface.md, "Look"). */

/** Three significant figures without exponent or trailing zeros that claim more: 0.678, 12.3, 118, 1250. */
export function figure(value: number): string {
  return Number.isFinite(value) ? figureOf(value) : '–'
}

export const percent = (share: number): string =>
  share > 0.995 ? 'over 99 %' : share < 0.005 ? 'under 1 %' : `${Math.round(share * 100)} %`

/** A share that is no chance: 0 % and 100 % are said as they are. */
export const wholePercent = (share: number): string => `${Math.round(100 * share)} %`

/** "04:12" below an hour, "2 h 05" below two days, then days. */
export function countdown(ms: number): string {
  const s = Math.max(0, Math.round(ms / 1000))
  if (s < 3600) return `${String(Math.floor(s / 60)).padStart(2, '0')}:${String(s % 60).padStart(2, '0')}`
  if (s < 48 * 3600) return `${Math.floor(s / 3600)} h ${String(Math.floor((s % 3600) / 60)).padStart(2, '0')}`
  return `${(s / 86400).toFixed(1)} days`
}

const two = (n: number) => String(n).padStart(2, '0')
export const clockTime = (at: number): string => `${two(new Date(at).getHours())}:${two(new Date(at).getMinutes())}`
const weekdays = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat']
const months = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec']
const dayWords = (date: Date) => `${weekdays[date.getDay()]} ${date.getDate()} ${months[date.getMonth()]}`

/** "Sat 12 Dec" of a calendar day such as 2026-12-12. */
export const dayName = (day: string): string => dayWords(new Date(`${day}T12:00:00`))

/** "18:46", or with its day when it is not today. */
export function momentName(at: number, now: number): string {
  const same = new Date(at).toDateString() === new Date(now).toDateString()
  return same ? clockTime(at) : `${dayWords(new Date(at))}, ${clockTime(at)}`
}

/** The same to the hour, for what is only about so: the next full hour. */
export const aboutWhen = (at: number, now: number): string => momentName(Math.ceil(at / 3_600_000) * 3_600_000, now)

export const plural = (count: number, one: string, many = `${one}s`): string => `${count} ${count === 1 ? one : many}`
export const capital = (text: string): string => text.replace(/^./, (first) => first.toUpperCase())
