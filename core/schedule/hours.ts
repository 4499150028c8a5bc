import { CodedError } from '../errors'
import { two } from '../quantities/days'

/** A span of the day, minutes from midnight. */
export interface SpanOfDay {
  from: number
  to: number
}

const clock = (minute: number) => `${two(Math.floor(minute / 60))}:${two(minute % 60)}`

/** Hours of a day as they are typed: “18:00 to 21:00, 22:00 to 23:30”. */
export const sayHours = (spans: readonly SpanOfDay[]): string =>
  spans.map(({ from, to }) => `${clock(from)} to ${clock(to)}`).join(', ')

const TIME = String.raw`(\d{1,2})(?:[:.h](\d{2}))?\s*(am|pm)?`
const SPAN = new RegExp(String.raw`^${TIME}\s*(?:to|until|till|-|–|—)\s*${TIME}$`, 'i')

/**
 * Hours as a maker types them: “18:00 to 21:00”, “6pm-9pm”, “18-21”; several with a comma; nothing: nobody is there.
 * @throws CodedError wrong-shape, out-of-order
 */
export function parseHours(text: string, field: string): SpanOfDay[] {
  const typed = text.split(/[,;]/).flatMap((one) => one.trim() || [])
  // A comma by itself says nobody no more than it says when.
  const parts = typed.length || !text.trim() ? typed : [text.trim()]
  const spans = parts.map((part) => {
    const found = SPAN.exec(part)
    const minute = (hours?: string, minutes?: string, half?: string) => {
      const base = Number(hours)
      if (half && (base < 1 || base > 12)) return NaN
      const of = half ? (base % 12) + (half.toLowerCase() === 'pm' ? 12 : 0) : base
      const all = of * 60 + Number(minutes ?? 0)
      return Number(minutes ?? 0) > 59 || all > 1440 ? NaN : all
    }
    const [from, to] = found
      ? [minute(found[1], found[2], found[3] ?? found[6]), minute(found[4], found[5], found[6])]
      : [NaN, NaN]
    if (!(from >= 0) || !(to >= 0))
      throw new CodedError('wrong-shape', field, {
        field,
        detail: `hours such as 18:00 to 21:00 were expected, “${part.slice(0, 40)}” was got`,
      })
    if (to <= from) throw new CodedError('out-of-order', field, { field, low: clock(from), high: clock(to) })
    return { from, to }
  })
  return spans.sort((x, y) => x.from - y.from)
}
