import { called, thicknessOf } from '../../situation/about'
import type { Face, Situation } from '../../situation/situation'

/** A material’s name without what stands in brackets. */
const short = (face: Face): string => called(face).replace(/ \([^)]*\)/g, '')

/** A face as a step names it: “side A (solid wood)”; “side A” where its material is open. */
export const sideWords = (face: Face): string =>
  face.material ? `side ${face.side} (${short(face)})` : `side ${face.side}`

/** What a face is said to be before the work on it: “Side A, solid wood: ”. */
export const sideHead = (face: Face): string =>
  face.material ? `Side ${face.side}, ${short(face)}: ` : `Side ${face.side}: `

/** Materials on which wet glue strikes through or cockles: the other face takes it, where there is another. */
const SOFT_GROUPS: ReadonlySet<string> = new Set(['textile', 'paper'])

/**
 * The face that a glue for one face is laid on: never the one that its helper wets; hot glue on the face that stands
 * more heat; not on cloth or paper beside a firm part, lest it strikes through; else on the thicker piece, else on A.
 */
export function coatedFace(s: Situation): Face {
  const [a, b] = s.faces
  if (s.helpers.includes('activator')) return a
  if (s.family.form === 'melt') {
    const [x, y] = s.faces.map(({ material }) => material?.softensC ?? Infinity) as [number, number]
    if (x !== y) return x > y ? a : b
  }
  const soft = s.faces.map(({ material }) => material !== null && SOFT_GROUPS.has(material.group))
  if (soft[0] !== soft[1] && !s.family.traits.includes('fuses-sheet')) return soft[0] ? b : a
  const [x, y] = s.faces.map(thicknessOf)
  return x != null && y != null && y > x ? b : a
}
