import { CodedError, type ErrorCode } from '../../core/errors'
import { analyse, type Analysis, type AnalysisInput } from '../../core/statistics/analyse'

/** What the app asks of the worker, and what comes back; one union each. Every message bears the number of its job. */
export type Request = { kind: 'analyse'; job: number; input: AnalysisInput }
export type Response =
  | { kind: 'progress'; job: number; done: number }
  | { kind: 'done'; job: number; result: Analysis }
  | {
      kind: 'failed'
      job: number
      error: { code: ErrorCode; path: string; facts: Record<string, string | number> } | { message: string }
    }

/** Answers one request; the worker is only this with postMessage, so it is tested without one. */
export function answerRequest(request: Request, post: (response: Response) => void): void {
  const { job } = request
  try {
    const result = analyse(request.input, { onProgress: (done) => post({ kind: 'progress', job, done }) })
    post({ kind: 'done', job, result })
  } catch (error) {
    const told =
      error instanceof CodedError
        ? { code: error.code, path: error.path, facts: error.facts }
        : { message: String(error) }
    post({ kind: 'failed', job, error: told })
  }
}
