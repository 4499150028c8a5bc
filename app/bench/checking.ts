import type { checkEntry } from '../../core/records/check'
import { piece } from '../look/piece'

/** The check of an entry against the schemas and against what stands there. */
export type Check = typeof checkEntry

let loading: Promise<Check> | null = null

/**
 * The check comes when something is written, or a moment after the bench was opened: what shows a bench needs none.
 * @throws CodedError piece-missing, and tries anew with the next write
 */
export const loadCheck = (): Promise<Check> =>
  (loading ??= Promise.all([
    piece(() => import('../../core/records/check')),
    piece(() => import('../../core/readings/checkReadings')),
  ]).then(
    ([{ checkEntry }, { checkReadings }]) =>
      (entry, records) => {
        checkEntry(entry, records)
        checkReadings(entry.changes, records)
      },
    (error: unknown) => {
      loading = null
      throw error
    },
  ))
