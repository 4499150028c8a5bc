import { inWindows, Profile } from './profile'
import {
  EPS,
  resourceKinds,
  type Chain,
  type PlannedFire,
  type PlannedStep,
  type Problem,
  type ResourceKind,
  type Span,
} from './problem'

/** Something done once, and how many pieces it has served. */
interface Lot {
  from: number
  to: number
  served: number
}

/** A span in which something is hot, or its vapour may burn. */
interface Fire extends Span {
  kind: PlannedFire['kind']
}
/** The times of a chain’s steps, by index; none for one that was done for another piece. */
type Times = (number | undefined)[]

/** What is taken so far: hands, places, and what was done once for several pieces. */
export class Board {
  private readonly hands: Profile
  private readonly places: Record<ResourceKind, Profile>
  private readonly lots = new Map<string, Lot[]>()
  /** when something is hot, or its vapour may burn */
  private readonly fires: Fire[] = []

  constructor(private readonly problem: Pick<Problem, 'windows' | 'hands' | 'places' | 'done'>) {
    for (const { key, at } of problem.done ?? [])
      this.lots.set(key, [...(this.lots.get(key) ?? []), { from: at, to: at, served: 0 }])
    this.hands = new Profile(problem.hands)
    this.places = Object.fromEntries(resourceKinds.map((kind) => [kind, new Profile(problem.places[kind])])) as Record<
      ResourceKind,
      Profile
    >
  }

  /** The earliest time from `from` on at which a step can run; ∞ where there is none. */
  private earliest(step: PlannedStep, from: number, within: Span | null): number {
    let at = from
    if (step.pinned !== undefined) {
      if (step.pinned < from - EPS) return Infinity
      at = step.pinned
    }
    // Each turn moves it on to where one of its needs is met; where all are, it stands.
    for (;;) {
      const before = at
      if (step.hands) {
        at = inWindows(within ? [within] : this.problem.windows, at, step.minutes)
        if (at === Infinity) return Infinity
        at = this.hands.freeFrom(at, step.minutes)
      } else if (within) at = inWindows([within], at, step.minutes)
      for (const kind of step.uses) at = this.places[kind].freeFrom(at, step.minutes)
      if (at === Infinity) return Infinity
      if (at <= before + EPS) return step.pinned !== undefined && at > step.pinned + EPS ? Infinity : at
      if (step.pinned !== undefined) return Infinity
    }
  }

  /**
   * The earliest times of a chain's steps, in all of them at once: where one comes later than its limit allows, the
   * step before it moves on. Start times that differ by lags and lie in sets of their own have a least solution, which
   * this walks up to.
   * @param tests the window of its test
   * @param limits latest starts of single steps, by index
   * @returns null where there is no such time
   */
  times(
    { steps, doneAt, notBefore, testNotBefore }: Omit<Chain, 'id' | 'session'>,
    tests: Span | null,
    limits: ReadonlyMap<number, Span> = new Map(),
  ): number[] | null {
    const at: number[] = steps.map(() => 0)
    const low: number[] = steps.map((_, i) => limits.get(i)?.from ?? 0)
    if (steps.length && notBefore !== undefined) low[0] = Math.max(low[0]!, notBefore)
    if (steps.length && testNotBefore !== undefined) low[steps.length - 1] = Math.max(low.at(-1)!, testNotBefore)
    for (let i = 0; i < steps.length;) {
      const step = steps[i]!
      const ended = i > 0 ? at[i - 1]! + steps[i - 1]!.minutes : doneAt
      const from = Math.max(low[i]!, ended === undefined ? 0 : ended + step.minGap)
      const start = this.earliest(step, from, i === steps.length - 1 ? tests : null)
      if (start === Infinity || start > (limits.get(i)?.to ?? Infinity) + EPS) return null
      at[i] = start
      if (ended !== undefined && step.maxGap !== null && start > ended + step.maxGap + EPS) {
        // What is done already cannot move.
        if (i === 0) return null
        low[i] = Math.max(low[i]!, start)
        low[i - 1] = Math.max(low[i - 1]!, start - step.maxGap - steps[i - 1]!.minutes)
        i -= 1
        continue
      }
      i += 1
    }
    return at
  }

  /** Puts a chain on the board where it can begin earliest; null where it has no place. */
  put(chain: Chain, tests: Span | null): Span[] | null {
    const found = this.withLots(chain, tests)
    if (!found) return null
    this.fires.push(...firesOf(chain, found.at, found.lots).map(({ kind, from, to }) => ({ kind, from, to })))
    const spans: Span[] = []
    chain.steps.forEach((step, i) => {
      const at = found.at[i]
      // Done for another piece already: it takes nobody's time again.
      if (at === undefined) {
        const lot = found.lots.get(i)!
        lot.served += 1
        return void spans.push({ from: lot.from, to: lot.to })
      }
      const span = { from: at, to: at + step.minutes }
      if (step.hands) this.hands.take(span.from, span.to)
      for (const kind of step.uses) this.places[kind].take(span.from, span.to)
      if (step.shared) {
        const { key } = step.shared
        this.lots.set(key, [...(this.lots.get(key) ?? []), { ...span, served: 1 }])
      }
      spans.push(span)
    })
    return spans
  }

