import type { ColourGroup } from '../../../core/photo/shares'
import { places, type Place } from '../../../core/readings/datum'

/** What a colour of a broken face is. */
export const faceParts = ['offA', 'offB', 'glue', 'tornA', 'tornB', 'void', 'wet', 'beside'] as const
export type FacePart = (typeof faceParts)[number]
export const partWords: Record<FacePart, string> = {
  offA: 'bare A: it let go at A',
  offB: 'bare B, or its print in the glue: it let go at B',
  glue: 'glue on both sides: it broke in the glue',
  tornA: 'torn A on it',
  tornB: 'torn B on it',
  void: 'a void, or never wetted',
  wet: 'glue still wet',
  beside: 'nothing of the face',
}

export interface FaceShares {
  /** %, together 100 */
  places: Record<Place, number>
  /** %, of the face */
  voids: number
  /** %, of the face */
  wet: number
}

/** Whole percentages that add up to 100 (largest remainders). */
export function wholeShares(values: readonly number[]): number[] {
  const sum = values.reduce((one, other) => one + other, 0)
  if (!(sum > 0)) return values.map(() => 0)
  const exact = values.map((value) => (100 * value) / sum)
  const floors = exact.map(Math.floor)
  const left = 100 - floors.reduce((one, other) => one + other, 0)
  const order = exact.map((value, i) => ({ i, rest: value - floors[i]! })).sort((x, y) => y.rest - x.rest)
  order.slice(0, left).forEach(({ i }) => (floors[i]! += 1))
  return floors
}

/**
 * Where it let go, from colours that were named: what is beside the face drops out, voids and wet glue are told apart
 * and the places are shares of the rest. null where nothing of it is a place.
 */
export function sharesOf(
  groups: readonly Pick<ColourGroup, 'share'>[],
  named: readonly (FacePart | null)[],
): FaceShares | null {
  const of = (part: FacePart) => groups.reduce((sum, { share }, i) => sum + (named[i] === part ? share : 0), 0)
  const face = groups.reduce((sum, { share }, i) => sum + (named[i] && named[i] !== 'beside' ? share : 0), 0)
  const found = wholeShares(places.map((place) => of(place)))
  if (!found.some((one) => one > 0)) return null
  return {
    places: Object.fromEntries(places.map((place, i) => [place, found[i]!])) as Record<Place, number>,
    voids: Math.round((100 * of('void')) / face),
    wet: Math.round((100 * of('wet')) / face),
  }
}
