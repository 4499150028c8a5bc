import { fireSpans, type FireGlue } from '../care/fire'
import { armOf } from '../planning/armOf'
import { ageAtPullS, doneOnce, gapBetween, type DoneOnce } from '../planning/gluing'
import { PULL_MIN } from '../planning/needs'
import { handsOnMin } from '../planning/stepWords'
import type { Arm, Round } from '../records/round'
import type { Coupon } from '../records/coupon'
import type { Procedure, Step, StepKind } from '../records/procedure'
import type { Shop } from '../records/shop'
import type { Chain, PlannedFire, PlannedStep, Problem, ResourceKind, Span } from './problem'
import { hoursFrom } from './windows'

/** A round of one joint, as far as it is done. */
export interface RoundToGlue {
  round: Pick<Round, 'id' | 'arms' | 'timetable'>
  procedures: readonly Procedure[]
  /** none that was pulled */
  coupons: readonly Coupon[]
  /** what decides on heat and flammable films, by procedure */
  glues: Readonly<Record<string, FireGlue>>
}

/** The step that stands for a coupon’s pull, and those that take it into and out of what it goes through. */
export const PULL = 'pull'
const INTO = 'into'
const THROUGH = 'through'
const OUT = 'out'

const MINUTE = 60_000
/** A gun that was switched on, and a place that was made ready, serve for an evening, min. */
const READY_LASTS = 240
/** Whatever follows closing by hand follows at once: within so many minutes. */
const AT_ONCE = 5
/** A pull at an age may come this much earlier or later, s. */
const AGE_WITHIN_S = 1800
/** Out of the oven or the freezer it comes back to the room’s warmth before it is pulled, min. */
const BACK_TO_ROOM = 60
/** What takes longer than this does not keep the other pulls waiting, h. */
const LONG_H = 48
/** A pinned step that is not begun is not given up at once, ms. */
const JUST_PASSED_MS = 5 * MINUTE
/** Closing, pressing and fixing what is open takes about this long, min. */
const AT_IT = 20
/** Days beyond the slowest cure that are looked at. */
const MARGIN_DAYS = 21

const BEHIND_CLOSING: ReadonlySet<StepKind> = new Set(['press', 'dab', 'light', 'hold', 'clamp'])
const CLAMPED = /\b(clamp|weight|board)/i

const usesOf = ({ kind, text }: Step): ResourceKind[] =>
  kind === 'light' ? ['lamp'] : kind === 'clamp' && CLAMPED.test(text) ? ['clamp'] : []

function plannedOf(step: Step, key: string): Omit<PlannedStep, 'minGap' | 'maxGap'> {
  const id = step.id
  const long = step.minS / 60
  if (step.kind === 'hold' || step.kind === 'light' || step.kind === 'dab')
    return { id, minutes: long + handsOnMin[step.kind], hands: true, uses: usesOf(step) }
  if (step.kind === 'clamp') return { id, minutes: long, hands: false, uses: usesOf(step) }
  const minutes = Math.max(0.25, step.once ? 1 : handsOnMin[step.kind])
  if (!step.once) return { id, minutes, hands: true, uses: [] }
  const lifeMin = step.kind === 'ready' ? READY_LASTS : step.maxS === null ? null : step.maxS / 60
  return { id, minutes, hands: true, uses: [], shared: { key: `${key} ${id}`, lifeMin, pieces: null } }
}

/** What took its own time as a step of the plan leaves no gap behind it, min. */
function gapAfter(before: Step, next: Step, done: boolean): [min: number, max: number | null] {
  if (!done && LASTS.has(before.kind)) return [0, null]
  const { minS, maxS } = gapBetween(before, next)
  return [minS / 60, maxS === null ? null : maxS / 60]
}
const LASTS: ReadonlySet<StepKind> = new Set(['hold', 'light', 'dab', 'clamp', 'mix'])

const isMix = ({ kind, once, maxS }: Step): boolean => kind === 'mix' && once === true && maxS !== null

