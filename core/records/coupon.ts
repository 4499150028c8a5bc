import * as z from 'zod/mini'
import { amount, count, couponSize, id, moment, place, text, words } from './fields'
import type { Versions } from './versioned'

/** When a step was done, and what else was noted of it. */
const stampSchema = z.object({
  step: id,
  at: moment,
  /** who did it */
  by: z.optional(words),
  /** which clamp, weight or lamp */
  tool: z.optional(words),
  /** the pack that the glue came out of */
  stock: z.optional(id),
  /** how much of it was used, g: the bottle weighed before and after */
  grams: z.optional(amount),
  /** which mix of its procedure, from 1 */
  mix: z.optional(count),
})
export type Stamp = z.infer<typeof stampSchema>

/** px */
const photoSide = z.int().check(z.gte(1), z.lte(10_000))

/** One test piece. Stamps say when each step was done; deviations what went differently. */
export const couponSchema = z.object({
  id,
  round: id,
  arm: id,
  procedure: id,
  block: count,
  label: z.string().check(z.regex(/^[A-Z]\d+(\.\d+)?-[A-Z]\d+$/)),
  glueAt: place,
  pullAt: place,
  /** measured; what is missing is taken from the round */
  size: couponSize,
  stamps: z.array(stampSchema),
  deviations: z.array(z.object({ at: moment, text })),
  /** why its reading does not count, said before it is pulled; null or left out: it counts */
  leftOut: z.optional(z.nullable(words)),
  /** what its arm asks was begun and ended; left out: it was not begun, or an older build pulled it without a note */
  exposed: z.optional(z.object({ from: moment, until: z.optional(moment) })),
  /** of many small things on it, how many there were before what it goes through */
  trims: z.optional(z.object({ before: count, at: moment })),
  /** photos of it, by the id under which their pixels are kept */
  photos: z.optional(
    z
      .array(z.object({ id, at: moment, width: photoSide, height: photoSide, note: z.optional(text) }))
      .check(z.maxLength(100)),
  ),
})
export type Coupon = z.infer<typeof couponSchema>

export const cureStates = ['wet', 'tacky', 'slides', 'firm', 'hard'] as const
export const cureCheckSchema = z.object({ id, coupon: id, at: moment, state: z.enum(cureStates) })
export type CureCheck = z.infer<typeof cureCheckSchema>

export const couponVersions: Versions = {
  since: 1,
  to: { 3: (coupon) => ('arm' in coupon ? coupon : { ...coupon, arm: 'a1' }) },
}
export const cureCheckVersions: Versions = { since: 1 }
