import * as z from 'zod'
import { CodedError } from '../../core/errors'
import { seededRandom } from '../../core/planning/random'
import { notNegative, within } from '../../core/quantities/require'
import type { Chain, Problem, Span } from '../../core/schedule/problem'
import { search } from '../../core/schedule/search'
import { whyNot } from '../../core/schedule/why'
import { verb } from './verb'

const MINUTE = 60_000
/** No search looks for longer, s. */
const MOST_S = 60
const step = z.object({
  id: z.string(),
  minutes: z.number(),
  hands: z.boolean(),
  clamp: z.boolean().nullish(),
  minGap: z.number().nullish(),
  maxGap: z.number().nullish(),
})

/** When to do which step of which coupon, so that all are ready on one day as early as may be. */
export const schedule = verb({
  input: z.object({
    start: z.string(),
    windows: z.array(z.object({ from: z.string(), to: z.string() })),
    hands: z.number().nullish(),
    clamps: z.number().nullish(),
    coupons: z.array(z.object({ id: z.string(), steps: z.array(step) })),
    seconds: z.number().nullish(),
    seed: z.number().nullish(),
  }),
  output: z.object({
    feasible: z.boolean(),
    steps: z.array(z.object({ coupon: z.string(), step: z.string(), start: z.string(), end: z.string() })),
    finish: z.string().nullable(),
    lowerBound: z.string().nullable(),
    why: z.string().nullable(),
    /** what stands in the way, and the nearest change that helps */
    constraint: z.string().nullable(),
    change: z.string().nullable(),
    sessions: z.number().nullable(),
  }),
  run: (input) => {
    const at = momentOf(input.start, 'start')
    const windows = windowsOf(input.windows, at)
    const problem: Problem = {
      windows,
      hands: whole(input.hands ?? 1, 'hands'),
      places: { clamp: whole(input.clamps ?? Infinity, 'clamps'), lamp: 0, oven: 0, fridge: 0 },
      chains: input.coupons.map(chainOf),
    }
    const until = Date.now() + 1000 * within(input.seconds ?? 2, 0, MOST_S, 'seconds', 'The time to search', 's')
    const found = search(problem, {
      random: seededRandom(input.seed ?? 1),
      // One look at the clock for some tries: it costs as much as a small schedule.
      goOn: (tries) => tries % 4 !== 0 || Date.now() < until,
    })
    if (!found) {
      const { text, constraint, change } = whyNot(problem)
      const none = { finish: null, lowerBound: null, sessions: null }
      return { feasible: false, steps: [], ...none, why: `${text} ${change}`, constraint, change }
    }
    const { schedule: best, lowerBound } = found
    const said = (minutes: number) => localTime(at + minutes * MINUTE)
    return {
      feasible: true,
      steps: inputOrder(input.coupons, best.steps).map(({ chain, step: id, from, to }) => ({
        coupon: chain,
        step: id,
        start: said(from),
        end: said(to),
      })),
      finish: said(best.finish),
      lowerBound: said(lowerBound),
      why: null,
      constraint: null,
      change: null,
      sessions: best.sessions,
    }
  },
})

function whole(n: number, path: string): number {
  if (n === Infinity) return n
  return Math.floor(notNegative(n, path, path === 'hands' ? 'The pairs of hands' : 'The clamps', 'the timetable'))
}

const LOCAL = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}(:\d{2}(\.\d+)?)?$/
/** A local time, read as if there were no other zone: ms. */
function momentOf(text: string, path: string): number {
  const ms = LOCAL.test(text) ? Date.parse(`${text}Z`) : NaN
  if (Number.isNaN(ms))
    throw new CodedError('wrong-shape', path, {
      field: path,
      detail: 'a local time such as 2026-12-04T18:00 was expected',
    })
  return ms
}
/** The same as text, with seconds only where there are any. */
const localTime = (ms: number): string =>
  new Date(Math.round(ms / 1000) * 1000)
    .toISOString()
    .replace(/\.000Z$/, '')
    .replace(/:00$/, '')

/** Windows in minutes from the start, in order; one that lies inside another says nothing new. */
function windowsOf(list: readonly { from: string; to: string }[], start: number): Span[] {
  const spans = list.map(({ from, to }, i) => {
    const span = {
      from: (momentOf(from, `windows.${i}.from`) - start) / MINUTE,
      to: (momentOf(to, `windows.${i}.to`) - start) / MINUTE,
    }
    if (span.to < span.from)
      throw new CodedError('out-of-order', `windows.${i}`, { field: 'The window', low: from, high: to })
    return span
  })
  const out: Span[] = []
  for (const { from, to } of spans.sort((x, y) => x.from - y.from || y.to - x.to)) {
    if (to <= 0) continue
    if (to > (out.at(-1)?.to ?? 0)) out.push({ from: Math.max(0, from), to })
  }
  return out
}

function chainOf({ id, steps }: { id: string; steps: z.infer<typeof step>[] }, c: number): Chain {
  const path = (i: number, name: string) => `coupons.${c}.steps.${i}.${name}`
  if (!steps.length)
    throw new CodedError('missing', `coupons.${c}.steps`, { field: 'The steps of a coupon', purpose: 'the timetable' })
  return {
    id,
    session: 'tests',
    steps: steps.map((one, i) => ({
      id: one.id,
      minutes: notNegative(one.minutes, path(i, 'minutes'), 'The length of a step', 'the timetable'),
      hands: one.hands,
      uses: one.clamp ? ['clamp'] : [],
      minGap: notNegative(one.minGap ?? 0, path(i, 'minGap'), 'The gap before a step', 'the timetable'),
      maxGap:
        one.maxGap == null
          ? null
          : notNegative(one.maxGap, path(i, 'maxGap'), 'The gap before a step', 'the timetable'),
    })),
  }
}

/** Steps as the coupons came in. */
function inputOrder<T extends { chain: string }>(coupons: readonly { id: string }[], steps: readonly T[]): T[] {
  const place = new Map(coupons.map(({ id }, i) => [id, i]))
  return [...steps].sort((x, y) => place.get(x.chain)! - place.get(y.chain)!)
}
