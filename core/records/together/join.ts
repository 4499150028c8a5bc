import { sameRecord } from '../entry'
import { momentFields } from '../moments'
import { stableText } from './stableText'

type Fields = Record<string, unknown>

/** A field that two copies of one record have differently, and no rule puts together. */
export interface FieldClash {
  /** from the record inward: ["brief", "heatC"]; things of a list by their id */
  path: string[]
  here: unknown
  there: unknown
}

/** Parts that make sense only as a whole: a reading is not half of one scale and half of another. */
const whole = new Set([
  'raw',
  'outcome',
  'exposure',
  'read',
  'known',
  'steps',
  'dilution',
  'blend',
  'second',
  'setAside',
])
/** Lists in which what either side added stands beside what the other did. */
const added = new Set(['procedures', 'aliases'])
/** Words that nobody has confirmed: what one side confirmed is confirmed. */
const unconfirmed = new Set(['proposed'])

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
const unsaid = (value: unknown) => value === undefined || value === null

/**
 * Two copies of one record as one, without knowing what stood there before they parted: what only one side says
 * stands, lists that only grow are united, moments become the later one; the rest are clashes, with `here` standing.
 * @param here, there copies of the same record; swapped, they give the same but for the sides of the clashes
 */
export function joined<T>(here: T, there: T): { record: T; clashes: FieldClash[] } {
  const clashes: FieldClash[] = []
  return { record: join(here, there, [], clashes) as T, clashes }
}

function join(here: unknown, there: unknown, path: string[], clashes: FieldClash[]): unknown {
  if (sameRecord(here, there)) return here
  if (unsaid(here)) return there ?? here
  if (unsaid(there)) return here
  const key = path.at(-1) ?? ''
  if (momentFields.has(key) && typeof here === 'number' && typeof there === 'number') return Math.max(here, there)
  if (!whole.has(key)) {
    if (isFields(here) && isFields(there)) return joinFields(here, there, path, clashes)
    if (Array.isArray(here) && Array.isArray(there)) {
      const list = joinLists(here, there, path, clashes)
      if (list) return list
    }
  }
  clashes.push({ path, here, there })
  return here
}

function joinFields(here: Fields, there: Fields, path: string[], clashes: FieldClash[]): Fields {
  const keys = [...new Set([...Object.keys(here), ...Object.keys(there)])]
  return Object.fromEntries(keys.map((key) => [key, join(here[key], there[key], [...path, key], clashes)]))
}

/** What a thing of a list is known by: its id, or the step that it stamps. */
const nameOf = (one: unknown): string | null => {
  if (!isFields(one)) return null
  const name = one['id'] ?? one['step']
  return typeof name === 'string' ? name : null
}

/** null: the two lists are no lists of things that can be told apart. */
function joinLists(here: unknown[], there: unknown[], path: string[], clashes: FieldClash[]): unknown[] | null {
  const key = path.at(-1) ?? ''
  const both = [...here, ...there]
  if (unconfirmed.has(key)) return here.filter((one) => there.some((other) => sameRecord(one, other)))
  if (added.has(key)) return inSharedOrder(here, there, String)
  if (both.every((one) => nameOf(one) !== null)) {
    const order = inSharedOrder(here, there, (one) => nameOf(one)!)
    if (!order) return null
    return order.map((one) => {
      const of = (list: unknown[]) => list.find((other) => nameOf(other) === nameOf(one))
      const [mine, theirs] = [of(here), of(there)]
      return join(mine, theirs, [...path, nameOf(one)!], clashes)
    })
  }
  return both.every(isNote) ? inOrderOfTime(both) : null
}

const isNote = (one: unknown): one is { at: number } => isFields(one) && typeof one['at'] === 'number'
/** Notes with their moments: each once, in the order of time, those of one moment always in the same order. */
export function inOrderOfTime<T extends { at: number }>(notes: readonly T[]): T[] {
  const byText = new Map(notes.map((one) => [stableText(one), one]))
  return [...byText].sort(([x, a], [y, b]) => a.at - b.at || (x < y ? -1 : 1)).map(([, one]) => one)
}

/**
 * Two lists as one: what both have in their order, and between two of those what only one has there, each side's in
 * its own order. Whoever holds the outcome and adds one of the two again has the same. null where they order
 * differently what both have.
 */
function inSharedOrder<T>(here: readonly T[], there: readonly T[], nameOne: (one: T) => string): T[] | null {
  const names = (list: readonly T[]) => new Set(list.map(nameOne))
  const [mine, theirs] = [names(here), names(there)]
  const both = (one: T) => mine.has(nameOne(one)) && theirs.has(nameOne(one))
  const [gapsHere, gapsThere] = [gapsOf(here, both), gapsOf(there, both)]
  const shared = here.filter(both)
  const order = there.filter(both)
  if (shared.some((one, i) => nameOne(one) !== nameOne(order[i]!))) return null
  return gapsHere.flatMap((own, i) => {
    const sides = [own, gapsThere[i]!].filter(({ length }) => length)
    sides.sort(([x], [y]) => (nameOne(x!) < nameOne(y!) ? -1 : 1))
    return [...sides.flat(), ...shared.slice(i, i + 1)]
  })
}

/** What stands before, between and behind the things that both lists have. */
function gapsOf<T>(list: readonly T[], both: (one: T) => boolean): T[][] {
  const gaps: T[][] = [[]]
  for (const one of list) {
    if (both(one)) gaps.push([])
    else gaps.at(-1)!.push(one)
  }
  return gaps
}

/** The record with a value put in at a path. */
export function putAt<T>(record: T, [key, ...rest]: readonly string[], value: unknown): T {
  if (key === undefined) return value as T
  if (Array.isArray(record))
    return record.map((one: unknown) => (nameOf(one) === key ? putAt(one, rest, value) : one)) as T
  return { ...record, [key]: putAt((record as Fields)[key], rest, value) }
}

/** The last moment that a record names anywhere in it, ms; 0 where it names none. */
export function lastMoment(value: unknown, key = ''): number {
  if (typeof value === 'number') return momentFields.has(key) ? value : 0
  if (typeof value !== 'object' || value === null) return 0
  return Object.entries(value).reduce(
    (last, [name, one]) => Math.max(last, lastMoment(one, Array.isArray(value) ? key : name)),
    0,
  )
}
