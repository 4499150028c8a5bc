import type { Entry } from '../../core/records/entry'
import { tableNames, type Tables } from '../../core/records/tables'
import { withoutWords, writtenTexts } from '../../core/records/wordsOut'
import { allThatHappened } from './happened'

/** Changes that are told. */
const LABELS = 30

export interface Around {
  version: string
  page: string
  now: number
  /** of the browser, as it calls itself */
  browser: string
  window: string
  saving: string
}

const moment = (at: number) => new Date(at).toISOString().slice(0, 19).replace('T', ' ')

/**
 * What happened, as a text to be copied: version, page, the last entries’ labels and faults. Nothing that a maker wrote
 * is in it, and it goes nowhere by itself.
 * @param history newest first
 */
export function happenedText(around: Around, tables: Tables, history: readonly Entry[]): string {
  const texts = writtenTexts(tables)
  for (const { changes } of history) for (const { before, after } of changes) writtenTexts([before, after], '', texts)
  const bare = (words: string) => withoutWords(words, texts)
  const counts = tableNames.flatMap((table) => (tables[table].length ? `${table} ${tables[table].length}` : []))
  return [
    'Paste Bench: what happened',
    `version ${around.version}, page “${around.page}”, ${moment(around.now)} UTC`,
    `${around.browser}; window ${around.window}; ${around.saving}`,
    `records: ${counts.join(', ')}`,
    '',
    'Last changes, newest first:',
    ...history.slice(0, LABELS).map(({ at, kind, label, changes }) => {
      const touched = [...new Set(changes.map(({ table }) => table))].join(' ')
      return `${moment(at)} ${kind}: ${bare(label)} (${touched})`
    }),
    ...(history.length ? [] : ['none']),
    '',
    'Pages and faults, newest first:',
    ...allThatHappened().map(({ at, what, text }) => `${moment(at)} ${what}: ${bare(text)}`),
  ].join('\n')
}
