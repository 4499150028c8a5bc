import { ref, watch } from 'vue'

const KEY = 'paste-bench alarms'
const kept = () => {
  try {
    return localStorage.getItem(KEY) === 'on'
  } catch {
    return false
  }
}

/** Whether this device sounds, vibrates and stays awake for what comes due; kept on it, off until it is asked for. */
export const alarmsWanted = ref(kept())
watch(alarmsWanted, (on) => {
  try {
    localStorage.setItem(KEY, on ? 'on' : 'off')
  } catch {
    // A browser that keeps nothing asks again next time.
  }
})
