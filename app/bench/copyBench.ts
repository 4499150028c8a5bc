import { writeBenchFile } from '../../core/formats/writeBenchFile'
import { browserCells } from '../storage/browserCells'
import { newId } from './ids'
import { Ledger, type LedgerTools } from './ledger'
import { writeCopy } from './secondCopy'
import { BenchStorage } from './storage'

const quiet = (now: number): LedgerTools => ({ now: () => now, newId, announce: () => {} })

/** Reads a bench from its database and writes it as a bench file into its second copy; runs in the worker. */
export async function copyBench({ bench, now }: { bench: string; now: number }): Promise<boolean> {
  const storage = new BenchStorage(browserCells(`paste-bench-${bench}`, 'ledger', false))
  try {
    const ledger = new Ledger(storage, quiet(now))
    await ledger.open()
    const text = writeBenchFile(ledger.records.tables(), now)
    return await writeCopy(bench, text, ledger.mark, (mark) => storage.has(mark))
  } finally {
    storage.close()
  }
}
