/** A length of time in words, as a maker says it: "40 s", "20 min", "1.5 h", "3 days", "1.6 years". */
export function durationWords(s: number): string {
  if (s < 90) return `${Math.round(s)} s`
  if (s < 5400) return `${Math.round(s / 60)} min`
  if (s < 172_800) return `${+(s / 3600).toPrecision(2)} h`
  if (s === Infinity) return 'for ever'
  if (s < 400 * 86_400) return `${+(s / 86_400).toPrecision(2)} days`
  const years = s / (365.25 * 86_400)
  return years > 99 ? 'over 99 years' : `${+years.toPrecision(2)} years`
}

/** What a length of time is said in: so many seconds a unit, and the step its words go in; as durationWords does. */
function grainOf(s: number): { unitS: number; unit: string; stepS: number } {
  if (s < 90) return { unitS: 1, unit: 's', stepS: 1 }
  if (s < 5400) return { unitS: 60, unit: 'min', stepS: 60 }
  const [unitS, unit] = s < 172_800 ? [3600, 'h'] : [86_400, 'days']
  return { unitS, unit, stepS: s < 10 * unitS ? unitS / 10 : unitS }
}

/**
 * A window from the least to the most: "10 to 40 min" where both are said in one unit, "30 s to 5 min" else. Rounded
 * inwards: who keeps to the words keeps to the window. One narrower than its words' steps is said to the second.
 */
export function windowWords(fromS: number, toS: number): string {
  if (!Number.isFinite(toS)) return `${durationWords(fromS)} or more`
  const [early, late] = [grainOf(fromS), grainOf(toS)]
  // Steps are whole seconds, so that a division meets its limit exactly.
  const from = Math.ceil(fromS / early.stepS) * early.stepS
  const to = Math.floor(toS / late.stepS) * late.stepS
  if (from > to) return `${Math.ceil(fromS)} to ${Math.floor(toS)} s`
  const said = (s: number, { unitS }: typeof early) => +(s / unitS).toFixed(1)
  if (early.unit !== late.unit) return `${said(from, early)} ${early.unit} to ${said(to, late)} ${late.unit}`
  return from === to ? `${said(to, late)} ${late.unit}` : `${said(from, early)} to ${said(to, late)} ${late.unit}`
}

/** A limit in words, never longer than it is: 210 s is "3 min", 1.99 h is "1.9 h". */
export function withinWords(s: number): string {
  const tenth = (unit: number) => Math.floor((10 * s) / unit) / 10
  if (s < 90) return `${Math.floor(s)} s`
  if (s < 5400) return `${Math.floor(s / 60)} min`
  return s < 172_800 ? `${tenth(3600)} h` : s === Infinity ? 'for ever' : `${tenth(86_400)} days`
}
