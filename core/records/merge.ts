import { sameRecord } from './entry'
import { momentFields } from './moments'

type Value = unknown
type Fields = Record<string, Value>

/** A field that was changed here and, to something else, elsewhere. */
export interface Clash {
  /** from the record inward: ["brief", "heatC"] */
  path: string[]
  /** what stood there when the form was opened */
  opened: Value
  mine: Value
  theirs: Value
}

const isFields = (value: Value): value is Fields => typeof value === 'object' && value !== null && !Array.isArray(value)

/** Lists of things with ids, the same ones in the same order, are looked into one by one. */
function asKeyed(lists: Value[]): Fields[] | null {
  const keyed = lists.map((list) => {
    if (!Array.isArray(list) || !list.every((one) => isFields(one) && typeof one['id'] === 'string')) return null
    return Object.fromEntries((list as Fields[]).map((one) => [one['id'] as string, one]))
  })
  if (keyed.some((one) => one === null)) return null
  const order = (one: Fields) => Object.keys(one).join(' ')
  return keyed.every((one) => order(one!) === order(keyed[0]!)) ? (keyed as Fields[]) : null
}

/**
 * Puts an edit on a record that may have changed since its form was opened: a field that the form did not touch keeps
 * what stands there now, one that only the form touched becomes the form's, and one that both changed, differently, is
 * a clash.
 * @param opened the record when the form was opened
 * @param mine as the form wants it
 * @param theirs as it stands now
 * @returns the record with theirs where there is a clash, and the clashes
 */
export function mergeEdit<T>(opened: T, mine: T, theirs: T): { merged: T; clashes: Clash[] } {
  const clashes: Clash[] = []
  return { merged: merge(opened, mine, theirs, [], clashes) as T, clashes }
}

function merge(opened: Value, mine: Value, theirs: Value, path: string[], clashes: Clash[]): Value {
  if (sameRecord(opened, mine)) return theirs
  if (sameRecord(opened, theirs) || sameRecord(mine, theirs)) return mine
  if (isFields(opened) && isFields(mine) && isFields(theirs)) return mergeFields(opened, mine, theirs, path, clashes)
  if (momentFields.has(path.at(-1) ?? '')) return mine
  const keyed = asKeyed([opened, mine, theirs])
  if (keyed) return Object.values(mergeFields(keyed[0]!, keyed[1]!, keyed[2]!, path, clashes))
  clashes.push({ path, opened, mine, theirs })
  return theirs
}

function mergeFields(opened: Fields, mine: Fields, theirs: Fields, path: string[], clashes: Clash[]): Fields {
  const keys = new Set([...Object.keys(theirs), ...Object.keys(mine)])
  const merged = [...keys].map((key) => [key, merge(opened[key], mine[key], theirs[key], [...path, key], clashes)])
  return Object.fromEntries(merged.filter(([, value]) => value !== undefined)) as Fields
}

/** The record with the form's value put in at each clash. */
export function withMine<T>(merged: T, clashes: readonly Clash[]): T {
  return clashes.reduce((record, { path, mine }) => putIn(record, path, mine) as T, merged)
}

function putIn(record: Value, [key, ...rest]: string[], value: Value): Value {
  if (key === undefined) return value
  if (Array.isArray(record))
    return record.map((one: Fields) => (one['id'] === key ? putIn(one, rest, value) : (one as Value)))
  return { ...(record as Fields), [key]: putIn((record as Fields)[key], rest, value) }
}
