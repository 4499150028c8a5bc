import { CodedError } from '../../core/errors'
import type { Request, Response, TaskKind, Tasks } from './protocol'

/** The part of Worker that the client needs; tests put a stand-in there. */
export interface WorkerLike {
  postMessage(message: Request): void
  terminate(): void
  onmessage: ((event: MessageEvent<Response>) => void) | null
  onerror: ((event: ErrorEvent) => void) | null
}

export interface AskOptions {
  /** @param best what is found so far, where it is better than before */
  onProgress?: (done: number, best?: unknown) => void
  signal?: AbortSignal
}

interface Job {
  request: Request
  resolve: (result: never) => void
  reject: (reason: unknown) => void
  onProgress?: (done: number, best?: unknown) => void
  /** it was put to a fresh worker once already */
  tried: boolean
}

/** A worker that says nothing for longer than this hangs, or is dead, ms. */
export const SILENT_MS = 5000
/** What is worked out in one go says only that it has begun; none of it takes so long. */
const IN_ONE_GO: ReadonlySet<TaskKind> = new Set<TaskKind>([
  ...(['package', 'readFile', 'mergePreview', 'mergeChanges', 'copy'] as const),
  ...(['whole', 'joints', 'kit', 'next', 'moves', 'openWords'] as const),
])
const IN_ONE_GO_MS = 30_000
const WAKES_MS = 1000

/**
 * Typed access to the worker: progress, cancel, a fresh worker when it dies or hangs, and a rejection when that one
 * does too, so that no call hangs for ever. One job runs at a time. A running computation cannot be interrupted from
 * outside, so cancelling it ends its worker and the next job gets a new one.
 */
export class WorkerClient {
  private worker: WorkerLike | null = null
  private readonly jobs = new Map<number, Job>()
  private running: number | null = null
  private count = 0
  private patience: ReturnType<typeof setTimeout> | undefined

  constructor(private readonly spawn: () => WorkerLike) {}

  analyse(input: Tasks['analyse']['input'], options: AskOptions = {}): Promise<Tasks['analyse']['result']> {
    return this.ask('analyse', input, options)
  }

  openWords(input: Tasks['openWords']['input'], options: AskOptions = {}): Promise<Tasks['openWords']['result']> {
    return this.ask('openWords', input, options)
  }

  evidence(input: Tasks['evidence']['input'], options: AskOptions = {}): Promise<Tasks['evidence']['result']> {
    return this.ask('evidence', input, options)
  }

  copy(input: Tasks['copy']['input'], options: AskOptions = {}): Promise<Tasks['copy']['result']> {
    return this.ask('copy', input, options)
  }

  timetable(input: Tasks['timetable']['input'], options: AskOptions = {}): Promise<Tasks['timetable']['result']> {
    return this.ask('timetable', input, options)
  }

  joints(input: Tasks['joints']['input'], options: AskOptions = {}): Promise<Tasks['joints']['result']> {
    return this.ask('joints', input, options)
  }

  photo(input: Tasks['photo']['input'], options: AskOptions = {}): Promise<Tasks['photo']['result']> {
    return this.ask('photo', input, options)
  }

  weigh(input: Tasks['weigh']['input'], options: AskOptions = {}): Promise<Tasks['weigh']['result']> {
    return this.ask('weigh', input, options)
  }

  moves(input: Tasks['moves']['input'], options: AskOptions = {}): Promise<Tasks['moves']['result']> {
    return this.ask('moves', input, options)
  }

  next(input: Tasks['next']['input'], options: AskOptions = {}): Promise<Tasks['next']['result']> {
    return this.ask('next', input, options)
  }

  kept(input: Tasks['kept']['input'], options: AskOptions = {}): Promise<Tasks['kept']['result']> {
    return this.ask('kept', input, options)
  }

  kit(input: Tasks['kit']['input'], options: AskOptions = {}): Promise<Tasks['kit']['result']> {
    return this.ask('kit', input, options)
  }

  whole(input: Tasks['whole']['input'], options: AskOptions = {}): Promise<Tasks['whole']['result']> {
    return this.ask('whole', input, options)
  }

  package(input: Tasks['package']['input'], options: AskOptions = {}): Promise<Tasks['package']['result']> {
    return this.ask('package', input, options)
  }

  readFile(input: Tasks['readFile']['input'], options: AskOptions = {}): Promise<Tasks['readFile']['result']> {
    return this.ask('readFile', input, options)
  }

