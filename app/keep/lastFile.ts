/** When a bench was last kept in a file outside the browser, ms; 0 where that never was. */
const KEY = 'paste-bench-last-file'

function all(): Record<string, number> {
  try {
    return JSON.parse(localStorage.getItem(KEY) ?? '{}') as Record<string, number>
  } catch {
    return {}
  }
}
export const lastFileAt = (bench: string): number => Number(all()[bench]) || 0

export function noteFile(bench: string, at: number): void {
  try {
    localStorage.setItem(KEY, JSON.stringify({ ...all(), [bench]: at }))
  } catch {
    // Blocked storage: the file is there all the same, and is offered again.
  }
}

/** Quiet for so long, an evening is over, ms. */
export const EVENING_OVER = 30 * 60_000
/** Whether a bench file is worth offering: something was changed since the last one, and the work has paused. */
export const wantsFile = (lastChangeAt: number, fileAt: number, timersRun: boolean, now: number): boolean =>
  lastChangeAt > fileAt && !timersRun && now - lastChangeAt >= EVENING_OVER
