import { vi } from 'vitest'
import { answerRequest } from '../workers/protocol'

/** The worker's work in the test's own thread: the same protocol, no thread. */
export function workerHere() {
  const ask = (kind: string) => (input: unknown) =>
    new Promise((resolve, reject) => {
      void answerRequest({ kind, job: 1, input } as never, (answer) => {
        if (answer.kind === 'done') resolve(answer.result)
        else if (answer.kind === 'failed') reject(new Error(JSON.stringify(answer.error)))
      })
    })
  return {
    benchWorker: () => ({
      analyse: ask('analyse'),
      openWords: ask('openWords'),
      evidence: ask('evidence'),
      // A page is opened hundreds of times in a suite: what is found at once is enough there.
      timetable: (input: object) => ask('timetable')({ ...input, seconds: 0.05 }),
      copy: async () => true,
    }),
  }
}

/** Charts need a real browser; all that is computed for them is computed all the same. */
export const noCharts = () => ({
  default: { react: vi.fn(async () => {}), newPlot: vi.fn(async () => {}), purge: vi.fn() },
})
