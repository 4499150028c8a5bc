import { ref, type Ref } from 'vue'
import { registerSW } from 'virtual:pwa-register'

/** How often a page that stays open asks whether there is a newer version, ms. */
const ASK_EVERY = 3_600_000

/** Installs what keeps the app open without a network. @returns whether a newer version waits, and what takes it */
export function watchVersion(): { waiting: Ref<boolean>; take: () => Promise<void> } {
  const waiting = ref(false)
  const take = registerSW({
    immediate: true,
    onNeedRefresh: () => (waiting.value = true),
    onRegisteredSW: (_url, registration) => {
      if (registration) setInterval(() => void registration.update().catch(() => {}), ASK_EVERY)
    },
    // A browser that allows none works as before, with a network.
    onRegisterError: () => {},
  })
  return { waiting, take: () => take(true) }
}
