import { digitsSaid } from '../../../../core/quantities/figure'
import { dayName } from '../../../look/times'
import type { WordDef } from '../briefWords/wordDef'

/** What stands in the sentence for a word that was said; empty while it is open. */
export function saidWord(def: WordDef, value: unknown, money?: (value: number) => string): string {
  if (value === null || value === undefined) return ''
  const wordOf = (one: unknown) =>
    (def.kind === 'one' || def.kind === 'many') && def.choices.find((choice) => choice.value === one)?.word
  switch (def.kind) {
    case 'one':
      return wordOf(value) || ''
    case 'many': {
      const words = (value as string[]).map((one) => wordOf(one) || one)
      return words.length ? words.join(', ').replace(/, ([^,]*)$/, ' and $1') : def.none
    }
    case 'yes':
      return value ? def.yes : def.no
    case 'day':
      return dayName(String(value))
    case 'number': {
      const number = Number(value) * (def.scale ?? 1)
      if (money) return money(number)
      return def.show ? def.show(number) : `${digitsSaid(number)} ${def.unit}`.trim()
    }
  }
}
