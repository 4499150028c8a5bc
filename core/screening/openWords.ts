import * as z from 'zod/mini'
import { families, type Family } from '../knowledge/families'
import { faceTraits } from '../knowledge/vocabulary'
import type { MaterialClass } from '../knowledge/materials'
import { briefWords } from '../records/briefWords'
import type { Brief, Side } from '../records/joint'
import { screen, type Verdict } from './screen'
import { situationOf, type Around } from '../situation/situation'

/** A word left open, and which glues would be judged otherwise depending on it. */
export interface OpenWord {
  key: string
  families: number
  /** families that its answers move between suits, careful and ruled out */
  moved: string[]
}

const side =
  (which: 'a' | 'b', patch: (said: Side) => Partial<Side>) =>
  (brief: Brief): Partial<Brief> => ({ [which]: { ...brief[which], ...patch(brief[which]) } })
const put = (patch: Partial<Brief>) => () => patch
type Answer = (brief: Brief) => Partial<Brief>

const ofSide = (which: 'a' | 'b'): Record<string, Answer[]> => ({
  [`${which}.state`]: [null, 'sanded', 'glazed', 'greasy', 'painted-acrylic', 'damp'].map((state) =>
    side(which, () => ({ state: (state ?? 'clean') as Side['state'] })),
  ),
  [`${which}.thicknessMm`]: [0.3, 1.2, 6].map((thicknessMm) => side(which, () => ({ thicknessMm }))),
  [`${which}.traits`]: [[], ...faceTraits.map((trait) => [trait])].map((traits) => side(which, () => ({ traits }))),
})

/** Answers of each word as a whole: its own, or yes and no where it is a question of those. */
const ofWords = Object.entries(briefWords).flatMap(([key, { schema, tries: own }]): [string, Answer[]][] => {
  const yesOrNo = z.safeParse(schema, true).success && z.safeParse(schema, false).success
  const values: readonly unknown[] = own ?? (yesOrNo ? [false, true] : [])
  return values.length ? [[key, values.map((value) => put({ [key]: value }))]] : []
})

/** Answers tried for each open word; the brief's other words stay as they are. */
const tries: Record<string, Answer[]> = {
  ...Object.fromEntries(ofWords),
  ...ofSide('a'),
  ...ofSide('b'),
  // A size says more than a width.
  widthMm: [put({ widthMm: 10, lengthMm: 10 }), put({ widthMm: 200, lengthMm: 200 })],
}

const isOpen = (brief: Brief, key: string): boolean => {
  const [which, word] = key.split('.') as [string, string | undefined]
  // A word that an older bench does not have is open too.
  return ((word ? brief[which as 'a' | 'b'][word as keyof Side] : brief[key as keyof Brief]) ?? null) === null
}

/** What was counted last, by all that it follows from: a name that changes, or an undo, asks the same again. */
const counted = new Map<string, OpenWord[]>()
const MOST_COUNTED = 32

/** Open words by how many families their answer would move, the most first; words that move none are left out. */
export function openWordsByEffect(
  brief: Brief,
  a: MaterialClass | null,
  b: MaterialClass | null,
  among: readonly Family[] = families,
  around: Around = {},
): OpenWord[] {
  const key = JSON.stringify([brief, a?.id, b?.id, among.map(({ id }) => id), around])
  let words = counted.get(key)
  if (!words) {
    if (counted.size >= MOST_COUNTED) counted.clear()
    counted.set(key, (words = count(brief, a, b, among, around)))
  }
  return words
}

function count(
  brief: Brief,
  a: MaterialClass | null,
  b: MaterialClass | null,
  among: readonly Family[],
  around: Around,
): OpenWord[] {
  const judge = (answered: Brief, family: Family): Verdict =>
    screen(situationOf(answered, a, b, family, around)).verdict
  return Object.entries(tries)
    .filter(([key]) => isOpen(brief, key))
    .map(([key, answers]) => {
      const briefs = answers.map((answer) => ({ ...brief, ...answer(brief) }))
      const moved = among.filter((family) => new Set(briefs.map((answered) => judge(answered, family))).size > 1)
      return { key, families: moved.length, moved: moved.map(({ id }) => id) }
    })
    .filter((word) => word.families > 0)
    .sort((x, y) => y.families - x.families || x.key.localeCompare(y.key))
}
