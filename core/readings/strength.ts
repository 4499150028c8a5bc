import { CodedError } from '../errors'
import { formulas, forceTests, type CouponSize, type ForceTest, type StrengthUnit } from '../knowledge/testKinds'

const formulaBy = (test: ForceTest) => {
  const formula = formulas.get(test)
  if (!formula) throw new CodedError('not-one-of', 'test', { got: String(test), known: forceTests.join(', ') })
  return formula
}

export const unitOf = (test: ForceTest): StrengthUnit => formulaBy(test).unit

/**
 * Load to strength (methods.md 1). Models: ISO 6922 (straight pull), ISO 4587 (lap shear), ISO 11339 and 8510 (peel);
 * a bench coupon, no conformity claimed.
 * @param forceN at the joint, N
 * @returns MPa, or N/mm for peel and cleavage (unitOf)
 * @throws CodedError naming the size that is missing or not positive
 */
export const strength = (test: ForceTest, forceN: number, size: CouponSize): number =>
  formulaBy(test).strength(forceN, size)
