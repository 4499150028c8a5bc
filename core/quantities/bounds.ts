/**
 * The least and the most, above nothing, that a quantity at a maker's bench can be, in the unit inside. What is typed,
 * what a record may hold and what a file may bring share these: below lies a slip of the keyboard, above a unit that
 * was mixed up.
 */
export const limits = {
  /** mm: a thin film to a roll of cloth */
  length: [0.01, 10_000],
  /** mm² */
  area: [0.01, 1e8],
  /** N */
  force: [1e-6, 1e6],
  /** kg */
  mass: [1e-6, 1e5],
  /** l */
  volume: [1e-6, 1e5],
  /** s: ten years */
  time: [1e-6, 316_000_000],
  /** m³: a drawer to a hall */
  room: [0.01, 100_000],
  /** h: ten years */
  hours: [0.0001, 87_600],
  /** g/m² */
  spread: [0.1, 10_000],
} as const satisfies Record<string, readonly [least: number, most: number]>
