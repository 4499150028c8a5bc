import * as z from 'zod/mini'
import { directions } from '../knowledge/directions'
import { exposureKinds } from '../knowledge/exposures'
import { testIds } from '../knowledge/testKinds'
import { count, couponSize, id, moment, place, positive, seconds } from './fields'
import type { Versions } from './versioned'

/**
 * What a coupon goes through after its cure and before its test. amount: °C, °C, cycles, h, days, cycles, weeks; hours:
 * how long it takes.
 */
const exposureSchema = z.object({
  kind: z.enum(exposureKinds),
  amount: z.number().check(z.gte(-200), z.lte(1e6)),
  hours: z.number().check(z.nonnegative(), z.lte(100_000)),
})
export type Exposure = z.infer<typeof exposureSchema>

/** A pass limit changed after the first pull: allowed, and marked on the result. */
const lateChange = z.object({ at: moment, from: z.nullable(positive), to: z.nullable(positive) })

/** A lever's ratio is the arm of the load over the arm of the joint. */
const armRead = z.discriminatedUnion('way', [
  z.object({ way: z.literal('gauge') }),
  z.object({ way: z.literal('lever'), ratio: z.number().check(z.gte(1.1), z.lte(20)) }),
  z.object({ way: z.literal('mass') }),
  z.object({ way: z.literal('water') }),
])
export type ArmRead = z.infer<typeof armRead>

/**
 * One arm of a round: a test, dry or after an exposure. Pass limit in the unit of the test, fixed before the first
 * pull.
 */
export const armSchema = z.object({
  id,
  test: z.enum(testIds),
  exposure: z.nullable(exposureSchema),
  size: couponSize,
  passLimit: z.nullable(positive),
  passSetAt: z.nullable(moment),
  lateChanges: z.array(lateChange),
  /** age at the pull, s after closing; null or left out: at full cure */
  ageS: z.optional(z.nullable(seconds)),
  /** how its load is read, where a gauge alone does not reach; left out: by the gauge */
  read: z.optional(armRead),
  /** three edges of the bonded face taped shut while it cures, so that it is as deep as the real joint */
  taped: z.optional(z.boolean()),
  /** what each piece is put through first, in this order, before its own test; left out: nothing */
  first: z.optional(z.array(z.enum(directions)).check(z.maxLength(directions.length))),
})
export type Arm = z.infer<typeof armSchema>

/** What a choice may weigh (methods.md 9). */
export const criteria = [
  'strength',
  'flexibility',
  'cure',
  'cost',
  'ease',
  'durability',
  'looks',
  'later-work',
] as const
export type Criterion = (typeof criteria)[number]

/** What becomes of a piece that is closed too early or too late. */
export const offWindowRules = ['repeat', 'keep', 'leave-out'] as const
export type OffWindowRule = (typeof offWindowRules)[number]

/** Procedures compared for a joint, with their tests. blocks: coupons of each procedure in every arm. */
export const roundSchema = z.object({
  id,
  joint: id,
  number: count,
  arms: z.array(armSchema).check(z.minLength(1)),
  procedures: z.array(id),
  blocks: z.int().check(z.positive(), z.lte(40)),
  seed: place,
  order: z.enum(['shuffled', 'least-trusted-first', 'as-written']),
  /** a glue already trusted, against which the others are read */
  control: z.nullable(id),
  /** the maker's expected order of the procedures, strongest first; sealed until the pulls are in */
  hunch: z.nullable(z.object({ order: z.array(id), at: moment })),
  /** how much each counts when the choice is made, 0…5; locked with the limits, a later change marked */
  weights: z.nullable(
    z.object({
      values: z.record(z.enum(criteria), z.int().check(z.gte(0), z.lte(5))),
      setAt: moment,
      changedLate: z.nullable(moment),
    }),
  ),
  plannedAt: moment,
  /** what becomes of a piece that is closed outside its window; left out: it is kept with a mark */
  offWindow: z.optional(z.enum(offWindowRules)),
  /** what the maker has set in its timetable */
  timetable: z.optional(
    z.object({
      /** a procedure is not begun earlier */
      notBefore: z.array(z.object({ procedure: id, at: moment })),
      /** steps that begin at a time of their own */
      pins: z.array(z.object({ coupon: id, step: id, at: moment })),
      /** the cured ones are pulled no earlier */
      pullFrom: z.nullable(moment),
    }),
  ),
})
export type Round = z.infer<typeof roundSchema>

export const roundVersions: Versions = {
  since: 1,
  to: {
    // A round has arms: its one test became the first.
    3: (round) => {
      if (['arms', 'control', 'hunch', 'weights'].every((field) => field in round)) return round
      const { test, size, passLimit, passSetAt, ...rest } = round
      const first = { id: 'a1', test, exposure: null, size, passLimit, passSetAt, lateChanges: [] }
      return { arms: [first], control: null, hunch: null, weights: null, ...rest }
    },
  },
}
