import * as z from 'zod/mini'
import { limits } from '../quantities/bounds'

/** Parts that several records share. Open words of a brief are null: unknown, never "no". */
export const id = z.string().check(z.minLength(1), z.maxLength(64))
/** the other maker from whose bench it came; left out: one's own */
export const owner = z.optional(id)
/** milliseconds since 1970, UTC */
export const moment = z.int().check(z.nonnegative(), z.lte(Date.UTC(9999, 11, 31)))
/** a calendar day, "2026-12-12" */
export const day = z
  .string()
  .check(
    z.regex(/^(19|20|21)\d\d-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/, 'a day such as 2026-12-12'),
    z.refine(isOnCalendar, 'a day of the calendar expected'),
  )
export const text = z.string().check(z.maxLength(4000))
/** Whether a day is one: there is no 31st of April. */
function isOnCalendar(text: string): boolean {
  const at = Date.parse(`${text}T00:00:00Z`)
  return Number.isFinite(at) && new Date(at).toISOString().startsWith(text)
}
/** a name or a reason: not empty */
export const words = z.string().check(z.minLength(1), z.maxLength(4000))
/**
 * The largest and the smallest number that any maker's quantity comes near: beyond them lies a slip of the keyboard.
 */
export const LARGEST = 1e9
export const SMALLEST = 1e-6
/** a number within those bounds, above or below zero */
const sized = z.refine<number>(
  (value) => value === 0 || Math.abs(value) >= SMALLEST,
  '0, or at least 0.000001 expected',
)
export const within = z.number().check(z.gte(-LARGEST), z.lte(LARGEST), sized)
export const amount = z.number().check(z.nonnegative(), z.lte(LARGEST), sized)
export const positive = z.number().check(z.gte(SMALLEST), z.lte(LARGEST))
export const count = z.int().check(z.positive(), z.lte(1_000_000))
export const place = z.int().check(z.nonnegative(), z.lte(1_000_000))
export const share = z.number().check(z.gte(0), z.lte(1))
const between = ([least, most]: readonly [number, number]) => z.number().check(z.gte(least), z.lte(most))
export const lengthMm = between(limits.length)
export const measure = z.nullable(lengthMm)
/** 0, or a length */
export const gap = z.union([z.literal(0), lengthMm])
export const roomM3 = between(limits.room)
export const hours = between(limits.hours)
export const spreadGm2 = between(limits.spread)
/** what a gauge shows, or a joint must hold, N */
export const forceN = between(limits.force)
/** °C that a maker's joint may meet */
export const celsius = z.number().check(z.gte(-200), z.lte(1000))
/** a length of time, s: up to ten years */
export const seconds = z.number().check(z.nonnegative(), z.lte(limits.time[1]))
export const couponSize = z.partial(
  z.object({
    widthMm: measure,
    overlapMm: measure,
    areaMm2: z.nullable(between(limits.area)),
    thicknessMm: measure,
    diameterMm: measure,
    innerDiameterMm: measure,
    armMm: measure,
    spanMm: measure,
  }),
)
