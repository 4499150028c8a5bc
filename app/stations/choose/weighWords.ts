import type { Item } from '../../../core/choice/criteria'
import { flexWords } from '../../../core/choice/usable'
import type { School } from '../../../core/choice/rank'
import type { Disagreement, Moves, Needed } from '../../../core/choice/whatIf'
import { inBetterUnit } from '../../../core/quantities/betterUnit'
import { durationWords } from '../../../core/quantities/durations'
import { showMoney } from '../../../core/quantities/money'
import { figure } from '../../look/figures'

export const schoolWords: Record<School, { name: string; gloss: string }> = {
  points: { name: 'Points', gloss: 'what it is good at makes up for what it is not' },
  'weakest-link': { name: 'Weakest link', gloss: 'as good as its worst side' },
  'knock-out': { name: 'Knock-out', gloss: 'who misses a must is out; then the heaviest decides' },
}
/** A value of a criterion with its unit. */
export function valueText({ unit }: Pick<Item, 'unit'>, value: number, currency: string): string {
  if (unit === 'h') return durationWords(Math.round(value * 3600))
  if (unit === 'min') return durationWords(Math.round(value * 60))
  if (unit === 's') return durationWords(Math.round(value))
  if (unit === 'flex') return flexWords[Math.round(value)] ?? '?'
  if (unit === 'money') return showMoney(value, currency)
  if (unit === '' || unit === 'of its dry strength') return `${Math.round(100 * value)} %`
  if (unit === 'of 2') return `${figure(value)} of 2`
  const better = inBetterUnit(value, unit)
  return `${figure(better.value)} ${better.unit}`
}

/** “must 1.00 MPa, plenty 3.00 MPa”; of a band between what it must be and what is good. */
export function boundsText(item: Pick<Item, 'unit' | 'criterion'>, currency: string): string {
  const { criterion, unit } = item
  // Steps of bending are whole: a must between two of them is the one that is still borne.
  const step = (value: number) => (criterion.better === 'less' ? Math.floor(value) : Math.ceil(value))
  const text = (value: number) => valueText(item, unit === 'flex' ? step(value) : value, currency)
  return criterion.better === 'band'
    ? `best from ${text(criterion.low)} to ${text(criterion.high)}`
    : `must ${text(criterion.must)}, plenty ${text(criterion.plenty)}`
}

interface Names {
  procedure: (id: string) => string
  item: (id: string) => Item
}

/** Why the schools differ, each in a sentence. */
export const whyWords = (why: readonly Disagreement[], { procedure, item }: Names): string[] =>
  why.map(({ strict, procedure: id, criterion, missesMust }) => {
    const what = item(criterion).name
    const school = schoolWords[strict].name.toLowerCase()
    return missesMust
      ? `Points forgive that ${procedure(id)} misses what must be in ${what}; ${school} does not.`
      : `Points forgive that ${procedure(id)} falls behind in ${what}; ${school} does not.`
  })

/** What would make the second first, each in a few words. */
export const neededWords = (needed: readonly Needed[], { item }: Names, currency: string): string[] =>
  needed.map(({ criterion, now, needed: value }) => {
    const of = item(criterion)
    return `${of.name}: ${valueText(of, value, currency)} (now ${valueText(of, now, currency)})`
  })

/** A weight below this is nothing, as weights are set. */
const LEAST_SAID = 0.15

/** How far a weight may move, in a few words. */
export function moveWords({ down, up }: Moves): string {
  const weight = (value: number) => figure(Math.round(10 * value) / 10)
  if (down === null && up === null) return 'however it is weighed, the same comes first'
  const sides = [
    ...(down === null ? [] : [down < LEAST_SAID ? 'when it counts for nothing' : `below ${weight(down)}`]),
    ...(up === null ? [] : [up < LEAST_SAID ? 'as soon as it counts' : `above ${weight(up)}`]),
  ]
  return `another comes first ${sides.join(' or ')}`
}
