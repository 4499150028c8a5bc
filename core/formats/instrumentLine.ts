import type { LineProtocol, Separator } from '../records/instrument'

/** What a line of an instrument says: figures in the unit that it names, a state, or nothing that can be read. */
export type InstrumentLine =
  | { says: 'figures'; first: number; unit: string; second: number | null; batteryLow: boolean }
  | { says: 'overload' }
  | { says: 'nonsense'; line: string }
  | { says: 'nothing' }

const between: Record<Separator, RegExp> = { comma: /,/, semicolon: /;/, tab: /\t/, space: /\s+/ }
const OVERLOAD = /(^|[^A-Z])(OL|OVL|OVER(LOAD|RANGE)?|O\.?L\.?)([^A-Z]|$)|^[-_\s]*-{3,}/i
const BATTERY = /\b(LOW ?BAT\w*|BAT\w* ?LOW|LO ?BAT)\b/i
const KEPT_LINE = 60

/** A figure with what stands behind it: “+ 012.5 kg” is 12.5 and “kg”. */
function figureOf(cell: string, decimal: LineProtocol['decimal']): { value: number; unit: string } | null {
  const bare = decimal === 'comma' ? cell.replace(/\./g, '').replace(',', '.') : cell
  const found = /([-+]?)\s*(\d+(?:\.\d*)?|\.\d+)(?:e([-+]?\d{1,2}))?\s*([a-z°µ²/#%]*)/i.exec(bare)
  if (!found) return null
  const value = Number(`${found[1]}${found[2]}${found[3] ? `e${found[3]}` : ''}`)
  return Number.isFinite(value) ? { value, unit: found[4]! } : null
}

/**
 * Reads one line of an instrument by its description.
 * @param known whether a spelling is a unit of what the first figure measures
 */
export function readInstrumentLine(
  line: string,
  protocol: LineProtocol,
  known: (unit: string) => boolean,
): InstrumentLine {
  const text = line.trim()
  if (!text) return { says: 'nothing' }
  const nonsense = (): InstrumentLine => ({
    says: 'nonsense',
    // What is shown of it is what can be shown.
    line: text.replace(/[^\x20-\x7e°µ²]/g, '·').slice(0, KEPT_LINE),
  })
  // Commas cannot keep cells apart where they stand in figures.
  const clash = protocol.decimal === 'comma' && protocol.separator === 'comma'
  const cells = text.split(between[clash ? 'semicolon' : protocol.separator])
  const cell = cells[protocol.column - 1]
  if (OVERLOAD.test(text) && !(cell && /\d/.test(cell))) return { says: 'overload' }
  if (cell === undefined) return nonsense()
  const first = figureOf(cell, protocol.decimal)
  if (!first) return nonsense()
  // A unit may stand in the next cell, as many a balance writes it; what is no unit there is no matter of ours.
  const beside = cells[protocol.column]?.trim() ?? ''
  const named = first.unit || (protocol.secondColumn !== protocol.column + 1 && known(beside) ? beside : '')
  if (named && !known(named)) return nonsense()
  const secondCell = protocol.secondColumn === null ? undefined : cells[protocol.secondColumn - 1]
  const second = secondCell === undefined ? null : figureOf(secondCell, protocol.decimal)
  return {
    says: 'figures',
    first: first.value * protocol.sign,
    unit: named || protocol.unit,
    second: second?.value ?? null,
    batteryLow: BATTERY.test(text),
  }
}

/** A line longer than this has no end: the speed is wrong, or it is no instrument of lines. */
export const LONGEST_LINE = 4096

/** Puts what comes in pieces together to lines, whatever ends them. */
export class LineBuffer {
  private rest = ''

  /** The lines that this piece ends. full: what came without any end was dropped. */
  take(piece: string): { lines: string[]; full: boolean } {
    const all = this.rest + piece
    const lines = all.split(/\r\n|\r|\n/)
    this.rest = lines.pop()!
    // A carriage return may be half of a line's end; the empty line that follows it is read as nothing.
    const full = this.rest.length > LONGEST_LINE
    if (full) this.rest = ''
    return { lines, full }
  }
}
