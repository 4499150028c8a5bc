/**
 * The tables corrected by what was pulled (methods.md 10): of a cell (pair of materials, family) ln strength is
 * μ = T + m + a + b + c, with T the tables' value, m the maker and gauge, a the pair, b the family, c the cell. All
 * are normal, so the posterior of any cell, pulled or not, is one linear solve.
 */
const VARIANCE = { maker: 0.5 ** 2, pair: 0.4 ** 2, family: 0.4 ** 2, cell: 0.4 ** 2 }
/** Standard normal quantile of 95 %. */
const Z95 = 1.6448536269514722

/** A pair of materials, as “foam-eva|felt”, whichever is named first, with a family. */
export interface Cell {
  pair: string
  family: string
  /** ln of the tables' typical strength */
  table: number
  /** another maker's: it differs from the tables by an offset of its own; left out: one's own */
  maker?: string
}
/** A cell that was pulled: mean and standard deviation of the posterior of ln strength (methods.md 3). */
export interface PulledCell extends Cell {
  mean: number
  sd: number
}
export interface BorrowedCell {
  pair: string
  family: string
  /** typical strength, in the unit of exp(table) */
  median: number
  low90: number
  high90: number
  /** factor on the tables' value */
  correction: number
}

const sides = (pair: string) => pair.split('|').sort().join('|')
/** What two cells share, as a covariance; the sides of both stand in order. */
function shared(one: Cell, other: Cell): number {
  const [pair, family] = [one.pair === other.pair, one.family === other.family]
  return (
    (one.maker === other.maker ? VARIANCE.maker : 0) +
    (pair ? VARIANCE.pair : 0) +
    (family ? VARIANCE.family : 0) +
    (pair && family ? VARIANCE.cell : 0)
  )
}

/** Lower triangle L of a symmetric positive definite matrix, L·Lᵀ = A (Cholesky). */
function cholesky(matrix: readonly (readonly number[])[]): number[][] {
  const lower = matrix.map((row) => row.map(() => 0))
  for (let i = 0; i < matrix.length; i++)
    for (let j = 0; j <= i; j++) {
      let rest = matrix[i]![j]!
      for (let k = 0; k < j; k++) rest -= lower[i]![k]! * lower[j]![k]!
      lower[i]![j] = i === j ? Math.sqrt(rest) : rest / lower[j]![j]!
    }
  return lower
}
/** x with L·x = b. */
function forward(lower: readonly (readonly number[])[], b: readonly number[]): number[] {
  const x: number[] = []
  for (let i = 0; i < b.length; i++) {
    let rest = b[i]!
    for (let k = 0; k < i; k++) rest -= lower[i]![k]! * x[k]!
    x.push(rest / lower[i]![i]!)
  }
  return x
}

/** What was pulled of one cell by one maker, however often: beyond the tables, ln, with its variance. */
interface Told extends Cell {
  beyond: number
  variance: number
}
/**
 * Rounds of the same cell share everything but their own error, so that they tell as much as their mean, each weighed
 * by 1/sd²: a year of rounds is as few unknowns as there are cells.
 */
function byCell(pulled: readonly PulledCell[]): Told[] {
  const cells = new Map<string, Told>()
  for (const { mean, sd, ...cell } of pulled) {
    const pair = sides(cell.pair)
    const key = JSON.stringify([pair, cell.family, cell.maker])
    const known = cells.get(key)
    const precision = 1 / Math.max(sd ** 2, 1e-9)
    const [before, weight] = known ? [known.beyond, 1 / known.variance] : [0, 0]
    const variance = 1 / (weight + precision)
    const beyond = (before * weight + (mean - cell.table) * precision) * variance
    cells.set(key, { ...cell, pair, beyond, variance })
  }
  return [...cells.values()]
}

/** Answers for any cell, once the pulled ones are taken in. */
export function borrower(pulled: readonly PulledCell[]): (cell: Cell) => BorrowedCell {
  const told = byCell(pulled)
  const lower = cholesky(told.map((one, i) => told.map((two, j) => shared(one, two) + (i === j ? one.variance : 0))))
  // What the pulls say beyond the tables, whitened.
  const said = forward(
    lower,
    told.map(({ beyond }) => beyond),
  )
  return (asked) => {
    const cell = { ...asked, pair: sides(asked.pair) }
    const weights = forward(
      lower,
      told.map((one) => shared(one, cell)),
    )
    const shift = weights.reduce((sum, weight, i) => sum + weight * said[i]!, 0)
    const sd = Math.sqrt(Math.max(0, shared(cell, cell) - weights.reduce((sum, weight) => sum + weight ** 2, 0)))
    const at = (z: number) => Math.exp(cell.table + shift + z * sd)
    return {
      pair: asked.pair,
      family: cell.family,
      median: at(0),
      low90: at(-Z95),
      high90: at(Z95),
      correction: Math.exp(shift),
    }
  }
}

/** Typical strength of each asked cell with its interval, corrected by the cells that were pulled. */
export const borrow = (pulled: readonly PulledCell[], ask: readonly Cell[]): BorrowedCell[] => ask.map(borrower(pulled))
