import { computed, ref, watchEffect } from 'vue'
import { keepSetting, setting } from '../storage/settings'

export type Appearance = 'light' | 'dark' | 'as the system'

/** Light, dark, or what the system says; kept in this browser. */
export const appearance = computed<Appearance>(() => setting('appearance') ?? 'as the system')
export const setAppearance = (value: Appearance): void => keepSetting('appearance', value)

const system = window.matchMedia('(prefers-color-scheme: dark)')
const systemIsDark = ref(system.matches)
system.addEventListener('change', () => (systemIsDark.value = system.matches))
watchEffect(
  () => {
    const dark = appearance.value === 'dark' || (appearance.value === 'as the system' && systemIsDark.value)
    document.documentElement.dataset['theme'] = dark ? 'dark' : 'light'
  },
  { flush: 'sync' },
)
