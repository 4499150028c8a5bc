import { EPS, type Span } from './problem'

/** How much of something is taken over time: steps of a function, so that what is free is found by walking it. */
export class Profile {
  /** at times[i] it becomes level[i]; before the first it is 0 */
  private times: number[] = []
  private levels: number[] = []

  constructor(readonly capacity: number) {}

  copy(): Profile {
    const other = new Profile(this.capacity)
    other.times = this.times.slice()
    other.levels = this.levels.slice()
    return other
  }

  /** Takes one of it from `from` to `to`. */
  take(from: number, to: number): void {
    if (to - from <= EPS) return
    const first = this.cut(from)
    const last = this.cut(to)
    for (let i = first; i < last; i++) this.levels[i]! += 1
  }

  /** The earliest time from `from` on at which one of it is free for `minutes`; ∞ where there is none at all. */
  freeFrom(from: number, minutes: number): number {
    if (this.capacity < 1) return Infinity
    if (minutes <= EPS) return from
    let at = from
    for (let i = this.indexAt(from); i < this.times.length; i++) {
      const begins = i < 0 ? -Infinity : this.times[i]!
      const ends = i + 1 < this.times.length ? this.times[i + 1]! : Infinity
      if (begins >= at + minutes - EPS) break
      if (i >= 0 && this.levels[i]! >= this.capacity && ends > at + EPS) at = Math.max(at, ends)
    }
    return at
  }

  /** The last entry at or before a time; −1 before the first. */
  private indexAt(time: number): number {
    let [low, high] = [0, this.times.length]
    while (low < high) {
      const middle = (low + high) >> 1
      if (this.times[middle]! <= time + EPS) low = middle + 1
      else high = middle
    }
    return low - 1
  }

  /** The entry that begins at a time, made where there is none. */
  private cut(time: number): number {
    const at = this.indexAt(time)
    if (at >= 0 && Math.abs(this.times[at]! - time) <= EPS) return at
    this.times.splice(at + 1, 0, time)
    this.levels.splice(at + 1, 0, at < 0 ? 0 : this.levels[at]!)
    return at + 1
  }
}

/** The earliest time from `from` on at which `minutes` lie inside one of the windows; ∞ where none is left. */
export function inWindows(windows: readonly Span[], from: number, minutes: number): number {
  let [low, high] = [0, windows.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if (windows[middle]!.to < from + minutes - EPS) low = middle + 1
    else high = middle
  }
  for (let i = low; i < windows.length; i++) {
    const { from: opens, to } = windows[i]!
    const at = Math.max(from, opens)
    if (at + minutes <= to + EPS) return at
  }
  return Infinity
}
