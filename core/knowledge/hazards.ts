import rows from './hazards.json'

export { hazardCodes } from './hazardCodes'

/**
 * What a hazard code means, in the usual wording of workshop safety. It never replaces the label and the safety data
 * sheet.
 */
export interface Hazard {
  id: string
  who: string
  precautions: string
  firstResponse: string
  /** the short wording for the step that needs it */
  show: string
}

export const hazards = rows as readonly Hazard[]
const byId = new Map(hazards.map((hazard) => [hazard.id, hazard]))

/**
 * The hazards of codes that are known, in the order given; an unknown code is left out (a missing code never means
 * harmless).
 */
export const hazardsOf = (codes: readonly string[]): Hazard[] => codes.flatMap((code) => byId.get(code) ?? [])

/** Always when coupons are pulled. */
export const PULLING_CAUTION =
  'Pieces may fly when they let go. Wear goggles, keep faces out of line with the pull, and let nobody stand behind it.'
