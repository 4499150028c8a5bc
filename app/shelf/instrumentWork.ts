import { CodedError } from '../../core/errors'
import { parseQuantity } from '../../core/quantities/parse'
import { parseNumber } from '../../core/quantities/parseNumber'
import { waterWeightN } from '../../core/readings/gaugeCheck'
import { findUnit, knownUnits } from '../../core/quantities/units'
import { plainLines, type Instrument, type LineProtocol } from '../../core/records/instrument'
import type { ForceUnit } from '../../core/quantities/force'
import { newId } from '../bench/ids'

/** An instrument as it is typed. */
export interface InstrumentTyped {
  name: string
  limit: string
  step: string
  baud: string
  separator: LineProtocol['separator']
  decimal: LineProtocol['decimal']
  column: string
  travelColumn: string
  unit: string
  turned: boolean
}
export const emptyInstrument = (): InstrumentTyped => ({
  name: '',
  limit: '',
  step: '',
  baud: String(plainLines.baud),
  separator: plainLines.separator,
  decimal: plainLines.decimal,
  column: '1',
  travelColumn: '',
  unit: plainLines.unit,
  turned: false,
})

const whole = (text: string, field: string, least: number, most: number): number => {
  const value = parseNumber(text, { path: field, field, example: String(least), least, most })
  if (!Number.isInteger(value))
    throw new CodedError('wrong-shape', field, { field, detail: 'a whole number was expected' })
  return value
}

/** @param usual what a bare number counts in @throws CodedError naming the field */
export function instrumentFrom(typed: InstrumentTyped, usual: ForceUnit): Instrument {
  if (!typed.name.trim())
    throw new CodedError('missing', 'name', { field: 'Its name', purpose: 'telling it from others' })
  const limitN = parseQuantity(typed.limit, 'force', usual, 'its limit').inside
  const resolutionN = parseQuantity(typed.step, 'force', usual, 'its step').inside
  if (!(resolutionN > 0) || limitN <= resolutionN)
    throw new CodedError('out-of-order', 'its limit', { field: 'The gauge', low: resolutionN, high: limitN })
  const unit = findUnit(typed.unit, 'force')
  if (!unit)
    throw new CodedError('not-one-of', 'unit', {
      field: 'The unit of its lines',
      got: typed.unit,
      known: knownUnits('force').join(', '),
    })
  return {
    id: newId(),
    name: typed.name.trim().slice(0, 60),
    connection: 'serial',
    limitN,
    resolutionN,
    lines: {
      baud: whole(typed.baud, 'The speed of its line', 300, 921_600),
      separator: typed.separator,
      decimal: typed.decimal,
      column: whole(typed.column, 'The column of the load', 1, 20),
      secondColumn: typed.travelColumn.trim() ? whole(typed.travelColumn, 'The column of the travel', 1, 20) : null,
      unit,
      sign: typed.turned ? -1 : 1,
    },
    checks: [],
  }
}

/** A look against a known weight: as typed, or the litres of water in a bottle. @throws CodedError */
export function checkFrom(
  typed: { weight: string; litres: string; bottle: string; read: string },
  usual: ForceUnit,
  now: number,
): Instrument['checks'][number] {
  const water = typed.litres.trim() !== ''
  const trueN = water
    ? waterWeightN(
        parseQuantity(typed.litres, 'volume', 'l', 'water').inside,
        typed.bottle.trim() ? parseQuantity(typed.bottle, 'mass', 'kg', 'empty bottle').inside : 0,
      )
    : parseQuantity(typed.weight, 'force', 'kg', 'known weight').inside
  const readN = parseQuantity(typed.read, 'force', usual, 'what it read').inside
  if (!(trueN > 0) || !(readN > 0))
    throw new CodedError('no-load', trueN > 0 ? 'what it read' : water ? 'water' : 'known weight')
  return { at: now, trueN, readN, how: water ? `${typed.litres.trim()} of water` : typed.weight.trim() }
}
