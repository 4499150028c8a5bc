import * as z from 'zod'
import { couponTests } from '../../core/coupons/bond'
import { couponSize } from '../../core/coupons/size'
import { verb } from './verb'

const thickness = z.number().nullish()

/**
 * A coupon whose bond is the weak link and whose load suits the gauge; or why there is none, and what to do instead.
 */
export const coupon = verb({
  input: z.object({
    test: z.enum(couponTests),
    a: z.string(),
    aThicknessMm: thickness,
    b: z.string(),
    bThicknessMm: thickness,
    adhesive: z.string(),
    gauge: z.object({ limitN: z.number(), resolutionN: z.number() }),
    widthMm: z.number().nullish(),
  }),
  output: z.object({
    possible: z.boolean(),
    widthMm: z.number().nullable(),
    overlapMm: z.number().nullable(),
    expectedN: z.tuple([z.number(), z.number()]).nullable(),
    weakest: z.enum(['bond', 'a', 'b']),
    advice: z.array(z.string()),
  }),
  run: couponSize,
})
