import { limits } from './bounds'

/**
 * Units people type, by what they measure. Inside: N, kg, l, mm, mm², s, °C, °. Factors are exact by definition where
 * one exists.
 */
export const STANDARD_GRAVITY = 9.80665 // m/s², ISO 80000-3 (exact)
/** kg a litre of tap water at about 20 °C (methods.md 1). */
export const WATER_KG_PER_LITRE = 0.998

export type Dimension =
  'force' | 'mass' | 'volume' | 'length' | 'area' | 'time' | 'temperature' | 'angle' | 'torque' | 'strength' | 'peel'

type Linear = { factor: number; offset?: number }
const POUND_KG = 0.45359237 // exact
const INCH_MM = 25.4 // exact

/**
 * Every spelling in lower case → value inside = value × factor + offset. The first spelling of a unit is its usual one.
 */
const tables: Record<Dimension, Record<string, Linear>> = {
  force: {
    N: { factor: 1 },
    kN: { factor: 1000 },
    daN: { factor: 10 },
    cN: { factor: 0.01 },
    mN: { factor: 0.001 },
    kgf: { factor: STANDARD_GRAVITY },
    gf: { factor: STANDARD_GRAVITY / 1000 },
    lbf: { factor: POUND_KG * STANDARD_GRAVITY },
    ozf: { factor: (POUND_KG / 16) * STANDARD_GRAVITY },
    // Luggage and kitchen scales show mass units for a force.
    kg: { factor: STANDARD_GRAVITY },
    g: { factor: STANDARD_GRAVITY / 1000 },
    lb: { factor: POUND_KG * STANDARD_GRAVITY },
    oz: { factor: (POUND_KG / 16) * STANDARD_GRAVITY },
  },
  mass: {
    kg: { factor: 1 },
    g: { factor: 0.001 },
    lb: { factor: POUND_KG },
    oz: { factor: POUND_KG / 16 },
    kgf: { factor: 1 },
    gf: { factor: 0.001 },
    lbf: { factor: POUND_KG },
    ozf: { factor: POUND_KG / 16 },
  },
  volume: { l: { factor: 1 }, ml: { factor: 0.001 }, cl: { factor: 0.01 }, dl: { factor: 0.1 } },
  length: {
    mm: { factor: 1 },
    cm: { factor: 10 },
    m: { factor: 1000 },
    in: { factor: INCH_MM },
    ft: { factor: 12 * INCH_MM },
  },
  area: { 'mm²': { factor: 1 }, 'cm²': { factor: 100 }, 'm²': { factor: 1e6 }, 'in²': { factor: INCH_MM * INCH_MM } },
  time: {
    s: { factor: 1 },
    min: { factor: 60 },
    h: { factor: 3600 },
    day: { factor: 86400 },
    week: { factor: 604800 },
  },
  temperature: { '°C': { factor: 1 }, '°F': { factor: 5 / 9, offset: -160 / 9 } },
  angle: { '°': { factor: 1 }, rad: { factor: 180 / Math.PI } },
  torque: { 'N·m': { factor: 1 }, 'N·mm': { factor: 0.001 } },
  strength: {
    MPa: { factor: 1 },
    kPa: { factor: 0.001 },
    'N/mm²': { factor: 1 },
    psi: { factor: (POUND_KG * STANDARD_GRAVITY) / INCH_MM ** 2 },
  },
  peel: { 'N/mm': { factor: 1 }, 'N/cm': { factor: 0.1 }, 'N/m': { factor: 0.001 } },
}

/**
 * The least and the most, in the unit inside, that a quantity at a maker's bench can be; below zero only for °C and
 * angles.
 */
export const bounds: Record<Dimension, readonly [number, number]> = {
  force: [0, limits.force[1]],
  mass: [0, limits.mass[1]],
  volume: [0, limits.volume[1]],
  length: [0, limits.length[1]],
  area: [0, limits.area[1]],
  time: [0, limits.time[1]],
  temperature: [-200, 1000],
  angle: [-36_000, 36_000],
  torque: [0, 1e6],
  strength: [0, 1e5],
  peel: [0, 1e5],
}

/** What is smaller and not nothing was not meant, in the unit inside. */
export const leastOf = (dimension: Dimension): number =>
  dimension === 'length' || dimension === 'area' ? limits[dimension][0] : 0

