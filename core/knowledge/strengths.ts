import { materialClassOf } from './materials'
import rows from './strengths.json'

/** Typical short-term strength of a family on one material: of the bond itself, and capped by what the material carries. */
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

const table = new Map<string, TypicalStrength>()
for (const [
  target,
  family,
  test,
  bondMPa,
  peelNPerMm,
  cv,
  failure,
  observedMPa,
  observedPeelNPerMm,
  basis,
] of rows as unknown as [
  string,
  string,
  'butt' | 'lap',
  number,
  number,
  number,
  TypicalStrength['failure'],
  number,
  number,
  TypicalStrength['basis'],
][])
  // prettier-ignore
  table.set(`${target} ${family}`, { test, bondMPa, peelNPerMm, cv, failure, observedMPa, observedPeelNPerMm, basis })

/** The material's own row, else its group's; null when neither is there. @throws CodedError not-one-of for an unknown material */
export function typicalStrength(materialId: string, familyId: string): TypicalStrength | null {
  return (
    table.get(`${materialId} ${familyId}`) ??
    table.get(`group:${materialClassOf(materialId).group} ${familyId}`) ??
    null
  )
}

/** For unlike materials the lower of the two faces counts (knowledge, reading notes). */
export function typicalPairStrength(
  a: string,
  b: string,
  familyId: string,
): { weaker: 'a' | 'b'; strength: TypicalStrength } | null {
  const [one, two] = [typicalStrength(a, familyId), typicalStrength(b, familyId)]
  if (!one || !two) return one ? { weaker: 'a', strength: one } : two ? { weaker: 'b', strength: two } : null
  return one.bondMPa <= two.bondMPa ? { weaker: 'a', strength: one } : { weaker: 'b', strength: two }
}
