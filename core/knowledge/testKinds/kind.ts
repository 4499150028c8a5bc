import type { LoadMode } from '../vocabulary'

/** Measured sizes of one coupon, mm and mm². Which are needed depends on the test. */
export interface CouponSize {
  widthMm?: number | null
  overlapMm?: number | null
  areaMm2?: number | null
  thicknessMm?: number | null
  diameterMm?: number | null
  innerDiameterMm?: number | null
  /** where the force acts: twist, and snap as a cantilever */
  armMm?: number | null
  /** between supports: snap with the load at mid-span */
  spanMm?: number | null
}
export type SizeKey = keyof CouponSize
export type StrengthUnit = 'MPa' | 'N/mm'

/** How a load becomes a strength (methods.md 1). */
export interface Formula<Id extends string = string> {
  /** the contract's id: three kinds of peel share one */
  id: Id
  unit: StrengthUnit
  /** in symbols, for Why */
  words: string
  /**
   * @param forceN at the joint, N
   * @returns in the formula's unit
   * @throws CodedError naming the size that is missing or not positive
   */
  strength: (forceN: number, size: CouponSize) => number
}

/** Graded instead of measured: each thing in three steps. */
export interface Grading {
  what: { id: string; word: string }[]
  /** from bad to good */
  steps: [bad: string, fair: string, good: string]
  /** when to look, h after the glue went on or the work was done; empty where it does not matter */
  looks: { hours: number; word: string }[]
  /** only what was tried on the piece is graded: one of them is enough */
  some?: true
}

/** Counted instead of weighed. */
export interface Counting {
  /** what is asked: the last that did no harm, the first that did */
  asks: [held: string, broke: string]
  /** the least that can be counted, for a coupon that came apart in handling; in the unit of the test */
  least: (size: CouponSize) => number
  /** where the figure ends by itself, in the unit of the test; left out: nowhere */
  end?: number
  /** how one is called that has more of it: “opens further”; left out: stronger */
  more?: { further: string; furthest: string }
  /** what was counted, in the unit of the test: a radius becomes a strain; left out, the count itself is the result */
  result?: (counted: number, size: CouponSize) => number
}

/** How a test is read: as a load that a formula makes a strength of, as a count, by looking, or by what is lost. */
export type Reads<Id extends string = string> =
  | { by: 'load'; formula: Formula<Id> }
  | { by: 'count'; counting: Counting }
  | { by: 'grades'; grading: Grading }
  /** of many small things, how many were lost */
  | { by: 'losses' }

/** Everything that the app knows of one test: adding a test is one such record, and a drawing where none fits. */
export interface TestKind<Id extends string = string> {
  name: string
  /** the standard term's one-line gloss */
  gloss: string
  reads: Reads<Id>
  unit: string
  /** sizes that must be known, with a usual value, mm (area mm²) */
  sizes: Partial<Record<SizeKey, number>>
  loads: readonly LoadMode[]
  /** seam drawing that shows it */
  drawing: 'lap' | 'edge' | 'peel' | 'rod' | 'patch' | 'point' | 'faces'
  /** how it is done at a kitchen table, in three lines */
  how: [string, string, string]
  /** glued area of one coupon, mm² */
  bondedMm2: (size: CouponSize) => number
  /** each of the two like pieces: across and along the pull, mm */
  piece: (size: CouponSize) => { widthMm: number; lengthMm: number }
  /** how far the two lie over each other along the pull, mm: 0 where they meet end to end */
  bondLengthMm: (size: CouponSize) => number
  /** drawn as a spot in the middle of two pieces that lie on each other */
  spot?: true
  /** what of the typical strengths foretells it, and times what; left out: no load is foretold */
  foretold?: { by: 'bond' | 'peel'; times: number }
  /** with a rigid glue the ends of a long overlap carry it alone */
  endsCarry?: true
  /** what should lie at hand for it, beyond what every test needs */
  tools?: readonly string[]
}
