import type { EventAttributes } from 'ics'
import type { RoundToGlue } from '../../../core/schedule/round'
import type { Evening } from '../../../core/schedule/evening'
import { capital } from '../../look/figures'
import { labelsOf, taskWords, wordsOf } from './timetableWork'

/** Minutes before an evening at which it is called to mind; a pull a day before as well, so that nobody goes away. */
const BEFORE_MIN = 15
const DAY_MIN = 1440

const utc = (at: number): [number, number, number, number, number] => {
  const date = new Date(at)
  return [date.getUTCFullYear(), date.getUTCMonth() + 1, date.getUTCDate(), date.getUTCHours(), date.getUTCMinutes()]
}

/**
 * The evenings as a calendar file, each with its work and its alarms. Times are written in universal time, so that they
 * are right in whatever zone it is opened.
 * @param key what the evenings belong to: the same evening of the same round is the same entry when it is read in again
 */
export async function calendarFile(
  evenings: readonly Evening[],
  rounds: readonly RoundToGlue[],
  key: string,
  title: string,
): Promise<string> {
  const { createEvents } = await import('ics')
  const clock = (at: number) => new Date(at).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' })
  const events = evenings.map((evening, i): EventAttributes => {
    const words = capital(wordsOf(evening, rounds))
    const lines = evening.tasks.map(
      (task) => `${clock(task.from)} ${taskWords(task, rounds)}: ${labelsOf(task, rounds)}`,
    )
    const alarm = (minutes: number) => ({
      action: 'display' as const,
      description: `${title}: ${words}`,
      trigger: { before: true, minutes },
    })
    return {
      uid: `${key}-${i + 1}@paste-bench`,
      start: utc(evening.from),
      startInputType: 'utc',
      startOutputType: 'utc',
      end: utc(Math.max(evening.to, evening.from + 60_000)),
      endInputType: 'utc',
      endOutputType: 'utc',
      title: `${title}: ${words}`,
      description: lines.join('\n'),
      alarms: [alarm(BEFORE_MIN), ...(evening.pulled.length ? [alarm(DAY_MIN)] : [])],
      productId: 'paste-bench',
      calName: title,
    }
  })
  const { error, value } = createEvents(events)
  if (error || !value) throw error ?? new Error('The calendar file could not be written.')
  return value
}
