import { seededRandom } from '../core/planning/random'
import { broken } from '../core/schedule/__tests__/checker'
import { randomRound } from '../core/schedule/__tests__/randomRounds'
import { search } from '../core/schedule/search'

/**
 * How near the lower bound the timetable of 100 rounds of 30 coupons ends after some seconds of search: a slow check
 * that is run by hand, its figures in docs/methods.md. `npm run schedule-quality -- SECONDS`
 */
const seconds = Number(process.argv[2] ?? 2)
const ROUNDS = 100
const gaps: number[] = []
for (let i = 0; i < ROUNDS; i++) {
  const round = randomRound(seededRandom(i), 30)
  const until = Date.now() + seconds * 1000
  const goOn = (tries: number) => tries % 4 !== 0 || Date.now() < until
  const found = search(round, { random: seededRandom(1), goOn })
  if (!found) throw new Error(`round ${i}: nothing fits`)
  const faults = broken(round, found.schedule.steps)
  if (faults.length) throw new Error(`round ${i}: ${faults.join('; ')}`)
  gaps.push(found.schedule.finish / found.lowerBound - 1)
}
gaps.sort((x, y) => x - y)
const at = (share: number) => `${(100 * gaps[Math.floor(share * (ROUNDS - 1))]!).toFixed(1)} %`
console.log(
  `${ROUNDS} rounds of 30 coupons, ${seconds} s each: above the lower bound by ${at(0.5)} (median), ${at(0.75)} ` +
    `(three in four), ${at(0.9)} (nine in ten); at the bound in ${gaps.filter((gap) => gap < 1e-9).length}`,
)