  mergePreview(
    input: Tasks['mergePreview']['input'],
    options: AskOptions = {},
  ): Promise<Tasks['mergePreview']['result']> {
    return this.ask('mergePreview', input, options)
  }

  mergeChanges(
    input: Tasks['mergeChanges']['input'],
    options: AskOptions = {},
  ): Promise<Tasks['mergeChanges']['result']> {
    return this.ask('mergeChanges', input, options)
  }

  private ask<K extends TaskKind>(kind: K, input: Tasks[K]['input'], options: AskOptions): Promise<Tasks[K]['result']> {
    const { signal, onProgress } = options
    const job = ++this.count
    return new Promise<Tasks[K]['result']>((resolve, reject) => {
      if (signal?.aborted) return reject(aborted())
      this.jobs.set(job, {
        request: { kind, job, input } as Request,
        resolve,
        reject,
        onProgress,
        tried: false,
      })
      signal?.addEventListener('abort', () => this.cancel(job), { once: true })
      this.startNext()
    })
  }

  private startNext(): void {
    if (this.running !== null) return
    const first = this.jobs.values().next().value
    if (!first) return
    this.running = first.request.job
    this.worker ??= this.started()
    this.worker.postMessage(first.request)
    this.listen()
  }

  private started(): WorkerLike {
    const worker = this.spawn()
    worker.onmessage = (event) => this.hear(event.data)
    worker.onerror = (event) => {
      // It is said here; the page's own list of what went wrong need not hear of it too.
      event.preventDefault?.()
      this.died(event.message || 'it could not be started')
    }
    return worker
  }

  /** Waits for the next word of the running job; a worker that stays silent is taken for dead. */
  private listen(begun = false): void {
    clearTimeout(this.patience)
    const job = this.running === null ? null : this.jobs.get(this.running)
    if (!job) return
    const silent = () => this.died('it does not answer')
    const wait = begun && IN_ONE_GO.has(job.request.kind) ? IN_ONE_GO_MS : SILENT_MS
    // After a sleep the time is over at once: a worker that woke as well has a second to say so.
    this.patience = setTimeout(() => (this.patience = setTimeout(silent, WAKES_MS)), wait - WAKES_MS)
  }

  private hear(response: Response): void {
    const job = this.jobs.get(response.job)
    if (!job) return
    if (response.kind === 'begun') return this.listen(true)
    if (response.kind === 'progress') {
      this.listen(true)
      return job.onProgress?.(response.done, response.best)
    }
    this.finish(response.job)
    if (response.kind === 'done') job.resolve(response.result as never)
    else
      job.reject(
        'code' in response.error
          ? new CodedError(response.error.code, response.error.path, response.error.facts)
          : new Error(response.error.message),
      )
    this.startNext()
  }

  private finish(job: number): void {
    this.jobs.delete(job)
    if (this.running !== job) return
    this.running = null
    clearTimeout(this.patience)
  }

  private cancel(job: number): void {
    const found = this.jobs.get(job)
    if (!found) return
    if (this.running === job) {
      this.worker?.terminate()
      this.worker = null
    }
    this.finish(job)
    found.reject(aborted())
    this.startNext()
  }

  /**
   * The worker is gone: the job it had goes to a fresh one, once. What ends that one too is told; the others go on.
   * @param how it was noticed, in words
   */
  private died(how: string): void {
    clearTimeout(this.patience)
    this.worker?.terminate()
    this.worker = null
    const job = this.running === null ? undefined : this.jobs.get(this.running)
    this.running = null
    if (job && !job.tried) job.tried = true
    else if (job) {
      this.jobs.delete(job.request.job)
      // A file that ends the engine itself is more than it can hold.
      const tooLarge = job.request.kind === 'readFile'
      job.reject(
        tooLarge
          ? new CodedError('too-large', '', { field: 'The file', detail: `reading it ended the computation (${how})` })
          : new CodedError('worker-gone', '', { detail: how }),
      )
    }
    this.startNext()
  }
}

const aborted = () => new DOMException('Cancelled', 'AbortError')

const spawned = () => new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' }) as unknown as WorkerLike
let shared: WorkerClient | null = null
/** The app's worker, started when it is first asked. */
export const benchWorker = (): WorkerClient => (shared ??= new WorkerClient(spawned))

let side: WorkerClient | null = null
/** Another one for what takes its time while the first has to answer at once: a weight is being dragged. */
export const sideWorker = (): WorkerClient => (side ??= new WorkerClient(spawned))
