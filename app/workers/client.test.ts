import { describe, expect, it, vi } from 'vitest'
import { CodedError } from '../../core/errors'
import { openBrief } from '../../core/records/openBrief'
import { SILENT_MS, WorkerClient, type WorkerLike } from './client'
import { answerRequest, type Request, type Response } from './protocol'

const reading = { procedure: 'A', kind: 'exact', value: 2 } as const
const input = { required: 1, readings: [reading, { ...reading, value: 3 }] }

/** A worker without a thread: answers on the next turn, unless it was ended. */
function fake(
  behave: (request: Request, post: (response: Response) => void, self: WorkerLike) => void = answerRequest,
) {
  const made: { ended: boolean; got: Request[] }[] = []
  const spawn = (): WorkerLike => {
    const log = { ended: false, got: [] as Request[] }
    made.push(log)
    const self: WorkerLike = {
      onmessage: null,
      onerror: null,
      terminate: () => (log.ended = true),
      postMessage: (request) => {
        log.got.push(request)
        setTimeout(() =>
          behave(
            request,
            (response) => !log.ended && self.onmessage?.({ data: response } as MessageEvent<Response>),
            self,
          ),
        )
      },
    }
    return self
  }
  return { spawn, made }
}

describe('the worker and its client', () => {
  it('answers with the analysis, and tells its progress', async () => {
    const progress: number[] = []
    const result = await new WorkerClient(fake().spawn).analyse(input, { onProgress: (done) => progress.push(done) })
    expect(result.procedures[0]).toMatchObject({ procedure: 'A', n: 2 })
    expect(progress.at(-1)).toBe(1)
  })
  it('tells which open words would move most glues, by the classes’ names', async () => {
    const words = await new WorkerClient(fake().spawn).openWords({
      brief: openBrief(),
      a: 'foam-eva',
      b: 'card',
      room: null,
    })
    expect(words.map(({ key }) => key)).toContain('water')
    const unknown = new WorkerClient(fake().spawn).openWords({ brief: openBrief(), a: 'cheese', b: 'card', room: null })
    await expect(unknown).rejects.toMatchObject({ code: 'not-one-of' })
  })
  it('passes coded errors through', async () => {
    const bad = { required: null, readings: [{ ...reading, value: -1 }] }
    const error = await new WorkerClient(fake().spawn).analyse(bad).catch((reason: unknown) => reason)
    expect(error).toBeInstanceOf(CodedError)
    expect(error).toMatchObject({ code: 'not-positive', path: 'readings.0.value' })
  })
  it('puts the job of a dead worker to a fresh one, and says so when that dies too; the others go on', async () => {
    let deaths = 0
    const dying = (most: number) => (request: Request, post: (response: Response) => void, self: WorkerLike) =>
      deaths++ < most ? self.onerror?.({ message: 'out of memory' } as ErrorEvent) : answerRequest(request, post)
    const once = fake(dying(1))
    expect((await new WorkerClient(once.spawn).analyse(input)).procedures).toHaveLength(1)
    expect(once.made).toHaveLength(2)
    deaths = 0
    const { spawn, made } = fake(dying(2))
    const client = new WorkerClient(spawn)
    const [first, second] = await Promise.allSettled([client.analyse(input), client.analyse(input)])
    expect((first as PromiseRejectedResult).reason).toMatchObject({
      code: 'worker-gone',
      facts: { detail: 'out of memory' },
    })
    expect(second.status).toBe('fulfilled')
    expect(made).toHaveLength(3)
    expect((await client.analyse(input)).procedures).toHaveLength(1)
  })
  it('takes a worker that is silent for five seconds for dead, each time, and works again afterwards', async () => {
    vi.useFakeTimers()
    let calls = 0
    const { spawn, made } = fake((request, post) => (calls++ < 2 ? undefined : answerRequest(request, post)))
    const client = new WorkerClient(spawn)
    const refused = expect(client.kit({} as never)).rejects.toMatchObject({ code: 'worker-gone' })
    await vi.advanceTimersByTimeAsync(SILENT_MS + 10)
    expect(made.map(({ ended }) => ended)).toEqual([true, false])
    await vi.advanceTimersByTimeAsync(SILENT_MS + 10)
    await refused
    const again = client.analyse(input)
    await vi.advanceTimersByTimeAsync(100)
    expect((await again).procedures).toHaveLength(1)
    vi.useRealTimers()
  })
  it('gives what is packed in one go longer, once it is said that it has begun', async () => {
    vi.useFakeTimers()
    const { spawn, made } = fake(({ job }, post) => {
      post({ kind: 'begun', job })
      setTimeout(() => post({ kind: 'done', job, result: 'packed' as never }), 12_000)
    })
    const asked = new WorkerClient(spawn).package({} as never)
    await vi.advanceTimersByTimeAsync(12_100)
    expect(await asked).toBe('packed')
    expect(made).toHaveLength(1)
    vi.useRealTimers()
  })
  it('waits as long as it is told of progress, and hands on what is best so far', async () => {
    vi.useFakeTimers()
    const { spawn, made } = fake((request, post) => {
      const { job } = request
      for (const at of [4000, 8000])
        setTimeout(() => post({ kind: 'progress', job, done: at / 12_000, best: at as never }), at)
      setTimeout(() => post({ kind: 'done', job, result: 'found' as never }), 12_000)
    })
    const heard: unknown[] = []
    const asked = new WorkerClient(spawn).timetable({} as never, { onProgress: (_, best) => heard.push(best) })
    await vi.advanceTimersByTimeAsync(12_100)
    expect(await asked).toBe('found')
    expect(heard).toEqual([4000, 8000])
    expect(made).toHaveLength(1)
    vi.useRealTimers()
  })
  it('cancels the running job by ending its worker, and goes on with the next', async () => {
    const { spawn, made } = fake()
    const client = new WorkerClient(spawn)
    const stop = new AbortController()
    const first = client.analyse(input, { signal: stop.signal })
    const second = client.analyse(input)
    stop.abort()
    await expect(first).rejects.toMatchObject({ name: 'AbortError' })
    expect((await second).procedures).toHaveLength(1)
    expect(made.map(({ ended }) => ended)).toEqual([true, false])
    await expect(client.analyse(input, { signal: stop.signal })).rejects.toMatchObject({ name: 'AbortError' })
  })
})
