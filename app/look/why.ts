import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import type { Tone } from './VerdictMark.vue'

/** What stands behind a figure or a verdict: shown in the Why panel. */
export interface Explanation {
  /** what is explained: "margin of the real joint" */
  about: string
  tone?: Tone
  word?: string
  /** said in sentences */
  lines: string[]
  /** the formula with the numbers in it, a line each; the last one is the result */
  formula?: string[]
  /** readings behind it */
  readings?: { label: string; value: string; note: string; tone?: Tone }[]
  /** the rule or the standard it rests on, its grade of advice, and its basis */
  source?: string[]
  /** what would settle or change it */
  change?: string[]
  /** cautions, when the step needs them */
  cautions?: string[]
}

/** What the Why panel shows. On a narrow screen it opens as a sheet when something is asked. */
export const useWhy = defineStore('why', () => {
  const shown = shallowRef<Explanation | null>(null)
  /** asked for by the maker, as against filled in by the page: opens the sheet on a phone */
  const open = ref(false)
  let asker: HTMLElement | null = null

  function ask(explanation: Explanation) {
    shown.value = explanation
    open.value = true
    asker = document.activeElement instanceof HTMLElement ? document.activeElement : null
  }
  /** What a page shows there as long as nothing is asked. */
  function suggest(explanation: Explanation | null) {
    if (!open.value) shown.value = explanation
  }
  function close() {
    open.value = false
    asker?.focus()
    asker = null
  }
  function reset() {
    open.value = false
    shown.value = null
  }
  return { shown, open, ask, suggest, close, reset }
})
