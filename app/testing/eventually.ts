import { flushPromises } from '@vue/test-utils'
import { vi } from 'vitest'

/** How long a loaded machine may take before a test calls it wrong, ms: below the limit of a whole test. */
const PATIENCE = 60_000

/**
 * Waits until something holds: what a worker, the browser's database or a page drawn in parts brings later.
 * @param check what throws as long as it does not hold; it may wait itself
 * @returns what the check returned at last
 * @throws what it threw last, after PATIENCE
 */
export const eventually = <T>(check: () => T | Promise<T>): Promise<T> =>
  vi.waitFor(
    async () => {
      await flushPromises()
      return check()
    },
    { timeout: PATIENCE },
  )
