import { families } from './families'
import { materialClasses } from './materials'
import { rowsOfColumns } from './columns'
import differing from './differs.json'
import table from './names.json'

/** Something that can be found by what makers call it. */
export interface Named {
  id: string
  names: readonly string[]
}

/** What is no class of its own: taken for the nearest one, with what differs. */
interface Differs {
  id: string
  name: string
  differs: string
}
const nearest = rowsOfColumns<Differs>(differing as never)

const everyday = table as Readonly<Record<string, readonly string[]>>
const named = ({ id, name }: { id: string; name: string }): Named => ({
  id,
  names: [
    name,
    ...(everyday[id] ?? []),
    ...nearest.flatMap((one) => (one.id === id && !everyday[id]?.includes(one.name) ? one.name : [])),
    id.replace(/-/g, ' '),
  ],
})
/** Materials and families of the tables with their everyday names, US and British, none of a trade. */
export const namesOf = { material: materialClasses.map(named), glue: families.map(named) } as const
export type Findable = keyof typeof namesOf

/** Small letters, no accents, no apostrophes; hyphens and slashes part words. */
const plain = (text: string): string =>
  text
    .toLowerCase()
    .normalize('NFD')
    .replace(/[\u0300-\u036f’'`´]/g, '')
    .replace(/[^a-z0-9]+/g, ' ')
    .trim()

/** Whether one letter was left out, put in, changed, or two changed places. */
export function oneLetterOff(one: string, two: string): boolean {
  if (Math.abs(one.length - two.length) > 1) return false
  let at = 0
  while (at < one.length && one[at] === two[at]) at++
  const [restOne, restTwo] = [one.slice(at), two.slice(at)]
  if (restOne.slice(1) === restTwo.slice(1) || restOne.slice(1) === restTwo || restOne === restTwo.slice(1)) return true
  return restOne[0] === restTwo[1] && restOne[1] === restTwo[0] && restOne.slice(2) === restTwo.slice(2)
}
/** Shorter words misspelt are other words; with one letter changed, “pine” and “pane”, longer ones are too. */
const LEAST_MISSPELT = 4
const LEAST_CHANGED = 6
/** Beside another word that is known a short one may be misspelt too: “wod glue”. */
const LEAST_BESIDE = 3
function misspelt(typed: string, word: string, least = LEAST_MISSPELT): boolean {
  if (typed.length < least || !oneLetterOff(typed, word)) return false
  const sorted = (text: string) => [...text].sort().join('')
  return typed.length !== word.length || typed.length >= LEAST_CHANGED || sorted(typed) === sorted(word)
}
/** Shorter parts stand inside words that have nothing to do with them: “tin” in “coating”. */
const LEAST_INSIDE = 4
const like = (typed: string, word: string, least?: number) => word.startsWith(typed) || misspelt(typed, word, least)

/** How well a name answers what was typed: 0 not at all. */
function score(typed: string, name: string): number {
  if (name === typed) return 100
  const whole = ` ${name} `
  if (whole.startsWith(` ${typed} `)) return 90
  if (whole.includes(` ${typed} `)) return 85
  if (name.startsWith(typed)) return 80
  if (whole.includes(` ${typed}`)) return 75
  if (misspelt(typed, name)) return 70
  const [words, parts] = [name.split(' '), typed.split(' ')]
  const knownIn = (part: string) => words.some((word) => like(part, word, LEAST_BESIDE))
  if (parts.length > 1 && parts.every(knownIn)) return 65
  if (` ${typed} `.includes(whole)) return 60
  if (parts.length === 1 && words.some((word) => like(typed, word))) return 50
  if (typed.length >= LEAST_INSIDE && name.includes(typed)) return 45
  // Of several words most are known, the last as the head of the name.
  const known = parts.filter(knownIn).length
  return 2 * known > parts.length && like(parts.at(-1)!, words.at(-1)!) ? 20 + (10 * known) / parts.length : 0
}

/** From here on a name holds what was typed as words of it; less for what a longer name says beside it. */
const BY_WORD = 71

/**
 * What is called so, the best first: any part of a name, one letter misspelt too; of equal answers the one whose name
 * says least beside it.
 * @param among with the maker's own names put on top, where there are any
 */
export function find(text: string, among: readonly Named[], most = 10): string[] {
  const typed = plain(text)
  if (!typed) return []
  const found = among
    .map(({ id, names }, at) => {
      const scores = names.map((name) => {
        const known = plain(name)
        const value = score(typed, known)
        return value && value - Math.min(4, Math.abs(known.length - typed.length) / 10)
      })
      return { id, at, best: Math.max(0, ...scores) }
    })
    .filter(({ best }) => best > 0)
    .sort((x, y) => y.best - x.best || x.at - y.at)
  // Beside what is called so, word for word, what merely sounds like it is noise.
  const least = (found[0]?.best ?? 0) >= BY_WORD ? BY_WORD : 0
  return found
    .filter(({ best }) => best >= least)
    .slice(0, most)
    .map(({ id }) => id)
}

/** In what something that is no class of its own differs from the one it is taken for; null where it is that class. */
export function differsFrom(id: string, text: string): Pick<Differs, 'name' | 'differs'> | null {
  const typed = plain(text)
  if (typed.length < LEAST_MISSPELT) return null
  return nearest.find((one) => one.id === id && like(typed, plain(one.name))) ?? null
}
