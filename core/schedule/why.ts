import { durationWords } from '../quantities/durations'
import { seededRandom } from '../planning/random'
import { boundOf } from './bound'
import { Board } from './place'
import { EPS, type Chain, type PlannedStep, type Problem, type ResourceKind, resourceKinds, type Span } from './problem'
import { search } from './search'

export type Constraint = 'windows' | 'hands' | 'clamps' | 'places' | 'wait' | 'pin' | 'session' | 'end'

/** Why nothing fits: what stands in the way, and the nearest change that helps. */
export interface Why {
  constraint: Constraint
  text: string
  change: string
}

/** A change of one constraint, how large it is against what there was, and what to say of it. */
interface Change extends Why {
  /** of what there was: 1 is twice of it */
  size: number
}

const minutes = (n: number) => durationWords(Math.round(n * 60))
/** Whether something fits at all; once there is no more time, nothing is tried any more. */
type Fits = (problem: Problem) => boolean
const within =
  (goOn: () => boolean): Fits =>
  (problem) =>
    goOn() && search(problem, { random: seededRandom(1), goOn: (tries) => tries < 1 && goOn() }) !== null
/** Factors by which a time or a window is stretched, from the smallest on. */
const STRETCH = [1.1, 1.25, 1.5, 2, 3, 5, 10, 30]
const MORE = [1, 2, 3, 4, 6, 8, 12, 20, 40, 80]

const placeWords: Record<ResourceKind, [one: string, many: string]> = {
  clamp: ['clamp', 'clamps'],
  lamp: ['lamp', 'lamps'],
  oven: ['oven place', 'oven places'],
  fridge: ['fridge place', 'fridge places'],
}

/**
 * Which constraint breaks a problem, and the nearest change that helps: each is loosened by itself, a little at a
 * time; of those with which it fits the smallest change is told.
 * @param goOn asked between two tries; false: what was found so far is the answer
 */
export function whyNot(problem: Problem, goOn: () => boolean = () => true): Why {
  const fits = within(goOn)
  const whole = problem.chains.map((chain) => brokenAlone(problem, chain, fits)).find((one) => one !== null)
  if (whole) return whole
  const best = smallest([
    ...resourceKinds.map((kind) => morePlaces(problem, kind, fits)),
    moreHands(problem, fits),
    longerWindows(problem, fits),
    laterEnd(problem, fits),
    longerWaits(problem, fits),
    withoutPins(problem, fits),
    twoSessions(problem, fits),
  ])
  if (best) return best
  return {
    constraint: 'windows',
    text: 'The windows are too few and too short for so much work, whatever else is changed.',
    change: 'Glue fewer pieces, or give it more evenings.',
  }
}

/** What keeps a single piece from being glued, were it the only one. */
function brokenAlone(problem: Problem, chain: Chain, fits: Fits): Why | null {
  const alone: Problem = { ...problem, chains: [chain] }
  if (boundOf(alone)) return null
  const needs = chain.steps.flatMap(({ uses }) => uses).find((kind) => problem.places[kind] < 1)
  if (needs)
    return {
      constraint: needs === 'clamp' ? 'clamps' : 'places',
      text: `${chain.id} needs a ${placeWords[needs][0]}, and there is none.`,
      change: `Have one ${placeWords[needs][0]} at hand.`,
    }
  if (problem.hands < 1)
    return { constraint: 'hands', text: 'Nobody is there to do it: no hands.', change: 'Have one person at it.' }
  const longest = Math.max(0, ...problem.windows.map(({ from, to }) => to - from))
  const step = chain.steps.find((one) => one.hands && one.minutes > longest + EPS)
  if (step)
    return {
      constraint: 'windows',
      text: `${chain.id}, ${step.id}, takes ${minutes(step.minutes)} and the longest window is ${minutes(longest)}.`,
      change: `Make one window ${minutes(step.minutes)} long.`,
    }
  const crossed = chain.steps.find(({ minGap, maxGap }) => maxGap !== null && maxGap < minGap - EPS)
  if (crossed) return waitWhy(chain, crossed, crossed.minGap)
  return (
    pinWhy(alone, chain) ??
    smallest([waitThatHelps(alone, chain), longerWindows(alone, fits), laterEnd(alone, fits)]) ?? {
      constraint: 'end',
      text: `${chain.id} is not done before the last window ends.`,
      change: 'Add a later window.',
    }
  )
}

/** The change that asks for the least of what there is; null where none helps. */
function smallest(changes: readonly (Change | null)[]): Why | null {
  const best = changes.filter((one): one is Change => one !== null).sort((x, y) => x.size - y.size)[0]
  return best ? { constraint: best.constraint, text: best.text, change: best.change } : null
}

const waitWhy = (chain: Chain, step: PlannedStep, needed: number): Why => ({
  constraint: 'wait',
  text:
    `${chain.id}, ${step.id}: the wait before it (gap) may be ${minutes(step.maxGap!)} at most, and here it is ` +
    `${minutes(needed)} at least.`,
  change: `Let it wait up to ${minutes(needed)}.`,
})

function pinWhy(problem: Problem, chain: Chain): Why | null {
  const pinned = chain.steps.find(({ pinned: at }) => at !== undefined)
  if (!pinned || !boundOf({ ...problem, chains: [unpinned(chain)] })) return null
  return {
    constraint: 'pin',
    text: `${chain.id}, ${pinned.id}, is pinned to a time at which it cannot be done.`,
    change: 'Take the pin out, or move it.',
  }
}
const unpinned = (chain: Chain): Chain => ({
  ...chain,
  steps: chain.steps.map((step) => ({ ...step, pinned: undefined })),
})

