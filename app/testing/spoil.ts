/** Ways in which a bench file goes wrong: by hand, by another program, by a disk. Drawn from a seed. */
type Spot = (string | number)[]
type Holder = Record<string | number, unknown>

/** What may stand where something else was expected; the numbers at the end lie at the bounds of what is taken. */
const strange: unknown[] = [
  ...[null, '', 'oops', -1, 0, 1e308, 1e-320, 3.7, true, [], {}, '2026-99-99', 'constructor', '__proto__', -0.5, 1e21],
  ...['NaN', ['x'], { a: 1 }, '\u0000', 'x'.repeat(3999), '<b>x</b>', '=1+1', '2026-02-31', -0, [null], 'unknown'],
  ...[1e9, 1e-6, 1e6, 1e5, 10_000, 0.01, 1, 2, 100, 316_000_000, Date.UTC(9999, 11, 31), '2199-12-31', '1900-01-01'],
]

/** Every place in a value that holds a single value. */
export function leaves(value: unknown, path: Spot = []): Spot[] {
  if (typeof value !== 'object' || value === null) return [path]
  return Object.entries(value).flatMap(([key, one]) => leaves(one, [...path, Array.isArray(value) ? Number(key) : key]))
}
const holderOf = (root: unknown, path: Spot): Holder | null =>
  path
    .slice(0, -1)
    .reduce<unknown>(
      (at, key) => (typeof at === 'object' && at !== null ? (at as Holder)[key] : null),
      root,
    ) as Holder | null

export interface Spoilt {
  text: string
  /** what was done to it, in words */
  why: string
  /** the table and row that were touched last; null: the text as such */
  table: string | null
  row: number | null
}

type Act = (file: Holder, at: Spot, random: () => number, other: () => Spot) => string | null

const set = (file: Holder, at: Spot, value: unknown): string | null => {
  const holder = holderOf(file, at)
  if (typeof holder !== 'object' || holder === null) return null
  holder[at.at(-1)!] = value
  return `${at.join('.')} = ${JSON.stringify(value)?.slice(0, 60)}`
}
const valueAt = (file: Holder, at: Spot): unknown => holderOf(file, at)?.[at.at(-1)!]

const acts: Record<string, Act> = {
  strange: (file, at, random) => set(file, at, strange[Math.floor(random() * strange.length)]),
  gone: (file, at) => {
    const holder = holderOf(file, at)
    if (!holder || Array.isArray(holder)) return null
    delete holder[at.at(-1)!]
    return `${at.join('.')} left out`
  },
  /** the value of another place of that name: ids, states and units go crosswise */
  crossed: (file, at, _, other) => {
    for (let tries = 0; tries < 400; tries++) {
      const from = other()
      if (from.at(-1) === at.at(-1)) return set(file, at, valueAt(file, from))
    }
    return null
  },
  /** the value of any other place */
  swapped: (file, at, _, other) => {
    const from = other()
    const [one, two] = [valueAt(file, at), valueAt(file, from)]
    set(file, from, one)
    return set(file, at, two)
  },
  /** a larger part than a single value */
  branch: (file, at, random) => {
    if (at.length < 5) return null
    return set(
      file,
      at.slice(0, 3 + Math.floor(random() * (at.length - 3))),
      strange[Math.floor(random() * strange.length)],
    )
  },
  scaled: (file, at, random) => {
    const value = valueAt(file, at)
    return typeof value === 'number'
      ? set(file, at, value * [-1, 1000, 0.001, 1e6, 25.4][Math.floor(random() * 5)]!)
      : null
  },
  rows: (file, at, random) => {
    const rows = (file['tables'] as Record<string, unknown[]> | undefined)?.[at[1]!]
    const n = Number(at[2])
    if (!Array.isArray(rows) || !rows.length || !Number.isInteger(n)) return null
    const row = rows[n]
    const way = Math.floor(random() * 4)
    if (way === 0) rows.splice(n, 1)
    else if (way === 1) rows.push(row)
    else if (way === 2) rows.push({ ...(row as object), id: `copy-${n}` })
    else rows.length = 0
    const what = ['taken out', 'twice', 'twice with another id', 'and all of its table gone'][way]
    return `${at.slice(0, 3).join('.')} ${what}`
  },
}

const oneOf = <T>(list: readonly T[], random: () => number): T => list[Math.floor(random() * list.length)]!
const nested = (depth: number): unknown =>
  Array.from({ length: depth }).reduce<unknown>((within, _, n) => (n % 2 ? [within] : { a: within }), 1)
