import type { LoadMode } from '../vocabulary'
import { bend, drop, flex, layFlat, proof } from './counted'
import { edgePull, edgeShear } from './edge'
import { looks, spot, work } from './graded'
import type { Counting, Formula, Grading, TestKind } from './kind'
import { trims } from './lost'
import { cleavage, pagePull, peel180, peel90, tPeel } from './peel'
import { lapShear } from './shear'
import { snapRect, snapRound } from './snap'
import { tension } from './straightPull'
import { torsionRect, torsionRing, torsionRound } from './twist'

export { sizeNames } from './sizes'
export type { CouponSize, Counting, Formula, Grading, Reads, SizeKey, StrengthUnit, TestKind } from './kind'

/** What a coupon can be put through, by the id that stands in a bench file. */
const kinds = {
  'lap-shear': lapShear,
  tension,
  't-peel': tPeel,
  'peel-180': peel180,
  'peel-90': peel90,
  cleavage,
  'torsion-round': torsionRound,
  'torsion-ring': torsionRing,
  'torsion-rect': torsionRect,
  'snap-rect': snapRect,
  'snap-round': snapRound,
  bend,
  flex,
  drop,
  proof,
  'page-pull': pagePull,
  'lay-flat': layFlat,
  spot,
  work,
  looks,
  trims,
  'edge-pull': edgePull,
  'edge-shear': edgeShear,
}
export type TestId = keyof typeof kinds
export const testIds = Object.keys(kinds) as [TestId, ...TestId[]]
type FormulaOf<Kind> = Kind extends TestKind<infer Id> ? Id : never
/** Contract ids of the formulas that make a strength of a load. */
export type ForceTest = FormulaOf<(typeof kinds)[TestId]>
export const testKinds: Readonly<Record<TestId, TestKind<ForceTest>>> = kinds

/** The formula behind a test; null where what is counted or seen is the result itself. */
export function formulaOf(test: TestId): Formula<ForceTest> | null {
  const { reads } = testKinds[test]
  return reads.by === 'load' ? reads.formula : null
}

/** What is graded in a test that is looked at or worked on; null for any other. */
export function gradingOf(test: TestId): Grading | null {
  const { reads } = testKinds[test]
  return reads.by === 'grades' ? reads.grading : null
}

/** What is counted in a counted test; null for any other. */
export function countingOf(test: TestId): Counting | null {
  const { reads } = testKinds[test]
  return reads.by === 'count' ? reads.counting : null
}

/** Whether a test counts what is lost of many small things, before and after. */
export const countsLosses = (test: TestId): boolean => testKinds[test].reads.by === 'losses'

/** Every formula once, by its contract id. */
export const formulas = new Map(
  testIds.flatMap((test) => {
    const formula = formulaOf(test)
    return formula ? [[formula.id, formula] as const] : []
  }),
)
export const forceTests = [...formulas.keys()] as [ForceTest, ...ForceTest[]]

/** Whether each side bends; null where its material is open. */
export interface Sides {
  aBends: boolean | null
  bBends: boolean | null
}

/**
 * The peel that two sides allow, the usual one first: two arms that bend, one on a stiff part, or none, which is prised
 * open.
 */
function peels({ aBends, bBends }: Sides): TestId[] {
  if (aBends === false && bBends === false) return ['cleavage']
  if (aBends === false || bBends === false) return ['peel-90', 'peel-180']
  return ['t-peel', 'peel-180', 'peel-90']
}

/** Tests that answer a load of the brief on these sides, the usual one first; lap shear when nothing is known. */
export function testsFor(loads: readonly LoadMode[], sides: Sides = { aBends: null, bBends: null }): TestId[] {
  const fitting = loads.flatMap((load) =>
    load === 'peel' ? peels(sides) : testIds.filter((id) => testKinds[id].loads.includes(load)),
  )
  return fitting.length ? [...new Set(fitting)] : ['lap-shear']
}