/** The one wait that has to be longer, by the least of what it may be, and how long it is then. */
function waitThatHelps(problem: Problem, chain: Chain): Change | null {
  const found = chain.steps.flatMap((step, i): Change[] => {
    if (step.maxGap === null) return []
    const steps = chain.steps.map((one, k) => (k === i ? { ...one, maxGap: null } : one))
    const loose = { ...chain, steps }
    const window = problem.windows.find((one) => new Board(problem).times(loose, one) !== null)
    if (!window || !boundOf({ ...problem, chains: [loose] })) return []
    const times = new Board(problem).times(loose, window)!
    const ended = i > 0 ? times[i - 1]! + chain.steps[i - 1]!.minutes : (chain.doneAt ?? 0)
    const needed = times[i]! - ended
    return [{ ...waitWhy(chain, step, needed), size: needed / Math.max(1, step.maxGap) - 1 }]
  })
  return found.sort((x, y) => x.size - y.size)[0] ?? null
}

function morePlaces(problem: Problem, kind: ResourceKind, fits: Fits): Change | null {
  const had = problem.places[kind]
  if (!problem.chains.some(({ steps }) => steps.some(({ uses }) => uses.includes(kind)))) return null
  const more = MORE.find((n) => fits({ ...problem, places: { ...problem.places, [kind]: had + n } }))
  if (!more) return null
  const [one, many] = placeWords[kind]
  return {
    constraint: kind === 'clamp' ? 'clamps' : 'places',
    size: more / Math.max(1, had),
    text: `There ${had === 1 ? 'is' : 'are'} ${had} ${had === 1 ? one : many}, too few for so many pieces.`,
    change: `With ${had + more} ${many} it fits.`,
  }
}

function moreHands(problem: Problem, fits: Fits): Change | null {
  const more = [1, 2, 3].find((n) => fits({ ...problem, hands: problem.hands + n }))
  if (!more) return null
  return {
    constraint: 'hands',
    size: more / Math.max(1, problem.hands),
    text: `${problem.hands === 1 ? 'One pair' : `${problem.hands} pairs`} of hands cannot do all of it in time.`,
    change: `With ${problem.hands + more} people it fits.`,
  }
}

/** Each window longer at its end, but not into the next. */
const stretched = (windows: readonly Span[], by: number): Span[] =>
  windows.map(({ from, to }, i) => ({
    from,
    to: Math.min(from + (to - from) * by, (windows[i + 1]?.from ?? Infinity) - 1),
  }))

function longerWindows(problem: Problem, fits: Fits): Change | null {
  const by = STRETCH.find((factor) => fits({ ...problem, windows: stretched(problem.windows, factor) }))
  if (!by) return null
  const last = problem.windows.at(-1)!
  return {
    constraint: 'windows',
    size: by - 1,
    text: 'The windows are too short for what has to be done in one of them.',
    change: `Make them ${Math.round((by - 1) * 100)} % longer: ${minutes((last.to - last.from) * by)} for the last.`,
  }
}

const DAY = 1440
function laterEnd(problem: Problem, fits: Fits): Change | null {
  const last = problem.windows.at(-1)
  if (!last) return null
  const days = [1, 2, 3, 5, 7, 14, 28].find((n) => {
    const more = Array.from({ length: n }, (_, i) => ({ from: last.from + (i + 1) * DAY, to: last.to + (i + 1) * DAY }))
    return fits({ ...problem, windows: [...problem.windows, ...more] })
  })
  if (!days) return null
  return {
    constraint: 'end',
    size: days / Math.max(1, problem.windows.length),
    text: 'The last window ends before all can be done.',
    change: `Add ${days === 1 ? 'one more day' : `${days} more days`} with the same window.`,
  }
}

function longerWaits(problem: Problem, fits: Fits): Change | null {
  const longer = (by: number): Problem => ({
    ...problem,
    chains: problem.chains.map((chain) => ({
      ...chain,
      steps: chain.steps.map((step) => ({ ...step, maxGap: step.maxGap === null ? null : step.maxGap * by })),
    })),
  })
  const by = STRETCH.find((factor) => fits(longer(factor)))
  if (!by) return null
  return {
    constraint: 'wait',
    size: by - 1,
    text: 'Glues that must be closed within a wait (gap) come too close on one another.',
    change: `Waits ${Math.round((by - 1) * 100)} % longer would do: a glue with a longer open time.`,
  }
}

function withoutPins(problem: Problem, fits: Fits): Change | null {
  if (!problem.chains.some(({ steps }) => steps.some(({ pinned }) => pinned !== undefined))) return null
  if (!fits({ ...problem, chains: problem.chains.map(unpinned) })) return null
  return {
    constraint: 'pin',
    size: 0,
    text: 'Steps are pinned to times at which not all of them can be done.',
    change: 'Take a pin out, or move it.',
  }
}

/** The tests in as many windows as they like. */
function twoSessions(problem: Problem, fits: Fits): Change | null {
  if (
    !fits({
      ...problem,
      chains: problem.chains.map((chain) => ({ ...chain, session: `${chain.session} ${chain.id}` })),
    })
  )
    return null
  return {
    constraint: 'session',
    size: 2,
    text: 'No single window holds all the tests.',
    change: 'Pull them in two sessions, or make one window longer.',
  }
}
