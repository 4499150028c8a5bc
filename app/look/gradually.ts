import { computed, inject, onUnmounted, ref, watch, type ComputedRef } from 'vue'
import { NEXT_FRAME } from './nextFrame'

/**
 * How many lines of a long list are drawn so far: `step` at once, as many more with each frame, so that drawing it
 * blocks no press.
 * @param total how many lines there are, asked anew whenever that changes
 * @param step how many a frame can take, at least 1
 */
export function useGradual(total: () => number, step: number): ComputedRef<number> {
  const nextFrame = inject(NEXT_FRAME, (run) => void requestAnimationFrame(run))
  const drawn = ref(step)
  let waits = false
  let gone = false
  onUnmounted(() => (gone = true))
  function more() {
    if (waits || gone || drawn.value >= total()) return
    waits = true
    nextFrame(() => {
      waits = false
      drawn.value += step
      more()
    })
  }
  more()
  // More than before are wanted: the next ones stand at once, where the keyboard goes on.
  watch(total, (now) => {
    if (drawn.value < now) drawn.value += step
    more()
  })
  return computed(() => Math.min(drawn.value, total()))
}
