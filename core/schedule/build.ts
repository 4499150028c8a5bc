import { Board } from './place'
import { EPS, type Placed, type Problem, type Schedule, type Span } from './problem'

/** The window of each session's tests, by its name. */
export type TestWindows = ReadonlyMap<string, Span>
/** A schedule, or the chains that had no place, by index. */
export type Built = { schedule: Schedule; failed: readonly number[] } | { schedule: null; failed: readonly number[] }

/** The schedule that comes of putting the chains on the board one after the other, each where it ends earliest. */
export function build(problem: Problem, order: readonly number[], tests: TestWindows): Built {
  const board = new Board(problem)
  const steps: Placed[] = []
  const byHand = new Map<string, Span>()
  const failed: number[] = []
  let finish = 0
  // What burns or is open already cannot move: it takes its time before all else.
  const isOpen = (index: number) => problem.chains[index]!.fires?.some(({ from }) => from < 0) ?? false
  for (const index of [...order.filter(isOpen), ...order.filter((one) => !isOpen(one))]) {
    const chain = problem.chains[index]!
    const spans = board.put(chain, tests.get(chain.session) ?? null)
    if (!spans) {
      failed.push(index)
      continue
    }
    chain.steps.forEach((step, i) => {
      const span = spans[i]!
      steps.push({ chain: chain.id, step: step.id, ...span })
      // A mix that serves several pieces is one span of work.
      // What was done before the plan begins is nobody's work any more.
      if (step.hands && span.to > 0) byHand.set(step.shared ? `${step.shared.key} ${span.from}` : `${index} ${i}`, span)
    })
    finish = Math.max(finish, spans.at(-1)?.to ?? 0)
  }
  if (failed.length) return { schedule: null, failed }
  return { schedule: { steps, finish, ...worked(problem, [...byHand.values()]) }, failed }
}

/** In how many windows somebody works, and how long they stand about between their first and last step there, min. */
function worked({ windows, hands }: Problem, spans: readonly Span[]): Pick<Schedule, 'sessions' | 'waiting'> {
  const found = new Map<Span, { from: number; to: number; busy: number }>()
  for (const { from, to } of spans) {
    const window = windows.find((one) => to <= one.to + EPS)
    if (!window) continue
    const old = found.get(window)
    found.set(window, {
      from: Math.min(old?.from ?? Infinity, from),
      to: Math.max(old?.to ?? 0, to),
      busy: (old?.busy ?? 0) + to - from,
    })
  }
  const idle = [...found.values()].map(({ from, to, busy }) => Math.max(0, to - from - busy / hands))
  return { sessions: found.size, waiting: idle.reduce((sum, one) => sum + one, 0) }
}
