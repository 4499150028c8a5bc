import { testKinds } from '../knowledge/testKinds'
import { type Tables } from '../records/tables'
import { benchOf } from './pastBench'
import { MOST_ROWS } from './pastedRows'
import { type PastTest, type PastSettings, type Row, RowFault, rowOf, type SheetWords } from './pastRow'

export interface PastRead {
  /** as another bench, ready to be put to one's own; null where no row could be taken */
  tables: Tables | null
  taken: number
  /** what each word of the sheet was taken for: close is not the same */
  understood: { text: string; as: string }[]
  bad: { line: number; why: string }[]
}

/**
 * Past tests out of a spreadsheet as a bench of their own: a joint for each pair, a procedure for each glue, a coupon
 * and a reading for each row. Its ids follow from what stands in the rows, so that the same sheet read in twice is one.
 * @param rows without the heading row, with the line each stands on @param now ms; a row without a day has none (0)
 */
export function pastTests(
  rows: readonly { line: number; cells: readonly string[] }[],
  settings: PastSettings,
  now: number,
): PastRead {
  const bad: PastRead['bad'] = []
  const words: SheetWords = { understood: new Map(), found: new Map() }
  const good = rows.slice(0, MOST_ROWS).flatMap(({ line, cells }): Row[] => {
    try {
      return [rowOf(line, cells, settings, now, words)]
    } catch (error) {
      if (!(error instanceof RowFault)) throw error
      bad.push({ line, why: error.message })
      return []
    }
  })
  const rest = rows[MOST_ROWS]
  if (rest) bad.push({ line: rest.line, why: `and what follows it: up to ${MOST_ROWS} rows are taken at a time` })
  return {
    tables: good.length ? benchOf(good, settings, now) : null,
    taken: good.length,
    understood: [...words.understood].map(([text, as]) => ({ text, as })),
    bad,
  }
}

/** What a test is called where it is chosen. */
export const pastTestWords = (test: PastTest): string => testKinds[test].name