/** What a program writes that means well, or one that means harm. */
const stranger: unknown[] = [
  ...['\ud800', '12', 'true', 'null', '\u202eabc', 'a\nb\r\nc\t', '１２', '12,5', ' ', '\u200b', 'Z'.repeat(300_000)],
  ...[nested(60), nested(3000), Array(5000).fill(1), Array(3000).fill({}), { toString: 1 }, { length: 3 }],
  ...['2026-11-24', '2026-11-24T18:00', '24:00', 0.1 + 0.2, 9007199254740993, -1e-9, 5e-324, 255, 65_536],
]

/** What goes wrong otherwise: words renamed, types changed, lists of another length, one value in all rows. */
const otherActs: Record<string, Act> = {
  stranger: (file, at, random) => set(file, at, oneOf(stranger, random)),
  renamed: (file, at, random) => {
    const holder = holderOf(file, at)
    if (!holder || Array.isArray(holder)) return null
    const key = String(at.at(-1))
    const to = oneOf([key.toUpperCase(), '__proto__', 'constructor', `${key}s`, 'toString', ` ${key}`, 'then'], random)
    Object.defineProperty(holder, to, { value: holder[key], enumerable: true, configurable: true, writable: true })
    delete holder[key]
    return `${at.join('.')} renamed ${to}`
  },
  typed: (file, at) => {
    const value = valueAt(file, at)
    if (typeof value === 'string') return set(file, at, Number.isFinite(Number(value)) ? Number(value) : [value])
    return set(file, at, typeof value === 'boolean' ? Number(value) : String(value))
  },
  nudged: (file, at, random) => {
    const value = valueAt(file, at)
    if (typeof value === 'number')
      return set(file, at, value + oneOf([1, -1, 0.5, 86_400_000, -86_400_000, 1e-9], random))
    if (typeof value !== 'string') return null
    const to = [`${value} `, ` ${value}`, value.toUpperCase(), value.slice(1), value + value, `${value}\ud83d`]
    return set(file, at, oneOf(to, random))
  },
  resized: (file, at, random) => {
    const up = at.slice(0, 3 + Math.floor(random() * Math.max(1, at.length - 3)))
    const value = valueAt(file, up)
    if (typeof value !== 'object' || value === null) return null
    if (!Array.isArray(value)) {
      for (const key of Object.keys(value)) if (random() < 0.5) delete (value as Holder)[key]
      return `${up.join('.')} with half of its words`
    }
    const way = oneOf(['emptied', 'doubled', 'reversed', 'without its first'] as const, random)
    if (way === 'emptied') value.length = 0
    else if (way === 'doubled') value.push(...value)
    else if (way === 'reversed') value.reverse()
    else value.shift()
    return `${up.join('.')} ${way}`
  },
  everywhere: (file, at, random) => {
    const rows = (file['tables'] as Record<string, Holder[]> | undefined)?.[at[1]!]
    if (!Array.isArray(rows) || at.length < 4) return null
    const value = random() < 0.5 ? oneOf(stranger, random) : valueAt(file, at)
    for (const row of rows) set(row, at.slice(3), value)
    return `${at.slice(0, 2).join('.')}.*.${at.slice(3).join('.')} = ${JSON.stringify(value)?.slice(0, 60)}`
  },
}

/** The sets of what may go wrong; each has its own files of a seed. */
export const spoils = { usual: acts, other: { ...acts, ...otherActs } } as const

/**
 * One spoilt file.
 * @param text the whole one
 * @param spots its leaves
 */
export function spoil(
  text: string,
  spots: readonly Spot[],
  random: () => number,
  by: keyof typeof spoils = 'usual',
): Spoilt {
  const kinds = Object.keys(spoils[by])
  const pick = (): Spot => spots[Math.floor(random() * spots.length)]!
  // Now and then the text as such: cut off, or a character changed.
  if (random() < 0.04) {
    const at = Math.floor(random() * text.length)
    const cut = random() < 0.5
    const other = cut
      ? text.slice(0, at)
      : `${text.slice(0, at)}${String.fromCharCode(32 + random() * 90)}${text.slice(at + 1)}`
    return { text: other, why: `${cut ? 'cut off' : 'another character'} at ${at}`, table: null, row: null }
  }
  const file = JSON.parse(text) as Holder
  const done: string[] = []
  let last: Spot = []
  const times = 1 + Math.floor(random() ** 2 * 3)
  for (let tries = 0; done.length < times && tries < 30; tries++) {
    last = pick()
    const kind = random() < 0.2 ? 'crossed' : kinds[Math.floor(random() * kinds.length)]!
    const what = (spoils[by] as Record<string, Act>)[kind]!(file, last, random, pick)
    if (what !== null) done.push(`${kind}: ${what}`)
  }
  return {
    text: JSON.stringify(file),
    why: done.join('; '),
    table: last[0] === 'tables' ? String(last[1]) : null,
    row: last[0] === 'tables' ? Number(last[2]) : null,
  }
}
