import { onBeforeUnmount, onMounted } from 'vue'

/** Every key of the app, what it does, and which press it hears. One place, so that none means two things. */
const plain = (event: KeyboardEvent) => !event.ctrlKey && !event.metaKey && !event.altKey
const isKey =
  (...keys: string[]) =>
  (event: KeyboardEvent) =>
    plain(event) && keys.includes(event.key.toLowerCase())
const undoKey = (event: KeyboardEvent) =>
  (event.ctrlKey || event.metaKey) && !event.altKey && event.key.toLowerCase() === 'z'
/** A button or link that has the focus takes Space for itself. */
const onControl = (event: KeyboardEvent) =>
  event.target instanceof Element && event.target.closest('button, a, summary, [role="button"]') !== null

export const keyTable = {
  station: { shown: '1 – 6', what: 'stations, in the order of work', hears: isKey('1', '2', '3', '4', '5', '6') },
  joint: { shown: '[ ]', what: 'previous and next joint', hears: isKey('[', ']') },
  step: {
    shown: 'Space',
    what: 'do the step that is shown (Glue)',
    hears: (event: KeyboardEvent) => plain(event) && event.code === 'Space' && !onControl(event),
  },
  log: { shown: 'L', what: 'log this pull (Break)', hears: isKey('l') },
  place: {
    shown: '← →',
    what: 'where it let go; then 1 – 9 for its tenths, 0 for all of it (Break)',
    hears: isKey('arrowleft', 'arrowright'),
  },
  why: { shown: 'W', what: 'why: to the panel and back', hears: isKey('w') },
  find: { shown: '/', what: 'find a joint, a coupon or a glue', hears: isKey('/') },
  undo: {
    shown: 'Ctrl Z',
    what: 'take the last edit back',
    hears: (event: KeyboardEvent) => undoKey(event) && !event.shiftKey,
  },
  redo: {
    shown: 'Ctrl Shift Z',
    what: 'do it again',
    hears: (event: KeyboardEvent) => undoKey(event) && event.shiftKey,
  },
  help: { shown: '?', what: 'this list', hears: isKey('?') },
} as const
export type KeyId = keyof typeof keyTable

const runs = new Map<KeyId, (event: KeyboardEvent) => void>()

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))
/** A dialog, menu or sheet has the keys for itself. */
const isCovered = () => document.querySelector('.v-overlay--active') !== null

function hear(event: KeyboardEvent): void {
  if (event.defaultPrevented || isTyping(event.target) || isCovered()) return
  for (const [id, run] of runs)
    if (keyTable[id].hears(event)) {
      event.preventDefault()
      // A held key counts once.
      if (!event.repeat) run(event)
      return
    }
}

/**
 * Lets a key work while the component stands. No key works while something is typed or a dialog is open; a second
 * component that takes the same key takes it over until it goes.
 */
export function useKey(id: KeyId, run: (event: KeyboardEvent) => void): void {
  let before: ((event: KeyboardEvent) => void) | undefined
  onMounted(() => {
    if (runs.size === 0) window.addEventListener('keydown', hear)
    before = runs.get(id)
    runs.set(id, run)
  })
  onBeforeUnmount(() => {
    if (runs.get(id) === run) runs.delete(id)
    if (before) runs.set(id, before)
    if (runs.size === 0) window.removeEventListener('keydown', hear)
  })
}
