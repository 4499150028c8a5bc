import { MaxRectsPacker, type IOption } from 'maxrects-packer'
import { positive } from '../quantities/require'

/** A sheet or offcut to cut from; its grain, if any, runs along its height. */
export interface Sheet {
  widthMm: number
  heightMm: number
  /** how many there are; null: as many as are needed (bought) */
  count: number | null
}

/** Pieces of one size. The grain of a piece runs along its length. */
export interface Wanted {
  widthMm: number
  lengthMm: number
  count: number
}

interface Placed {
  xMm: number
  yMm: number
  widthMm: number
  heightMm: number
  /** turned by 90°: only where the grain does not matter */
  turned: boolean
}
export interface NestedSheet {
  widthMm: number
  heightMm: number
  pieces: Placed[]
}
export interface Nesting {
  sheets: NestedSheet[]
  /** pieces that fit no sheet, or for which there are not sheets enough */
  left: number
  /** share of the sheets' area that is no piece, 0…1 */
  waste: number
}

/**
 * The packer's names for how it takes a place: by the area that is left, or by the edge. They are not to be had in
 * every form it is shipped in.
 */
const LOGIC = { area: 0, edge: 1 }

/** The packer's own settings, all of which are tried; the one with the least sheet area wins. */
export const settings: IOption[] = [LOGIC.area, LOGIC.edge].map((logic) => ({
  smart: false,
  pot: false,
  square: false,
  logic,
}))

interface Rect {
  x: number
  y: number
  width: number
  height: number
  rot?: boolean
}

/** Packs pieces into sheets of one size with one setting. Pieces too large for it come back as left. */
export function packed(
  wanted: readonly Wanted[],
  sheet: Pick<Sheet, 'widthMm' | 'heightMm'>,
  kerfMm: number,
  grain: boolean,
  option: IOption,
): { sheets: NestedSheet[]; left: Wanted[] } {
  const turns = (one: Wanted) => !grain && one.widthMm <= sheet.heightMm && one.lengthMm <= sheet.widthMm
  const fits = (one: Wanted) => (one.widthMm <= sheet.widthMm && one.lengthMm <= sheet.heightMm) || turns(one)
  const packer = new MaxRectsPacker<Rect>(sheet.widthMm, sheet.heightMm, kerfMm, {
    ...option,
    allowRotation: !grain,
    border: 0,
  })
  packer.addArray(
    wanted
      .filter(fits)
      .flatMap((one) =>
        Array.from({ length: one.count }, (): Rect => ({ x: 0, y: 0, width: one.widthMm, height: one.lengthMm })),
      ),
  )
  const sheets = packer.bins.map((bin): NestedSheet => ({
    widthMm: sheet.widthMm,
    heightMm: sheet.heightMm,
    // A plain rectangle keeps its own width and height and bears a mark that it lies on its side.
    pieces: bin.rects.map(({ x, y, width, height, rot }) => ({
      xMm: x,
      yMm: y,
      widthMm: rot ? height : width,
      heightMm: rot ? width : height,
      turned: rot === true,
    })),
  }))
  return { sheets, left: wanted.filter((one) => !fits(one)) }
}

const area = (sheets: readonly NestedSheet[]) =>
  sheets.reduce((sum, { widthMm, heightMm }) => sum + widthMm * heightMm, 0)
const used = ({ pieces }: NestedSheet) => pieces.reduce((sum, { widthMm, heightMm }) => sum + widthMm * heightMm, 0)
const countOf = (list: readonly Wanted[]) => list.reduce((sum, { count }) => sum + count, 0)

/** The best packing over all settings: most pieces placed, then the least sheet area, then the fullest first sheet. */
function best(wanted: readonly Wanted[], sheet: Sheet, kerfMm: number, grain: boolean) {
  const all = settings.map((option) => packed(wanted, sheet, kerfMm, grain, option))
  return all.reduce((x, y) =>
    area(y.sheets) < area(x.sheets) ||
    (area(y.sheets) === area(x.sheets) &&
      used(y.sheets[0] ?? { pieces: [], widthMm: 0, heightMm: 0 }) >
        used(x.sheets[0] ?? { pieces: [], widthMm: 0, heightMm: 0 }))
      ? y
      : x,
  )
}

/** What of the wanted pieces stands on these sheets, taken off the list. */
function without(wanted: readonly Wanted[], sheets: readonly NestedSheet[]): Wanted[] {
  const rest = wanted.map((one) => ({ ...one }))
  for (const piece of sheets.flatMap(({ pieces }) => pieces)) {
    const like = rest.find(
      (one) =>
        one.count > 0 &&
        ((one.widthMm === piece.widthMm && one.lengthMm === piece.heightMm) ||
          (one.widthMm === piece.heightMm && one.lengthMm === piece.widthMm)),
    )
    if (like) like.count--
  }
  return rest.filter(({ count }) => count > 0)
}

/**
 * Nests pieces on the maker's own offcuts, the fullest first, and on bought sheets for the rest (methods.md 5).
 * @param wanted pieces with spares
 * @param sheets own offcuts (with a count) and at most one kind of bought sheet (count null)
 * @param kerfMm width of the cut: kept free between pieces
 * @param grain pieces must not be turned (textile, paper, wood, prints by their layers)
 * @throws CodedError not-positive
 */
export function nest(wanted: readonly Wanted[], sheets: readonly Sheet[], kerfMm: number, grain: boolean): Nesting {
  for (const sheet of sheets) {
    positive(sheet.widthMm, 'sheets.widthMm', 'The width of the offcut', 'the cut list')
    positive(sheet.heightMm, 'sheets.heightMm', 'The height of the offcut', 'the cut list')
  }
  let rest: Wanted[] = wanted.filter(({ count }) => count > 0)
  const done: NestedSheet[] = []
  const own = sheets.filter(({ count }) => count !== null).map((sheet) => ({ ...sheet, count: sheet.count! }))
  while (rest.length && own.some(({ count }) => count > 0)) {
    const tries = own
      .filter(({ count }) => count > 0)
      .map((sheet) => ({ sheet, first: best(rest, sheet, kerfMm, grain).sheets[0] }))
    const share = (one: (typeof tries)[number]) =>
      one.first ? used(one.first) / (one.sheet.widthMm * one.sheet.heightMm) : 0
    const fullest = tries.reduce((x, y) => (share(y) > share(x) ? y : x))
    if (!fullest.first || share(fullest) === 0) break
    done.push(fullest.first)
    fullest.sheet.count--
    rest = without(rest, [fullest.first])
  }
  const bought = sheets.find(({ count }) => count === null)
  if (rest.length && bought) {
    const more = best(rest, bought, kerfMm, grain)
    done.push(...more.sheets)
    rest = without(rest, more.sheets)
  }
  const total = area(done)
  return {
    sheets: done,
    left: countOf(rest),
    waste: total === 0 ? 0 : 1 - done.reduce((sum, sheet) => sum + used(sheet), 0) / total,
  }
}
