import { measured } from '../../../core/quantities/betterUnit'
import { OVERLAP_CAP } from '../../../core/choice/real/margin'
import { basisWords } from '../../../core/choice/real/marginWords'
import { showMoney } from '../../../core/quantities/money'
import type { RatioSummary } from '../../../core/statistics/analyse'
import { testKinds, type TestId } from '../../../core/knowledge/testKinds'
import { placeOf, readReading, toneOf, valueWords } from '../../bench/settled'
import { capital, figure, percent, plural } from '../../look/figures'
import { lasting } from '../../look/times'
import type { Explanation } from '../../look/why'
import type { Candidate } from './round'

const MODEL =
  'One model for all pulls: ln y = μ + σ·ε, σ common to the procedures; a torn part counts as “at least”, a ' +
  'step as “between”, never as exact.'

const readingsOf = (candidate: Candidate, test: TestId): Explanation['readings'] =>
  candidate.pulls.map(({ coupon, reading }) => ({
    label: coupon.label,
    value: valueWords(readReading(reading, test).datum),
    note: `${placeOf(reading, test)}${reading.early ? ', pulled early' : ''}`,
    tone: toneOf(reading),
  }))

export function whyTypical(candidate: Candidate, test: TestId, scatter: number): Explanation {
  const { summary } = candidate
  const { unit } = testKinds[test]
  if (!summary)
    return {
      about: candidate.procedure.name,
      lines: ['Nothing to say yet: none of its pulls gave a strength.'],
      readings: readingsOf(candidate, test),
    }
  const said =
    summary.open === 'above'
      ? 'Each time the part gave way first or nothing broke: typical strength is at least ' +
        `${figure(summary.typical.low90)} ${unit}; how much more, these pulls cannot say.`
      : summary.open === 'below'
        ? `Each time it came apart before a load was read: at most ${figure(summary.typical.high90)} ${unit}.`
        : `Half of such joints hold ${figure(summary.typical.median)} ${unit} or more; between ` +
          `${figure(summary.typical.low90)} and ${figure(summary.typical.high90)} with nine chances in ten.`
  const bounds = summary.censored ? `, ${summary.censored} of them “at least”, “at most” or “between”` : ''
  return {
    about: `${candidate.procedure.name}, typical strength`,
    lines: [said, `From ${plural(summary.n, 'pull')}${bounds}.`],
    formula: [
      'ln y = μ + σ·ε',
      `σ about ${figure(scatter)} (±${Math.round(100 * (Math.exp(scatter) - 1))} %)`,
      summary.open === 'above'
        ? `exp(μ) ≥ ${figure(summary.typical.low90)} ${unit}`
        : summary.open === 'below'
          ? `exp(μ) ≤ ${figure(summary.typical.high90)} ${unit}`
          : `exp(μ) = ${figure(summary.typical.median)} ${unit}`,
    ],
    readings: readingsOf(candidate, test),
    source: [MODEL],
  }
}

export function whyWeak(candidate: Candidate, test: TestId, limit: number | null): Explanation {
  const summary = candidate.summary!
  const { unit } = testKinds[test]
  return {
    about: `${candidate.procedure.name}, weak joint`,
    lines: [
      `19 in 20 joints hold this, and we are 95 % sure of it: ${figure(summary.weakJoint.low95)} ${unit}.`,
      ...(limit !== null && summary.pMeets !== null
        ? [`The chance that 19 in 20 joints hold the limit of ${figure(limit)} ${unit}: ${percent(summary.pMeets)}.`]
        : []),
    ],
    formula: [
      'weak joint = exp(μ − 1.645 · σ)',
      `middle ${figure(summary.weakJoint.median)} ${unit}`,
      `lower bound ${figure(summary.weakJoint.low95)} ${unit}`,
    ],
    readings: readingsOf(candidate, test),
    change: ['More pulls, or less scatter between them, raise the lower bound.'],
    source: [MODEL],
  }
}

