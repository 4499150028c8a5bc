import * as z from 'zod/mini'

/** Parts that several records share. Open words of a brief are null: unknown, never "no". */
export const id = z.string().check(z.minLength(1), z.maxLength(64))
/** milliseconds since 1970, UTC */
export const moment = z.int().check(z.nonnegative())
/** a calendar day, "2026-12-12" */
export const day = z.string().check(z.regex(/^\d{4}-\d{2}-\d{2}$/, 'a day such as 2026-12-12'))
export const text = z.string().check(z.maxLength(4000))
/** a name or a reason: not empty */
export const words = z.string().check(z.minLength(1), z.maxLength(4000))
export const amount = z.number().check(z.nonnegative())
export const positive = z.number().check(z.positive())
export const count = z.int().check(z.positive())
export const place = z.int().check(z.nonnegative())
export const share = z.number().check(z.gte(0), z.lte(1))
export const measure = z.nullable(positive)
export const couponSize = z.partial(
  z.object({
    widthMm: measure,
    overlapMm: measure,
    areaMm2: measure,
    thicknessMm: measure,
    diameterMm: measure,
    innerDiameterMm: measure,
    armMm: measure,
    spanMm: measure,
  }),
)
