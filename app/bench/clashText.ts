import { digitsOf } from '../../core/quantities/figure'
import type { Reading } from '../../core/records/reading'
import { PULL } from '../../core/records/together/pull'
import { momentName } from '../look/times'
import { now } from './clock'
import { valueText } from './fieldWords'
import { placeOf } from './settled'

/** What one side of a clash says: a field's value, or a pull in one line: “41 N, torn in A, pulled today 14:20”. */
export const clashText = (value: unknown, path: readonly string[]): string =>
  path[0] === PULL
    ? pullText(value as Reading)
    : typeof value === 'number' && /^at$|At$/.test(path.at(-1) ?? '')
      ? momentName(value, now())
      : valueText(value, path)

function pullText(pull: Reading): string {
  const { raw, size, at } = pull
  const read = 'value' in raw ? `${digitsOf(raw.value)} ${raw.unit}` : raw.way === 'none' ? '' : valueText(raw)
  const measured = valueText(size)
  const words = [read, placeOf(pull), `pulled ${momentName(at, now())}`].filter(Boolean).join(', ')
  return measured === 'none' ? words : `${words}; ${measured}`
}
