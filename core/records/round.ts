import * as z from 'zod/mini'
import { directions } from '../knowledge/directions'
import { exposureKinds } from '../knowledge/exposures'
import { helpers } from '../knowledge/vocabulary'
import { testIds } from '../knowledge/testKinds'
import {
  amount,
  count,
  couponSize,
  day,
  id,
  moment,
  place,
  positive,
  seconds,
  share,
  spreadGm2,
  text,
  words,
} from './fields'

const stepKinds = [
  'ready',
  'prepare-a',
  'prepare-b',
  'try',
  'fit',
  'mask',
  'prime',
  'mix',
  'damp',
  'activate',
  'fill',
  'apply',
  'coat',
  'wait',
  'warm',
  'close',
  'press',
  'dab',
  'light',
  'hold',
  'clamp',
  'fillet',
  'cure',
] as const
export type StepKind = (typeof stepKinds)[number]

/** One step of a procedure. minS: how long at least until the next step; maxS: at most, null without a limit. */
export const stepSchema = z.object({
  id,
  kind: z.enum(stepKinds),
  text,
  minS: seconds,
  maxS: z.nullable(seconds),
  /** the reasons of the advice that it answers, by rule; older steps and the maker's own have none */
  why: z.optional(z.array(id)),
  /** done once for all pieces of the procedure, not at each */
  once: z.optional(z.boolean()),
})
export type Step = z.infer<typeof stepSchema>

/** What a second glue does in a joint. */
export const secondRoleIds = ['first-coat', 'rim', 'part'] as const
export type SecondRole = (typeof secondRoleIds)[number]
/** A second glue; share: of the bonded faces it is laid on, 0…1. A product that is gone counts as its family. */
const secondSchema = z.object({
  family: id,
  adhesive: z.nullable(id),
  role: z.enum(secondRoleIds),
  share,
  /** the part that it is for, in words */
  where: text,
})
export type Second = z.infer<typeof secondSchema>

/** What a share of the strength that is kept rests on. */
export const factorBases = ['measured', 'borrowed', 'typical'] as const

/** What is tested: surface preparation, glue, amount, coats, wait, how it is closed, hold or clamp, cure. */
export const procedureSchema = z.object({
  id,
  joint: id,
  letter: z.string().check(z.regex(/^[A-Z]$/)),
  name: words,
  family: id,
  /** the product on the shelf; null: any of the family */
  adhesive: z.nullable(id),
  helpers: z.array(z.enum(helpers)),
  /** another glue beside it; older procedures and most others have none */
  second: z.optional(z.nullable(secondSchema)),
  /** ruled out by a rule of the trade, and tested anyway */
  anyway: z.boolean(),
  coats: z.int().check(z.gte(1), z.lte(20)),
  /** glue on a face */
  spreadGm2: z.nullable(spreadGm2),
  /** parts of glue to parts of water, by weight */
  dilution: z.nullable(z.object({ glue: positive, water: positive })),
  /** two or more glues stirred together by weight, with the batch they were stirred in */
  blend: z.nullable(
    z.object({ parts: z.array(z.object({ name: words, parts: positive })).check(z.minLength(2)), batch: text }),
  ),
  steps: z.array(stepSchema),
})
export type Procedure = z.infer<typeof procedureSchema>

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

const decibans = z.number().check(z.gte(-100), z.lte(100))

export const cureStates = ['wet', 'tacky', 'slides', 'firm', 'hard'] as const
export const cureCheckSchema = z.object({ id, coupon: id, at: moment, state: z.enum(cureStates) })
export type CureCheck = z.infer<typeof cureCheckSchema>

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
