import { onScopeDispose, ref } from 'vue'
import type { AnyBenchRead } from '../bench/readAnyBench'
import { benchWorker } from '../workers/client'
import { useAttempt } from '../look/attempt'

/** What a bench may be read from: a bench file, a data package. */
export const BENCH_FILES = '.json,.zip,application/json,application/zip'

/** Reads a bench file or a data package in the worker, with its progress; it can be cancelled. */
export function useFileRead() {
  /** 0…1 while it reads, else null */
  const progress = ref<number | null>(null)
  const { clear, fail, problem } = useAttempt()
  let running: AbortController | null = null

  /** @returns null where it was cancelled, or could not be read (the problem says why) */
  async function read(file: Blob): Promise<AnyBenchRead | null> {
    running?.abort()
    const mine = (running = new AbortController())
    clear()
    progress.value = 0
    try {
      return await benchWorker().readFile(
        { file },
        { signal: mine.signal, onProgress: (done) => (progress.value = done) },
      )
    } catch (error) {
      if (!mine.signal.aborted) fail(error)
      return null
    } finally {
      if (running === mine) progress.value = null
    }
  }
  const cancel = () => running?.abort()
  onScopeDispose(cancel)
  return { progress, problem, fail, read, cancel }
}
