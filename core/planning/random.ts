/**
 * Seeded randomness: mulberry32, 32 bits of state, period 2³². Good enough for shuffles and simulated readings; not for
 * secrets. The core draws from nothing else, so that the same seed gives the same plan on every machine.
 */
export type Random = () => number

/** A generator of numbers in [0, 1). @param seed any integer; its lower 32 bits count */
export function seededRandom(seed: number): Random {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

/** A shuffled copy (Fisher and Yates, as written down by Durstenfeld). */
export function shuffled<T>(list: readonly T[], random: Random): T[] {
  const out = [...list]
  for (let i = out.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1))
    ;[out[i], out[j]] = [out[j]!, out[i]!]
  }
  return out
}

/** Draws from N(0, 1), both of each pair, without a sine (Marsaglia and Bray 1964): for many of them. */
export function normalDraws(random: Random): () => number {
  let spare = NaN
  return () => {
    if (spare === spare) {
      const one = spare
      spare = NaN
      return one
    }
    let x = 0
    let y = 0
    let square = 1
    while (square >= 1 || square === 0) {
      x = 2 * random() - 1
      y = 2 * random() - 1
      square = x * x + y * y
    }
    const by = Math.sqrt((-2 * Math.log(square)) / square)
    spare = y * by
    return x * by
  }
}

/** A draw from N(0, 1) (Box and Muller, one of the pair). */
export function normalDraw(random: Random): number {
  const u = 1 - random()
  return Math.sqrt(-2 * Math.log(u)) * Math.cos(2 * Math.PI * random())
}
