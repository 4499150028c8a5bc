import { families, type Family } from '../knowledge/families'
import { faceTraits } from '../knowledge/vocabulary'
import type { MaterialClass } from '../knowledge/materials'
import { briefSchema, type Brief, type Side } from '../records/joint'
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

/** Words that are answered with yes or no, whatever they ask. */
const yesOrNo = Object.entries(briefSchema.shape)
  .filter(([, word]) => word.safeParse(true).success && word.safeParse(false).success)
  .map(([key]): [string, Answer[]] => [key, [put({ [key]: false }), put({ [key]: true })]])

/** Answers tried for each open word; the brief's other words stay as they are. */
const tries: Record<string, Answer[]> = {
  ...Object.fromEntries(yesOrNo),
  ...ofSide('a'),
  ...ofSide('b'),
  gapMm: [{ gapMm: 0 }, { gapMm: 0.3 }, { gapMm: 2 }].map(put),
  fit: [{ fit: 'close' as const }, { fit: 'rough' as const }].map(put),
  heatC: [{ heatC: 25 }, { heatC: 50 }, { heatC: 75 }].map(put),
  coldC: [{ coldC: 15 }, { coldC: -15 }].map(put),
  water: (['no', 'splash', 'wash', 'soak'] as const).map((water) => put({ water })),
  loads: [{ loads: ['shear' as const] }, { loads: ['peel' as const] }, { loads: ['flex' as const] }].map(put),
  weightKg: [{ weightKg: 0 }, { weightKg: 0.2 }, { weightKg: 5 }].map(put),
  flex: [{ flex: 'must-flex' as const }, { flex: 'must-be-stiff' as const }].map(put),
  air: [{ air: 'closed' as const }, { air: 'window' as const }].map(put),
  look: [{ look: 'hidden' as const }, { look: 'clear' as const }].map(put),
  later: [[], ['hot-wire' as const], ['paint' as const], ['sand' as const]].map((later) => put({ later })),
  users: [[], ['child' as const], ['sensitised' as const]].map((users) => put({ users })),
  life: [{ life: 'temporary' as const }, { life: 'years' as const }].map(put),
  readyH: [{ readyH: 0.5 }, { readyH: 6 }, { readyH: 72 }].map(put),
  handledH: [{ handledH: 0.1 }, { handledH: 0.5 }, { handledH: 24 }].map(put),
  repositionS: [{ repositionS: 0 }, { repositionS: 60 }].map(put),
  reach: [{ reach: 'both' as const }, { reach: 'one' as const }].map(put),
  geometry: [{ geometry: 'lap' as const }, { geometry: 'butt-edge' as const }].map(put),
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
