import { shallowReactive } from 'vue'
import { CodedError } from '../../core/errors'

/** Questions that no worker answered, each with the way to ask it again. The frame says so on every page. */
export const stalled = shallowReactive(new Set<() => void>())

const isSilence = (error: unknown): boolean => error instanceof CodedError && error.code === 'worker-gone'

/**
 * Notes a question whose worker was gone; any other fault belongs to its page.
 * @param again asks it anew
 * @returns whether it was that
 */
export function noteStalled(error: unknown, again: () => void): boolean {
  if (!isSilence(error)) return false
  stalled.add(again)
  return true
}

export const askStalledAgain = (): void => {
  const all = [...stalled]
  stalled.clear()
  all.forEach((again) => again())
}
