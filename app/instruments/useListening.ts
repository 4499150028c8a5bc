import { onBeforeUnmount, ref } from 'vue'
import { listenWith, type Ear } from './knock'

/** The microphone as a switch: off until it is asked for, and off again when its part goes. */
export function useListening(ear: () => Ear, heard: () => void) {
  const listening = ref(false)
  const trouble = ref('')
  let stop: (() => void) | null = null
  function quiet() {
    stop?.()
    stop = null
    listening.value = false
  }
  async function listen() {
    trouble.value = ''
    if (listening.value) return quiet()
    try {
      stop = await listenWith(ear(), heard)
      listening.value = true
    } catch (error) {
      trouble.value = (error as Error).message
    }
  }
  onBeforeUnmount(quiet)
  return { listening, trouble, listen, quiet }
}
