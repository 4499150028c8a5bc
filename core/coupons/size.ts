import { familyOf } from '../knowledge/families'
import { materialClassOf } from '../knowledge/materials'
import { positive } from '../quantities/require'
import { bondOf, type Side } from './bond'
import { lap } from './lapSize'
import { peel } from './peelSize'
import { LIMIT_SHARE, STEPS_AT_LEAST, WIDTHS, type CouponAnswer, type CouponQuestion } from './plan'
import { tension } from './spotSize'

const unique = (numbers: readonly number[]) => [...new Set(numbers)]

/**
 * Size of a coupon so that the bond is the weak link and the load suits the gauge (methods.md 5). Where none exists the
 * answer says what would fail or what the gauge cannot read, and what to do instead.
 * @throws CodedError not-one-of, not-positive, with the field's path
 */
export function couponSize(question: CouponQuestion): CouponAnswer {
  const side = (name: 'a' | 'b'): Side => {
    const material = materialClassOf(question[name], name)
    const given = question[`${name}ThicknessMm`]
    const thicknessMm =
      given == null ? material.typicalThicknessMm : positive(given, `${name}ThicknessMm`, 'The thickness', 'the coupon')
    return { name, material, thicknessMm }
  }
  const sides: [Side, Side] = [side('a'), side('b')]
  const family = familyOf(question.adhesive, 'adhesive').id
  const limitN = positive(question.gauge.limitN, 'gauge.limitN', 'The limit of the gauge', 'the coupon')
  const stepN = positive(question.gauge.resolutionN, 'gauge.resolutionN', 'The step of the gauge', 'the coupon')
  const wished = question.widthMm == null ? 25 : positive(question.widthMm, 'widthMm', 'The width', 'the coupon')
  const bond = bondOf(sides, family, question.test === 'peel')
  const span: [number, number] = [STEPS_AT_LEAST * stepN, LIMIT_SHARE * limitN]
  const widths = unique([wished, ...WIDTHS])
  const plan = { 'lap-shear': lap, peel, tension }[question.test]
  const tries = widths.map((widthMm) => plan(sides, bond, widthMm, span))
  const first = tries.find(({ possible }) => possible)
  if (first)
    return first.widthMm === wished
      ? first
      : { ...first, advice: [`Cut it ${first.widthMm} mm wide instead of ${wished} mm.`, ...first.advice] }
  return tries[0]!
}
