import type { Family } from '../../knowledge/families'
import type { CouponSize, TestId } from '../../knowledge/testKinds'
import type { Brief } from '../../records/joint'
import type { Procedure } from '../../records/procedure'
import type { Factor } from './factors'
import { alongSeam, openingMm } from '../../loads/requirement'
import { marginOf, type Margin } from './margin'

/** The margin that a joint is made for where nothing else is said (methods.md 9). */
export const WANTED_TIMES = 3
/** Sizes are looked for up to so many times what the brief says, and down to so small a part of it. */
const [MOST, LEAST] = [50, 0.02]

/** The joint made larger or smaller along one side. */
interface OtherSize {
  /** which side of the bonded face is changed */
  side: 'length' | 'width'
  mm: number
  /** of the brief */
  nowMm: number
  /** it holds so many times the said load: light handling grows with the size, and is met once */
  times: number
  /** it holds what it must, light handling too */
  held: boolean
}

/** What would win a stronger joint, all else as it was tested. */
export interface Wins {
  /** the size for the wanted margin, to the whole millimetre above; null where no size gives it */
  sized: OtherSize | null
  /** twice the overlap; null where its length changes nothing */
  doubled: OtherSize | null
  /** what a fixing of another kind would have to carry by itself for the wanted margin, N; 0: none is needed */
  fixingN: number
  /** another procedure of the round that differs by its coats alone, and how many times its weak joint holds */
  coats: { procedure: string; coats: number; times: number } | null
  /** how many coats it has, where it is laid wet and could have more; 0: it is not laid in coats */
  nowCoats: number
}

interface MarginInput {
  brief: Brief
  test: TestId
  weakLow: number
  tested: CouponSize
  family: Family
  /** what the surroundings leave, whatever its size */
  factors: readonly Factor[]
}

const marginAt = ({ brief, test, weakLow, tested, family, factors }: MarginInput, patch: Partial<Brief>) =>
  marginOf({ ...brief, ...patch }, test, weakLow, tested, family, factors)

const overLoad = ({ holdsN, loadN }: Margin): number => holdsN / loadN

const sides = { length: 'lengthMm', width: 'widthMm' } as const

/** A joint with one side changed to so many mm; null where nothing follows from it. */
function sizedTo(input: MarginInput, side: OtherSize['side'], mm: number): OtherSize | null {
  const margin = marginAt(input, { [sides[side]]: mm })
  return margin && { side, mm, nowMm: input.brief[sides[side]]!, times: overLoad(margin), held: margin.times >= 1 }
}

/** Which sides change what the joint holds: its length first, as makers lengthen an overlap before they widen it. */
function sidesThatCount(input: MarginInput, now: Margin): OtherSize['side'][] {
  return (['length', 'width'] as const).filter((side) => {
    const mm = input.brief[sides[side]]
    // Of a seam the narrow side is how thick its parts are, which no maker changes for the glue.
    if (mm === null || (alongSeam(input.brief) && mm !== openingMm(input.brief))) return false
    const [smaller, larger] = [sizedTo(input, side, mm / 2), sizedTo(input, side, mm * 2)]
    // Beyond its cap a longer overlap wins nothing, and a shorter one may still do.
    return (larger && larger.times > overLoad(now) * 1.001) || (smaller && smaller.times < overLoad(now) * 0.999)
  })
}

/** The smallest whole millimetre at which the margin is met, by halving: it only rises with the size. */
function sizeFor(input: MarginInput, side: OtherSize['side'], wanted: number): OtherSize | null {
  const now = input.brief[sides[side]]!
  const meets = (mm: number) => {
    const one = sizedTo(input, side, mm)
    return one !== null && one.held && one.times >= wanted - 1e-9
  }
  // A seam is as long as its parts are: it may be made longer, with a tongue or a strip behind it.
  const least = alongSeam(input.brief) ? now : now * LEAST
  let [low, high] = [Math.max(1, Math.floor(least)), Math.ceil(now * MOST)]
  if (!meets(high)) return null
  if (meets(low)) return sizedTo(input, side, low)
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2)
    if (meets(middle)) high = middle
    else low = middle
  }
  return sizedTo(input, side, high)
}

/** Everything that a procedure is, but its coats, its name and the times that go with them. */
const sameButCoats = (x: Procedure, y: Procedure): boolean =>
  x.family === y.family &&
  x.adhesive === y.adhesive &&
  x.coats !== y.coats &&
  x.spreadGm2 === y.spreadGm2 &&
  JSON.stringify([x.helpers, x.second ?? null, x.dilution, x.blend]) ===
    JSON.stringify([y.helpers, y.second ?? null, y.dilution, y.blend])

/**
 * What a longer overlap, another size, a fixing or more coats would win (methods.md 9).
 * @param weakLows of the procedures that were pulled in the same test, lower bound of the weak joint
 * @returns null where there is no margin to win on
 */
export function winsOf(
  input: MarginInput,
  procedure: Procedure,
  others: readonly Procedure[],
  weakLows: Readonly<Record<string, number>>,
  wanted = WANTED_TIMES,
): Wins | null {
  const now = marginAt(input, {})
  if (!now) return null
  const open = sidesThatCount(input, now)
  const found = open.map((side) => sizeFor(input, side, wanted)).find((one) => one !== null) ?? null
  const length = input.brief.lengthMm
  const more = others
    .filter((one) => one.coats > procedure.coats && sameButCoats(one, procedure) && weakLows[one.id] !== undefined)
    .sort((x, y) => x.coats - y.coats)[0]
  return {
    sized: found,
    doubled: length !== null && open.includes('length') ? sizedTo(input, 'length', 2 * length) : null,
    fixingN: Math.max(0, wanted * now.loadN - now.holdsN),
    nowCoats: ['pressure', 'weld', 'melt'].includes(input.family.mechanism) ? 0 : procedure.coats,
    coats: more ? { procedure: more.id, coats: more.coats, times: weakLows[more.id]! / input.weakLow } : null,
  }
}
