import { directions, type Direction } from '../knowledge/directions'
import type { TestId } from '../knowledge/testKinds'
import { endsPiece } from '../readings/earlier'
import { interpret } from '../readings/interpret'
import type { Reading } from '../records/reading'

/** What the pieces of a procedure did in one direction before their own test. */
export interface EarlierRow {
  procedure: string
  direction: Direction
  /** pieces that were put through it; each piece is counted once, whatever else was done to it */
  pieces: number
  /** of them, that went on to what follows */
  held: number
  /** loads at which the others let go, N, from the least; only those that were read as one value */
  letGoN: number[]
}

/**
 * Earlier directions as they came out, in the order in which they are done. Nothing of it enters the strength of the
 * own test: it is the same pieces again.
 * @param procedureOf of a coupon
 */
export function earlierPulls(
  readings: readonly Reading[],
  procedureOf: ReadonlyMap<string, string>,
  test: TestId,
): EarlierRow[] {
  const latest = new Map<string, Reading>()
  for (const reading of readings)
    if (reading.direction && reading.setAside === null && reading.outcome.end !== 'fault')
      latest.set(`${reading.coupon} ${reading.direction}`, reading)
  const rows = new Map<string, EarlierRow>()
  for (const reading of latest.values()) {
    const procedure = procedureOf.get(reading.coupon)
    if (!procedure) continue
    const direction = reading.direction!
    const key = `${procedure} ${direction}`
    const row = rows.get(key) ?? { procedure, direction, pieces: 0, held: 0, letGoN: [] }
    const { read } = interpret(reading, test)
    const gone = endsPiece(reading)
    rows.set(key, {
      ...row,
      pieces: row.pieces + 1,
      held: row.held + (gone ? 0 : 1),
      letGoN: gone && read && 'value' in read ? [...row.letGoN, read.value].sort((x, y) => x - y) : row.letGoN,
    })
  }
  const place = ({ direction }: EarlierRow) => directions.indexOf(direction)
  return [...rows.values()].sort((x, y) => place(x) - place(y))
}
