import type { Factor } from '../../../core/choice/real/factors'
import type { Losses } from '../../../core/choice/losses'
import { basisWords } from '../../../core/choice/real/marginWords'
import type { RankedProcedure } from '../../../core/choice/ranks'
import type { Moves } from '../../../core/choice/whatIf'
import type { RatioSummary } from '../../../core/statistics/analyse'
import { capital, figure, plural } from '../../look/figures'
import type { Explanation } from '../../look/why'
import { moveWords } from './weighWords'

const percent = (share: number) => `${Math.round(100 * share)} %`

/** Why a share of many small things is kept. */
export const whyLosses = (name: string, { pieces, before, lost, kept }: Losses): Explanation => ({
  about: `${name}, share kept`,
  lines: [
    `${lost} of ${before} were lost on ${plural(pieces, 'piece')}. Each is taken as lost by itself; what lets go in ` +
      'patches is less sure than the interval says.',
  ],
  formula: [
    `Beta(${before - lost} + ½ kept, ${lost} + ½ lost)`,
    `9 in 10: ${percent(kept.low90)} to ${percent(kept.high90)}`,
    `= ${percent(kept.median)}`,
  ],
  source: ['A binomial share with Jeffreys’ prior (docs/methods.md, losses).'],
  change: ['More of them counted, on more pieces.'],
})

/** Why so much of the dry strength is kept after an exposure. */
export const whyKept = (name: string, after: string, ratio: RatioSummary): Explanation => ({
  about: `${name}, share kept`,
  lines: [
    `The pulls ${after} against the dry ones of the same round, in one strength model.`,
    ...(ratio.low90 <= 1 && ratio.high90 >= 1 ? ['That it lost any can’t be told yet.'] : []),
  ],
  formula: [
    'exposed ÷ dry = exp(μ exposed − μ dry)',
    `9 in 10: ${percent(ratio.low90)} to ${percent(ratio.high90)}`,
    `= ${percent(ratio.median)}`,
  ],
  source: ['The strength model’s posterior; docs/methods.md, the strength model.'],
  change: ['More pulls of both, the dry and the exposed ones.'],
})

/** Why a procedure wins by order. */
export const whyWins = (name: string, { pulls, wins, steps }: RankedProcedure): Explanation => ({
  about: `${name}, wins by order`,
  lines: [
    'Each of its pulls is compared with each pull of the others: first by the rung that it held, then by where it ' +
      'let go. A tie is half a win. No strength is in it.',
  ],
  formula: [
    `${plural(pulls, 'pull')}`,
    ...Object.entries(steps).map(([step, times]) => `${times} × ${step}`),
    `= ${percent(wins)} of the comparisons won`,
  ],
  source: ['Shares of comparisons won (Mann and Whitney 1947); docs/methods.md, order.'],
})

/** Why a factor of the real joint's margin is what it is. */
export const whyFactor = ({ words, share, basis, from, met }: Factor): Explanation => ({
  about: `left after ${words}`,
  lines: [
    `${capital(basisWords[basis])}. ${from}`,
    ...(basis === 'measured' ? [] : ['Nothing of this procedure was pulled after it that would tell the share.']),
    ...(met && basis !== 'measured' ? ['It was pulled after it, without a dry twin to hold it against.'] : []),
  ],
  formula: [`× ${figure(share)}`],
  source: ['docs/methods.md, loads and margin: what is typical is an estimate of ours, and says so.'],
  change: basis === 'measured' ? undefined : ['An exposure in the Plan, beside its dry twin.'],
})

/** Why another comes first where a weight is moved so far. */
export const whyMove = (what: string, move: Moves): Explanation => ({
  about: `how far the weight of ${what} may move`,
  lines: [
    `By points ${moveWords(move)}. All other weights stay as they are; within a kind its criteria move together.`,
  ],
  formula: ['the weight is halved towards the place where the first changes', 'on 1,500 of the draws'],
  source: ['docs/methods.md, criteria on Choose.'],
})
