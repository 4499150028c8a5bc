import type { Tables } from '../records/tables'
import { BENCH_VERSION } from '../records/version'

/** The bench file: one JSON document with everything on a bench. */
export interface BenchFile {
  format: 'paste-bench'
  version: number
  savedAt: number
  tables: Tables
}

export const writeBenchFile = (tables: Tables, now: number): string =>
  JSON.stringify({ format: 'paste-bench', version: BENCH_VERSION, savedAt: now, tables } satisfies BenchFile, null, 1)
