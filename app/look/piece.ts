import { defineAsyncComponent, h, shallowRef, type AsyncComponentLoader, type Component } from 'vue'
import { CodedError } from '../../core/errors'
import { sayError } from '../../core/messages'

/** A part of the app that has not come by then is taken for lost, ms. */
const PIECE_MS = 5000

/** Something that a page waits for is being fetched again. */
export const fetchedAgain = shallowRef(false)
let waiting = 0

function inTime<T>(work: Promise<T>): Promise<T> {
  let timer: ReturnType<typeof setTimeout>
  const late = new Promise<never>((_, reject) => {
    timer = setTimeout(() => reject(new Error('it did not come in time')), PIECE_MS)
  })
  return Promise.race([work, late]).finally(() => clearTimeout(timer))
}

let count = 0

/** A style sheet that did not come, put on the page anew. */
function styleAgain(href: string): Promise<void> {
  const link = Object.assign(document.createElement('link'), { rel: 'stylesheet', href: `${href}?again=${++count}` })
  return new Promise((resolve, reject) => {
    link.onload = () => resolve()
    link.onerror = () => reject(new Error('the style sheet did not come'))
    document.head.append(link)
  })
}

/**
 * The same part by another address: a browser remembers that an address failed, and does not ask for it again. The
 * error names it; what does not is asked for as before.
 */
async function again<T>(load: () => Promise<T>, error: unknown): Promise<T> {
  const words = error instanceof Error ? error.message : ''
  const style = /Unable to preload CSS for (\S+)/.exec(words)?.[1]
  if (style) await styleAgain(style)
  const script = /(https?:\/\/\S+\/assets\/[\w.-]+\.js)/.exec(words)?.[1]
  if (!script || new URL(script).origin !== location.origin) return load()
  const module: unknown = await import(/* @vite-ignore */ `${script}?again=${++count}`)
  // A page or part is the default of its own file; what lies in a file with others cannot be told apart there.
  return typeof module === 'object' && module !== null && 'default' in module ? (module as T) : load()
}

/**
 * Fetches a part of the app: what fails, or hangs, is fetched again once.
 * @param load imports one module
 * @throws CodedError piece-missing
 */
export async function piece<T>(load: () => Promise<T>): Promise<T> {
  waiting += 1
  try {
    return await inTime(load())
  } catch (error) {
    fetchedAgain.value = true
    try {
      return await inTime(again(load, error))
    } catch {
      throw new CodedError('piece-missing', '')
    }
  } finally {
    waiting -= 1
    if (waiting === 0) fetchedAgain.value = false
  }
}

const Missing: Component = () =>
  h('p', { role: 'alert', class: 'problem' }, sayError(new CodedError('piece-missing', '')))

/** A part that is loaded when it is first shown; where it does not come, it says so in its place. */
export const lazyPart = (load: AsyncComponentLoader<Component>) =>
  defineAsyncComponent<Component>({ loader: () => piece(load as () => Promise<Component>), errorComponent: Missing })
