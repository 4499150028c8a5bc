import { testKinds, type CouponSize, type TestId } from '../knowledge/testKinds'
import type { ArmRead } from '../records/round'
import type { Side } from './bond'
import { asDeep, couponDepthMm } from './depth'
import { expectedN, expectedOf, partCarriesN, perNewton } from './expected'
import { OVERLAP, PART_SHARE, WIDTHS } from './plan'
import { readings, readsAtAll, readsWell, type Gauge } from './reading'

export interface CouponWish {
  test: TestId
  sides: readonly [Side, Side]
  /** families that are compared; one of unknown family foretells nothing */
  families: readonly string[]
  gauge: Gauge
  /** the usual size, which is kept where it serves */
  size: CouponSize
  /** depth to the air that the coupon should share with the joint, mm; null where the cure does not depend on it */
  depthMm: number | null
}

export interface DraftedCoupon {
  size: CouponSize
  read: ArmRead
  taped: boolean
  /** over all the families, from the weakest to the strongest piece, N; null where nothing is foretold */
  expectedN: [low: number, high: number] | null
  /** the load can be read from end to end */
  readable: boolean
  /** the bond gives way before either part */
  bondFirst: boolean
  asDeep: boolean
}

const ARMS = [50, 100, 150, 200, 300, 25, 15]
const SPANS = [80, 100, 120, 160, 200, 60, 40]
const DIAMETERS = [10, 8, 12, 16, 20, 25, 30, 6]
const RINGS = [20, 25, 30, 40]
/** Of a section that is twisted or snapped across its whole width. */
const BROAD = [20, 15, 25, 30, 40, 50]
const SPOTS = [20, 15, 12, 10, 25, 30, 8, 6, 5, 4]
const LAPS = [12, 10, 8, 6, 15, 20, 25, 5, 4, 3]

/** Sizes worth trying, the usual first. A thickness is the joint's own and stays. */
function sizesToTry(test: TestId, usual: CouponSize, depthMm: number | null): CouponSize[] {
  const { sizes } = testKinds[test]
  const with_ = (list: CouponSize[], key: keyof CouponSize, values: readonly number[]): CouponSize[] =>
    sizes[key] === undefined ? list : list.flatMap((one) => values.map((value) => ({ ...one, [key]: value })))
  const first = (value: number | null | undefined, list: readonly number[]) =>
    value == null ? list : [value, ...list.filter((one) => one !== value)]
  const laps = depthMm === null ? LAPS : [...LAPS, depthMm, 2 * depthMm].filter((mm) => mm >= OVERLAP.least)
  const spots = depthMm === null ? SPOTS : [...SPOTS, depthMm, 2 * depthMm]
  const widths = depthMm === null ? WIDTHS : [...WIDTHS, 2 * depthMm].filter((mm) => mm >= 8)
  const section = sizes.thicknessMm !== undefined
  const rings = sizes.innerDiameterMm !== undefined
  let list = with_([usual], 'widthMm', first(usual.widthMm, section ? BROAD : widths))
  list = with_(list, 'diameterMm', first(usual.diameterMm, rings ? RINGS : DIAMETERS))
  list = with_(list, 'overlapMm', first(usual.overlapMm, laps))
  if (sizes.areaMm2 !== undefined)
    list = with_(
      list,
      'areaMm2',
      first(
        usual.areaMm2,
        spots.map((mm) => mm * mm),
      ),
    )
  list = with_(list, 'armMm', first(usual.armMm, ARMS))
  return with_(list, 'spanMm', first(usual.spanMm, SPANS))
}

/**
 * A coupon that copies the joint: the bond its weak link, its load inside what can be read, as deep to the air where
 * the cure depends on it (methods.md, Coupon size). A smaller size goes before a lever, and a lever before weights or
 * water. Where nothing does all of it, what can be had counts in this order: read, deep, bond first.
 */
export function draftCoupon(wish: CouponWish): DraftedCoupon {
  const { test, depthMm, size } = wish
  const tapes = depthMm === null ? [false] : [false, true]
  const tries = sizesToTry(test, size, depthMm).flatMap((one) => tapes.map((taped) => ({ size: one, taped })))
  // How it is read changes neither load nor depth: each size is looked at once, and only as far as need be.
  const looked: Look[] = []
  let best: { made: DraftedCoupon; score: number } | null = null
  for (const read of readings)
    for (const [i, one] of tries.entries()) {
      const look = (looked[i] ??= lookAt(wish, one.size, one.taped))
      const made = readBy(look, read, wish.gauge)
      const score = scoreOf(made, wish)
      if (score === FULL) return made
      if (!best || score > best.score) best = { made, score }
    }
  return best!.made
}

const FULL = 15
function scoreOf(made: DraftedCoupon, { gauge }: CouponWish): number {
  const well = made.expectedN === null || inside(made.expectedN, readsWell(made.read, gauge))
  return (made.readable ? 8 : 0) + (made.asDeep ? 4 : 0) + (made.bondFirst ? 2 : 0) + (well ? 1 : 0)
}
const inside = ([low, high]: readonly [number, number], [from, to]: readonly [number, number]) =>
  low >= from && high <= to

/** What a coupon of one size, read one way, would show. */
export const judge = (wish: CouponWish, size: CouponSize, read: ArmRead, taped: boolean): DraftedCoupon =>
  readBy(lookAt(wish, size, taped), read, wish.gauge)

/** What a coupon shows however it is read. */
type Look = Omit<DraftedCoupon, 'read' | 'readable'>
const readBy = (look: Look, read: ArmRead, gauge: Gauge): DraftedCoupon => ({
  ...look,
  read,
  readable: look.expectedN === null || inside(look.expectedN, readsAtAll(read, gauge)),
})

function lookAt({ test, sides, families, depthMm }: CouponWish, size: CouponSize, taped: boolean): Look {
  const known = families.filter((id) => id !== 'unknown')
  const loads = known.flatMap((family) => {
    const load = expectedN(test, size, sides, family)
    return load ? [load] : []
  })
  return {
    size,
    taped,
    expectedN: loads.length
      ? [Math.min(...loads.map(([low]) => low)), Math.max(...loads.map(([, high]) => high))]
      : null,
    bondFirst: known.every((family) => tornBy(test, size, sides, family) === null),
    asDeep: depthMm === null || asDeep(couponDepthMm(test, size, taped), depthMm),
  }
}

/** Load at which a side of a coupon gives way, N: right beside the bond, or in its own section where that is less. */
export function givesWayN(
  test: TestId,
  size: CouponSize,
  sides: readonly [Side, Side],
  family: string,
  side: Side,
): number {
  const [expected, perN] = [expectedOf(test, sides, family), perNewton(test, size)]
  const beside = expected && perN ? expected.cap[side.name] / perN : Infinity
  return Math.min(beside, partCarriesN(test, size, side))
}

/** The side that is expected to give way before a strong bond of a family; null where the bond goes first. */
export function tornBy(test: TestId, size: CouponSize, sides: readonly [Side, Side], family: string): Side | null {
  const expected = expectedOf(test, sides, family)
  const perN = perNewton(test, size)
  if (!expected || !perN) return null
  const weak = sides.find(({ name }) => expected.cap[name] < expected.high)
  if (weak) return weak
  const high = expected.high / perN
  return sides.find((side) => high > PART_SHARE * partCarriesN(test, size, side)) ?? null
}
