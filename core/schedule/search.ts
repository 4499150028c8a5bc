import { build, type TestWindows } from './build'
import { boundOf, type Bound } from './bound'
import { EPS, isBetter, type Chain, type Problem, type Schedule } from './problem'

export interface SearchOptions {
  /** 0…1, seeded */
  random: () => number
  /** asked between two tries; false: what is best so far is the answer */
  goOn: (tries: number) => boolean
  /** told of each better schedule, with the bound and the tries that it took */
  onBetter?: (schedule: Schedule, lowerBound: number, tries: number) => void
}

export interface Found {
  schedule: Schedule
  /** min; no schedule ends earlier */
  lowerBound: number
  tries: number
}

/** Orders that are tried in a window before the tests move to the next one. */
const ORDERS = 60
/** Orders that are tried in an earlier window between two that improve what is found. */
const EARLIER = 60
/** Tries without anything better after which a schedule that ends at the bound is good enough. */
const STILL = 400

/** The longest from its first step to its last comes first: the plain list schedule. */
export function listOrder(chains: readonly Chain[]): number[] {
  const length = ({ steps }: Chain) => steps.reduce((sum, { minutes, minGap }) => sum + minutes + minGap, 0)
  const lengths = chains.map(length)
  return chains.map((_, i) => i).sort((x, y) => lengths[y]! - lengths[x]! || x - y)
}

/** One chain elsewhere in the order, or two changed about. */
function moved(order: readonly number[], random: () => number): number[] {
  const out = [...order]
  const [i, j] = [Math.floor(random() * out.length), Math.floor(random() * out.length)]
  if (random() < 0.5) [out[i], out[j]] = [out[j]!, out[i]!]
  else out.splice(j, 0, ...out.splice(i, 1))
  return out
}

interface Start {
  order: number[]
  schedule: Schedule
}

/** Looks for an order in which all chains have a place: kept as it stands between two spells of looking. */
class Packing {
  private order: number[]
  private failed: readonly number[]

  constructor(
    private readonly problem: Problem,
    readonly tests: TestWindows,
    private readonly random: () => number,
  ) {
    this.order = listOrder(problem.chains)
    this.failed = this.order
  }

  /** The session of a piece that had no place in the best order so far. */
  get stuck(): string {
    return this.problem.chains[this.failed[0]!]!.session
  }

  /** @param goOn asked after each order but the first */
  look(orders: number, goOn: () => boolean): Start | null {
    for (let k = 0; k < orders && (k === 0 || goOn()); k++) {
      const order = k === 0 && this.failed === this.order ? this.order : this.next()
      const { schedule, failed } = build(this.problem, order, this.tests)
      if (schedule) return { order, schedule }
      if (failed.length > this.failed.length) continue
      this.order = order
      this.failed = failed
    }
    return null
  }

  /** What had no place comes earlier, or something else is moved. */
  private next(): number[] {
    if (this.random() < 0.5) return moved(this.order, this.random)
    const one = this.failed[Math.floor(this.random() * this.failed.length)]!
    const rest = this.order.filter((other) => other !== one)
    rest.splice(Math.floor(this.random() * Math.max(1, this.order.indexOf(one))), 0, one)
    return rest
  }
}

/** Where the tests of each session lie, earliest first, and the first of these in which all have a place. */
interface Begun {
  first: Start
  tests: TestWindows
  /** earlier windows in which no order was found yet, the latest first */
  before: Packing[]
}

function begin(problem: Problem, bound: Bound, random: () => number, goOn: () => boolean): Begun | null {
  const at = new Map(bound.windows)
  const before: Packing[] = []
  for (;;) {
    const tests = new Map([...at].map(([name, index]) => [name, problem.windows[index]!]))
    const packing = new Packing(problem, tests, random)
    const first = packing.look(ORDERS, goOn)
    if (first) return { first, tests, before }
    before.unshift(packing)
    // The session of a piece that has no place waits for the next window.
    const next = at.get(packing.stuck)! + 1
    if (next >= problem.windows.length) return null
    at.set(packing.stuck, next)
  }
}

/**
 * The best schedule that is found until it is told to stop: a list schedule, the slowest first, improved by moving
 * pieces in its order, and by looking whether the tests fit an earlier window after all. The same seed and the same
 * number of tries give the same schedule.
 * @returns null where the windows hold none
 */
export function search(problem: Problem, options: SearchOptions): Found | null {
  if (!problem.chains.length)
    return { schedule: { steps: [], finish: 0, sessions: 0, waiting: 0 }, lowerBound: 0, tries: 0 }
  const { random, goOn, onBetter } = options
  const bound = boundOf(problem)
  const begun = bound && begin(problem, bound, random, () => goOn(0))
  if (!begun) return null
  let { tests, before } = begun
  let { order, schedule: current } = begun.first
  let best = current
  let [tries, still] = [0, 0]
  onBetter?.(best, bound.finish, tries)
  const better = (schedule: Schedule) => {
    best = schedule
    still = 0
    onBetter?.(best, bound.finish, tries)
  }
  while (goOn(tries) && !(best.finish <= bound.finish + EPS && still > STILL)) {
    tries += 1
    still += 1
    if (before.length && tries % EARLIER === 0) {
      const at = Math.floor(random() * before.length)
      const found = before[at]!.look(EARLIER, () => goOn(tries))
      tries += EARLIER
      if (found && isBetter(found.schedule, best)) {
        tests = before[at]!.tests
        before = before.slice(at + 1)
        ;({ order, schedule: current } = found)
        better(current)
        continue
      }
    }
    const next = moved(order, random)
    const { schedule } = build(problem, next, tests)
    if (!schedule || isBetter(current, schedule)) continue
    ;[order, current] = [next, schedule]
    if (isBetter(schedule, best)) better(schedule)
  }
  return { schedule: best, lowerBound: Math.min(bound.finish, best.finish), tries }
}
