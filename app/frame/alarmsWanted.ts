import { computed } from 'vue'
import { keepSetting, setting } from '../storage/settings'

/** Whether this device sounds, vibrates and stays awake for what comes due; kept on it, off until it is asked for. */
export const alarmsWanted = computed({
  get: () => setting('alarms') ?? false,
  set: (on) => keepSetting('alarms', on),
})