/** The steps of a coupon that are still to be done, its pull the last; none where it is done or its glue unknown. */
export function chainOf(
  coupon: Coupon,
  procedure: Procedure,
  arm: Arm,
  once: DoneOnce,
  of: RoundToGlue,
  start: number,
): Chain {
  const stampOf = (step: Step) => coupon.stamps.find((one) => one.step === step.id)?.at ?? null
  /** something that comes after a step is done on this piece */
  const laidAfter = (step: Step) =>
    procedure.steps.slice(procedure.steps.indexOf(step) + 1).some((one) => stampOf(one) !== null)
  const { timetable } = of.round
  const pins = new Map(
    timetable?.pins.filter((one) => one.coupon === coupon.id).map(({ step, at }) => [step, at]) ?? [],
  )
  const steps: PlannedStep[] = []
  let doneAt: number | undefined
  let before: { step: Step; done: boolean } | null = null
  let waited: [min: number, max: number | null] | null = null
  // Seconds of the cure that lie between closing and the end of what is planned so far.
  let sinceClose: number | null = null
  let closedAt: number | null = null
  for (const step of procedure.steps) {
    const at = stampOf(step) ?? (step.once ? (once.get(step.id) ?? null) : null)
    if (at !== null) {
      // A mix may be past its time before the last piece is laid: the board sees which of them it still serves.
      if (step.once && !(isMix(step) && !laidAfter(step))) continue
      if (step.once) {
        steps.push({ ...plannedOf(step, `${of.round.id} ${procedure.id}`), minGap: 0, maxGap: null })
        continue
      }
      doneAt = (at - start) / MINUTE
      before = { step, done: true }
      waited = null
      if (step.kind === 'close') closedAt = at
      if (closedAt !== null) sinceClose = Math.max(0, at - closedAt) / 1000
      continue
    }
    if (step.kind === 'cure') continue
    if (step.kind === 'wait') {
      waited = [step.minS / 60, step.maxS === null ? null : step.maxS / 60]
      continue
    }
    const [least, most] = before ? gapAfter(before.step, step, before.done) : [0, null]
    const minGap = least + (waited?.[0] ?? 0)
    const behind = BEHIND_CLOSING.has(step.kind) && sinceClose !== null
    const last = behind ? AT_ONCE : waited ? waited[1] : most
    // What is late already is done at once: it is marked so where it is done.
    const missed = !steps.length && doneAt !== undefined && last !== null && doneAt + last < 0
    const planned = {
      ...plannedOf(step, `${of.round.id} ${procedure.id}`),
      minGap,
      maxGap: missed || last === null ? null : Math.max(last, minGap),
    }
    const pin = pins.get(step.id)
    // A time that has just passed is now; one that is long past keeps nothing any more.
    const kept = pin !== undefined && pin > start - JUST_PASSED_MS ? Math.max(0, pin - start) / MINUTE : undefined
    steps.push(kept === undefined ? planned : { ...planned, pinned: kept })
    if (sinceClose !== null) sinceClose += (planned.minutes + planned.minGap) * 60
    if (step.kind === 'close') sinceClose = 0
    before = { step, done: false }
    waited = null
  }
  const notBefore = timetable?.notBefore.find((one) => one.procedure === procedure.id)?.at
  const glue = of.glues[procedure.id]
  const fires = glue ? firesOf(procedure, glue, steps, stampOf, start) : []
  return {
    id: coupon.id,
    session: sessionOf(arm),
    steps: [...steps, ...endOf(procedure, arm, sinceClose ?? 0)],
    ...(doneAt !== undefined && { doneAt }),
    ...(notBefore !== undefined && { notBefore: (notBefore - start) / MINUTE }),
    ...(fires.length && { fires }),
  }
}

/** What of a piece is hot or may burn, by the steps that are left. What was done for it alone stands already. */
function firesOf(
  { steps }: Procedure,
  glue: FireGlue,
  left: readonly PlannedStep[],
  stampOf: (step: Step) => number | null,
  start: number,
): PlannedFire[] {
  return fireSpans(steps, glue).flatMap(({ kind, from, to, afterS }): PlannedFire[] => {
    const inside = steps.slice(from, to + 1)
    const planned = inside.flatMap((step) => {
      const at = left.findIndex(({ id }) => id === step.id)
      return at < 0 ? [] : [at]
    })
    const stamps = inside.flatMap((step) => stampOf(step) ?? [])
    if (planned.length) {
      // A tool may be switched off and on again; a film that is open is open.
      const begun = kind === 'film' && stamps.length > 0
      return [{ kind, from: begun ? -1 : planned[0]!, to: planned.at(-1)!, after: afterS / 60 }]
    }
    const until = (Math.max(0, ...stamps) - start) / MINUTE + afterS / 60
    return stamps.length && until > 0 ? [{ kind, from: -1, to: -1, after: until }] : []
  })
}

/** Pulls of one age are one session; so are those after something that takes weeks. */
export function sessionOf({ ageS, exposure }: Pick<Arm, 'ageS' | 'exposure'>): string {
  if (ageS != null) return `age ${ageS}`
  return exposure && exposure.hours > LONG_H ? `after ${exposure.kind} ${exposure.hours}` : 'cured'
}

