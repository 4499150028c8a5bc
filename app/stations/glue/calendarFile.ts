import type { RoundToGlue } from '../../../core/schedule/round'
import type { Evening } from '../../../core/schedule/evening'
import { BEFORE_MIN, calendarText, DAY_MIN, type CalendarEntry } from '../../bench/calendarText'
import { capital } from '../../look/figures'
import { clockTime } from '../../look/times'
import { labelsOf, taskWords, wordsOf } from './timetableWork'

/** The evenings of rounds as a calendar file, each with its work, and the days on which exposed coupons come back. */
export function calendarFile(
  evenings: readonly Evening[],
  rounds: readonly RoundToGlue[],
  key: string,
  title: string,
  /** what is to be looked at again besides */
  looks: readonly CalendarEntry[] = [],
): Promise<string> {
  const entries = evenings.map((evening): CalendarEntry => ({
    from: evening.from,
    to: evening.to,
    title: `${title}: ${capital(wordsOf(evening, rounds))}`,
    lines: evening.tasks.map((task) => `${clockTime(task.from)} ${taskWords(task, rounds)}: ${labelsOf(task, rounds)}`),
    alarms: evening.pulled.length ? [BEFORE_MIN, DAY_MIN] : [BEFORE_MIN],
  }))
  return calendarText([...entries, ...looks], key, title)
}
