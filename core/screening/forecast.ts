import { weightOf, type FailureMode } from '../knowledge/weights'
import type { Reason, Verdict } from './reason'

/** An ordinary, well-made joint of its kind: 10 decibans, ten to one (methods.md 12). */
const BASE = 10
/** Sums beyond these say nothing more. */
const MOST = 12
const LEAST = -40
/** Three in four, and one in four, in decibans. */
const SUITS = 5
const RULED_OUT = -5
/** What stands at this keeps the verdict at careful; what stands at the next leaves no praise. */
const OFTEN_FAILS = -10
const FAILS = -20
/** A told need missed by this keeps the verdict at careful. */
const DOUBTFUL = -6
/** Of what speaks for a glue the best counts, and one more up to this. */
const SECOND_PRAISE = 3
/** What may yet speak for a glue where a material is not known. */
const MOST_PRAISE = 9
/** Beside the gravest reason of a mode the others count by half: they share its cause. */
const SHARED = 0.5

/** Modes whose reasons are why makers do not reach for a glue. */
const SAME_CAUSE: readonly FailureMode[] = ['grips', 'carries', 'cures', 'bends', 'material', 'handling']

interface Push {
  mode: FailureMode
  /** how far it moves the odds, decibans */
  db: number
}
export type Weighed = Reason & Push

export interface Forecast {
  /** the sum with its base, decibans: 10 · log10 of the odds to serve */
  db: number
  /** chance to serve, 0…1 */
  chance: number
  verdict: Verdict
  /** every reason with its push */
  reasons: Weighed[]
}

/** Chance from decibans (Good 1985). */
export const chanceOf = (db: number): number => 1 / (1 + 10 ** (-db / 10))

/** What a reason pushes: what its rule found, else the weight of the table; nothing once own evidence lifted it. */
function pushOf(reason: Reason): Push {
  const weight = weightOf(reason.house ? 'house' : reason.rule)
  const { mode } = weight
  if (reason.lifted || reason.verdict === 'note') return { mode, db: 0 }
  return { mode, db: reason.db ?? weight[reason.verdict] }
}

/** Decibans of what speaks against a glue: by mode the gravest and half of the others. */
function against(reasons: readonly Weighed[]): number {
  const modes = new Map<FailureMode, number[]>()
  for (const { mode, db } of reasons)
    if (db < 0 && mode !== 'use')
      modes.set(
        mode,
        [...(modes.get(mode) ?? []), db].sort((x, y) => x - y),
      )
  const sum = [...modes.values()].reduce(
    (total, [gravest = 0, ...others]) => total + gravest + SHARED * others.reduce((part, db) => part + db, 0),
    0,
  )
  // Why makers do not reach for it is judged among these modes as well: of the two the worse counts.
  const gravest = Math.min(0, ...SAME_CAUSE.map((mode) => modes.get(mode)?.[0] ?? 0))
  const use = Math.min(0, ...reasons.filter(({ mode }) => mode === 'use').map(({ db }) => db))
  return sum + Math.min(0, use - gravest)
}

function speaking(reasons: readonly Weighed[]): number {
  const [best = 0, second = 0] = reasons.flatMap(({ db }) => (db > 0 ? [db] : [])).sort((x, y) => y - x)
  return best + Math.min(SECOND_PRAISE, second)
}

/** The sum with its base; beside what fails no praise counts. */
function sum(reasons: readonly Weighed[]): number {
  const fails = reasons.some(({ db }) => db <= FAILS)
  return BASE + Math.min(MOST, Math.max(LEAST, against(reasons) + (fails ? 0 : speaking(reasons))))
}

/** The chance to serve from all reasons, and the verdict that it makes (methods.md 12). */
export function forecast(reasons: readonly Reason[]): Forecast {
  const weighed = reasons.map((reason): Weighed => ({ ...reason, ...pushOf(reason) }))
  const db = sum(weighed)
  const harm = weighed.some((one) => one.harm && one.verdict === 'block' && !one.lifted)
  // What is unknown blocks nothing: what rules a glue out must do so without what was only assumed.
  const surely = weighed.filter(({ assumed }) => !assumed)
  const fails = surely.some((one) => one.db <= FAILS)
  const open = weighed.some(({ mode }) => mode === 'use') || fails ? 0 : MOST_PRAISE
  const out = db <= RULED_OUT && sum(surely) + open <= RULED_OUT
  const told = weighed.some((one) => one.db <= DOUBTFUL && weightOf(one.house ? 'house' : one.rule).told)
  const missed = weighed.some((one) => one.missed && !one.lifted)
  const careful = told || missed || weighed.some((one) => one.db <= OFTEN_FAILS)
  const verdict = harm || out ? 'block' : db >= SUITS && !careful ? 'fit' : 'caution'
  return { db, chance: chanceOf(within(db, verdict)), verdict, reasons: inOrder(weighed, verdict) }
}

/**
 * The sum as its verdict lets it be said: what suits serves in three of four, what is ruled out in one of four at most,
 * what wants care between them. So no glue that wants care is likelier said than one that suits, or less likely than
 * one that is ruled out for harm.
 */
const within = (db: number, verdict: Verdict): number =>
  verdict === 'fit'
    ? Math.max(db, SUITS)
    : verdict === 'block'
      ? Math.min(db, RULED_OUT)
      : Math.min(SUITS, Math.max(RULED_OUT, db))

/** What decides stands first: for a glue that suits what speaks for it, else the gravest; things to know come last. */
function inOrder(reasons: readonly Weighed[], verdict: Verdict): Weighed[] {
  const place = ({ db, harm, verdict: own }: Weighed) => {
    if (harm && own === 'block') return -1000
    if (db === 0) return 1000
    return verdict === 'fit' ? -db : db
  }
  return [...reasons].sort((x, y) => place(x) - place(y))
}

/**
 * What a line says of a glue: where it suits, what speaks for it, or how makers take it; else the gravest reason. Never
 * a caution about people beside a glue that suits: those stand where the work begins.
 */
export function decidingReason({ verdict, reasons }: Pick<Forecast, 'verdict' | 'reasons'>): Weighed | null {
  if (verdict !== 'fit') return reasons.find(({ school }) => !school) ?? null
  const best = reasons.find(({ db }) => db > 0)
  return best ?? reasons.find(({ mode, db }) => mode === 'use' && db === 0) ?? reasons.find(({ db }) => db < 0) ?? null
}
