interface Grain {
  /** lengths up to here, s */
  below: number
  /** seconds in one */
  unitS: number
  unit: 's' | 'min' | 'h' | 'days'
}

const DAYS: Grain = { below: Infinity, unitS: 86_400, unit: 'days' }
/** What a length of time is said in; hours and days have a decimal, seconds and minutes are whole. */
const grains: readonly Grain[] = [
  { below: 90, unitS: 1, unit: 's' },
  { below: 5400, unitS: 60, unit: 'min' },
  { below: 172_800, unitS: 3600, unit: 'h' },
  DAYS,
]
const grainOf = (s: number): Grain => grains.find(({ below }) => s < below) ?? DAYS
const isWhole = ({ unitS }: Grain) => unitS < 3600

/** A length of time in words, as a maker says it: "40 s", "20 min", "1.5 h", "3 days", "1.6 years". */
export function durationWords(s: number): string {
  if (s === Infinity) return 'for ever'
  if (s >= 400 * 86_400) {
    const years = s / (365.25 * 86_400)
    return years > 99 ? 'over 99 years' : `${+years.toPrecision(2)} years`
  }
  const grain = grainOf(s)
  const many = s / grain.unitS
  return `${isWhole(grain) ? Math.round(many) : +many.toPrecision(2)} ${grain.unit}`
}

/** The step in which the ends of a window are said, s: two figures. */
const stepOf = (s: number, grain: Grain) => (isWhole(grain) || s >= 10 * grain.unitS ? grain.unitS : grain.unitS / 10)

/**
 * A window from the least to the most: "10 to 40 min" where both are said in one unit, "30 s to 5 min" else. Rounded
 * inwards: who keeps to the words keeps to the window. One narrower than its words' steps is said to the second.
 */
export function windowWords(fromS: number, toS: number): string {
  if (!Number.isFinite(toS)) return `${durationWords(fromS)} or more`
  const [early, late] = [grainOf(fromS), grainOf(toS)]
  // Steps are whole seconds, so that a division meets its limit exactly.
  const [up, down] = [stepOf(fromS, early), stepOf(toS, late)]
  const from = Math.ceil(fromS / up) * up
  const to = Math.floor(toS / down) * down
  if (from > to) return `${Math.ceil(fromS)} to ${Math.floor(toS)} s`
  const said = (s: number, { unitS }: Grain) => +(s / unitS).toFixed(1)
  if (early.unit !== late.unit) return `${said(from, early)} ${early.unit} to ${said(to, late)} ${late.unit}`
  return from === to ? `${said(to, late)} ${late.unit}` : `${said(from, early)} to ${said(to, late)} ${late.unit}`
}

/** A limit in words, never longer than it is: 210 s is "3 min", 1.99 h is "1.9 h". */
export function withinWords(s: number): string {
  if (s === Infinity) return 'for ever'
  const grain = grainOf(s)
  const parts = isWhole(grain) ? 1 : 10
  return `${Math.floor((parts * s) / grain.unitS) / parts} ${grain.unit}`
}
