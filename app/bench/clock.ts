import { computed, onScopeDispose, readonly, ref, type Ref } from 'vue'

/** The one place where the app reads the time; the core takes it as an argument. */
export const now = (): number => Date.now()

const current = ref(now())
let users = 0
let timer: ReturnType<typeof setInterval> | undefined
const tick = () => (current.value = now())

/** The time for a stamp; what is shown is brought up to it, so that no stamp lies in the future of the screen. */
export function stampNow(): number {
  tick()
  return current.value
}

/** The time, in ms, once a second while someone looks; set at once when a sleeping laptop or tab wakes. */
export function useNow(): Readonly<Ref<number>> {
  tick()
  if (users++ === 0) {
    timer = setInterval(tick, 1000)
    document.addEventListener('visibilitychange', tick)
  }
  onScopeDispose(() => {
    if (--users > 0) return
    clearInterval(timer)
    document.removeEventListener('visibilitychange', tick)
  })
  return readonly(current)
}

/**
 * The time to the minute: for what is said in days and minutes ("cured since yesterday"). From tick to tick nothing
 * that follows it is computed anew.
 */
export function useMinute(): Readonly<Ref<number>> {
  const second = useNow()
  return computed(() => Math.floor(second.value / 60_000) * 60_000)
}
