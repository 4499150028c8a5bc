import { describe, expect, it } from 'vitest'
import { seededRandom, type Random } from '../planning/random'
import { broken } from './__tests__/checker'
import { randomRound, step } from './__tests__/randomRounds'
import { boundOf, workedUntil } from './bound'
import { build } from './build'
import { Board } from './place'
import { inWindows, Profile } from './profile'
import type { Chain, PlannedStep, Problem, Span } from './problem'
import { listOrder, search } from './search'
import { whyNot, type Constraint } from './why'

const problem = (windows: Span[], chains: Chain[], more: Partial<Problem> = {}): Problem => ({
  windows,
  hands: 1,
  places: { clamp: 2, lamp: 1, oven: 1, fridge: 1 },
  chains,
  ...more,
})
const chain = (id: string, steps: PlannedStep[], more: Partial<Chain> = {}): Chain => ({
  id,
  steps,
  session: 'tests',
  ...more,
})
const tries = (n: number) => ({ random: seededRandom(1), goOn: (done: number) => done < n })
const whole = (random: Random, most: number) => Math.floor(random() * (most + 1))

describe('what is free', () => {
  it('is found as by looking at every minute', () => {
    const random = seededRandom(11)
    for (let k = 0; k < 300; k++) {
      const capacity = 1 + whole(random, 2)
      const profile = new Profile(capacity)
      const taken = new Array<number>(200).fill(0)
      for (let i = 0; i < 12; i++) {
        const minutes = 1 + whole(random, 20)
        const from = profile.freeFrom(whole(random, 100), minutes)
        if (from + minutes > 199) continue
        profile.take(from, from + minutes)
        for (let t = from; t < from + minutes; t++) taken[t]! += 1
        expect(taken[from]).toBeLessThanOrEqual(capacity)
      }
      const [from, minutes] = [whole(random, 80), 1 + whole(random, 20)]
      let at = from
      while (taken.slice(at, at + minutes).some((n) => n >= capacity)) at += 1
      expect(profile.freeFrom(from, minutes)).toBe(at)
    }
  })
  it('lies inside one window', () => {
    const windows = [
      { from: 0, to: 30 },
      { from: 100, to: 160 },
    ]
    expect([0, 10, 25].map((from) => inWindows(windows, from, 20))).toEqual([0, 10, 100])
    expect(inWindows(windows, 0, 60)).toBe(100)
    expect(inWindows(windows, 0, 61)).toBe(Infinity)
    expect(workedUntil(windows, 50)).toBe(120)
    expect(workedUntil(windows, 91)).toBe(Infinity)
  })
})

describe('the times of one chain', () => {
  it('are the least that keep all gaps, as found by trying every minute', () => {
    const random = seededRandom(5)
    let none = 0
    for (let k = 0; k < 150; k++) {
      const windows = [
        { from: whole(random, 5), to: 8 + whole(random, 4) },
        { from: 20 + whole(random, 5), to: 30 + whole(random, 5) },
      ]
      const steps = ['a', 'b', 'c'].map((id) => {
        const minGap = whole(random, 6)
        const maxGap = random() < 0.7 ? minGap + whole(random, 5) : null
        return step(id, 1 + whole(random, 3), { minGap, maxGap, hands: random() < 0.8 })
      })
      const tests = windows[1]!
      const fits = ({ hands, minutes }: PlannedStep, at: number, last: boolean) =>
        (!hands && !last) || (last ? [tests] : windows).some(({ from, to }) => at >= from && at + minutes <= to)
      let least: number[] | null = null
      for (let a = 0; a < 36; a++)
        for (let b = a + steps[0]!.minutes + steps[1]!.minGap; b < 36; b++)
          for (let c = b + steps[1]!.minutes + steps[2]!.minGap; c < 36; c++) {
            const late = (i: number, at: number, ended: number) =>
              steps[i]!.maxGap !== null && at > ended + steps[i]!.maxGap!
            if (late(1, b, a + steps[0]!.minutes) || late(2, c, b + steps[1]!.minutes)) continue
            if (!fits(steps[0]!, a, false) || !fits(steps[1]!, b, false) || !fits(steps[2]!, c, true)) continue
            least = least ? least.map((t, i) => Math.min(t, [a, b, c][i]!)) : [a, b, c]
          }
      if (!least) none++
      expect(new Board(problem(windows, [])).times({ steps }, tests), `case ${k}`).toEqual(least)
    }
    expect(none).toBeGreaterThan(5)
    expect(none).toBeLessThan(120)
  })
})

