import { typicalPairStrength } from '../knowledge/strengths'
import { borrower, type BorrowedCell, type Cell, type PulledCell } from './borrow'
import type { PairEvidence } from './pairEvidence'

/** What pulls make of the tables' strength of a family on a pair. */
export interface Correction {
  /** factor on the tables' typical strength */
  factor: number
  /** this pair with this family was pulled here; else it is borrowed from others */
  tested: boolean
  /** pulls behind it, on any pair */
  pulls: number
}

export type StrengthUnit = 'MPa' | 'N/mm'
const pairOf = (a: string, b: string) => [a, b].sort().join('|')

/** The tables' typical strength of a family on a pair, in the unit of a test; null where they say nothing of it. */
export function tableStrength(a: string, b: string, family: string, unit: string): number | null {
  const row = typicalPairStrength(a, b, family)?.strength
  return (unit === 'MPa' ? row?.observedMPa : unit === 'N/mm' ? row?.observedPeelNPerMm : undefined) ?? null
}

/** Dry pulls of strength beside what the tables say of the same cell; counts and grades say nothing of it. */
function cellsOf(evidence: readonly PairEvidence[]): PulledCell[] {
  return evidence.flatMap(({ sides, family, typical, posterior, atLeast, unit, exposure, owner }) => {
    const [a, b] = [sides[0].material, sides[1].material]
    const table = tableStrength(a, b, family, unit)
    if (!table || typical === null || posterior === null || exposure !== null) return []
    // What only held says nothing against a table that promises more.
    if (atLeast && typical <= table) return []
    const maker = owner === null ? {} : { maker: owner }
    return [{ pair: pairOf(a, b), family, table: Math.log(table), ...posterior, ...maker }]
  })
}

/** What was asked of one list of pulls is solved once: every glue of a shortlist asks the same. */
interface Solved {
  answer: ((cell: Cell) => BorrowedCell) | null
  pulls: number
  /** pairs and families that were pulled here */
  own: ReadonlySet<string>
}
const solved = new WeakMap<readonly PairEvidence[], Solved>()
function solvedFor(evidence: readonly PairEvidence[]): Solved {
  const known = solved.get(evidence)
  if (known) return known
  const cells = cellsOf(evidence)
  const made = {
    answer: cells.length ? borrower(cells) : null,
    pulls: evidence.reduce((sum, { valid, exposure }) => sum + (exposure === null ? valid : 0), 0),
    own: new Set(cells.filter(({ maker }) => maker === undefined).map(({ pair, family }) => `${pair} ${family}`)),
  }
  solved.set(evidence, made)
  return made
}

/** The tables' strength of a family on a pair, corrected by pulls (methods.md 10); null where there are none. */
export function correctionOf(
  evidence: readonly PairEvidence[],
  a: string,
  b: string,
  family: string,
): Correction | null {
  const { answer, pulls, own } = solvedFor(evidence)
  const pair = pairOf(a, b)
  return (
    answer && { factor: answer({ pair, family, table: 0 }).correction, tested: own.has(`${pair} ${family}`), pulls }
  )
}

/** A pair and a family that nobody pulled, with what other pulls lend it. */
export interface Lent extends BorrowedCell {
  a: string
  b: string
  unit: StrengthUnit
  /** what the tables say, in that unit */
  table: number
}

/**
 * Typical strength of families on pairs that were not pulled, borrowed from the pulls of others, in the unit that the
 * pair is asked in; none where nothing was pulled, and where the tables know nothing of the cell.
 */
export function lentStrengths(
  evidence: readonly PairEvidence[],
  asks: readonly { a: string; b: string; family: string; unit: StrengthUnit }[],
): Lent[] {
  const { answer } = solvedFor(evidence)
  const own = new Set(
    evidence
      .filter(({ owner, exposure, valid }) => owner === null && exposure === null && valid > 0)
      .map(({ sides, family, unit }) => `${pairOf(sides[0].material, sides[1].material)} ${family} ${unit}`),
  )
  return asks.flatMap(({ a, b, family, unit }): Lent[] => {
    const table = tableStrength(a, b, family, unit)
    if (!answer || !table || own.has(`${pairOf(a, b)} ${family} ${unit}`)) return []
    return [{ a, b, unit, table, ...answer({ pair: pairOf(a, b), family, table: Math.log(table) }) }]
  })
}
