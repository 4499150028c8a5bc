import * as z from 'zod'
import { find as findIds, namesOf } from '../../core/knowledge/names'
import { verb } from './verb'

/** What makers call a material or a glue → ids, the best first. */
export const find = verb({
  input: z.object({ what: z.enum(['material', 'glue']), text: z.string() }),
  output: z.object({ ids: z.array(z.string()) }),
  run: ({ what, text }) => ({ ids: findIds(text, namesOf[what]) }),
})