export function whyMargin(candidate: Candidate, test: TestId): Explanation {
  const margin = candidate.margin!
  const { unit } = testKinds[test]
  return {
    about: 'margin of the real joint',
    lines: [
      'Weak joint, lower bound, times the real bonded size, less what its surroundings take, over the load it ' +
        'must carry.',
      ...(margin.other ? [margin.other] : []),
      ...(margin.capped
        ? [
            `A rigid glue carries at the ends of a long overlap: only ${OVERLAP_CAP} times the tested overlap ` +
              'is counted.',
          ]
        : []),
      ...margin.factors.map(({ words, basis, from }) => `${capital(words)}, ${basisWords[basis]}: ${from}`),
    ],
    formula: [
      `${figure(candidate.summary!.weakJoint.low95)} ${unit} × ${figure(margin.bondedSize)} ${margin.sizeUnit}`,
      `= ${measured(margin.dryN, 'N')}`,
      ...margin.factors.map(({ words, share }) => `× ${figure(share)} for ${words}`),
      ...(margin.factors.length ? [`= ${measured(margin.holdsN, 'N')}`] : []),
      `÷ ${measured(margin.requiredN, 'N')} required`,
      `= ${figure(margin.times)} times`,
    ],
    readings: readingsOf(candidate, test),
    change: margin.notTested.length
      ? [`Not tested: ${margin.notTested.join(', ')}. What is typical was taken; an exposure in the Plan would tell.`]
      : undefined,
    source: ['Methods: holding load against required load = share of weight × g × motion.'],
  }
}

export function whyCost(candidate: Candidate, currency: string): Explanation {
  const sum = candidate.cost!
  return {
    about: `${candidate.procedure.name}, cost of one joint`,
    lines: [
      `${plural(sum.packs, 'pack')} to open for all joints, ${showMoney(sum.packsPrice, currency)}; with the ` +
        `rest of them thrown away a joint costs ${showMoney(sum.perJointWithRest, currency)}.`,
      ...sum.unpriced.map((name) => `Without ${name}: nothing says what a pack of it costs.`),
    ],
    formula: [
      `glue ${figure(sum.glueG)} g, a tenth lost: ${showMoney(sum.glueCost, currency)}`,
      ...(sum.whole ? ['with its share of the rest: it does not keep once opened'] : []),
      ...(sum.workCost ? [`work: ${showMoney(sum.workCost, currency)}`] : []),
      `= ${showMoney(sum.perJoint, currency)} a joint`,
    ],
    source: [
      'Area × faces × spread × coats × (1 + waste) × price ÷ pack. Spread and price from your shelf, else typical.',
    ],
  }
}

export function whyApart(ratio: RatioSummary, first: string, second: string, further?: string): Explanation {
  if (further)
    return {
      about: `${first} against ${second}`,
      lines: [`${ratio.toldApart ? 'They can be told apart' : 'Can’t tell these apart yet'}.`],
      formula: [`P(${first} ${further})`, `= ${percent(ratio.pGreater)}`],
      change: ratio.toldApart ? undefined : ['More coupons of these two; the Plan shows how many.'],
      source: [MODEL],
    }
  return {
    about: `${first} against ${second}`,
    lines: [
      ratio.toldApart
        ? `They can be told apart: ${first} is ${figure(ratio.median)} times as strong (${figure(ratio.low90)} ` +
          `to ${figure(ratio.high90)}).`
        : `Can’t tell these apart yet: ${first} is between ${figure(ratio.low90)} and ${figure(ratio.high90)} ` +
          'times as strong.',
    ],
    formula: [`P(${first} stronger)`, `= ${percent(ratio.pGreater)}`],
    change: ratio.toldApart ? undefined : ['More coupons of these two; the Plan shows how many.'],
    source: [MODEL],
  }
}

export const whyCure = (candidate: Candidate): Explanation => ({
  about: `${candidate.procedure.name}, time to service`,
  lines: ['From closing to full cure, as the procedure asks.'],
  formula: [
    ...candidate.procedure.steps.filter((step) => step.minS > 0).map((step) => `${step.kind} ${lasting(step.minS)}`),
    `= ${lasting(candidate.cureS)} to service`,
  ],
  source: ['Typical at 20 °C and 50 % humidity, or the label where you noted one.'],
})
