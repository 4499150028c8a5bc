import * as z from 'zod'
import { helpers } from '../knowledge/vocabulary'
import { testIds } from '../readings/tests'
import { couponSize, id, moment, text } from './fields'

export const stepKinds = ['prepare-a', 'prepare-b', 'apply', 'wait', 'close', 'hold', 'clamp', 'cure'] as const
export type StepKind = (typeof stepKinds)[number]

/** One step of a procedure. minS: how long at least until the next step; maxS: at most, null without a limit. */
export const stepSchema = z.object({
  id,
  kind: z.enum(stepKinds),
  text,
  minS: z.number().nonnegative(),
  maxS: z.number().nonnegative().nullable(),
})
export type Step = z.infer<typeof stepSchema>

/** What is tested: surface preparation, glue, amount, coats, wait, how it is closed, hold or clamp, cure. */
export const procedureSchema = z.object({
  id, joint: id, letter: z.string().regex(/^[A-Z]$/), name: text.min(1), family: id,
  /** the product on the shelf; null: any of the family */
  adhesive: id.nullable(),
  helpers: z.array(z.enum(helpers)),
  /** ruled out by a rule of the trade, and tested anyway */
  anyway: z.boolean(),
  coats: z.number().int().positive(), spreadGm2: z.number().positive().nullable(), steps: z.array(stepSchema),
}) // prettier-ignore
export type Procedure = z.infer<typeof procedureSchema>

/** Procedures compared for a joint, with their test. Pass limit in the unit of the test, fixed before the first pull. */
export const roundSchema = z.object({
  id, joint: id, number: z.number().int().positive(), test: z.enum(testIds), size: couponSize, procedures: z.array(id),
  blocks: z.number().int().positive().max(40), seed: z.number().int().nonnegative(), order: z.enum(['shuffled', 'least-trusted-first']),
  passLimit: z.number().positive().nullable(), passSetAt: moment.nullable(), plannedAt: moment,
}) // prettier-ignore
export type Round = z.infer<typeof roundSchema>

/** One test piece. Stamps say when each step was done; deviations what went differently. */
export const couponSchema = z.object({
  id, round: id, procedure: id, block: z.number().int().positive(), label: z.string().regex(/^[A-Z]\d+(\.\d+)?-[A-Z]\d+$/),
  glueAt: z.number().int().nonnegative(), pullAt: z.number().int().nonnegative(),
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
  known: z.object({ pulls: z.number().int(), typical: z.number().nullable(), weakLow: z.number().nullable(), unit: text, margin: z.number().nullable() }),
}) // prettier-ignore
export type Decision = z.infer<typeof decisionSchema>
