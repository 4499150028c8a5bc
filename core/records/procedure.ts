import * as z from 'zod/mini'
import { helpers } from '../knowledge/vocabulary'
import { id, positive, seconds, share, spreadGm2, text, words } from './fields'
import type { Versions } from './versioned'

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

export const procedureVersions: Versions = {
  since: 1,
  to: {
    3: (procedure) =>
      'dilution' in procedure && 'blend' in procedure ? procedure : { dilution: null, blend: null, ...procedure },
  },
}
