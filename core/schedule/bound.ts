import { Board } from './place'
import { EPS, resourceKinds, type Chain, type Problem, type Span } from './problem'

/** The end of the last test that no schedule can beat, min; and the first window that may hold each session’s tests. */
export interface Bound {
  finish: number
  windows: Map<string, number>
}

const sum = (numbers: readonly number[]) => numbers.reduce((all, one) => all + one, 0)

/** When so many minutes of the windows have passed; ∞ where they hold fewer. */
export function workedUntil(windows: readonly Span[], minutes: number): number {
  let left = minutes
  for (const { from, to } of windows) {
    const length = to - Math.max(0, from)
    if (length <= 0) continue
    if (left <= length + EPS) return Math.max(0, from) + left
    left -= length
  }
  return Infinity
}

/** Hands-on minutes before the test, and the least time from the last of them to the end of the test. */
function ahead({ steps }: Chain): { work: number; tail: number } {
  const last = steps.length - 1
  const at = steps.findLastIndex(({ hands }, i) => hands && i < last)
  // What is shared may have been done for another piece.
  const work = sum(steps.slice(0, last).map(({ hands, minutes, shared }) => (hands && !shared ? minutes : 0)))
  return { work, tail: lag(steps, at + 1) }
}

/** The least time that the steps from an index on take, with their gaps. */
const lag = (steps: Chain['steps'], from: number): number =>
  sum(steps.slice(from).map(({ minutes, minGap }, i) => minutes + (from + i > 0 ? minGap : 0)))

/** All hands-on work up to a piece, then what that piece still takes: the pieces with the longest tails first. */
function afterTheWork({ windows, hands }: Problem, chains: readonly Chain[]): number {
  const list = chains.map(ahead).sort((x, y) => y.tail - x.tail)
  let [work, most] = [0, 0]
  for (const one of list) {
    work += one.work
    most = Math.max(most, workedUntil(windows, work / hands) + one.tail)
  }
  return most
}

/** All that takes a place, over the places, with the least time before and behind it. */
function throughPlaces({ places }: Problem, chains: readonly Chain[], alone: readonly number[][]): number {
  const bounds = resourceKinds.map((kind) => {
    const using = chains.flatMap((chain, c) => {
      const first = chain.steps.findIndex(({ uses }) => uses.includes(kind))
      if (first < 0) return []
      const last = chain.steps.findLastIndex(({ uses }) => uses.includes(kind))
      const minutes = sum(chain.steps.map((step) => (step.uses.includes(kind) ? step.minutes : 0)))
      return [{ head: alone[c]![first]!, minutes, tail: lag(chain.steps, last + 1) }]
    })
    if (!using.length) return 0
    const least = (pick: (one: (typeof using)[number]) => number) => Math.min(...using.map(pick))
    return (
      least(({ head }) => head) + sum(using.map(({ minutes }) => minutes)) / places[kind] + least(({ tail }) => tail)
    )
  })
  return Math.max(...bounds)
}

/**
 * What is clamped right behind hands-on work begins inside a window: in each of them a place holds as many minutes as
 * the window has, and one piece more that stays in it afterwards; of these the longest are counted, one for each
 * window and place.
 */
function begunInWindows({ places, windows }: Problem, chains: readonly Chain[]): number {
  const bounds = resourceKinds.map((kind) => {
    const using = chains.flatMap(({ steps }) =>
      steps.flatMap((step, i) => {
        const bound = step.uses.includes(kind) && (step.hands || (i > 0 && steps[i - 1]!.hands && step.maxGap !== null))
        const late = step.hands ? 0 : (step.maxGap ?? 0)
        return bound ? [{ minutes: step.minutes, late, tail: lag(steps, i + 1) }] : []
      }),
    )
    const capacity = places[kind]
    if (!using.length || !Number.isFinite(capacity)) return 0
    const late = Math.max(...using.map((one) => one.late))
    using.sort((x, y) => y.tail - x.tail)
    // Those with the longest tails alone, then with the next: the last of them to begin still has its tail before it.
    return Math.max(
      ...using.map(({ tail }, n) => {
        const longest = using
          .slice(0, n + 1)
          .map(({ minutes }) => minutes)
          .sort((x, y) => y - x)
        let [left, pieces] = [sum(longest), longest.length]
        for (const [i, { from, to }] of windows.entries()) {
          left -= capacity * (to - from + late) + sum(longest.slice(capacity * i, capacity * (i + 1)))
          // And none begins in a place before the one ahead of it has left.
          pieces -= capacity * (Math.floor((to - from + late) / Math.max(EPS, longest.at(-1)!)) + 1)
          if (left <= EPS && pieces <= 0) return from + tail
        }
        return Infinity
      }),
    )
  })
  return Math.max(...bounds)
}

/** The tests of one session one after the other, from when the first of them may begin. */
function inSession({ hands }: Problem, tests: readonly { from: number; minutes: number; hands: boolean }[]): number {
  const list = tests.filter((one) => one.hands).sort((x, y) => x.from - y.from)
  let [most, work] = [0, 0]
  for (let i = list.length - 1; i >= 0; i--) {
    work += list[i]!.minutes
    most = Math.max(most, list[i]!.from + work / hands)
  }
  return most
}

/** The least end of one session whose tests lie in a window; ∞ where they cannot. */
function endIn(problem: Problem, chains: readonly Chain[], window: Span): number {
  const board = new Board(problem)
  const alone = chains.map((chain) => board.times(chain, window))
  if (alone.some((times) => times === null)) return Infinity
  const times = alone as number[][]
  const tests = chains.map(({ steps }, c) => ({ from: times[c]!.at(-1)!, ...pickTest(steps.at(-1)!) }))
  const end = Math.max(
    ...tests.map(({ from, minutes }) => from + minutes),
    inSession(problem, tests),
    afterTheWork(problem, chains),
    throughPlaces(problem, chains, times),
    begunInWindows(problem, chains),
  )
  return end <= window.to + EPS ? end : Infinity
}
const pickTest = ({ minutes, hands }: Chain['steps'][number]) => ({ minutes, hands })

/**
 * The lower bound (methods.md 7): the longest chain by itself, all hands-on work over the hands with what its last
 * piece still takes, what is clamped over the clamps, the tests one after the other; each inside the windows. null
 * where no window can hold the tests of a session.
 */
export function boundOf(problem: Problem): Bound | null {
  const windows = new Map<string, number>()
  const names = [...new Set(problem.chains.map(({ session }) => session))]
  const all = problem.chains.flatMap(({ steps }) =>
    steps.map(({ hands, minutes, shared }) => (hands && !shared ? minutes : 0)),
  )
  let finish = workedUntil(problem.windows, sum(all) / problem.hands)
  for (const name of names) {
    const chains = problem.chains.filter(({ session }) => session === name)
    const at = problem.windows.findIndex((window) => endIn(problem, chains, window) < Infinity)
    if (at < 0) return null
    windows.set(name, at)
    finish = Math.max(finish, endIn(problem, chains, problem.windows[at]!))
  }
  return { finish, windows }
}
