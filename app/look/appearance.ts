import { ref } from 'vue'

export type Appearance = 'light' | 'dark' | 'as the system'
const KEY = 'paste-bench-look'
const dark = window.matchMedia('(prefers-color-scheme: dark)')

const stored = (): Appearance => {
  try {
    const value = localStorage.getItem(KEY)
    return value === 'light' || value === 'dark' ? value : 'as the system'
  } catch {
    return 'as the system'
  }
}

/** Light, dark, or what the system says; kept in this browser. */
export const appearance = ref<Appearance>(stored())
/** What is in force now: for drawings that need colours in numbers. */
const inDark = ref(false)

function apply() {
  inDark.value = appearance.value === 'dark' || (appearance.value === 'as the system' && dark.matches)
  document.documentElement.dataset['theme'] = inDark.value ? 'dark' : 'light'
}

export function setAppearance(value: Appearance) {
  appearance.value = value
  try {
    localStorage.setItem(KEY, value)
  } catch {
    // The choice lasts for this visit only.
  }
  apply()
}

dark.addEventListener('change', apply)
apply()
