import * as z from 'zod'
import { rank as ranked, schools, type RankCriterion } from '../../core/choice/rank'
import { verb } from './verb'

const weighed = { id: z.string(), weight: z.number(), scale: z.enum(['log', 'linear']) }
const criterion = z.discriminatedUnion('better', [
  z.object({ ...weighed, better: z.literal('more'), must: z.number(), plenty: z.number() }),
  z.object({ ...weighed, better: z.literal('less'), must: z.number(), plenty: z.number() }),
  z.object({
    ...weighed,
    better: z.literal('band'),
    mustLow: z.number(),
    low: z.number(),
    high: z.number(),
    mustHigh: z.number(),
  }),
])

/** Procedures judged by points, by the weakest link or by knocking out, with the draws taken together. */
export const rank = verb({
  input: z.object({
    school: z.enum(schools),
    criteria: z.array(criterion),
    procedures: z.array(
      z.object({
        procedure: z.string(),
        draws: z.record(z.string(), z.array(z.number())).nullish(),
        fixed: z.record(z.string(), z.number()).nullish(),
      }),
    ),
  }),
  output: z.object({
    procedures: z.array(
      z.object({
        procedure: z.string(),
        score: z.number(),
        pBest: z.number(),
        expectedLoss: z.number(),
        out: z.object({ criterion: z.string(), value: z.number() }).nullable(),
        pareto: z.boolean(),
      }),
    ),
  }),
  run: ({ school, criteria, procedures }) => ({
    procedures: ranked(
      school,
      criteria as RankCriterion[],
      procedures.map(({ procedure, draws, fixed }) => ({ procedure, draws: draws ?? {}, fixed: fixed ?? {} })),
    ),
  }),
})
