import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { AlarmClock, alarmsOf, type Alarm } from './alarms'
import type { Timer } from './timers'

const START = Date.parse('2026-11-27T18:00:00')
const SECOND = 1000
const timer = (key: string, inS: number, lateS: number | null = null): Timer => ({
  key,
  label: `H1-${key}`,
  what: 'close',
  since: START - 60 * SECOND,
  at: START + inS * SECOND,
  lateAt: lateS === null ? null : START + lateS * SECOND,
  to: '/',
})

describe('what is called out', () => {
  it('is when a step may be done, and a minute before it is too late, where that is some time off', () => {
    const said = alarmsOf([timer('A1', 600, 1200), timer('A2', 60, 120), timer('A3', 30)])
    expect(said.map(({ at, text }) => [(at - START) / SECOND, text])).toEqual([
      [30, 'H1-A3: close now'],
      [60, 'H1-A2: close now'],
      [600, 'H1-A1: close now'],
      [1140, 'H1-A1: one minute left to close'],
    ])
  })

  it('is no step that may follow the one before it at once, but its last call is', () => {
    const said = alarmsOf([
      { ...timer('A1', 0, 600), since: START },
      { ...timer('A2', 0), since: START },
    ])
    expect(said.map(({ text }) => text)).toEqual(['H1-A1: one minute left to close'])
  })
})

describe('the clock that calls', () => {
  let heard: { at: number; keys: string[] }[] = []
  let clock: AlarmClock
  beforeEach(() => {
    vi.useFakeTimers({ now: START })
    heard = []
    clock = new AlarmClock(Date.now, (due: readonly Alarm[]) =>
      heard.push({ at: (Date.now() - START) / SECOND, keys: due.map(({ text }) => text.slice(3, 5)) }),
    )
  })
  afterEach(() => {
    clock.stop()
    vi.useRealTimers()
  })

  it('calls each within a second of its time, over an evening of twelve pieces', () => {
    const timers = Array.from({ length: 12 }, (_, i) => timer(`B${i}`, 37 * (i + 1)))
    clock.set(alarmsOf(timers))
    vi.advanceTimersByTime(600 * SECOND)
    expect(heard).toHaveLength(12)
    heard.forEach(({ at }, i) => expect(Math.abs(at - 37 * (i + 1))).toBeLessThan(1))
  })

  it('calls once for what came due while the machine slept for an hour', () => {
    clock.set(alarmsOf([timer('A1', 600), timer('A2', 1800), timer('A3', 4000)]))
    // Asleep: time goes on, timers do not.
    vi.setSystemTime(START + 3600 * SECOND)
    clock.look()
    expect(heard).toEqual([{ at: 3600, keys: ['A1', 'A2'] }])
    vi.advanceTimersByTime(401 * SECOND)
    expect(heard.slice(1)).toEqual([{ at: 4000, keys: ['A3'] }])
  })

  it('calls nothing twice when the clock is set back, nothing of before it was opened, and what is new in time', () => {
    clock.set(alarmsOf([timer('A0', -60), timer('A1', 10)]))
    vi.advanceTimersByTime(11 * SECOND)
    vi.setSystemTime(START)
    clock.look()
    vi.advanceTimersByTime(12 * SECOND)
    expect(heard.map(({ keys }) => keys)).toEqual([['A1']])
    clock.set(alarmsOf([timer('A1', 10), timer('A2', 30)]))
    vi.advanceTimersByTime(30 * SECOND)
    expect(heard.map(({ keys }) => keys)).toEqual([['A1'], ['A2']])
  })

  it('keeps a wait of two months, longer than a timer of the browser counts', () => {
    clock.set(alarmsOf([timer('A1', 60 * 86_400)]))
    vi.advanceTimersByTime(60 * 86_400 * SECOND - 1000)
    expect(heard).toEqual([])
    vi.advanceTimersByTime(1000)
    expect(heard).toHaveLength(1)
  })
})
