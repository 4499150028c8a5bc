import { describe, expect, it } from 'vitest'
import { labelPages, labelSheets, OVERLAP_MM, PAGE, tilesOf } from './tiles'

describe('a sheet over several pages', () => {
  it('is one page where it fits, and covered without a gap where it does not', () => {
    expect(tilesOf(190, 262)).toHaveLength(1)
    for (const [width, height] of [
      [191, 100],
      [600, 400],
      [1000, 1500],
    ] as const) {
      const tiles = tilesOf(width, height)
      for (const x of [0, 1, 100, width / 2, width - 1, width])
        for (const y of [0, height / 3, height])
          expect(
            tiles.some((t) => x >= t.xMm && x <= t.xMm + t.widthMm && y >= t.yMm && y <= t.yMm + t.heightMm),
            `${x} ${y}`,
          ).toBe(true)
      for (const t of tiles)
        expect([t.widthMm <= PAGE.widthMm, t.heightMm <= PAGE.heightMm, t.widthMm > 0, t.heightMm > 0]).toEqual([
          true,
          true,
          true,
          true,
        ])
      const [first, second] = tiles
      expect(second!.xMm).toBe(first!.xMm + PAGE.widthMm - OVERLAP_MM)
    }
  })
})

describe('labels on a page', () => {
  it('lie in their grid, on as many pages as it takes, inside A4', () => {
    for (const sheet of labelSheets) {
      const count = sheet.columns * sheet.rows + 1
      const pages = labelPages([...Array(count).keys()], sheet)
      expect(pages.map((page) => page.length)).toEqual([count - 1, 1])
      for (const { xMm, yMm } of pages[0]!) {
        expect(xMm + sheet.widthMm).toBeLessThanOrEqual(210.5)
        expect(yMm + sheet.heightMm).toBeLessThanOrEqual(297)
      }
    }
    expect(labelPages([], labelSheets[0]!)).toEqual([])
  })
})
