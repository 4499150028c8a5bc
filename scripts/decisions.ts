/**
 * Are decisions as sure as they say, and is “stop” right? Simulated rounds whose truth is known (minutes). Prints a
 * table for docs/decisions.md. `npm run decisions [rounds] [rounds of “stop”]`
 */
import { nextBest } from '../core/choice/next'
import { desirability, type Directed } from '../core/choice/rank'
import { judge, prepareRound } from '../core/choice/weighRound'
import { normalDraw, seededRandom, type Random } from '../core/planning/random'
import type { ModelReading } from '../core/statistics/data'
import { WEAK_Z } from '../core/statistics/summary'

const ROUNDS = Number(process.argv[2] ?? 2000)
/** Rounds in which “stop” is tried: each asks many times what one more coupon is worth. */
const STOP_ROUNDS = Number(process.argv[3] ?? ROUNDS)
const NAMES = ['A', 'B', 'C', 'D']

interface Truth {
  sigma: number
  mu: Record<string, number>
  /** the part tears at this, ln */
  tears: number
}
/** Truths as the model's own prior has them: procedures about a middle, one scatter. */
function truthOf(random: Random, spread: number): Truth {
  const sigma = Math.exp(Math.log(0.25) + 0.5 * normalDraw(random))
  const mu = Object.fromEntries(NAMES.map((name) => [name, Math.log(4) + spread * normalDraw(random)]))
  return { sigma, mu, tears: Math.log(4) + 1.2 * spread }
}
function pull({ sigma, mu, tears }: Truth, procedure: string, random: Random): ModelReading {
  const ln = mu[procedure]! + sigma * normalDraw(random)
  return ln > tears
    ? { procedure, kind: 'atLeast', low: Math.exp(tears) }
    : { procedure, kind: 'exact', value: Math.exp(ln) }
}
const criterion = (must: number): Directed => ({
  id: 'strength',
  weight: 3,
  better: 'more',
  scale: 'log',
  must,
  plenty: 3 * must,
})

/** Of rounds with strength and cost, by what points say of the first: said, and how often it is so. */
function calibration() {
  const random = seededRandom(11)
  const bins = new Map<number, { n: number; said: number; right: number }>()
  for (let turn = 0; turn < ROUNDS; turn++) {
    const truth = truthOf(random, 0.5)
    const readings = NAMES.flatMap((name) => [1, 2, 3].map(() => pull(truth, name, random)))
    const cost = Object.fromEntries(NAMES.map((name) => [name, 0.2 + 1.6 * random()]))
    const items = [
      { criterion: criterion(1.5), from: { kind: 'strength' as const, readings, forecast: {} } },
      {
        criterion: { id: 'cost', weight: 1, better: 'less' as const, scale: 'log' as const, must: 2, plenty: 0.2 },
        from: { kind: 'fixed' as const, values: cost },
      },
    ]
    const { schools } = judge(prepareRound({ items, procedures: NAMES, draws: 2000, seed: turn }), [3, 1])
    const trueScore = (name: string) =>
      3 * desirability(items[0]!.criterion, Math.exp(truth.mu[name]! - WEAK_Z * truth.sigma)) +
      desirability(items[1]!.criterion, cost[name]!)
    const best = NAMES.reduce((x, y) => (trueScore(y) > trueScore(x) ? y : x))
    const first = schools.points.reduce((x, y) => (y.pBest > x.pBest ? y : x))
    const bin = Math.min(9, Math.floor(first.pBest * 10))
    const of = bins.get(bin) ?? { n: 0, said: 0, right: 0 }
    bins.set(bin, {
      n: of.n + 1,
      said: of.said + first.pBest,
      right: of.right + (first.procedure === best ? 1 : 0),
    })
  }
  console.log('| said | rounds | mean said | came true |\n| --- | --- | --- | --- |')
  const percent = (x: number) => `${(100 * x).toFixed(1)} %`
  for (const [bin, { n, said, right }] of [...bins].sort((x, y) => x[0] - y[0]))
    console.log(`| ${bin * 10}–${bin * 10 + 10} % | ${n} | ${percent(said / n)} | ${percent(right / n)} |`)
}

/** Two coupons each, then one at a time as advised until it says stop; against equal replication, and twice as many. */
function stopping() {
  const random = seededRandom(12)
  const STOP = 0.005
  const [START, MOST] = [2, 6]
  const must = 1.5
  const valueOf = (truth: Truth, name: string) =>
    desirability(criterion(must), Math.exp(truth.mu[name]! - WEAK_Z * truth.sigma))
  const sums = { advised: 0, doubled: 0, equal: 0, coupons: 0, equalCoupons: 0, wrong: 0, equalWrong: 0, rounds: 0 }
  for (let turn = 0; turn < STOP_ROUNDS; turn++) {
    const truth = truthOf(random, 0.5)
    const stock = Object.fromEntries(
      NAMES.map((name) => [name, Array.from({ length: 40 }, () => pull(truth, name, random))]),
    )
    const first = (n: number) => NAMES.flatMap((name) => stock[name]!.slice(0, n))
    const ask = (readings: ModelReading[]) => nextBest({ required: must, plenty: 3 * must, readings, options: NAMES })
    const taken = Object.fromEntries(NAMES.map((name) => [name, START]))
    let readings = first(START)
    let answer = ask(readings)
    while (readings.length < MOST * NAMES.length) {
      const next = answer.options.reduce((x, y) => (y.gain > x.gain ? y : x))
      if (next.gain < STOP) break
      readings = [...readings, stock[next.procedure]![taken[next.procedure]!++]!]
      answer = ask(readings)
    }
    // Going on from there to twice the coupons, by turns.
    const more = [...readings]
    for (let i = 0; more.length < 2 * readings.length; i++) {
      const name = NAMES[i % NAMES.length]!
      more.push(stock[name]![taken[name]!++]!)
    }
    const best = Math.max(...NAMES.map((name) => valueOf(truth, name)))
    const chosen = answer.now!.choice
    const equal = ask(first(MOST)).now!.choice
    sums.rounds += 1
    sums.coupons += readings.length
    sums.equalCoupons += MOST * NAMES.length
    sums.advised += valueOf(truth, chosen)
    sums.equal += valueOf(truth, equal)
    sums.doubled += valueOf(truth, ask(more).now!.choice)
    if (best - valueOf(truth, chosen) > 0.02) sums.wrong += 1
    if (best - valueOf(truth, equal) > 0.02) sums.equalWrong += 1
  }
  const mean = (sum: number) => (sum / sums.rounds).toFixed(4)
  console.log(`\n| | coupons | value | wrong by over 0.02 |\n| --- | --- | --- | --- |`)
  console.log(`| as advised, until “stop” | ${mean(sums.coupons)} | ${mean(sums.advised)} | ${mean(sums.wrong)} |`)
  console.log(`| then on to twice as many | ${mean(2 * sums.coupons)} | ${mean(sums.doubled)} | |`)
  console.log(`| ${MOST} of each | ${mean(sums.equalCoupons)} | ${mean(sums.equal)} | ${mean(sums.equalWrong)} |`)
  console.log(`\nlost by stopping: ${(100 * (1 - sums.advised / sums.doubled)).toFixed(2)} %`)
}
calibration()
stopping()
