import { describe, expect, it } from 'vitest'
import { paintedSchema } from '../records/reading'
import { blankFace, faceParts, fill, partAt, sharesOfPainted, stroke, wholeShares } from './painted'

describe('a painted face', () => {
  it('shares its painted cells out: bare ones say nothing, voids and wet glue stand beside', () => {
    let face = blankFace(10, 10)
    expect(sharesOfPainted(face)).toBeNull()
    expect(sharesOfPainted(fill(face, 'void', 0, 0))).toBeNull()
    expect(sharesOfPainted(fill(face, 'wet', 0, 0))).toMatchObject({ places: { glue: 0 }, wet: 100 })
    face = fill(face, 'offA', 0, 0)
    expect(sharesOfPainted(face)).toMatchObject({ places: { offA: 100 }, voids: 0, wet: 0 })
    // Two columns and a half of a third, by hand: 25 cells of 100.
    face = stroke(face, 'tornB', [0.5, 0], [0.5, 10], 0.1)
    face = stroke(face, 'tornB', [1.5, 0], [1.5, 10], 0.1)
    face = stroke(face, 'void', [2.5, 0], [2.5, 5], 0.1)
    expect(sharesOfPainted(face)).toEqual({
      // 20 torn and 75 off A, of 95
      places: { tornA: 0, offA: 79, glue: 0, offB: 0, tornB: 21 },
      voids: 5,
      wet: 0,
    })
  })

  it('is kept as it stands, whatever is on it, and nothing else is', () => {
    const all = faceParts.reduce(
      (face, part, i) => stroke(face, part, [i + 0.5, 0.5], [i + 0.5, 0.5], 0.1),
      blankFace(8, 1),
    )
    expect(new Set(all.cells).size).toBe(8)
    expect(paintedSchema.safeParse(all).success).toBe(true)
    expect(paintedSchema.safeParse({ ...all, cells: all.cells.replace('.', 'x') }).success).toBe(false)
    expect(paintedSchema.safeParse({ ...all, columns: 9 }).success).toBe(false)
  })

  it('takes a round brush along a line: its area is that of a disc and of a rectangle', () => {
    const count = (cells: string) => [...cells].filter((cell) => cell === 'g').length
    const disc = stroke(blankFace(200, 200), 'glue', [100, 100], [100, 100], 40)
    expect(count(disc.cells) / (Math.PI * 40 ** 2)).toBeCloseTo(1, 2)
    const bar = stroke(blankFace(200, 200), 'glue', [50, 50], [130, 110], 20)
    // 100 long, 40 wide, with a half disc at both ends
    expect(count(bar.cells) / (100 * 40 + Math.PI * 20 ** 2)).toBeCloseTo(1, 2)
    expect(partAt(bar, 90, 80)).toBe('glue')
    expect(partAt(bar, 10, 10)).toBeNull()
  })

  it('fills only what hangs together, not over a corner, a row’s end or the edge', () => {
    let face = blankFace(5, 4)
    face = stroke(face, 'glue', [2.5, 0], [2.5, 4], 0.1)
    face = fill(face, 'offB', 4, 0)
    expect(face.cells).toBe(['..gbb', '..gbb', '..gbb', '..gbb'].join(''))
    // a diagonal wall lets nothing through at its corners
    let diagonal = blankFace(4, 4)
    for (let i = 0; i < 4; i++) diagonal = stroke(diagonal, 'wet', [i + 0.5, i + 0.5], [i + 0.5, i + 0.5], 0.1)
    expect(fill(diagonal, 'tornA', 3, 0).cells).toBe('wAAA.wAA..wA...w')
    expect(fill(face, 'offA', 9, 9)).toEqual(face)
  })

  it('rounds to whole percent that add up to 100', () => {
    expect(wholeShares([1, 1, 1])).toEqual([34, 33, 33])
    expect(wholeShares([0, 0])).toEqual([0, 0])
    for (let n = 1; n < 40; n++) {
      const shares = wholeShares([n, 7, 13, 2 * n])
      expect(shares.reduce((one, other) => one + other, 0)).toBe(100)
    }
  })
})
