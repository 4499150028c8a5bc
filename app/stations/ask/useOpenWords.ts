import { onScopeDispose, shallowRef, watch, type ShallowRef } from 'vue'
import type { OpenWord } from '../../../core/screening/openWords'
import type { Setting } from '../../../core/screening/shortlist'
import { benchWorker } from '../../workers/client'
import { noteStalled, stalled } from '../../workers/stalled'

const SETTLE_MS = 150

/** Open words by effect, counted in the worker a moment after the sentence rests; what is out of date is cancelled. */
export function useOpenWords(setting: () => Setting): ShallowRef<OpenWord[]> {
  const words = shallowRef<OpenWord[]>([])
  let timer: ReturnType<typeof setTimeout> | undefined
  let stop: AbortController | null = null
  const anew = () => void ask(setting())
  const ask = async ({ brief, a, b, room }: Setting) => {
    stop = new AbortController()
    const { signal } = stop
    try {
      words.value = await benchWorker().openWords({ brief, a: a?.id ?? null, b: b?.id ?? null, room }, { signal })
    } catch (error) {
      // Advice about the sentence, no part of the bench: when it cannot be had, none is shown.
      if (signal.aborted) return
      words.value = []
      noteStalled(error, anew)
    }
  }
  const drop = () => {
    stalled.delete(anew)
    clearTimeout(timer)
    stop?.abort()
  }
  watch(
    setting,
    (now) => {
      drop()
      timer = setTimeout(() => void ask(now), SETTLE_MS)
    },
    { immediate: true },
  )
  onScopeDispose(drop)
  return words
}
