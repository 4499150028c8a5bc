import { answerRequest } from '../workers/protocol'

/** The worker's work in the test's own thread: the same protocol, no thread. */
export function workerHere() {
  // The same question has the same answer: a page that is opened hundreds of times asks it once.
  const answers = new Map<string, Promise<unknown>>()
  const ask = (kind: string) => (input: unknown) => {
    const key = JSON.stringify([kind, input], (_, value: unknown) => (Number.isNaN(value) ? 'NaN' : value))
    if (!answers.has(key)) answers.set(key, answered(kind, input))
    return answers.get(key)!
  }
  const answered = (kind: string, input: unknown) =>
    new Promise((resolve, reject) => {
      void answerRequest({ kind, job: 1, input } as never, (answer) => {
        if (answer.kind === 'done') resolve(answer.result)
        else if (answer.kind === 'failed') reject(new Error(JSON.stringify(answer.error)))
      })
    })
  // The same holds for what is drawn: a few hundred draws weigh as well.
  const few = (kind: string) => (input: { key: string; of: object }) =>
    ask(kind)({ ...input, of: { ...input.of, draws: 400 } })
  const worker = () => ({
    weigh: few('weigh'),
    moves: few('moves'),
    next: ask('next'),
    kept: ask('kept'),
    analyse: ask('analyse'),
    openWords: ask('openWords'),
    evidence: ask('evidence'),
    // A page is opened hundreds of times in a suite: what is found at once is enough there.
    timetable: (input: object) => ask('timetable')({ ...input, seconds: 0.01 }),
    joints: ask('joints'),
    kit: ask('kit'),
    whole: ask('whole'),
    package: (input: never) => answered('package', input),
    readFile: (input: never) => answered('readFile', input),
    mergePreview: ask('mergePreview'),
    mergeChanges: ask('mergeChanges'),
    photo: (input: never) => answered('photo', input),
    copy: async () => true,
  })
  return { benchWorker: worker, sideWorker: worker }
}
