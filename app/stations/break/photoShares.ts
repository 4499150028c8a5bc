import type { ColourGroup } from '../../../core/photo/shares'
import { faceParts, faceShares, type FacePart, type FaceShares } from '../../../core/readings/painted'

/** What a colour of a photo is: a part of the broken face, or nothing of it. */
export const colourParts = ['offA', 'offB', 'glue', 'tornA', 'tornB', 'void', 'wet', 'beside'] as const
export type ColourPart = FacePart | 'beside'
export const partWords: Record<ColourPart, string> = {
  offA: 'bare A: it let go at A',
  offB: 'bare B, or its print in the glue: it let go at B',
  glue: 'glue on both sides: it broke in the glue',
  tornA: 'torn A on it',
  tornB: 'torn B on it',
  void: 'a void, or never wetted',
  wet: 'glue still wet',
  beside: 'nothing of the face',
}

/** Where it let go, from colours that were named; null where nothing of it is a place. */
export const sharesOf = (
  groups: readonly Pick<ColourGroup, 'share'>[],
  named: readonly (ColourPart | null)[],
): FaceShares | null =>
  faceShares(
    Object.fromEntries(
      faceParts.map((part) => [part, groups.reduce((sum, { share }, i) => sum + (named[i] === part ? share : 0), 0)]),
    ),
  )
