import { ref, type Ref } from 'vue'

/**
 * Work that is started by a press and runs once at a time: what is pressed while it runs is not heard.
 * @returns run, for the press, and busy, for the button
 */
export function useAct<A extends unknown[]>(
  work: (...args: A) => unknown,
): {
  run: (...args: A) => Promise<void>
  busy: Ref<boolean>
} {
  const busy = ref(false)
  async function run(...args: A): Promise<void> {
    if (busy.value) return
    busy.value = true
    try {
      await work(...args)
    } finally {
      busy.value = false
    }
  }
  return { run, busy }
}

const PRESSABLE = 'button, .v-btn, [type="submit"], a[href], [role="button"], summary'
const isBusy = (element: Element | null | undefined) => element?.getAttribute('aria-busy') === 'true'

/** what was pressed last: the write that it starts makes it busy */
let pressed: Element | null = null

/**
 * Marks the button that started a piece of work as busy until it is done; a busy button is not heard (guardPresses).
 */
export async function busyWhile<T>(work: Promise<T>): Promise<T> {
  const button = pressed
  button?.setAttribute('aria-busy', 'true')
  try {
    return await work
  } finally {
    button?.removeAttribute('aria-busy')
  }
}

let deafUntil = -Infinity

/**
 * Says that another tab's write has just come in: a press within a person's reaction time was aimed at what stood there
 * before.
 * @param reaction ms
 */
export function movedOn(reaction: number): void {
  deafUntil = performance.now() + reaction
}

/** Whether a press now was aimed at what stood there before another tab's write came in. */
export const isTooSoon = (): boolean => performance.now() < deafUntil

/**
 * A double press and a held key count once, everywhere: the second click of a double click is dropped, a key that
 * repeats on a button or in a form's field too, and so is any press on a button that is busy. Parts that are meant to
 * be pressed fast (plus and minus, nothing of which is written) bear `data-fast`. Just after another tab wrote, no
 * button of the work surface is heard: what stands under the finger may be another step, piece or row by then.
 */
export function guardPresses(root: Document = document): () => void {
  const elementOf = (event: Event) => (event.target instanceof Element ? event.target : null)
  function onClick(event: MouseEvent) {
    const button = elementOf(event)?.closest(PRESSABLE)
    if (!button) return
    const moved = isTooSoon() && !button.matches('a') && button.closest('#work') && !button.closest('[data-fast]')
    if (moved) return stop(event)
    if (isBusy(button) || (event.detail > 1 && !button.closest('[data-fast]'))) return stop(event)
    pressed = button
  }
  function onSubmit(event: SubmitEvent) {
    if (isBusy(event.submitter)) return stop(event)
    pressed = event.submitter ?? pressed
  }
  function onKey(event: KeyboardEvent) {
    if (!event.repeat || (event.key !== 'Enter' && event.key !== ' ')) return
    const at = elementOf(event)
    const submits = event.key === 'Enter' && at instanceof HTMLInputElement
    if (submits || (at?.closest(PRESSABLE) && !at.closest('[data-fast]'))) stop(event)
  }
  const stop = (event: Event) => {
    event.preventDefault()
    event.stopImmediatePropagation()
  }
  root.addEventListener('click', onClick, true)
  root.addEventListener('submit', onSubmit, true)
  root.addEventListener('keydown', onKey, true)
  return () => {
    root.removeEventListener('click', onClick, true)
    root.removeEventListener('submit', onSubmit, true)
    root.removeEventListener('keydown', onKey, true)
  }
}
