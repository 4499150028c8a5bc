import { reactive } from 'vue'
import { digitsOf } from '../../../core/quantities/figure'
import { CodedError } from '../../../core/errors'
import { parseQuantity } from '../../../core/quantities/parse'
import type { StepKind } from '../../../core/records/procedure'
import type { Noted } from './glueWork'

/** What is typed beside a step. Who and what stay for the next one; what was weighed is of one step. */
export interface StepNotes {
  by: string
  tool: string
  /** of each procedure, by id: the pack in use */
  stock: Record<string, string>
  before: string
  after: string
}
export const stepNotes = reactive<StepNotes>({ by: '', tool: '', stock: {}, before: '', after: '' })

/** Steps at which glue is used, and those at which something holds or lights the piece. */
export const USES_GLUE: ReadonlySet<StepKind> = new Set(['mix', 'apply', 'coat', 'dab', 'prime', 'fillet'])
export const USES_TOOL: ReadonlySet<StepKind> = new Set(['close', 'press', 'clamp', 'light', 'hold'])

/**
 * What was used, g: the bottle before less the bottle after, on the same scale.
 * @throws CodedError where only one of them is there, or it weighs more afterwards
 */
export function gramsUsed({ before, after }: Pick<StepNotes, 'before' | 'after'>): number | null {
  if (!before.trim() && !after.trim()) return null
  if (!before.trim() || !after.trim())
    throw new CodedError('missing', before.trim() ? 'Bottle after' : 'Bottle before', {
      field: `The weight ${before.trim() ? 'after' : 'before'}`,
      purpose: 'what was used: weigh the bottle before and after, or leave both empty',
    })
  const full = parseQuantity(before, 'mass', 'g', 'Bottle before').inside
  const left = parseQuantity(after, 'mass', 'g', 'Bottle after').inside
  if (left > full)
    throw new CodedError('wrong-shape', 'Bottle after', {
      field: 'The bottle after',
      detail: `${digitsOf(1000 * left)} g is more than the ${digitsOf(1000 * full)} g before`,
    })
  return Math.round((full - left) * 1e6) / 1000
}

/** What is kept with a step of this kind. @throws CodedError as gramsUsed */
export function notedFrom(notes: StepNotes, kind: StepKind, procedure: string, mix: number | null): Noted {
  const [by, tool, stock] = [notes.by.trim(), notes.tool.trim(), notes.stock[procedure]]
  const grams = USES_GLUE.has(kind) ? gramsUsed(notes) : null
  return {
    ...(by && { by }),
    ...(tool && USES_TOOL.has(kind) && { tool }),
    ...(stock && USES_GLUE.has(kind) && { stock }),
    ...(grams !== null && { grams }),
    ...(mix !== null && { mix }),
  }
}
