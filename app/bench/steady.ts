import { computed, type ComputedRef } from 'vue'

/** Whether two lists hold the same objects, one by one. */
export const sameParts = (was: readonly unknown[], is: readonly unknown[]): boolean =>
  was.length === is.length && was.every((one, i) => one === is[i])

/**
 * A value that stays the same object while its parts do: what follows it is not computed anew because something else
 * of the page changed.
 * @param parts what it is made of, compared one by one; left out, the value is a list of them itself
 */
export const steady = <T>(
  source: () => T,
  parts: (value: T) => readonly unknown[] = (value) => value as readonly unknown[],
): ComputedRef<T> =>
  computed<T>((before) => {
    const now = source()
    if (before === undefined) return now
    return sameParts(parts(before), parts(now)) ? before : now
  })
