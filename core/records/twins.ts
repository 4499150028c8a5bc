import { sameRecord, type Entry } from './entry'
import { momentFields } from './moments'

/** Fields that the app counts up or draws by lot: a second press would get the next one. */
const numbered = new Set(['code', 'letter', 'number', 'seed'])

/** A value without ids that the entry itself gave out, without moments and running numbers. */
function timeless(value: unknown, given: ReadonlyMap<string, string>): unknown {
  if (typeof value === 'string') return given.get(value) ?? value
  if (typeof value !== 'object' || value === null) return value
  if (Array.isArray(value)) return value.map((one) => timeless(one, given))
  return Object.fromEntries(
    Object.entries(value)
      .filter(([key]) => !momentFields.has(key) && !numbered.has(key))
      .map(([key, one]) => [key, timeless(one, given)]),
  )
}

/**
 * Whether two entries are the same press twice: the same changes but for fresh ids, moments and running numbers. A
 * maker who has seen the first would not have pressed again.
 */
export function isTwin(one: Entry, other: Entry): boolean {
  if (one.kind !== other.kind || one.of !== other.of) return false
  if (one.changes.length !== other.changes.length) return false
  const bare = (entry: Entry) => {
    const made = entry.changes.filter(({ before }) => before === null)
    const given = new Map(made.map(({ id }, i) => [id, `made ${i}`]))
    return entry.changes.map(({ table, id, before, after }) => timeless({ table, id, before, after }, given))
  }
  return sameRecord(bare(one), bare(other))
}
