import { nextTick } from 'vue'

/** Where a word of the sentence is drawn, by its key such as “heatC” and “a.state”; null where it has no place. */
export const placeOfWord = (key: string): HTMLElement | null =>
  document.querySelector<HTMLElement>(`.sentence [data-word="${CSS.escape(key)}"]`)

/** The open words that always stand in the sentence, in reading order. */
export const openBaseWords = (): string[] =>
  [...document.querySelectorAll<HTMLElement>('.sentence > p .word.open')].flatMap(
    ({ dataset }) => dataset['word'] ?? [],
  )

/** Opens a word with its answers, and the line that it is folded into. */
export async function openWord(key: string): Promise<void> {
  const word = placeOfWord(key)
  if (!word) return
  const fold = word.closest('details')
  if (fold && !fold.open) {
    fold.open = true
    await nextTick()
  }
  word.scrollIntoView({ block: 'center' })
  word.click()
}
