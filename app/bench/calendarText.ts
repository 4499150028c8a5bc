import type { EventAttributes } from 'ics'
import { piece } from '../look/piece'

/** Minutes before an evening at which it is called to mind; a pull a day before as well, so that nobody goes away. */
export const BEFORE_MIN = 15
export const DAY_MIN = 1440

const utc = (at: number): [number, number, number, number, number] => {
  const date = new Date(at)
  return [date.getUTCFullYear(), date.getUTCMonth() + 1, date.getUTCDate(), date.getUTCHours(), date.getUTCMinutes()]
}

/** One entry of a calendar. */
export interface CalendarEntry {
  /** ms */
  from: number
  to: number
  title: string
  lines: readonly string[]
  /** min before it at which it is called to mind */
  alarms: readonly number[]
}

/**
 * Entries as a calendar file, each with its alarms. Times are written in universal time, so that they are right in
 * whatever zone it is opened.
 * @param key what the entries belong to: the same entry of the same round is the same one when it is read in again
 */
export async function calendarText(entries: readonly CalendarEntry[], key: string, name: string): Promise<string> {
  const { createEvents } = await piece(() => import('ics'))
  const events = entries.map(({ from, to, title, lines, alarms }, i): EventAttributes => ({
    uid: `${key}-${i + 1}@paste-bench`,
    start: utc(from),
    startInputType: 'utc',
    startOutputType: 'utc',
    end: utc(Math.max(to, from + 60_000)),
    endInputType: 'utc',
    endOutputType: 'utc',
    title,
    description: lines.join('\n'),
    alarms: alarms.map((minutes) => ({
      action: 'display',
      description: title,
      trigger: { before: true, minutes },
    })),
    productId: 'paste-bench',
    calName: name,
  }))
  const { error, value } = createEvents(events)
  if (error || !value) throw error ?? new Error('The calendar file could not be written.')
  return value
}
