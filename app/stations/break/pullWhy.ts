import { sayError } from '../../../core/messages'
import type { WhyLeftOut } from '../../../core/readings/datum'
import type { Interpreted } from '../../../core/readings/interpret'
import type { Raw, Reading } from '../../../core/records/reading'
import { formulaOf, sizeNames, testKinds, type SizeKey, type TestId } from '../../../core/knowledge/testKinds'
import { digitsOf } from '../../../core/quantities/figure'
import { figure } from '../../look/figures'
import type { Explanation } from '../../look/why'
import { valueWords } from '../../bench/settled'

/** How the load came from what was read. */
function loadLines(raw: Raw): string[] {
  switch (raw.way) {
    case 'gauge':
      return [`read ${digitsOf(raw.value)} ${raw.unit}`]
    case 'mass':
      return [`(${digitsOf(raw.value)} ${raw.unit} + tare ${figure(raw.tareKg ?? 0)} kg) × 9.80665 m/s²`]
    case 'water':
      return [`(${digitsOf(raw.value)} ${raw.unit} × 0.998 kg/l + tare ${figure(raw.tareKg ?? 0)} kg) × 9.80665 m/s²`]
    case 'lever':
      return [
        `${digitsOf(raw.value)} ${raw.unit} × ${digitsOf(raw.armLoadMm ?? 0)} mm / ${digitsOf(raw.armJointMm ?? 0)} mm`,
      ]
    case 'steps':
      return [
        `held ${digitsOf(raw.held)} ${raw.unit}, ` +
          `${raw.broke === null ? 'and did not break' : `let go at ${digitsOf(raw.broke)} ${raw.unit}`}`,
      ]
    case 'hands':
      return [
        raw.lowN === null
          ? 'hands not calibrated: an order only'
          : 'your own pulls of this grip, 10th to 90th percentile',
      ]
    case 'trace':
      return [`${raw.file}, ${raw.points.length} points, ${raw.take === 'steady' ? 'mean of the steady part' : 'peak'}`]
    case 'count':
      return [`held ${digitsOf(raw.held)}${raw.broke === null ? '' : `, cracked at ${digitsOf(raw.broke)}`}`]
    case 'grades':
      return Object.entries(raw.grades).map(([what, grade]) => `${what}: step ${grade + 1} of 3`)
    case 'losses':
      return [`${raw.before} before, ${raw.after} after: ${raw.before - raw.after} lost`]
    case 'none':
      return ['no load read']
  }
}

const kindLines: Record<string, string> = {
  exact: 'Counts as an exact reading: the bond let go, not the part.',
  atLeast: 'Counts as “at least”: the part gave way first, or nothing broke. The bond is stronger than this.',
  atMost: 'Counts as “at most”: it came apart before a load could be read, or below the first step.',
  between: 'Counts as “between”: it held the one step and let go at the other.',
}
const outLines: Record<WhyLeftOut, string> = {
  wet:
    'Not a strength: the glue was still wet. Kept as a cure failure, left out of the strength; glue another with ' +
    'a longer cure.',
  fault: 'Kept with its reason, left out of the strength.',
  'order-only': 'An order only: pull each grip on a scale three times (Shelf) and it becomes a load.',
  losses: 'Counted, not pulled: the share kept stands beside the others on Choose, and is no strength.',
  graded: 'Graded, not pulled: it stands beside the others on Choose, and is no strength.',
  'set-aside': 'Set aside with its reason; still kept.',
  unusable: 'Cannot be worked out, and is left out of the strength until it is corrected or set aside.',
}

/** Why a pull counts as what it counts. */
export function whyReading(
  label: string,
  reading: Pick<Reading, 'raw' | 'setAside' | 'corrected' | 'direction'>,
  result: Interpreted,
  test: TestId,
): Explanation {
  const kind = testKinds[test]
  const formula = reading.direction ? null : formulaOf(test)
  const { load, read, datum, unit } = result
  const words = (value: typeof load, u: string) =>
    value === null
      ? ''
      : 'value' in value
        ? `${figure(value.value)} ${u}`
        : `${figure(value.low)} to ${value.high === null ? 'open' : figure(value.high)} ${u}`
  const sizes = (Object.keys(result.size) as SizeKey[]).flatMap((key) => {
    const value = result.size[key]
    return value == null ? [] : [`${sizeNames[key].symbol} = ${digitsOf(value)} ${sizeNames[key].unit}`]
  })
  return {
    about: label,
    lines: [
      datum.kind === 'leftOut' ? outLines[datum.why] : kindLines[datum.kind]!,
      ...(result.fault ? [sayError(result.fault)] : []),
      ...(reading.direction
        ? ['Put to this before its own test, on the same piece: it stands apart, and is not counted as another coupon.']
        : []),
      ...(reading.setAside ? [`Reason: ${reading.setAside}`] : []),
    ],
    formula: [
      ...loadLines(reading.raw),
      ...(load && formula
        ? [`F = ${words(load, 'N')}`, formula.words, ...(sizes.length ? [sizes.join(', ')] : [])]
        : []),
      read ? `= ${datum.kind === 'leftOut' ? words(read, unit) : `${valueWords(datum)} ${unit}`}` : valueWords(datum),
    ],
    source: [
      kind.gloss,
      'Failure places after ISO 10365; a bench coupon, no conformity claimed.',
      ...reading.corrected.map((was) => `corrected; it was ${was.was}`),
    ],
  }
}