/** From the last step to the pull: the rest of the cure, what it goes through, back to the room’s warmth. */
function endOf(procedure: Procedure, arm: Arm, sinceCloseS: number): PlannedStep[] {
  const cureS = Math.max(0, ageAtPullS(procedure, arm) - sinceCloseS)
  const pull: PlannedStep = { id: PULL, minutes: PULL_MIN, hands: true, uses: [], minGap: 0, maxGap: null }
  const step = (id: string, more: Partial<PlannedStep>): PlannedStep => ({ ...pull, id, minutes: 1, ...more })
  const { exposure, ageS } = arm
  if (ageS != null) {
    const within = (by: number) => Math.max(0, cureS + by) / 60
    return [{ ...pull, minGap: within(-AGE_WITHIN_S), maxGap: within(AGE_WITHIN_S) }]
  }
  if (!exposure || exposure.hours <= 0) return [{ ...pull, minGap: cureS / 60 }]
  const place: ResourceKind[] = exposure.kind === 'heat' ? ['oven'] : exposure.kind === 'cold' ? ['fridge'] : []
  return [
    step(INTO, { minGap: cureS / 60 }),
    step(THROUGH, { minutes: exposure.hours * 60, hands: false, uses: place, maxGap: 0 }),
    step(OUT, {}),
    { ...pull, minGap: place.length ? BACK_TO_ROOM : 0 },
  ]
}

/** What a timetable stands on: the problem, and where its minutes begin. */
export interface Timetabled {
  problem: Problem
  /** ms */
  start: number
}

/**
 * Rounds as one problem: their coupons share hands, clamps, lamp, oven and fridge.
 * @param start ms, from when something can be done
 */
export function problemOf(rounds: readonly RoundToGlue[], shop: Shop, start: number): Timetabled {
  const chains = rounds.flatMap((of) => {
    const byId = new Map(of.procedures.map((one) => [one.id, { one, once: doneOnce(one, of.coupons, start) }]))
    return of.coupons.flatMap((coupon): Chain[] => {
      const known = byId.get(coupon.procedure)
      if (!known) return []
      const chain = chainOf(coupon, known.one, armOf(of.round, coupon), known.once, of, start)
      return [rounds.length > 1 ? { ...chain, session: `${of.round.id} ${chain.session}` } : chain]
    })
  })
  const longest = Math.max(
    0,
    ...chains.map(({ steps }) => steps.reduce((sum, one) => sum + one.minutes + one.minGap, 0)),
  )
  const pullFrom = Math.max(0, ...rounds.map(({ round }) => ((round.timetable?.pullFrom ?? start) - start) / MINUTE))
  const days = Math.ceil(Math.max(longest, pullFrom) / 1440) + MARGIN_DAYS
  const windows = stillAtIt(
    chains,
    hoursFrom(shop, start, days).map(({ from, to }) => ({ from: (from - start) / MINUTE, to: (to - start) / MINUTE })),
  )
  const pulls = new Map(
    rounds.flatMap(({ round }) =>
      round.timetable?.pullFrom == null ? [] : [[round.id, (round.timetable.pullFrom - start) / MINUTE] as const],
    ),
  )
  const { clamp, lamp, oven, fridge } = shop
  const places = { clamp, lamp, oven, fridge }
  const done = rounds.flatMap(({ round, procedures, coupons }) =>
    procedures.flatMap((procedure) => {
      const once = doneOnce(procedure, coupons, start)
      return procedure.steps.filter(isMix).flatMap((step) => {
        const at = once.get(step.id)
        return at === undefined ? [] : [{ key: `${round.id} ${procedure.id} ${step.id}`, at: (at - start) / MINUTE }]
      })
    }),
  )
  return { problem: { windows, hands: shop.hands, places, chains: pulledFrom(chains, rounds, pulls), done }, start }
}

/** Whoever has glue open is there for as long as it takes to close it, whatever the windows say. */
function stillAtIt(chains: readonly Chain[], windows: Span[]): Span[] {
  const open = chains.flatMap(({ doneAt, steps }) =>
    doneAt === undefined || steps[0]?.maxGap == null ? [] : [Math.max(0, doneAt + steps[0].maxGap) + AT_IT],
  )
  const until = Math.max(0, ...open)
  if (until <= 0) return windows
  const later = windows.filter(({ to }) => to > until)
  const first = later[0]
  return first && first.from <= until
    ? [{ from: 0, to: first.to }, ...later.slice(1)]
    : [{ from: 0, to: until }, ...later]
}

/** The maker’s own day for the pulls: none of them earlier. */
function pulledFrom(chains: Chain[], rounds: readonly RoundToGlue[], pulls: ReadonlyMap<string, number>): Chain[] {
  if (!pulls.size) return chains
  const ofCoupon = new Map(rounds.flatMap(({ round, coupons }) => coupons.map(({ id }) => [id, round.id] as const)))
  return chains.map((chain) => {
    const from = pulls.get(ofCoupon.get(chain.id) ?? '')
    return from === undefined || !chain.session.endsWith('cured') ? chain : { ...chain, testNotBefore: from }
  })
}
