import * as z from 'zod'
import { adviceGrades } from '../../core/records/shelf'
import { answerQuestion, questionSchema, type Question } from '../../core/screening/question'
import { verdicts } from '../../core/screening/rule'
import { verb } from './verb'

/** One glue for one joint → block, caution or fit, with reasons. */
export const screen = verb({
  input: questionSchema as unknown as z.ZodType<Question>,
  output: z.object({
    verdict: z.enum(['block', 'caution', 'fit']),
    reasons: z.array(
      z.object({
        rule: z.string(),
        verdict: z.enum(verdicts),
        grade: z.enum(adviceGrades),
        text: z.string(),
        settleBy: z.string(),
        basis: z.string(),
      }),
    ),
  }),
  run: (question) => answerQuestion(question),
})
