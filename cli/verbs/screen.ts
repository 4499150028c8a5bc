import * as z from 'zod'
import { failureModes } from '../../core/knowledge/weights'
import { adviceGrades } from '../../core/records/shelf'
import { answerQuestion, questionSchema, type Question } from '../../core/screening/question'
import { verdicts } from '../../core/screening/rule'
import { verb } from './verb'

/** One glue for one joint → the chance to serve, block, caution or fit, with reasons and their pushes. */
export const screen = verb({
  input: questionSchema as unknown as z.ZodType<Question>,
  output: z.object({
    verdict: z.enum(['block', 'caution', 'fit']),
    db: z.number(),
    chance: z.number(),
    reasons: z.array(
      z.object({
        rule: z.string(),
        verdict: z.enum(verdicts),
        mode: z.enum(failureModes),
        db: z.number(),
        grade: z.enum(adviceGrades),
        text: z.string(),
        settleBy: z.string(),
        basis: z.string(),
      }),
    ),
  }),
  run: (question) => answerQuestion(question),
})
