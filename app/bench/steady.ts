import { computed, type ComputedRef } from 'vue'

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
    const [was, is] = [parts(before), parts(now)]
    return was.length === is.length && is.every((one, i) => one === was[i]) ? before : now
  })
