import type { Timer } from './timers'

/** Something that is called out at a time: a piece that may be closed, one that must be closed within the minute. */
export interface Alarm {
  key: string
  at: number
  text: string
}

/** What must be done by a time is called out so long before it, ms. */
const LAST_CALL_MS = 60_000
/** A wait shorter than this needs no last call of its own, ms. */
const SHORT_MS = 120_000
/** A timer in the browser counts no further than this; longer ones are set again, ms. */
const LONGEST_TIMER_MS = 2_000_000_000

/** All that will be called out, soonest first: ends of waits, and last calls. What may be done at once is no wait. */
export function alarmsOf(timers: readonly Timer[]): Alarm[] {
  return timers
    .flatMap(({ key, label, what, since, at, lateAt }): Alarm[] => [
      ...(at > since ? [{ key: `${key} ${at}`, at, text: `${label}: ${what} now` }] : []),
      ...(lateAt !== null && lateAt - at >= SHORT_MS
        ? [{ key: `${key} ${lateAt}`, at: lateAt - LAST_CALL_MS, text: `${label}: one minute left to ${what}` }]
        : []),
    ])
    .sort((x, y) => x.at - y.at)
}

/**
 * Calls out each alarm at its time, and once for what came due while the machine slept. The time is asked anew whenever
 * it wakes, so that a clock that was changed or stood still moves nothing.
 * @param now the time, ms
 * @param call what came due, soonest first
 */
export class AlarmClock {
  private alarms: readonly Alarm[] = []
  private timer: ReturnType<typeof setTimeout> | undefined
  /** all up to here was called out */
  private until: number

  constructor(
    private readonly now: () => number,
    private readonly call: (due: readonly Alarm[]) => void,
  ) {
    this.until = now()
  }

  set(alarms: readonly Alarm[]): void {
    this.alarms = alarms
    this.look()
  }

  /** After a sleep, or when the page comes back: what is due is called out now. */
  look(): void {
    clearTimeout(this.timer)
    const now = this.now()
    // A clock that was set back: what was called out is not called out again.
    const due = this.alarms.filter(({ at }) => at > this.until && at <= now)
    this.until = Math.max(this.until, now)
    if (due.length) this.call(due)
    const next = this.alarms.find(({ at }) => at > this.until)
    if (next) this.timer = setTimeout(() => this.look(), Math.min(LONGEST_TIMER_MS, Math.max(0, next.at - now)))
  }

  stop(): void {
    clearTimeout(this.timer)
  }
}
