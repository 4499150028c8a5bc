import * as z from 'zod'
import { analyse as analyseReadings } from '../../core/statistics/analyse'
import { verb } from './verb'

const procedure = z.string()
const interval = z.object({ median: z.number(), low90: z.number(), high90: z.number() })

/** Readings of one joint, test and exposure → strengths, how sure, and ratios (methods.md 3). */
export const analyse = verb({
  input: z.object({
    required: z.number().nullish(),
    readings: z.array(
      z.discriminatedUnion('kind', [
        z.object({ procedure, kind: z.literal('exact'), value: z.number() }),
        z.object({ procedure, kind: z.literal('atLeast'), low: z.number() }),
        z.object({ procedure, kind: z.literal('atMost'), high: z.number() }),
        z.object({ procedure, kind: z.literal('between'), low: z.number(), high: z.number() }),
      ]),
    ),
    ratios: z.array(z.tuple([z.string(), z.string()])).optional(),
  }),
  output: z.object({
    scatter: interval.nullable(),
    procedures: z.array(
      z.object({
        procedure,
        n: z.number(),
        exact: z.number(),
        censored: z.number(),
        typical: interval,
        weakJoint: z.object({ median: z.number(), low95: z.number() }),
        pBest: z.number(),
        pMeets: z.number().nullable(),
        open: z.enum(['above', 'below']).nullable(),
      }),
    ),
    ratios: z.array(interval.extend({ of: z.string(), to: z.string(), pGreater: z.number(), toldApart: z.boolean() })),
  }),
  run: ({ required, readings, ratios }) => analyseReadings({ required: required ?? null, readings, ratios }),
})
