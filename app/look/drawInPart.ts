import { computed, ref, type ComputedRef, type Ref } from 'vue'

/**
 * A long list drawn in part: so many first, the rest when it is asked for.
 * @param most how many are drawn without being asked for
 * @returns shown: what is drawn; rest: how many are not
 */
export function useDrawnInPart<T>(
  all: () => readonly T[],
  most: number,
): { shown: ComputedRef<readonly T[]>; rest: ComputedRef<number>; whole: Ref<boolean> } {
  const whole = ref(false)
  const shown = computed(() => (whole.value ? all() : all().slice(0, most)))
  return { shown, rest: computed(() => all().length - shown.value.length), whole }
}

/** At most so many of a list, evenly out of it, first and last among them. */
export function evenly<T>(all: readonly T[], most: number): T[] {
  if (all.length <= most) return [...all]
  return Array.from({ length: most }, (_, i) => all[Math.round((i * (all.length - 1)) / (most - 1))]!)
}
