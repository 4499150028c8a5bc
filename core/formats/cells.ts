import { CodedError } from '../errors'

/** What a sheet may have: more is none that this app wrote, and would not fit into memory as cells. */
const MOST_COLUMNS = 2000
const MOST_CELLS = 20_000_000
const QUOTE = 34
const LINE = 10
/** comma, semicolon, tab, bar: whichever of them parts the cells */
const SEPARATORS: ReadonlySet<number> = new Set([44, 59, 9, 124])

/**
 * Counts the cells of a text in rows before it is made into cells.
 * @param path named where there are too many
 * @throws CodedError too-large
 */
export function cellsFit(text: string, path: string): void {
  let quoted = false
  let inRow = 0
  let inAll = 0
  for (let at = 0; at < text.length; at++) {
    const sign = text.charCodeAt(at)
    if (sign === QUOTE) quoted = !quoted
    else if (quoted) continue
    else if (sign === LINE) inRow = 0
    else if (SEPARATORS.has(sign)) {
      inAll++
      inRow++
      if (inRow <= MOST_COLUMNS && inAll <= MOST_CELLS) continue
      const most = inRow > MOST_COLUMNS ? `a row has more than ${MOST_COLUMNS}` : `it has more than ${MOST_CELLS}`
      throw new CodedError('too-large', path, { field: `“${path}”`, detail: `${most} cells` })
    }
  }
}

/**
 * Whether a spreadsheet may run a text as a formula: also behind spaces and line ends, and in the wide signs of some
 * keyboards.
 */
export const runsAsFormula = (text: string): boolean => /^[\s\u200b\ufeff]*[=+\-@＝＋－＠]/.test(text)
