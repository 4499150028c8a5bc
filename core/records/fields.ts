import * as z from 'zod'

/** Parts that several records share. Open words of a brief are null: unknown, never "no". */
export const id = z.string().min(1).max(64)
/** milliseconds since 1970, UTC */
export const moment = z.number().int().nonnegative()
/** a calendar day, "2026-12-12" */
export const day = z.string().regex(/^\d{4}-\d{2}-\d{2}$/, 'a day such as 2026-12-12')
export const text = z.string().max(4000)
export const measure = z.number().positive().nullable()
export const couponSize = z.object({
  widthMm: measure, overlapMm: measure, areaMm2: measure, thicknessMm: measure, diameterMm: measure,
  innerDiameterMm: measure, armMm: measure, spanMm: measure,
}).partial() // prettier-ignore
