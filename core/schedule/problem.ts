/** What a step needs beside hands, as many of each as the bench has. */
export const resourceKinds = ['clamp', 'lamp', 'oven', 'fridge'] as const
export type ResourceKind = (typeof resourceKinds)[number]

/** A span of time, minutes from the start of the plan. */
export interface Span {
  from: number
  to: number
}

/** Something done once that serves several pieces: a mix within its pot life, a gun that is hot for the evening. */
interface Shared {
  key: string
  /** how long it serves after it is done, min; null: for ever */
  lifeMin: number | null
  /** the most pieces that it serves; null without a limit */
  pieces: number | null
}

export interface PlannedStep {
  id: string
  /** how long it takes, min */
  minutes: number
  /** a person stands at it: inside a window, with a pair of hands that is free */
  hands: boolean
  uses: readonly ResourceKind[]
  /** min from the end of the step before */
  minGap: number
  /** null without a limit */
  maxGap: number | null
  shared?: Shared
  /** fixed by the maker to begin then, min */
  pinned?: number
}

/** From the beginning of a step on something is hot, or its vapour may burn: beside the other no such span may lie. */
export interface PlannedFire {
  kind: 'heat' | 'film'
  /** by index among the steps that are left; −1: since before the plan begins */
  from: number
  /** the step at whose end it is over; −1: all of its steps are done */
  to: number
  /** it lasts so long beyond, min; from the start of the plan where all of its steps are done */
  after: number
}

/** A coupon as a chain of steps, its test the last. */
export interface Chain {
  id: string
  steps: readonly PlannedStep[]
  /** its test is done in one window with all others of this name */
  session: string
  /** the end of the step before the first of these, where it is begun already, min (below 0: in the past) */
  doneAt?: number
  /** its first step begins no earlier, and its test neither: as the maker has set it, min */
  notBefore?: number
  testNotBefore?: number
  fires?: readonly PlannedFire[]
}

export interface Problem {
  /** when somebody can work, in order, none touching the next */
  windows: readonly Span[]
  /** pairs of hands */
  hands: number
  places: Readonly<Record<ResourceKind, number>>
  chains: readonly Chain[]
  /** what serves several and was done before the plan begins: when it was at its end, min (below 0) */
  done?: readonly { key: string; at: number }[]
}

/** When a step runs, min. */
export interface Placed extends Span {
  chain: string
  step: string
}

export interface Schedule {
  steps: Placed[]
  /** when the last test ends, min */
  finish: number
  /** windows in which a person works */
  sessions: number
  /** minutes of those windows in which somebody stands about */
  waiting: number
}

/** Two plans in the order that is wanted: the earlier end, then fewer sessions, then less standing about. */
export function isBetter(one: Schedule, other: Schedule): boolean {
  if (Math.abs(one.finish - other.finish) > EPS) return one.finish < other.finish
  if (one.sessions !== other.sessions) return one.sessions < other.sessions
  return one.waiting < other.waiting - EPS
}

/** Times nearer than this are the same, min. */
export const EPS = 1e-6