describe('500 random rounds', () => {
  it('break no rule: hands, clamps, windows, waits, ages, sessions', () => {
    let aged = 0
    for (let i = 0; i < 500; i++) {
      const round = randomRound(seededRandom(i), 6 + (i % 9), i % 2 === 0)
      const found = search(round, tries(12))
      if (!found) continue
      expect(broken(round, found.schedule.steps), `round ${i}`).toEqual([])
      expect(found.schedule.finish).toBeGreaterThanOrEqual(boundOf(round)!.finish - 1e-6)
      if (round.chains.some(({ session }) => session === 'aged')) aged++
    }
    expect(aged).toBeGreaterThan(100)
  })
  it('keep what is hot apart from films that may burn', () => {
    let [found, apart] = [0, 0]
    for (let i = 0; i < 150; i++) {
      const round = randomRound(seededRandom(1000 + i), 6 + (i % 7), i % 3 === 0, true)
      const one = search(round, tries(12))
      if (!one) continue
      found++
      expect(broken(round, one.schedule.steps), `round ${i}`).toEqual([])
      const free = { ...round, chains: round.chains.map((one) => ({ ...one, fires: [] })) }
      if (broken(round, search(free, tries(12))!.schedule.steps).some((text) => /may burn/.test(text))) apart++
    }
    expect(found).toBeGreaterThan(130)
    // Without the rule they would not.
    expect(apart).toBeGreaterThan(60)
  })
  it('leave a film that is open already its time, and take what is hot after it', () => {
    const film = chain('film', [step('close', 1, { minGap: 15, maxGap: 40 }), step('pull', 1)], {
      doneAt: -5,
      fires: [{ kind: 'film', from: -1, to: 0, after: 10 }],
    })
    const dry = chain('dry', [step('pull', 1)], { fires: [{ kind: 'film', from: -1, to: -1, after: 42 }] })
    const hot = chain('hot', [step('ready', 1), step('apply', 1), step('pull', 1, { minGap: 5 })], {
      fires: [{ kind: 'heat', from: 0, to: 1, after: 10 }],
    })
    const at = (chains: Chain[], id: string) => {
      const round = problem([{ from: 0, to: 200 }], chains)
      const placed = search(round, tries(5))!.schedule.steps
      expect(broken(round, placed)).toEqual([])
      return placed.find(({ chain: of, step: one }) => of === 'hot' && one === id)!.from
    }
    // Closed at 10 at the earliest, a minute of closing, ten minutes of air.
    expect(at([hot, film], 'ready')).toBe(21)
    expect(at([hot, film, dry], 'ready')).toBe(42)
  })
  it('never end later than the plain list schedule in the same windows', () => {
    for (let i = 0; i < 60; i++) {
      const round = randomRound(seededRandom(i), 16)
      const at = boundOf(round)!.windows
      const plain = build(round, listOrder(round.chains), new Map([...at].map(([key, k]) => [key, round.windows[k]!])))
      const found = search(round, tries(40))!
      if (plain.schedule) expect(found.schedule.finish).toBeLessThanOrEqual(plain.schedule.finish + 1e-6)
    }
  })
  it('end at the bound in more than half of rounds of 30 coupons, and come out the same each time', () => {
    const gaps = Array.from({ length: 25 }, (_, i) => {
      const found = search(randomRound(seededRandom(i), 30), tries(150))!
      return found.schedule.finish / found.lowerBound - 1
    }).sort((x, y) => x - y)
    expect(gaps[12]).toBeLessThanOrEqual(0.05)
    const round = randomRound(seededRandom(3), 20)
    expect(search(round, tries(100))).toEqual(search(round, tries(100)))
  })
})

describe('the lower bound', () => {
  it('is the longest chain, the work over the hands, the clamps, whichever is most: by hand', () => {
    const evening = [{ from: 0, to: 1000 }]
    const glue = (id: string) =>
      chain(id, [step('glue', 10), step('clamp', 100, { hands: false, uses: ['clamp'] }), step('pull', 2)])
    expect(boundOf(problem(evening, [glue('a')]))!.finish).toBe(112)
    // Six pieces, two clamps: 10 before, 300 min of each clamp, 2 behind.
    const six = ['a', 'b', 'c', 'd', 'e', 'f'].map(glue)
    expect(boundOf(problem(evening, six))!.finish).toBe(312)
    // With clamps enough the work counts: 60 min, then the last piece's 102.
    expect(boundOf(problem(evening, six, { places: { clamp: 9, lamp: 1, oven: 1, fridge: 1 } }))!.finish).toBe(162)
    // The second clamp cannot begin before the second piece is glued, ten minutes later.
    expect(search(problem(evening, six), tries(200))!.schedule.finish).toBe(322)
  })
  it('is beaten by no order at all of five small pieces (all 120 tried)', () => {
    const orders = (list: number[]): number[][] =>
      list.length < 2
        ? [list]
        : list.flatMap((one, i) => orders(list.filter((_, k) => k !== i)).map((rest) => [one, ...rest]))
    for (let i = 0; i < 30; i++) {
      const round = randomRound(seededRandom(900 + i), 5)
      const bound = boundOf(round)!
      const tests = new Map([...bound.windows].map(([name, at]) => [name, round.windows[at]!]))
      const ends = orders([0, 1, 2, 3, 4]).flatMap((order) => build(round, order, tests).schedule?.finish ?? [])
      for (const end of ends) expect(end).toBeGreaterThanOrEqual(bound.finish - 1e-6)
      if (ends.length) expect(search(round, tries(300))!.schedule.finish).toBeLessThanOrEqual(Math.min(...ends) + 1e-6)
    }
  })
})

