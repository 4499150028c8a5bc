import { pick } from '../../screening/__tests__/randomBrief'
import type { Random } from '../../planning/random'
import type { Chain, PlannedStep, Problem, Span } from '../problem'

const whole = (random: Random, low: number, high: number) => low + Math.floor(random() * (high - low + 1))

/** How the pieces of one glue are made: prepare, apply, wait, close, hold, clamp, cure, pull. */
interface Kind {
  prep: number
  wait: [number, number] | null
  open: number
  hold: number
  clamp: number
  cure: number
  age: [number, number] | null
}

function kind(random: Random, ages: boolean): Kind {
  const waits = random() < 0.4
  const min = whole(random, 2, 25)
  return {
    prep: whole(random, 1, 6),
    wait: waits ? [min, min + whole(random, 5, 40)] : null,
    open: whole(random, 2, 20),
    hold: whole(random, 0, 2),
    clamp: random() < 0.5 ? whole(random, 20, 240) : 0,
    cure: whole(random, 20, 4000),
    age: ages && random() < 0.4 ? [1410, 1470] : null,
  }
}

export const step = (id: string, minutes: number, more: Partial<PlannedStep> = {}): PlannedStep => ({
  id,
  minutes,
  hands: true,
  uses: [],
  minGap: 0,
  maxGap: null,
  ...more,
})

function chainOf(id: string, of: Kind, fire: 'heat' | 'film' | null): Chain {
  const [waitMin, waitMax] = of.wait ?? [0, of.open]
  const steps = [
    step('prep', of.prep),
    step('apply', 1),
    step('close', 1, { minGap: waitMin, maxGap: waitMax }),
    ...(of.hold ? [step('hold', of.hold, { maxGap: 0 })] : []),
    ...(of.clamp ? [step('clamp', of.clamp, { hands: false, uses: ['clamp' as const], maxGap: 0 })] : []),
    step('pull', 2, of.age ? { minGap: of.age[0], maxGap: of.age[1] } : { minGap: of.cure }),
  ]
  const session = of.age ? 'aged' : 'cured'
  if (!fire) return { id, steps, session }
  return { id, steps, session, fires: [{ kind: fire, from: fire === 'heat' ? 0 : 1, to: 2, after: 10 }] }
}

const DAY = 1440
/** Evenings of two to four hours on most days, for three weeks. */
function evenings(random: Random): Span[] {
  const [opens, length] = [whole(random, 0, 3) * 60, whole(random, 120, 240)]
  return Array.from({ length: 21 }, (_, day) => ({ from: day * DAY + opens, to: day * DAY + opens + length })).filter(
    (_, day) => day < 2 || random() < 0.8,
  )
}

/**
 * A random round: two to five glues, some waiting, some clamped.
 * @param ages some are pulled at an age of their own
 * @param fire the first glue is flammable, the second laid hot
 */
export function randomRound(random: Random, coupons: number, ages = false, fire = false): Problem {
  const kinds = Array.from({ length: whole(random, 2, 5) }, () => kind(random, ages))
  return {
    windows: evenings(random),
    hands: pick(random, [1, 1, 1, 2]),
    places: { clamp: whole(random, 3, 10), lamp: 1, oven: 1, fridge: 1 },
    chains: Array.from({ length: coupons }, (_, i) => {
      const at = i % kinds.length
      return chainOf(`c${i + 1}`, kinds[at]!, fire ? ((['film', 'heat'] as const)[at] ?? null) : null)
    }),
  }
}
