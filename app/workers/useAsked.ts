import { onScopeDispose, ref, shallowRef, watch, type Ref, type ShallowRef } from 'vue'
import type { AskOptions } from './client'
import { noteStalled, stalled } from './stalled'

/** What the worker makes of something that changes. */
export interface Asked<R> {
  /** the last answer, or the best so far while it runs; null before the first, and where there is nothing to ask */
  answer: ShallowRef<R | null>
  /** 0…1 while it runs, else null */
  progress: Ref<number | null>
  /** what went wrong, null when nothing did */
  fault: ShallowRef<unknown>
  /** asks again with the same input */
  again: () => void
  cancel: () => void
}

/**
 * Asks the worker whenever its input changes; what is out of date is cancelled, and its answer never shown.
 * @param input what to ask with, or null for nothing; a new object is a new question
 */
export function useAsked<I, R>(input: () => I | null, ask: (input: I, options: AskOptions) => Promise<R>): Asked<R> {
  const answer = shallowRef<R | null>(null)
  const progress = ref<number | null>(null)
  const fault = shallowRef<unknown>(null)
  let running: AbortController | null = null

  const anew = () => void run(input())

  async function run(question: I | null) {
    stalled.delete(anew)
    running?.abort()
    fault.value = null
    progress.value = null
    if (question === null) return void (answer.value = null)
    const mine = (running = new AbortController())
    progress.value = 0
    try {
      const onProgress = (done: number, best?: unknown) => {
        progress.value = done
        if (best !== undefined) answer.value = best as R
      }
      const got = await ask(question, { signal: mine.signal, onProgress })
      if (mine.signal.aborted) return
      answer.value = got
    } catch (error) {
      if (mine.signal.aborted) return
      fault.value = error
      noteStalled(error, anew)
    }
    progress.value = null
  }
  function cancel() {
    running?.abort()
    progress.value = null
  }
  watch(input, run, { immediate: true })
  onScopeDispose(() => {
    stalled.delete(anew)
    running?.abort()
  })
  return { answer, progress, fault, again: anew, cancel }
}
