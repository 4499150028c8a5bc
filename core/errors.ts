/**
 * Errors are coded data; the sentences stand in messages.ts. Bad input throws a CodedError, everywhere in core; too
 * little data is not an error but an honest "nothing to say yet".
 */
export type ErrorCode =
  | 'not-a-number'
  | 'ambiguous-number'
  | 'unknown-unit'
  | 'wrong-kind-of-unit'
  | 'missing'
  | 'negative'
  | 'not-positive'
  | 'not-whole'
  | 'out-of-range'
  | 'not-one-of'
  | 'wrong-shape'
  | 'out-of-order'
  | 'not-hundred-percent'
  | 'uncalibrated-hands'
  | 'trace-too-short'
  | 'not-json'
  | 'not-a-bench-file'
  | 'newer-version'
  | 'too-large'
  | 'damaged'
  | 'conflict'
  | 'changed-since'
  | 'taken'
  | 'points-nowhere'
  | 'still-used'
  | 'none-left'
  | 'bench-gone'
  | 'bench-damaged'
  | 'newer-bench'
  | 'piece-missing'
  | 'worker-gone'
  | 'storage-silent'
  | 'no-load'
  | 'rest-not-read'
  | 'unknown-verb'

export class CodedError extends Error {
  /**
   * @param code what went wrong, for programs
   * @param path the field, as in the input ("widthMm", "readings.2.low"); '' for the whole
   * @param facts what the sentence needs (what was got, what is known)
   */
  constructor(
    readonly code: ErrorCode,
    readonly path: string,
    readonly facts: Record<string, string | number> = {},
  ) {
    super(`${code}${path ? ` at ${path}` : ''}`)
    this.name = 'CodedError'
  }

  /** The same error, its path put under a parent ("readings.2" + "low"). */
  under(parent: string): CodedError {
    return new CodedError(this.code, this.path ? `${parent}.${this.path}` : parent, this.facts)
  }
}