/** The unit inside: what `inside` of a quantity counts in. */
export const insideUnit = (dimension: Dimension): string => Object.keys(tables[dimension])[0]!

/** Other spellings, in lower case unless case matters. */
const spellings: Record<string, string> = {
  newton: 'N',
  newtons: 'N',
  n: 'N',
  kn: 'kN',
  dan: 'daN',
  cn: 'cN',
  mpa: 'MPa',
  kpa: 'kPa',
  'n/mm2': 'N/mm²',
  'n/mm^2': 'N/mm²',
  kgs: 'kg',
  kilo: 'kg',
  kilos: 'kg',
  kilogram: 'kg',
  kilograms: 'kg',
  kp: 'kgf',
  gram: 'g',
  grams: 'g',
  gr: 'g',
  lbs: 'lb',
  pound: 'lb',
  pounds: 'lb',
  '#': 'lb',
  ounce: 'oz',
  ounces: 'oz',
  litre: 'l',
  litres: 'l',
  liter: 'l',
  liters: 'l',
  ltr: 'l',
  millilitre: 'ml',
  millilitres: 'ml',
  milliliter: 'ml',
  millimetre: 'mm',
  millimetres: 'mm',
  millimeter: 'mm',
  centimetre: 'cm',
  centimetres: 'cm',
  centimeter: 'cm',
  metre: 'm',
  metres: 'm',
  meter: 'm',
  inch: 'in',
  inches: 'in',
  '"': 'in',
  '″': 'in',
  '”': 'in',
  foot: 'ft',
  feet: 'ft',
  "'": 'ft',
  '′': 'ft',
  mm2: 'mm²',
  'mm^2': 'mm²',
  cm2: 'cm²',
  'cm^2': 'cm²',
  m2: 'm²',
  'm^2': 'm²',
  in2: 'in²',
  'in^2': 'in²',
  sqin: 'in²',
  sqcm: 'cm²',
  sec: 's',
  secs: 's',
  second: 's',
  seconds: 's',
  mins: 'min',
  minute: 'min',
  minutes: 'min',
  hr: 'h',
  hrs: 'h',
  hour: 'h',
  hours: 'h',
  d: 'day',
  days: 'day',
  weeks: 'week',
  wk: 'week',
  c: '°C',
  '°c': '°C',
  degc: '°C',
  celsius: '°C',
  f: '°F',
  '°f': '°F',
  degf: '°F',
  fahrenheit: '°F',
  deg: '°',
  degree: '°',
  degrees: '°',
  nm: 'N·m',
  'n·m': 'N·m',
  nmm: 'N·mm',
  'n·mm': 'N·mm',
}

export const knownUnits = (dimension: Dimension): string[] => Object.keys(tables[dimension])

/**
 * The usual spelling of a typed unit within a dimension, or null. `mN` and `MN` differ only by case, so case is tried
 * first.
 */
export function findUnit(typed: string, dimension: Dimension): string | null {
  const table = tables[dimension]
  const bare = typed.trim().replace(/\.$/, '')
  if (Object.hasOwn(table, bare)) return bare
  const lower = bare.toLowerCase().replace(/\s+/g, '')
  const spelled = Object.hasOwn(spellings, lower) ? spellings[lower]! : lower
  if (Object.hasOwn(table, spelled)) return spelled
  return Object.keys(table).find((unit) => unit.toLowerCase() === lower && unit !== 'mN') ?? null
}

/** What a typed unit measures, looking through all dimensions; null when it is no unit at all. */
export const dimensionOf = (typed: string): Dimension | null =>
  (Object.keys(tables) as Dimension[]).find((dimension) => findUnit(typed, dimension) !== null) ?? null

/** Value in the unit inside (N, kg, l, mm, mm², s, °C, °, N·m). The unit must be one that findUnit returned. */
export function toInside(value: number, unit: string, dimension: Dimension): number {
  const linear = tables[dimension][unit]!
  return value * linear.factor + (linear.offset ?? 0)
}

/** The reverse of toInside. */
export function fromInside(value: number, unit: string, dimension: Dimension): number {
  const linear = tables[dimension][unit]!
  return (value - (linear.offset ?? 0)) / linear.factor
}
