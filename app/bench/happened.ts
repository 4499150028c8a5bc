import { CodedError } from '../../core/errors'

/** A fault, or a page that was opened. */
export interface Happening {
  at: number
  what: 'page' | 'fault'
  text: string
}

const KEPT = 60
const happened: Happening[] = []

const note = (what: Happening['what'], text: string, at: number): void => {
  happened.push({ at, what, text })
  if (happened.length > KEPT) happened.shift()
}
/** Newest first. */
export const allThatHappened = (): readonly Happening[] => [...happened].reverse()

export const notePage = (name: string, at: number): void => note('page', name, at)

/** Errors of the browser and of the app; another name may be anybody's text. */
const KNOWN_NAME = /^(CodedError|CellsGone|DOMException|\w{3,20}Error)$/
/** What an engine says by itself, without the names that it puts into it. */
const OWN_SENTENCES = [
  /^Cannot (read|set) properties of (undefined|null)/,
  / (is not a function|is not defined|is not iterable|is not a constructor)\b/,
  /^(Maximum call stack size exceeded|Invalid (string|array) length|Failed to fetch|Script error)/,
  /^(Assignment to constant variable|Failed to fetch dynamically imported module)/,
]

/** A message may hold a file's name or what somebody wrote: only what the engine says by itself is told. */
function sentenceOf(error: Error): string {
  if (error instanceof CodedError) return error.code
  return OWN_SENTENCES.flatMap((one) => one.exec(error.message)?.[0].trim() ?? []).at(0) ?? ''
}

/** Where in the app something went wrong: names of its functions and places in its files, no address. */
function placeOf({ stack = '', message }: Error): string {
  // What the message says may look like a place.
  const lines = (message ? stack.split(message).join('') : stack).split('\n').slice(0, 10)
  const frame = /^\s*(?:at )?(?:async )?([\w$.<>]{0,60})[ @(]*[^\s()]*\/(assets\/[\w.-]+\.m?js):(\d+):(\d+)\)?$/
  return lines
    .flatMap((line) => {
      const found = frame.exec(line)
      return found ? [`${found[1] || 'somewhere'} (${found[2]}:${found[3]}:${found[4]})`] : []
    })
    .join(' | ')
}

export function noteFault(error: unknown, at: number): void {
  const name = error instanceof Error && KNOWN_NAME.test(error.name) ? error.name : 'Error'
  const words = error instanceof Error ? [name, sentenceOf(error), placeOf(error)] : ['something that is no error']
  note('fault', words.filter(Boolean).join(': ').slice(0, 1200), at)
}
