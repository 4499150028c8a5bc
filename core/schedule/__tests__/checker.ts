import type { Placed, Problem } from '../problem'

const NEAR = 1e-3

/**
 * Every rule of a timetable that a schedule breaks, in words: written down from methods.md 7 alone, by comparing each
 * span with each other; it shares no code with what made the schedule.
 */
export function broken(problem: Problem, placed: readonly Placed[]): string[] {
  const out: string[] = []
  const hands: [number, number][] = []
  const places = new Map<string, [number, number][]>()
  const tests = new Map<string, [number, number][]>()
  const lots = new Map<string, Map<number, string[]>>()
  const fires: { chain: string; kind: string; from: number; to: number }[] = []
  for (const chain of problem.chains) {
    const mine = placed.filter((one) => one.chain === chain.id)
    if (mine.length !== chain.steps.length) out.push(`${chain.id} has ${mine.length} of ${chain.steps.length} steps`)
    let ended = chain.doneAt
    let own = true
    chain.steps.forEach((step, i) => {
      const found = mine.find((one) => one.step === step.id)
      if (!found) return
      const name = `${chain.id} ${step.id}`
      if (Math.abs(found.to - found.from - step.minutes) > NEAR) out.push(`${name} is not as long as it takes`)
      if (found.from < -NEAR) out.push(`${name} begins before the start`)
      if (step.pinned !== undefined && Math.abs(found.from - step.pinned) > NEAR) out.push(`${name} left its pin`)
      const key = step.shared?.key
      const first = key === undefined || !lots.get(key)?.has(found.from)
      if (key !== undefined) {
        const all = lots.get(key) ?? new Map<number, string[]>()
        all.set(found.from, [...(all.get(found.from) ?? []), chain.id])
        lots.set(key, all)
        if (step.shared!.pieces !== null && all.get(found.from)!.length > step.shared!.pieces)
          out.push(`${name} serves too many`)
      }
      // What was done for another piece already stands outside of this piece's order.
      if (first) {
        if (ended !== undefined && found.from < ended + step.minGap - NEAR) out.push(`${name} comes too early`)
        if (own && ended !== undefined && step.maxGap !== null && found.from > ended + step.maxGap + NEAR)
          out.push(`${name} comes too late`)
        if (step.hands) hands.push([found.from, found.to])
        for (const kind of step.uses) places.set(kind, [...(places.get(kind) ?? []), [found.from, found.to]])
        if (step.hands && !problem.windows.some(({ from, to }) => found.from >= from - NEAR && found.to <= to + NEAR))
          out.push(`${name} lies outside the windows`)
        ended = found.to
      }
      own = first
      const next = chain.steps[i + 1]
      const after = next && mine.find((one) => one.step === next.id)
      if (
        key !== undefined &&
        after &&
        step.shared!.lifeMin !== null &&
        after.from > found.to + step.shared!.lifeMin + NEAR
      )
        out.push(`${name} has gone off before ${next.id}`)
      if (key !== undefined && after && after.from < found.to - NEAR) out.push(`${next.id} comes before ${name}`)
    })
    for (const { kind, from, to, after } of chain.fires ?? []) {
      const at = (i: number) => mine.find((one) => one.step === chain.steps[i]?.id)
      fires.push({ chain: chain.id, kind, from: at(from)?.from ?? 0, to: (at(to)?.to ?? 0) + after })
    }
    const last = mine.find((one) => one.step === chain.steps.at(-1)!.id)
    if (last) tests.set(chain.session, [...(tests.get(chain.session) ?? []), [last.from, last.to]])
  }
  for (const hot of fires.filter(({ kind }) => kind === 'heat'))
    for (const film of fires.filter(({ kind, chain }) => kind === 'film' && chain !== hot.chain))
      if (hot.from < film.to - NEAR && film.from < hot.to - NEAR)
        out.push(`${hot.chain} is hot while the film of ${film.chain} may burn`)
  if (most(hands) > problem.hands) out.push(`${most(hands)} pairs of hands are wanted at once`)
  for (const [kind, spans] of places)
    if (most(spans) > problem.places[kind as keyof Problem['places']]) out.push(`${most(spans)} of ${kind} at once`)
  for (const [name, spans] of tests)
    if (!problem.windows.some(({ from, to }) => spans.every(([a, b]) => a >= from - NEAR && b <= to + NEAR)))
      out.push(`the tests of ${name} lie in several windows`)
  return out
}

/** The most spans that overlap at any time: counted at each one's beginning. */
const most = (spans: readonly [number, number][]): number =>
  Math.max(0, ...spans.map(([from]) => spans.filter(([a, b]) => a <= from + NEAR / 2 && b > from + NEAR / 2).length))
