import * as z from 'zod/mini'
import { amount, count, day, id, moment, place, share, text, words } from './fields'
import type { Versions } from './versioned'

/** What a share of the strength that is kept rests on. */
export const factorBases = ['measured', 'borrowed', 'typical'] as const
const decibans = z.number().check(z.gte(-100), z.lte(100))

/** The maker's choice for a joint, with what was known when it was made. */
export const decisionSchema = z.object({
  id,
  joint: id,
  round: id,
  arm: id,
  procedure: id,
  reason: text,
  at: moment,
  /** only until then: the day on which the joint must be made anew; null or left out: it stays */
  redoOn: z.optional(z.nullable(day)),
  /** of the build's own joints: how many were glued when */
  glued: z.optional(z.array(z.object({ at: moment, joints: count })).check(z.maxLength(1000))),
  known: z.object({
    pulls: place,
    typical: z.nullable(amount),
    weakLow: z.nullable(amount),
    /** the middle of what 19 in 20 hold, as weakLow is its lower bound; older ones have none */
    weakMedian: z.optional(z.nullable(amount)),
    unit: text,
    margin: z.nullable(amount),
    /** what one joint was expected to hold, and what it had to, N; older ones have none */
    holdsN: z.optional(z.nullable(amount)),
    requiredN: z.optional(z.nullable(amount)),
    /** what the surroundings leave of it, one by one, and whether that was measured */
    factors: z.optional(z.array(z.object({ words, share, basis: z.enum(factorBases) })).check(z.maxLength(20))),
    /** what it had to hold then, in that unit; older ones have none */
    required: z.optional(z.nullable(amount)),
    /** procedures as the maker expected them and as they came out, strongest first; where a hunch was sealed */
    hunch: z.optional(z.object({ expected: z.array(id), found: z.array(id) })),
    /** the chance to serve that each procedure of the round was given, its own pulls left out; older ones have none */
    forecasts: z.optional(
      z.array(
        z.object({
          procedure: id,
          chance: share,
          db: decibans,
          /** what pushed it by three decibans or more; older ones have none */
          reasons: z.optional(z.array(z.object({ rule: id, mode: id, db: decibans })).check(z.maxLength(60))),
        }),
      ),
    ),
  }),
})
export type Decision = z.infer<typeof decisionSchema>

export const decisionVersions: Versions = {
  since: 1,
  to: { 3: (decision) => ('arm' in decision ? decision : { ...decision, arm: 'a1' }) },
}
