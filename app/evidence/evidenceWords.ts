import type { Lent } from '../../core/evidence/corrections'
import { tableStrength } from '../../core/evidence/corrections'
import type { PairEvidence, PairSide } from '../../core/evidence/pairEvidence'
import type { Trend } from '../../core/evidence/trends'
import { exposureWords } from '../../core/knowledge/exposures'
import { familyOf, isFamily } from '../../core/knowledge/families'
import { materialClassOf } from '../../core/knowledge/materials'
import { testKinds } from '../../core/knowledge/testKinds'
import { measured } from '../../core/quantities/betterUnit'
import type { OtherMaker } from '../../core/records/learned'
import { figure, plural, wholePercent } from '../look/figures'
import type { Explanation } from '../look/why'
import { readingWords } from '../bench/settled'
import type { useBench } from '../bench/store'

type BenchStore = ReturnType<typeof useBench>

export const familyName = (id: string): string => (isFamily(id) ? familyOf(id).name : id)
const sideWords = ({ material, state }: PairSide) =>
  `${materialClassOf(material).name}${state ? `, ${state.replace(/-/g, ' ')}` : ''}`

/** The glue of a line: the product where one was used, else the family. */
export const glueWords = (bench: BenchStore, one: Pick<PairEvidence, 'adhesive' | 'family'>): string =>
  bench.get('adhesive', one.adhesive)?.name ?? familyName(one.family)

/** “T-peel, after 3 washes”. */
export const testWords = ({ test, exposure }: Pick<PairEvidence, 'test' | 'exposure'>): string =>
  `${testKinds[test].name}${exposure ? `, ${exposureWords(exposure)}` : ''}`

/** A line’s strength in words, with its interval. */
export function strengthWords({ typical, between, atLeast, unit, valid }: PairEvidence): string {
  if (typical === null || !between) return valid ? 'no strength was read' : 'nothing that counts was read'
  if (atLeast) return `at least ${measured(typical, unit)}: the part gave way first`
  const ends = `between ${measured(between.low90, unit)} and ${measured(between.high90, unit)}`
  return `typically ${measured(typical, unit)}, ${ends}`
}

export const tableOf = ({ sides, family, unit }: PairEvidence): number | null =>
  tableStrength(sides[0].material, sides[1].material, family, unit)

const makerWords = ({ name, gauge }: OtherMaker) =>
  `Pulled by ${name}, with ${gauge.name} (to ${figure(gauge.limitN)} N in steps of ${figure(gauge.resolutionN)} N): ` +
  'it lends to yours with an offset of its own.'

/** What stands behind a line: every reading, the tables’ value, who pulled it. */
export function whyLine(bench: BenchStore, one: PairEvidence): Explanation {
  const joint = bench.get('joint', one.joint)
  const table = tableOf(one)
  const maker = one.owner === null ? null : bench.get('maker', one.owner)
  const coupons = bench
    .of('coupon', one.round)
    .filter(({ procedure, arm }) => procedure === one.procedure && arm === one.arm)
  const { weakJoint, unit } = one
  return {
    about: `${glueWords(bench, one)}, ${testWords(one)}`,
    lines: [
      `${one.sides.map(sideWords).join(' to ')}; joint ${joint?.code ?? '?'} ${joint?.name ?? ''}.`,
      `${plural(one.pulls, 'pull')}, ${one.valid} of them count: ${strengthWords(one)}.`,
      ...(weakJoint
        ? [`19 in 20 joints hold ${measured(weakJoint.median, unit)}; for sure ${measured(weakJoint.low95, unit)}.`]
        : []),
      ...(table ? [`The tables say ${measured(table, unit)} before anything was pulled.`] : []),
      ...(maker ? [makerWords(maker)] : []),
    ],
    readings: coupons.flatMap(({ id, label }) =>
      bench
        .of('reading', id)
        .filter(({ direction, owner }) => !direction && (owner ?? null) === one.owner)
        .map((reading) => {
          const [value, ...note] = readingWords(reading, one.test).split(', ')
          return { label, value: value!, note: note.join(', ') }
        }),
    ),
    source: ['own test, by the strength model (methods, sections 1 to 3)'],
  }
}

/** What stands behind a strength that was lent. */
export const whyLent = (one: Lent): Explanation => ({
  about: `${familyName(one.family)}, borrowed`,
  tone: 'unknown',
  word: 'not tested',
  lines: [
    'Borrowed from your other tests, not tested on this pair.',
    `Nine in ten such cells lie between ${measured(one.low90, one.unit)} and ${measured(one.high90, one.unit)}.`,
  ],
  formula: [
    `tables: ${measured(one.table, one.unit)}`,
    `your pulls of like pairs and glues: × ${figure(one.correction)}`,
    `typically ${measured(one.median, one.unit)}`,
  ],
  source: [
    'the tables, corrected by every pull: maker, pair, glue and cell are each off by an amount of their own ' +
      '(methods, section 10)',
  ],
  change: ['Three pulls of it on this pair.'],
})

/** A trend in a sentence; what the data do not carry is said to be so. */
export function trendWords(trend: Trend | null, about: { per: string; more: string; less: string }): string {
  if (!trend) return `Too few pulls to tell.`
  if (!trend.carried) return `Cannot be told from chance yet, in ${plural(trend.pulls, 'pull')}.`
  const share = Math.abs(1 - trend.factor)
  return (
    `${trend.factor < 1 ? about.less : about.more} by ${wholePercent(share)} ${about.per}, ` +
    `in ${plural(trend.pulls, 'pull')} ` +
    `(between × ${figure(trend.low90)} and × ${figure(trend.high90)}).`
  )
}
