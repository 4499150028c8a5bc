/** One page of a drawing printed at true size: which part of the sheet it shows, mm. */
export interface Tile {
  xMm: number
  yMm: number
  widthMm: number
  heightMm: number
  /** “2 of 6” on the page, and its row and column for putting the pages together */
  row: number
  column: number
}

/** What is printed of an A4 page with margins of 10 mm that every printer keeps. */
export const PAGE = { widthMm: 190, heightMm: 262 }
/** Pages overlap by this much, so that they can be taped together on their marks. */
export const OVERLAP_MM = 8

const starts = (total: number, page: number): number[] => {
  if (total <= page) return [0]
  const step = page - OVERLAP_MM
  return Array.from({ length: Math.ceil((total - OVERLAP_MM) / step) }, (_, i) => i * step)
}

/** Cuts a sheet into pages, row by row; a sheet that fits one page is one tile. */
export function tilesOf(widthMm: number, heightMm: number, page = PAGE): Tile[] {
  return starts(heightMm, page.heightMm).flatMap((yMm, row) =>
    starts(widthMm, page.widthMm).map((xMm, column) => ({
      xMm,
      yMm,
      widthMm: Math.min(page.widthMm, widthMm - xMm),
      heightMm: Math.min(page.heightMm, heightMm - yMm),
      row,
      column,
    })),
  )
}

/** Plain sheets of labels: what stands on a page. */
export interface LabelSheet {
  id: string
  name: string
  columns: number
  rows: number
  widthMm: number
  heightMm: number
  leftMm: number
  topMm: number
  gapXMm: number
  gapYMm: number
}

/** Common sizes by what they are, on A4; each can be changed. */
export const labelSheets: LabelSheet[] = [
  {
    id: 'strips',
    name: 'strips to cut, 95 × 18 mm',
    columns: 2,
    rows: 14,
    widthMm: 95,
    heightMm: 18,
    leftMm: 10,
    topMm: 18,
    gapXMm: 0,
    gapYMm: 0,
  },
  {
    id: '21',
    name: '21 on a page, 63.5 × 38.1 mm',
    columns: 3,
    rows: 7,
    widthMm: 63.5,
    heightMm: 38.1,
    leftMm: 7.2,
    topMm: 15.1,
    gapXMm: 2.5,
    gapYMm: 0,
  },
  {
    id: '65',
    name: '65 on a page, 38.1 × 21.2 mm',
    columns: 5,
    rows: 13,
    widthMm: 38.1,
    heightMm: 21.2,
    leftMm: 4.7,
    topMm: 10.7,
    gapXMm: 2.5,
    gapYMm: 0,
  },
]

/** How many labels a page of a sheet holds. */
export const labelPlaces = ({ columns, rows }: LabelSheet): number => Math.max(1, columns * rows)

/** Labels laid on pages: where each of a page stands, mm from its corner. */
export function labelPages<T>(labels: readonly T[], sheet: LabelSheet): { label: T; xMm: number; yMm: number }[][] {
  const each = labelPlaces(sheet)
  return Array.from({ length: Math.ceil(labels.length / each) }, (_, page) =>
    labels.slice(page * each, (page + 1) * each).map((label, i) => ({
      label,
      xMm: sheet.leftMm + (i % sheet.columns) * (sheet.widthMm + sheet.gapXMm),
      yMm: sheet.topMm + Math.floor(i / sheet.columns) * (sheet.heightMm + sheet.gapYMm),
    })),
  )
}
