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

/** Where in the app something went wrong: names of functions and places in its files, no address. */
const placeOf = (stack: string): string =>
  stack
    .split('\n')
    .slice(0, 8)
    .map((line) =>
      line
        .trim()
        .replace(/https?:\/\/[^/\s]+/g, '')
        .replace(/[?#][^\s):]*/g, ''),
    )
    .filter((line) => line.startsWith('at ') || line.includes('@'))
    .join(' | ')

export function noteFault(error: unknown, at: number): void {
  const words = error instanceof Error ? `${error.name}: ${error.message} ${placeOf(error.stack ?? '')}` : String(error)
  note('fault', words.slice(0, 1200), at)
}
