import * as z from 'zod'
import { borrow as corrected } from '../../core/evidence/borrow'
import { verb } from './verb'

const cell = z.object({ pair: z.string().min(1), family: z.string().min(1), table: z.number() })
const borrowed = z.object({
  pair: z.string(),
  family: z.string(),
  median: z.number(),
  low90: z.number(),
  high90: z.number(),
  correction: z.number(),
})

/** The tables' ln strengths, corrected by what was pulled → typical strengths of the cells that are asked for. */
export const borrow = verb({
  input: z.object({ cells: z.array(cell.extend({ mean: z.number(), sd: z.number().positive() })), ask: z.array(cell) }),
  output: z.object({ cells: z.array(borrowed) }),
  run: ({ cells, ask }) => ({ cells: corrected(cells, ask) }),
})
