import * as z from 'zod'
import { nextBest } from '../../core/choice/next/next'
import type { ModelReading } from '../../core/statistics/data'
import { analyse } from '../../core/statistics/analyse'
import { verb } from './verb'

const procedure = z.string()
const reading = z.discriminatedUnion('kind', [
  z.object({ procedure, kind: z.literal('exact'), value: z.number() }),
  z.object({ procedure, kind: z.literal('atLeast'), low: z.number() }),
  z.object({ procedure, kind: z.literal('atMost'), high: z.number() }),
  z.object({ procedure, kind: z.literal('between'), low: z.number(), high: z.number() }),
])

/** What one more exact reading of each procedure would be worth. */
export const next = verb({
  input: z.object({
    required: z.number(),
    plenty: z.number(),
    readings: z.array(reading),
    options: z.array(z.string()),
    draws: z.number().nullish(),
    seed: z.number().nullish(),
  }),
  output: z.object({
    now: z.object({ choice: z.string(), value: z.number() }).nullable(),
    options: z.array(z.object({ procedure: z.string(), value: z.number(), gain: z.number() })),
  }),
  run: ({ required, plenty, readings, options }) => {
    // What is wrong with a reading is told as `analyse` tells it.
    analyse({ required: null, readings: readings as ModelReading[] })
    return nextBest({ required, plenty, readings: readings as ModelReading[], options })
  },
})
