import { shallowRef } from 'vue'
import type { Clash } from '../../core/records/merge'

/** What the maker says about fields that were changed elsewhere while a form was open. */
export type ClashAnswer = 'mine' | 'theirs' | 'back'

export interface OpenClash {
  /** what was being done, in words */
  label: string
  clashes: readonly Clash[]
  answer: (answer: ClashAnswer) => void
}

/** The one question that is open; ClashDialog shows it. */
export const openClash = shallowRef<OpenClash | null>(null)

export const askAboutClash = (label: string, clashes: readonly Clash[]): Promise<ClashAnswer> =>
  new Promise((resolve) => {
    openClash.value = {
      label,
      clashes,
      answer: (answer) => {
        openClash.value = null
        resolve(answer)
      },
    }
  })
