import * as z from 'zod'
import { CodedError } from '../core/errors'
import { sayError } from '../core/messages'
import { verbs } from './verbs'
import { readInput } from './verbs/verb'

export interface Answer {
  code: 0 | 2
  out: string
  err: string
}

const errorJson = (error: unknown) => {
  if (!(error instanceof CodedError)) throw error
  return { error: { code: error.code, path: error.path, message: sayError(error) } }
}

const failed = (error: unknown): Answer => ({ code: 2, out: '', err: JSON.stringify(errorJson(error)) + '\n' })

/**
 * The core from the command line, as a pure function: arguments and standard input → what to print and the exit code.
 * An array in gives an array out, one answer or one {"error"} each, in order.
 */
export function answer(args: readonly string[], input: string): Answer {
  try {
    const [name = '', of = ''] = args
    if (name === 'schema') return { code: 0, out: JSON.stringify(schemaOf(of), null, 2) + '\n', err: '' }
    const known = verbOf(name)
    const data = parseJson(input)
    const one = (value: unknown) => known.run(readInput(known.input, value))
    const result = Array.isArray(data) ? data.map((value) => eachSafely(() => one(value))) : one(data)
    return { code: 0, out: JSON.stringify(result) + '\n', err: '' }
  } catch (error) {
    return failed(error)
  }
}

function eachSafely(run: () => unknown): unknown {
  try {
    return run()
  } catch (error) {
    return errorJson(error)
  }
}

function verbOf(name: string) {
  const found = Object.hasOwn(verbs, name) ? verbs[name] : undefined
  if (!found)
    throw new CodedError('unknown-verb', '', {
      got: name || 'nothing',
      known: [...Object.keys(verbs), 'schema VERB'].join(', '),
    })
  return found
}

function schemaOf(name: string) {
  const { input, output } = verbOf(name)
  return { verb: name, in: z.toJSONSchema(input, { io: 'input' }), out: z.toJSONSchema(output) }
}

function parseJson(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch (error) {
    throw new CodedError('not-json', '', { detail: (error as Error).message })
  }
}
