import type { Datum, LeftOut, WhyLeftOut } from '../../core/readings/datum'
import { gradeWords } from '../../core/readings/grades'
import { interpret, type Interpreted } from '../../core/readings/interpret'
import { directionRows } from '../../core/knowledge/directions'
import { type TestId } from '../../core/knowledge/testKinds'
import type { Reading } from '../../core/records/reading'
import { figure } from '../look/figures'
import type { Tone } from '../look/VerdictMark.vue'

const leftOutWords: Record<WhyLeftOut, string> = {
  wet: 'wet',
  fault: 'fault',
  'order-only': 'order only',
  'set-aside': 'set aside',
  graded: 'graded',
  losses: 'counted',
  unusable: 'cannot be used',
}

/** Words for what a reading says, the same at Break, Choose and in Why. */
export function valueWords(datum: Datum | LeftOut): string {
  switch (datum.kind) {
    case 'exact':
      return figure(datum.value)
    case 'atLeast':
      return `≥ ${figure(datum.low)}`
    case 'atMost':
      return `≤ ${figure(datum.high)}`
    case 'between':
      return `${figure(datum.low)} to ${figure(datum.high)}`
    case 'leftOut':
      return leftOutWords[datum.why]
  }
}

const placeWords = {
  tornA: 'torn in A',
  offA: 'off A',
  glue: 'in the glue',
  offB: 'off B',
  tornB: 'torn in B',
} as const

/** Where it let go, the largest share first. */
export function placeOf(reading: Reading, test?: TestId): string {
  const { outcome, raw } = reading
  if (raw.way === 'grades' && outcome.end === 'held') return test ? gradeWords(test, raw.grades) : 'looked at'
  if (raw.way === 'losses' && outcome.end === 'held') return `${raw.before - raw.after} of ${raw.before} lost`
  if (outcome.end === 'held') return 'did not break'
  if (outcome.end === 'handling') return 'lost in handling'
  if (outcome.end === 'fault') return outcome.reason
  if (outcome.end === 'wet') return 'not cured'
  const [place, share] = Object.entries(outcome.places).sort((x, y) => y[1] - x[1])[0]! as [
    keyof typeof placeWords,
    number,
  ]
  return share > 99 ? placeWords[place] : `${placeWords[place]} ${share.toFixed(0)} %`
}

export const toneOf = (reading: Reading): Tone | undefined =>
  reading.setAside || reading.outcome.end === 'fault'
    ? 'unknown'
    : reading.outcome.end === 'wet'
      ? 'careful'
      : undefined

export const readReading = (reading: Reading, test: TestId): Interpreted => interpret(reading, test)

/** A reading's line in a list: "≥ 0.91 MPa, torn in A". */
export function readingWords(reading: Reading, test: TestId): string {
  const { datum, unit } = readReading(reading, test)
  const way = reading.direction ? `${directionRows[reading.direction].name}: ` : ''
  const said = datum.kind === 'leftOut' ? valueWords(datum) : `${valueWords(datum)} ${unit}`
  return `${way}${said}, ${placeOf(reading, test)}`
}
