import type { Painted } from '../records/reading'
import { places, type Place } from './datum'

/** What a spot of a broken face is: where it let go, or why it says nothing about that. */
export const faceParts = [...places, 'void', 'wet'] as const
export type FacePart = (typeof faceParts)[number]

export interface FaceShares {
  /** %, together 100: of what let go somewhere; all 0 where it is wet everywhere */
  places: Record<Place, number>
  /** %, of the face */
  voids: number
  /** %, of the face */
  wet: number
}

/** Whole percentages that add up to 100 (largest remainders); all 0 where there is nothing. */
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
 * Where it let go, from how much of the face is what: voids and wet glue are told apart, the places are shares of the
 * rest (methods.md 2).
 * @param amounts in any one unit; what is left out counts 0
 * @returns null where nothing of the face is a place or wet
 */
export function faceShares(amounts: Partial<Record<FacePart, number>>): FaceShares | null {
  const of = (part: FacePart) => amounts[part] ?? 0
  const found = wholeShares(places.map(of))
  if (!found.some((one) => one > 0) && of('wet') === 0) return null
  const face = faceParts.reduce((sum, part) => sum + of(part), 0)
  return {
    places: Object.fromEntries(places.map((place, i) => [place, found[i]!])) as Record<Place, number>,
    voids: Math.round((100 * of('void')) / face),
    wet: Math.round((100 * of('wet')) / face),
  }
}

const letters: Record<FacePart, string> = {
  tornA: 'A',
  offA: 'a',
  glue: 'g',
  offB: 'b',
  tornB: 'B',
  void: 'v',
  wet: 'w',
}
const parts = new Map(faceParts.map((part) => [letters[part], part]))
const BARE = '.'

/** A face with nothing painted on it. */
export const blankFace = (columns: number, rows: number): Painted => ({
  columns,
  rows,
  cells: BARE.repeat(columns * rows),
})

/** What a cell was painted as; null: nothing. */
export const partAt = ({ columns, cells }: Painted, column: number, row: number): FacePart | null =>
  parts.get(cells[row * columns + column] ?? BARE) ?? null

const painted = (face: Painted, part: FacePart, which: ReadonlySet<number>): Painted => ({
  ...face,
  cells: [...face.cells].map((cell, i) => (which.has(i) ? letters[part] : cell)).join(''),
})

/**
 * A stroke of the brush: every cell whose middle is no further than the brush's radius from the line between two
 * points.
 * @param from,to in cells, (0, 0) the corner of the first
 * @param radius in cells
 */
export function stroke(
  face: Painted,
  part: FacePart,
  from: readonly [number, number],
  to: readonly [number, number],
  radius: number,
): Painted {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]]
  const long = dx * dx + dy * dy
  const which = new Set<number>()
  for (let row = 0; row < face.rows; row++)
    for (let column = 0; column < face.columns; column++) {
      const [px, py] = [column + 0.5 - from[0], row + 0.5 - from[1]]
      const along = long > 0 ? Math.min(1, Math.max(0, (px * dx + py * dy) / long)) : 0
      if (Math.hypot(px - along * dx, py - along * dy) <= radius) which.add(row * face.columns + column)
    }
  return painted(face, part, which)
}

/** Fills what hangs together with a cell and is painted as it is: side by side, not over corners. */
export function fill(face: Painted, part: FacePart, column: number, row: number): Painted {
  const start = row * face.columns + column
  const was = face.cells[start]
  if (was === undefined) return face
  const which = new Set([start])
  const open = [start]
  for (let at = open.pop(); at !== undefined; at = open.pop()) {
    const x = at % face.columns
    const next = [
      ...(x > 0 ? [at - 1] : []),
      ...(x < face.columns - 1 ? [at + 1] : []),
      at - face.columns,
      at + face.columns,
    ]
    for (const one of next)
      if (face.cells[one] === was && !which.has(one)) {
        which.add(one)
        open.push(one)
      }
  }
  return painted(face, part, which)
}

/** Shares of what was painted; null where no place and nothing wet was. What is bare says nothing. */
export function sharesOfPainted({ cells }: Painted): FaceShares | null {
  const amounts: Partial<Record<FacePart, number>> = {}
  for (const cell of cells) {
    const part = parts.get(cell)
    if (part) amounts[part] = (amounts[part] ?? 0) + 1
  }
  return faceShares(amounts)
}
