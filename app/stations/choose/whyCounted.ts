import { measured } from '../../../core/quantities/betterUnit'
import type { Decision } from '../../../core/records/decision'
import type { Factor } from '../../../core/choice/real/factors'
import type { Losses } from '../../../core/choice/losses'
import type { Margin } from '../../../core/choice/real/margin'
import { basisWords, type WinLine } from '../../../core/choice/real/marginWords'
import type { Wins } from '../../../core/choice/real/win'
import type { RankedProcedure } from '../../../core/choice/ranks'
import type { Moves } from '../../../core/choice/whatIf'
import type { RatioSummary } from '../../../core/statistics/analyse'
import { capital, figure, plural, wholePercent as percent } from '../../look/figures'
import type { Explanation } from '../../look/why'
import { moveWords } from './weighWords'

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

/** Why a change of the joint wins what it does. */
export function whyWin({ by, words }: WinLine, wins: Wins, margin: Margin, wanted: number): Explanation {
  const left = margin.factors.reduce((all, { share }) => all * share, 1)
  const at = (size: Wins['sized']): string[] =>
    size
      ? [
          `${size.side} ${size.mm} mm instead of ${figure(size.nowMm)} mm, in the test’s own formula`,
          ...(margin.factors.length ? [`× ${figure(left)} left after its surroundings`] : []),
          `÷ ${measured(margin.loadN, 'N')}, the said load`,
          `= ${figure(size.times)} times`,
        ]
      : []
  const formula = {
    size: at(wins.sized),
    'no size': ['up to fifty times the length, and the width'],
    overlap: at(wins.doubled),
    coats: wins.coats ? ['weak joint with more coats ÷ with these', `= ${figure(wins.coats.times)} times`] : [],
    fixing: [
      `${wanted} × ${measured(margin.loadN, 'N')}, the said load`,
      `− ${measured(margin.holdsN, 'N')} that the joint holds`,
      `= ${measured(wins.fixingN, 'N')}`,
    ],
  }[by]
  const assumed = {
    size:
      'The glue is taken to be as strong at that size as on the coupons; of a rigid lap only three tested overlaps ' +
      'count.',
    'no size': 'Of a rigid lap only three tested overlaps count.',
    overlap: 'Twice as long, all else as it is; of a rigid lap only three tested overlaps count.',
    coats: wins.coats
      ? 'Both were pulled in the same test.'
      : 'Nothing was measured of it, and no table is asked: it rests on nothing yet.',
    fixing: 'Glue and fixing are seldom loaded at the same time: the fixing is what is left when the glue lets go.',
  }[by]
  return {
    about: 'what would win margin',
    lines: [words, assumed],
    ...(formula.length && { formula }),
    source: ['docs/methods.md, loads and margin.'],
  }
}

/** What the margin of a decision rested on when it was made. */
export function whyKnown({ known }: Pick<Decision, 'known'>): Explanation {
  const factors = known.factors ?? []
  const left = factors.reduce((all, { share }) => all * share, 1)
  return {
    about: 'margin, as it was when it was decided',
    lines: factors.map(({ words, basis }) => `${capital(words)}: ${basisWords[basis]}.`),
    formula: [
      ...(known.holdsN ? [`${measured(known.holdsN / left, 'N')} as pulled, at the real size`] : []),
      ...factors.map(({ words, share }) => `× ${figure(share)} for ${words}`),
      ...(known.requiredN ? [`÷ ${measured(known.requiredN, 'N')} required`] : []),
      `= ${known.margin === null ? '–' : figure(known.margin)} times`,
    ],
    source: ['Kept with the decision; what is known since stands above.'],
  }
}
