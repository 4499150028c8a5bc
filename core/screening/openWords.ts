import { families, type Family } from '../knowledge/families'
import type { MaterialClass } from '../knowledge/materials'
import type { Brief } from '../records/joint'
import { screen } from './screen'
import { situationOf } from './situation'

/** A word left open, and how many glues would be judged otherwise depending on it. */
export interface OpenWord {
  key: string
  families: number
}

/** Answers tried for each open word; the brief's other words stay as they are. */
const tries: Record<string, Partial<Brief>[]> = {
  gapMm: [{ gapMm: 0 }, { gapMm: 0.3 }, { gapMm: 2 }],
  heatC: [{ heatC: 25 }, { heatC: 50 }, { heatC: 75 }],
  coldC: [{ coldC: 15 }, { coldC: -15 }],
  water: [{ water: 'no' }, { water: 'splash' }, { water: 'wash' }, { water: 'soak' }],
  loads: [{ loads: ['shear'] }, { loads: ['peel'] }, { loads: ['flex'] }],
  air: [{ air: 'closed' }, { air: 'window' }],
  look: [{ look: 'hidden' }, { look: 'clear' }],
  later: [{ later: [] }, { later: ['hot-wire'] }, { later: ['paint'] }],
  users: [{ users: [] }, { users: ['child'] }, { users: ['sensitised'] }],
  life: [{ life: 'temporary' }, { life: 'years' }],
  widthMm: [
    { widthMm: 10, lengthMm: 10 },
    { widthMm: 200, lengthMm: 200 },
  ],
}

const isOpen = (brief: Brief, key: string) => brief[key as keyof Brief] === null

/** Open words by how many families their answer would move, the most first; words that move none are left out. */
export function openWordsByEffect(
  brief: Brief,
  a: MaterialClass | null,
  b: MaterialClass | null,
  among: readonly Family[] = families,
): OpenWord[] {
  return Object.entries(tries)
    .filter(([key]) => isOpen(brief, key))
    .map(([key, answers]) => {
      const moved = among.filter((family) => {
        const verdicts = answers.map((answer) => screen(situationOf({ ...brief, ...answer }, a, b, family)).verdict)
        return new Set(verdicts).size > 1
      })
      return { key, families: moved.length }
    })
    .filter((word) => word.families > 0)
    .sort((x, y) => y.families - x.families || x.key.localeCompare(y.key))
}
