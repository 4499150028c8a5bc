import type { checkEntry } from '../../core/records/check'
import { CodedError } from '../../core/errors'

/** The check of an entry against the schemas and against what stands there. */
export type Check = typeof checkEntry

let loading: Promise<Check> | null = null

/**
 * The check comes when something is written, or a moment after the bench was opened: what shows a bench needs none.
 * @throws CodedError piece-missing, and tries anew with the next write
 */
export const loadCheck = (): Promise<Check> =>
  (loading ??= import('../../core/records/check').then(
    ({ checkEntry }) => checkEntry,
    () => {
      loading = null
      throw new CodedError('piece-missing', '')
    },
  ))
