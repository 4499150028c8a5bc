import { sayError } from '../../core/messages'
import type { Bench } from '../../core/records/bench'
import type { Tables } from '../../core/records/tables'
import { now } from '../bench/clock'
import { newId } from '../bench/ids'
import { Ledger } from '../bench/ledger'
import { benchStorage } from '../bench/library'

/** What stands in a bench that is not open. */
export interface Looked {
  bench: Bench | null
  tables: Tables | null
  /** why it cannot be read; null when it can */
  why: string | null
}

export async function lookInto(id: string): Promise<Looked> {
  const storage = benchStorage(id)
  try {
    const ledger = new Ledger(storage, { now, newId, announce: () => {} })
    await ledger.open()
    const tables = ledger.records.tables()
    const bench = tables.bench[0] ?? null
    return { bench, tables, why: bench ? null : 'nothing on it says whose it is' }
  } catch (error) {
    return { bench: null, tables: null, why: sayError(error) }
  } finally {
    storage.close()
  }
}
