import * as z from 'zod'
import { CodedError } from '../../core/errors'

/** A verb of the command line: the schemas of what goes in and out, and the core function behind it. */
export interface Verb<In, Out> {
  input: z.ZodType<In>
  output: z.ZodType<Out>
  run(input: In): Out
}

export const verb = <In, Out>(definition: Verb<In, Out>): Verb<In, Out> => definition

/** Reads unknown JSON as a verb's input; the first thing wrong becomes a coded error that names its field. */
export function readInput<In>(schema: z.ZodType<In>, data: unknown): In {
  const parsed = schema.safeParse(data, { reportInput: true })
  if (parsed.success) return parsed.data
  throw codedIssue(parsed.error.issues[0]!)
}

function codedIssue(issue: z.core.$ZodIssue): CodedError {
  const path = issue.path.join('.')
  const field = path || 'The input'
  if (issue.input === undefined && (issue.code === 'invalid_type' || issue.code === 'invalid_value'))
    return new CodedError('missing', path, { field, purpose: 'this verb' })
  if (issue.code === 'invalid_type' && issue.expected === 'number')
    return new CodedError('not-a-number', path, { got: String(issue.input), example: '12.5' })
  if (issue.code === 'invalid_value')
    return new CodedError('not-one-of', path, {
      field,
      got: String(issue.input),
      known: issue.values.map(String).join(', '),
    })
  if (issue.code === 'invalid_union') {
    const inner = issue.errors.map((list) => list[0]).find((first) => first && first.path.length > 0)
    if (inner) return codedIssue({ ...inner, path: [...issue.path, ...inner.path] } as z.core.$ZodIssue)
    return new CodedError('not-one-of', path, {
      field,
      got: JSON.stringify(issue.input) ?? 'nothing',
      known: unionChoices(issue),
    })
  }
  return new CodedError('wrong-shape', path, { field, detail: issue.message })
}

/** The values that tell the members of a union apart, as far as zod says them. */
function unionChoices(issue: z.core.$ZodIssueInvalidUnion): string {
  const named = issue.errors.flat().flatMap((inner) => (inner.code === 'invalid_value' ? inner.values.map(String) : []))
  return named.length ? named.join(', ') : 'the shapes in the schema of this verb'
}
