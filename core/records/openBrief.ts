import { briefWordKeys, type BriefWord } from './briefWords'
import type { Brief, Side } from './joint'

const openSide = (): Side => ({ material: null, thicknessMm: null, state: null, traits: null })

/** A brief with every word still open. */
export const openBrief = (): Brief => ({
  a: openSide(),
  b: openSide(),
  ...(Object.fromEntries(briefWordKeys.map((key) => [key, null])) as Pick<Record<BriefWord, null>, BriefWord>),
})

/** The next free code with the build's letter: H1, H2, … */
export function nextJointCode(codes: readonly string[], letter = 'J'): string {
  const first = codes[0]?.[0] ?? letter
  const highest = codes.reduce((max, code) => Math.max(max, Number(code.slice(1)) || 0), 0)
  return `${first}${highest + 1}`
}
