import { typicalPairStrength } from '../knowledge/strengths'
import { borrow, type PulledCell } from './borrow'
import type { PairEvidence } from './pairEvidence'

/** What own pulls make of the tables' strength of a family on a pair. */
export interface Correction {
  /** factor on the tables' typical strength */
  factor: number
  /** this pair with this family was pulled itself; else it is borrowed from others */
  tested: boolean
  /** pulls behind it, on any pair */
  pulls: number
}

const pairOf = (a: string, b: string) => [a, b].sort().join('|')

/** Pulls of strength beside what the tables say of the same cell; counts and grades say nothing of it. */
function cellsOf(evidence: readonly PairEvidence[]): PulledCell[] {
  return evidence.flatMap(({ sides, family, typical, posterior, atLeast, unit }) => {
    const [a, b] = [sides[0].material, sides[1].material]
    const row = typicalPairStrength(a, b, family)?.strength
    const table = unit === 'MPa' ? row?.observedMPa : unit === 'N/mm' ? row?.observedPeelNPerMm : undefined
    if (!table || typical === null || posterior === null) return []
    // What only held says nothing against a table that promises more.
    if (atLeast && typical <= table) return []
    return [{ pair: pairOf(a, b), family, table: Math.log(table), ...posterior }]
  })
}

/** The tables' strength of a family on a pair, corrected by own pulls (methods.md 10); null where there are none. */
export function correctionOf(
  evidence: readonly PairEvidence[],
  a: string,
  b: string,
  family: string,
): Correction | null {
  const cells = cellsOf(evidence)
  if (!cells.length) return null
  const pair = pairOf(a, b)
  const [asked] = borrow(cells, [{ pair, family, table: 0 }])
  return {
    factor: asked!.correction,
    tested: cells.some((one) => one.pair === pair && one.family === family),
    pulls: evidence.reduce((sum, { valid }) => sum + valid, 0),
  }
}
