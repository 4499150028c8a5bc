import type { Item } from '../../../core/choice/criteria'
import { MORE, type NextTests, type TestOption } from '../../../core/choice/next/further'
import { KNOCK_OUT_BY, misses, type School } from '../../../core/choice/rank'
import type { WeighResult } from '../../../core/choice/weighRound'
import { showMoney } from '../../../core/quantities/money'
import { figure, percent } from '../../look/figures'
import type { Explanation } from '../../look/why'
import { schoolWords } from './weighWords'

/** Points of 1 as points of 100, no finer than they are worth. */
export const inHundred = (gain: number): string => (100 * gain).toFixed(gain < 0.01 ? 2 : 1)

const DRAWN = 'Twenty thousand seeded draws from what the readings leave open; the same round always gives the same.'
const METHODS = 'Desirability between must and plenty (Derringer and Suich 1980); docs/methods.md, the choice.'

/** Of a score what is not measured, by name: it is said in words, not by a broken line alone. */
function restingOn(procedure: string, items: readonly Item[], weights: readonly number[]): string {
  const counted = items.filter((_, c) => weights[c]! > 0)
  const of = (test: (item: Item) => boolean) => counted.filter(test).map(({ name }) => name)
  const untested = of(({ basis }) => basis[procedure] === 'forecast' || basis[procedure] === 'not tested')
  const measured = of(({ basis }) => basis[procedure] === 'measured')
  if (!measured.length) return 'It rests on nothing that was measured.'
  return untested.length ? `Not measured, and filled in: ${untested.join('; ')}.` : 'All of it is measured or known.'
}

/** A value that neither scatters nor has anything to spare: at its must, which is met. */
const justMet = ({ criterion }: Item, { median, low90, high90, d }: WeighResult['values'][string][string]): boolean =>
  d === 0 && low90 === high90 && !misses(criterion, median)

/** Why a school gives a procedure its score. */
export function whySchool(
  school: School,
  procedure: { id: string; name: string },
  result: WeighResult,
  items: readonly Item[],
  weights: readonly number[],
): Explanation {
  const weighed = result.schools[school].find((one) => one.procedure === procedure.id)!
  const all = weights.reduce((sum, one) => sum + one, 0)
  const valueOf = ({ criterion }: Item) => result.values[procedure.id]![criterion.id]!
  const order = items
    .map((item, c) => ({ item, weight: weights[c]!, d: result.values[procedure.id]![item.criterion.id]!.d }))
    .filter(({ weight }) => weight > 0)
    .sort((x, y) => y.weight - x.weight)
  const parts = order.map(({ item, weight, d }) => `${figure(weight)} × ${inHundred(d)} for ${item.name}`)
  const score = `= ${Math.round(100 * weighed.score)} of 100`
  const formula = {
    points: [...parts, `sum ÷ ${figure(all)}, the weights`, score],
    'weakest-link': [
      'exp(Σ weight × ln d ÷ Σ weights), in each draw; one d of 0 sinks it',
      ...parts,
      `${score}, the mean of the draws`,
    ],
    'knock-out': [
      'in each draw: who misses a must is out',
      ...order.map(({ item }, i) => `${i + 1}. ${item.name}: within ${100 * KNOCK_OUT_BY} of 100 of the best go on`),
      `= first in ${percent(weighed.score)} of the draws`,
    ],
  }[school]
  const just = school === 'weakest-link' ? order.filter(({ item }) => justMet(item, valueOf(item))) : []
  return {
    about: `${procedure.name}, by ${schoolWords[school].name.toLowerCase()}`,
    lines: [
      ...just.map(
        ({ item }) => `It just meets what must be in ${item.name}: nothing to spare counts 0 by the weakest link.`,
      ),
      `First in ${percent(weighed.pBest)} of the draws. Chosen now, it is expected to fall short of the best by ` +
        `${inHundred(weighed.expectedLoss)} of 100.`,
      restingOn(procedure.id, items, weights),
    ],
    formula,
    source: [DRAWN, METHODS],
    change: ['Another weight, or a further test: both stand below.'],
  }
}

/** Why a further test is worth what it is. */
export function whyNext(
  option: Pick<TestOption, 'gains'> & {
    of: { name: string }
    more: number
    gain: number
    minutes: number
    money: number
  },
  now: NonNullable<NextTests['now']>,
  nameOf: (id: string) => string,
  currency: string | undefined,
): Explanation {
  return {
    about: `what a further test of ${option.of.name} is worth`,
    lines: [
      `Today ${nameOf(now.procedure)} comes first by points. What the further coupon may read is averaged over all ` +
        'that today’s readings leave possible; after each of these the best is chosen again.',
      `It takes ${figure(option.minutes)} min by hand, gluing, waiting by and pulling, and ` +
        `${showMoney(option.money, currency)} of glue.`,
    ],
    formula: [
      `best choice today: ${inHundred(now.value)} of 100`,
      `after ${option.more} more, on average: ${inHundred(now.value + option.gain)} of 100`,
      ...option.gains.map((gain, i) => `${MORE[i]} more: + ${inHundred(gain)}`),
      `= + ${inHundred(option.gain)} of 100`,
    ],
    source: ['Preposterior analysis; docs/methods.md, the next best test.', METHODS],
  }
}
