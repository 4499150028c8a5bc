import { families } from './families'
import { materialClassOf } from './materials'
import columns from './strengths.json'

/**
 * Typical short-term strength of a family on one material: of the bond itself, and capped by what the material carries.
 */
export interface TypicalStrength {
  test: 'butt' | 'lap'
  bondMPa: number
  peelNPerMm: number
  /** coefficient of variation, taken as σ of ln strength */
  cv: number
  failure: 'adhesive' | 'cohesive' | 'substrate'
  observedMPa: number
  observedPeelNPerMm: number
  basis: 'judged' | 'scaled'
}

const failures = { a: 'adhesive', c: 'cohesive', s: 'substrate' } as const
/** Two letters a family; then a column each of cv, bond, peel, observed bond, observed peel: in the families' order. */
type Columns = [codes: string, ...columns: number[][]]

/** The rows of one material or group, by family; a family without a row there has none. */
function rowsOf([codes, ...columns]: Columns): Map<string, TypicalStrength> {
  const rows = families.flatMap(({ id }, at): [string, TypicalStrength][] => {
    const [how, test] = [codes[2 * at]!, codes[2 * at + 1]]
    if (how === '-') return []
    const failure = failures[how.toLowerCase() as keyof typeof failures]
    const [cv, bondMPa, peelNPerMm, observedMPa, observedPeelNPerMm] = columns.map((column) => column[at]!)
    return [
      [
        id,
        {
          test: test === 'b' ? 'butt' : 'lap',
          bondMPa: bondMPa!,
          peelNPerMm: peelNPerMm!,
          cv: cv!,
          failure,
          observedMPa: observedMPa!,
          observedPeelNPerMm: observedPeelNPerMm!,
          basis: how === failure[0] ? 'scaled' : 'judged',
        },
      ],
    ]
  })
  return new Map(rows)
}
const table = new Map(
  Object.entries(columns as unknown as Record<string, Columns>).map(([target, of]) => [target, rowsOf(of)]),
)

/**
 * The material's own row, else its group's; null when neither is there.
 * @throws CodedError not-one-of for an unknown material
 */
export function typicalStrength(materialId: string, familyId: string): TypicalStrength | null {
  return (
    table.get(materialId)?.get(familyId) ??
    table.get(`group:${materialClassOf(materialId).group}`)?.get(familyId) ??
    null
  )
}

/** The lower bond first; of equal ones what the part carries, and how it peels: no order of the faces decides. */
const inOrder = (one: TypicalStrength, two: TypicalStrength): number =>
  one.bondMPa - two.bondMPa ||
  one.observedMPa - two.observedMPa ||
  one.peelNPerMm - two.peelNPerMm ||
  one.observedPeelNPerMm - two.observedPeelNPerMm ||
  two.cv - one.cv

/** For unlike materials the lower of the two faces counts (knowledge, reading notes). */
export function typicalPairStrength(
  a: string,
  b: string,
  familyId: string,
): { weaker: 'a' | 'b'; strength: TypicalStrength } | null {
  const [one, two] = [typicalStrength(a, familyId), typicalStrength(b, familyId)]
  if (!one || !two) return one ? { weaker: 'a', strength: one } : two ? { weaker: 'b', strength: two } : null
  return inOrder(one, two) <= 0 ? { weaker: 'a', strength: one } : { weaker: 'b', strength: two }
}
