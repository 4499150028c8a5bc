import { exposureRows, type ExposureKind } from '../knowledge/exposures'
import type { MaterialClass } from '../knowledge/materials'
import { testKinds, type CouponSize, type Sides, type TestId } from '../knowledge/testKinds'
import type { Brief } from '../records/joint'
import type { Arm, Exposure } from '../records/round'
import { limitFor } from './limitFor'

/** Whether each side bends, which decides how it can be peeled. */
export const sidesOf = (a: MaterialClass | null, b: MaterialClass | null): Sides => ({
  aBends: a?.flexible ?? null,
  bBends: b?.flexible ?? null,
})

const EDGE_MM = 25
/**
 * A test's usual sizes, with the thickness of the thinner side where the test asks for one; of an edge whose sheets are
 * not said, as thick as its glued face is wide.
 */
export function usualSize(brief: Brief, test: TestId): CouponSize {
  const size: CouponSize = { ...testKinds[test].sizes }
  const { widthMm, lengthMm } = brief
  const edge = brief.geometry === 'butt-edge' && widthMm !== null && lengthMm !== null
  const said = [brief.a.thicknessMm, brief.b.thicknessMm].filter((value) => value !== null)
  const thickness = said.length || !edge ? said : [Math.min(widthMm, lengthMm)]
  if (size.thicknessMm && thickness.length) size.thicknessMm = Math.min(...thickness)
  // An edge joint is pulled as an edge: its thickness across a strip of the usual width.
  if (brief.geometry === 'butt-edge' && size.areaMm2 && thickness.length)
    size.areaMm2 = Math.round(Math.min(...thickness) * EDGE_MM)
  return size
}

/** An arm with another size; a limit for which the coupon's size stands in follows it, and the maker's own stays. */
export function resized(arm: Arm, size: CouponSize, brief: Brief): Arm {
  const was = limitFor(brief, arm.test, arm.size)?.limit ?? null
  const now = limitFor(brief, arm.test, size)?.limit ?? null
  return { ...arm, size, passLimit: arm.passLimit === was ? now : arm.passLimit }
}

/** A proof load is the required load itself, times a factor: twice it is the usual one. */
export const PROOF_FACTOR = 2

/** An arm as a proof load: the required load hung on it, times a factor, which passes or not. */
export const proofArm = ({ id, exposure, ageS, passSetAt, lateChanges }: Arm): Arm => ({
  id,
  test: 'proof',
  exposure,
  size: { ...testKinds.proof.sizes },
  passLimit: PROOF_FACTOR,
  passSetAt,
  lateChanges,
  ...(ageS != null && { ageS }),
})

/**
 * An arm with its usual size and its pass limit.
 * @param now ms, when the limit was set
 */
export function newArm(brief: Brief, id: string, test: TestId, now: number, exposure: Exposure | null = null): Arm {
  const size = usualSize(brief, test)
  const passLimit = test === 'proof' ? PROOF_FACTOR : (limitFor(brief, test, size)?.limit ?? null)
  return {
    id,
    test,
    exposure,
    size,
    passLimit,
    passSetAt: passLimit === null ? null : now,
    lateChanges: [],
  }
}

/**
 * Another arm for a round: an id that is not in use, and, where the round has the same test already, its size and
 * limit, so that what an exposure does can be seen beside the dry pulls.
 */
export function anotherArm(
  arms: readonly Arm[],
  brief: Brief,
  test: TestId,
  now: number,
  exposure: Exposure | null,
): Arm {
  const used = arms.map(({ id }) => Number(id.slice(1)) || 0)
  const arm = newArm(brief, `a${Math.max(0, ...used) + 1}`, test, now, exposure)
  const like = arms.find((one) => one.test === test)
  if (!like) return arm
  return { ...arm, size: like.size, passLimit: like.passLimit, passSetAt: like.passLimit === null ? null : now }
}

/** What a coupon goes through, as the brief has it: its heat, its cold, its water. */
export const usualExposure = (kind: ExposureKind, brief: Brief): Exposure => ({
  kind,
  ...exposureRows[kind].usual(brief),
})
