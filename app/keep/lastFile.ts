import { keepSetting, setting } from '../storage/settings'

/** When a bench was last kept in a file outside the browser, ms; 0 where that never was. */
export const lastFileAt = (bench: string): number => Number(setting('lastFile')?.[bench]) || 0

export const noteFile = (bench: string, at: number): void =>
  keepSetting('lastFile', { ...setting('lastFile'), [bench]: at })

/** Quiet for so long, an evening is over, ms. */
export const EVENING_OVER = 30 * 60_000
/** Whether a bench file is worth offering: something was changed since the last one, and the work has paused. */
export const wantsFile = (lastChangeAt: number, fileAt: number, timersRun: boolean, now: number): boolean =>
  lastChangeAt > fileAt && !timersRun && now - lastChangeAt >= EVENING_OVER