  /** The chain's times where it does everything itself, or takes what was done for others, whichever ends earlier. */
  private withLots(chain: Chain, tests: Span | null): { at: Times; lots: Map<number, Lot> } | null {
    const none = new Map<number, Lot>()
    const alone = this.apart(chain, none, (lows) => this.times(chain, tests, lows))
    let best = alone && { at: alone, lots: none }
    const shared = chain.steps.flatMap(({ shared: one }, i) => (one && chain.steps[i + 1] ? [{ ...one, i }] : []))
    if (!shared.length) return best
    const open = shared.map(({ key, pieces }) =>
      (this.lots.get(key) ?? []).filter(({ served }) => pieces === null || served < pieces),
    )
    if (open.every((lots) => !lots.length)) return best
    // The latest lot of each serves longest; where it is too late for the piece, it does the step itself.
    const taken = new Map<number, Lot>()
    for (const [k, lots] of open.entries()) if (lots.length) taken.set(shared[k]!.i, lots.at(-1)!)
    const together = this.serve(chain, tests, shared, taken)
    if (together && (!best || end(together.at) <= end(best.at) + EPS)) best = together
    return best
  }

  /**
   * Least times in which nothing hot stands beside what may burn: a span that meets one of the other kind begins after
   * it, since it cannot end earlier than it does.
   * @param timesFrom the chain's least times with steps that begin no earlier, by index; null where there are none
   * @returns null where a span that cannot move meets another one
   */
  private apart(
    chain: Chain,
    lots: ReadonlyMap<number, Lot>,
    timesFrom: (lows: ReadonlyMap<number, Span>) => Times | null,
  ): Times | null {
    const lows = new Map<number, Span>()
    for (;;) {
      const at = timesFrom(lows)
      if (!at || !chain.fires?.length) return at
      const met = firesOf(chain, at, lots).flatMap((own) => {
        const other = this.fires.find(
          ({ kind, from, to }) => kind !== own.kind && from < own.to - EPS && own.from < to - EPS,
        )
        return other ? [{ own, to: other.to }] : []
      })[0]
      if (!met) return at
      if (met.own.first === null) return null
      lows.set(met.own.first, { from: met.to, to: Infinity })
    }
  }

  private serve(
    chain: Chain,
    tests: Span | null,
    shared: readonly { i: number; lifeMin: number | null }[],
    taken: Map<number, Lot>,
  ) {
    const kept = chain.steps.map((_, i) => i).filter((i) => !taken.has(i))
    const limits = new Map<number, Span>()
    for (const { i, lifeMin } of shared) {
      const lot = taken.get(i)
      if (!lot) continue
      const next = kept.findIndex((one) => one > i)
      const old = limits.get(next)
      const to = lifeMin === null ? Infinity : lot.to + lifeMin
      limits.set(next, { from: Math.max(lot.to, old?.from ?? 0), to: Math.min(to, old?.to ?? Infinity) })
    }
    const steps = kept.map((i) => chain.steps[i]!)
    // A gap behind a step that is left out counts from what came before it no longer.
    const loose = steps.map((step, k) => (k > 0 && kept[k - 1] !== kept[k]! - 1 ? { ...step, maxGap: null } : step))
    const { doneAt, notBefore, testNotBefore } = chain
    const at = this.apart(chain, taken, (lows) => {
      const both = new Map(limits)
      for (const [i, low] of lows) {
        const k = kept.indexOf(i)
        both.set(k, { from: Math.max(low.from, limits.get(k)?.from ?? 0), to: limits.get(k)?.to ?? Infinity })
      }
      const times = this.times({ steps: loose, doneAt, notBefore, testNotBefore }, tests, both)
      if (!times) return null
      const all: Times = chain.steps.map(() => undefined)
      kept.forEach((i, k) => (all[i] = times[k]))
      return all
    })
    return at && { at, lots: taken }
  }
}

/** The spans of a chain at its times; first: the step with which one moves, null for one that stands already. */
const firesOf = (
  { fires = [], steps }: Chain,
  at: Times,
  lots: ReadonlyMap<number, Lot>,
): (Fire & { first: number | null })[] =>
  fires.map(({ kind, from, to, after }) => {
    const begin = from < 0 ? 0 : (at[from] ?? lots.get(from)!.from)
    const last = to < 0 ? 0 : (at[to] ?? lots.get(to)!.from) + steps[to]!.minutes
    return { kind, from: begin, to: last + after, first: from < 0 || at[from] === undefined ? null : from }
  })

const end = (at: readonly (number | undefined)[]): number => at.at(-1)!