describe('what the day needs beside chains', () => {
  const evenings = [0, 1, 2].map((day) => ({ from: day * 1440, to: day * 1440 + 120 }))
  it('one mix serves as many pieces as its pot life and size allow', () => {
    const shared = { key: 'mix A', lifeMin: 10, pieces: 3 }
    const piece = (id: string) =>
      chain(id, [step('prep', 2), step('mix', 3, { shared }), step('apply', 3), step('pull', 1, { minGap: 60 })])
    const round = problem(evenings, ['a', 'b', 'c', 'd'].map(piece))
    const { schedule } = search(round, tries(100))!
    expect(broken(round, schedule.steps)).toEqual([])
    const mixes = new Set(schedule.steps.filter((one) => one.step === 'mix').map(({ from }) => from))
    expect(mixes.size).toBe(2)
  })
  it('a pinned step stays, and the rest goes round it', () => {
    const round = problem(evenings, [
      chain('a', [step('glue', 10, { pinned: 50 }), step('pull', 1, { minGap: 20 })]),
      chain('b', [step('glue', 45), step('pull', 1, { minGap: 20 })]),
    ])
    const { schedule } = search(round, tries(50))!
    expect(broken(round, schedule.steps)).toEqual([])
    expect(schedule.steps.find(({ chain: id, step: of }) => id === 'a' && of === 'glue')!.from).toBe(50)
  })
  it('what is begun goes on from where it stands: a wait that runs is kept', () => {
    const begun = chain('a', [step('close', 1, { minGap: 20, maxGap: 30 }), step('pull', 1, { minGap: 60 })], {
      doneAt: -5,
    })
    const { schedule } = search(problem(evenings, [begun]), tries(5))!
    expect(schedule.steps[0]).toMatchObject({ step: 'close', from: 15 })
    const late = { ...begun, doneAt: -40 }
    expect(search(problem(evenings, [late]), tries(5))).toBeNull()
    expect(whyNot(problem(evenings, [late])).constraint).toBe('wait')
  })
  it('the oven is one task in and one out, and holds as many as it has places', () => {
    const hot = (id: string) =>
      chain(id, [
        step('in', 1),
        step('heat', 60, { hands: false, uses: ['oven'], maxGap: 0 }),
        step('out', 1, { maxGap: 5 }),
        step('pull', 1, { minGap: 20 }),
      ])
    const round = problem([{ from: 0, to: 600 }], ['a', 'b', 'c'].map(hot))
    const { schedule } = search(round, tries(200))!
    expect(broken(round, schedule.steps)).toEqual([])
    expect(schedule.finish).toBe(1 + 3 * 60 + 1 + 20 + 1)
  })
})

describe('what breaks it', () => {
  const fits = (round: Problem) => search(round, tries(30)) !== null
  const first = <T>(list: readonly T[], make: (one: T) => Problem): Problem | null =>
    list.map(make).find((round) => !fits(round)) ?? null
  /** A round that fits, with one thing tightened until it does not. */
  const tighten: Partial<Record<Constraint, (round: Problem, random: Random) => Problem | null>> = {
    clamps: (round) =>
      first([...Array(round.places.clamp + 1).keys()].reverse(), (clamp) => ({
        ...round,
        places: { ...round.places, clamp },
      })),
    windows: (round) =>
      first([0.8, 0.6, 0.5, 0.4, 0.3, 0.2, 0.1, 0.05, 0.02], (by) => ({
        ...round,
        windows: round.windows.map(({ from, to }) => ({ from, to: from + (to - from) * by })),
      })),
    end: (round) =>
      first([...Array(round.windows.length - 1).keys()].reverse(), (n) => ({
        ...round,
        windows: round.windows.slice(0, n + 1),
      })),
    wait: (round, random) => {
      const at = Math.floor(random() * round.chains.length)
      const patched = (patch: (one: PlannedStep) => PlannedStep) => ({
        ...round,
        chains: round.chains.map((one, i) => (i === at ? { ...one, steps: one.steps.map(patch) } : one)),
      })
      const short = patched((one) => (one.id === 'pull' ? { ...one, maxGap: one.minGap + 30 } : one))
      return fits(short) ? patched((one) => (one.id === 'close' ? { ...one, minGap: 20, maxGap: 10 } : one)) : short
    },
    hands: (round) => ({ ...round, hands: 0 }),
  }
  it('is named in nine of ten rounds, with a change that helps', () => {
    const names = Object.keys(tighten) as Constraint[]
    let [made, right] = [0, 0]
    for (let i = 0; made < 100; i++) {
      const random = seededRandom(1000 + i)
      const round = randomRound(random, 12)
      const name = names[i % names.length]!
      const broke = fits(round) ? tighten[name]!(round, random) : null
      if (!broke) continue
      made++
      const { constraint, text, change } = whyNot(broke)
      if (constraint === name) right++
      expect(text).toMatch(/\.$/)
      expect(change).toMatch(/\.$/)
    }
    expect(right).toBeGreaterThanOrEqual(90)
  })
})
