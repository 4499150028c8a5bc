/**
 * Are decisions as sure as they say, and is “stop” right? Simulated rounds whose truth is known (minutes). Prints a
 * table for docs/decisions.md. `npm run decisions [rounds] [rounds of “stop”]`
 */
import { nextBest } from '../core/choice/next/next'
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

/**
 * Of rounds with strength and cost, by what points say of the first: said, and how often it is so.
 * @param spread of the typical strengths about their middle, ln: the model’s prior has 1.5
 */
function calibration(spread: number) {
  const random = seededRandom(11)
  const bins = new Map<number, { n: number; said: number; right: number }>()
  for (let turn = 0; turn < ROUNDS; turn++) {
    const truth = truthOf(random, spread)
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
  console.log(`\nspread ${spread}\n`)
  console.log('| said | rounds | mean said | came true |\n| --- | --- | --- | --- |')
  const percent = (x: number) => `${(100 * x).toFixed(1)} %`
  for (const [bin, { n, said, right }] of [...bins].sort((x, y) => x[0] - y[0]))
    console.log(`| ${bin * 10}–${bin * 10 + 10} % | ${n} | ${percent(said / n)} | ${percent(right / n)} |`)
}

/** Worth of one more coupon below which the advice says stop: those that the page offers. */
const THRESHOLDS = [0.0005, 0.001, 0.002, 0.005, 0.01]
/** Coupons of each that equal replication is tried with. */
const EQUAL = [2, 3, 4, 5, 6, 8, 10, 12]
/** Something better than this was left: a wrong choice. */
const WRONG = 0.02

/**
 * Two coupons each, then one at a time as advised until the best is worth less than a threshold; against equal
 * replication, and against going on by turns to twice as many.
 */
function stopping() {
  const random = seededRandom(12)
  const [START, MOST, must] = [2, 24, 1.5]
  const valueOf = (truth: Truth, name: string) =>
    desirability(criterion(must), Math.exp(truth.mu[name]! - WEAK_Z * truth.sigma))
  const none = () => ({ coupons: 0, value: 0, wrong: 0, doubled: 0 })
  const advised = new Map(THRESHOLDS.map((one) => [one, none()]))
  const equal = new Map(EQUAL.map((one) => [one, none()]))
  for (let turn = 0; turn < STOP_ROUNDS; turn++) {
    const truth = truthOf(random, 0.5)
    const stock = Object.fromEntries(
      NAMES.map((name) => [name, Array.from({ length: 2 * MOST }, () => pull(truth, name, random))]),
    )
    const first = (n: number) => NAMES.flatMap((name) => stock[name]!.slice(0, n))
    const ask = (readings: ModelReading[], options = NAMES) =>
      nextBest({ required: must, plenty: 3 * must, readings, options })
    const best = Math.max(...NAMES.map((name) => valueOf(truth, name)))
    const note = (sum: ReturnType<typeof none>, choice: string, coupons: number) => {
      sum.coupons += coupons
      sum.value += valueOf(truth, choice)
      if (best - valueOf(truth, choice) > WRONG) sum.wrong += 1
    }
    const taken = Object.fromEntries(NAMES.map((name) => [name, START]))
    let readings = first(START)
    let left = [...THRESHOLDS].sort((x, y) => y - x)
    while (left.length) {
      const answer = ask(readings)
      const next = answer.options.reduce((x, y) => (y.gain > x.gain ? y : x))
      const full = readings.length >= MOST
      for (const threshold of left.filter((one) => full || next.gain < one)) {
        const sum = advised.get(threshold)!
        note(sum, answer.now!.choice, readings.length)
        // Going on from there to twice the coupons, by turns.
        const counts = { ...taken }
        const more = [...readings]
        for (let i = 0; more.length < 2 * readings.length; i++) {
          const name = NAMES[i % NAMES.length]!
          more.push(stock[name]![counts[name]!++]!)
        }
        sum.doubled += valueOf(truth, ask(more, []).now!.choice)
      }
      left = full ? [] : left.filter((one) => next.gain >= one)
      readings = [...readings, stock[next.procedure]![taken[next.procedure]!++]!]
    }
    for (const n of EQUAL) note(equal.get(n)!, ask(first(n), []).now!.choice, n * NAMES.length)
  }
  const mean = (sum: number) => (sum / STOP_ROUNDS).toFixed(4)
  const share = (part: number) => `${(100 * part).toFixed(1)} %`
  console.log(`\n| stop below | coupons | value | wrong by over ${WRONG} | lost against twice as many |`)
  console.log('| --- | --- | --- | --- | --- |')
  for (const [threshold, { coupons, value, wrong, doubled }] of advised) {
    const rest = `${share(wrong / STOP_ROUNDS)} | ${share(1 - value / doubled)}`
    console.log(`| ${threshold} | ${mean(coupons)} | ${mean(value)} | ${rest} |`)
  }
  console.log(`\n| coupons of each | coupons | value | wrong by over ${WRONG} |\n| --- | --- | --- | --- |`)
  for (const [n, { coupons, value, wrong }] of equal)
    console.log(`| ${n} | ${mean(coupons)} | ${mean(value)} | ${share(wrong / STOP_ROUNDS)} |`)
}
for (const spread of [1.5, 0.5]) calibration(spread)
stopping()
