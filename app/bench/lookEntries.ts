import { armWords } from '../../core/planning/arms'
import { waitingArms } from '../../core/planning/lookAgain'
import { BEFORE_MIN, DAY_MIN, type CalendarEntry } from './calendarText'
import type { JointView } from './jointView'

/** As long as a look at exposed coupons takes, ms: half an hour. */
const LOOK_MS = 30 * 60_000

/** Coupons that come back from a long exposure, as entries of a calendar: the day on which they are asked for. */
export const lookEntries = (views: readonly JointView[]): CalendarEntry[] =>
  views.flatMap(({ joint, round, coupons, procedures, readings }) =>
    round
      ? waitingArms(round, coupons, procedures, readings).map(({ arm, dueAt }) => ({
          from: dueAt,
          to: dueAt + LOOK_MS,
          title: `${joint.code} ${joint.name}: ${armWords(arm)}`,
          lines: [
            `Pull or count ${coupons
              .filter((one) => one.arm === arm.id)
              .map(({ label }) => label)
              .join(', ')}`,
          ],
          alarms: [BEFORE_MIN, DAY_MIN],
        }))
      : [],
  )
