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

/** A window from the least to the most: "10 to 40 min" where both are said in one unit, "30 s to 5 min" else. */
export function windowWords(fromS: number, toS: number): string {
  const [from, to] = [durationWords(fromS), durationWords(toS)]
  const unit = to.slice(to.indexOf(' '))
  return from === to ? to : from.endsWith(unit) ? `${from.slice(0, -unit.length)} to ${to}` : `${from} to ${to}`
}

/** A limit in words, never longer than it is: 210 s is "3 min", 1.99 h is "1.9 h". */
export function withinWords(s: number): string {
  const tenth = (unit: number) => Math.floor((10 * s) / unit) / 10
  if (s < 90) return `${Math.floor(s)} s`
  if (s < 5400) return `${Math.floor(s / 60)} min`
  return s < 172_800 ? `${tenth(3600)} h` : s === Infinity ? 'for ever' : `${tenth(86_400)} days`
}
