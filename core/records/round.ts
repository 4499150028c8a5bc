import * as z from 'zod/mini'
import { helpers } from '../knowledge/vocabulary'
import { testIds } from '../readings/tests'
import { amount, count, couponSize, id, moment, place, positive, text, words } from './fields'

export const stepKinds = ['prepare-a', 'prepare-b', 'apply', 'wait', 'close', 'hold', 'clamp', 'cure'] as const
export type StepKind = (typeof stepKinds)[number]

/** One step of a procedure. minS: how long at least until the next step; maxS: at most, null without a limit. */
export const stepSchema = z.object({
  id,
  kind: z.enum(stepKinds),
  text,
  minS: amount,
  maxS: z.nullable(amount),
})
export type Step = z.infer<typeof stepSchema>

/** What is tested: surface preparation, glue, amount, coats, wait, how it is closed, hold or clamp, cure. */
export const procedureSchema = z.object({
  id, joint: id, letter: z.string().check(z.regex(/^[A-Z]$/)), name: words, family: id,
  /** the product on the shelf; null: any of the family */
  adhesive: z.nullable(id),
  helpers: z.array(z.enum(helpers)),
  /** ruled out by a rule of the trade, and tested anyway */
  anyway: z.boolean(),
  coats: count, spreadGm2: z.nullable(positive), steps: z.array(stepSchema),
}) // prettier-ignore
export type Procedure = z.infer<typeof procedureSchema>

/** Procedures compared for a joint, with their test. Pass limit in the unit of the test, fixed before the first pull. */
export const roundSchema = z.object({
  id, joint: id, number: count, test: z.enum(testIds), size: couponSize, procedures: z.array(id),
  blocks: z.int().check(z.positive(), z.lte(40)), seed: place, order: z.enum(['shuffled', 'least-trusted-first']),
  passLimit: z.nullable(positive), passSetAt: z.nullable(moment), plannedAt: moment,
}) // prettier-ignore
export type Round = z.infer<typeof roundSchema>

/** One test piece. Stamps say when each step was done; deviations what went differently. */
export const couponSchema = z.object({
  id, round: id, procedure: id, block: count, label: z.string().check(z.regex(/^[A-Z]\d+(\.\d+)?-[A-Z]\d+$/)),
  glueAt: place, pullAt: place,
  /** measured; what is missing is taken from the round */
  size: couponSize,
  stamps: z.array(z.object({ step: id, at: moment })), deviations: z.array(z.object({ at: moment, text })),
}) // prettier-ignore
export type Coupon = z.infer<typeof couponSchema>

export const cureStates = ['wet', 'tacky', 'slides', 'firm', 'hard'] as const
export const cureCheckSchema = z.object({ id, coupon: id, at: moment, state: z.enum(cureStates) })
export type CureCheck = z.infer<typeof cureCheckSchema>

/** The maker's choice for a joint, with what was known when it was made. */
export const decisionSchema = z.object({
  id, joint: id, round: id, procedure: id, reason: text, at: moment,
  known: z.object({ pulls: z.int(), typical: z.nullable(z.number()), weakLow: z.nullable(z.number()), unit: text, margin: z.nullable(z.number()) }),
}) // prettier-ignore
export type Decision = z.infer<typeof decisionSchema>
