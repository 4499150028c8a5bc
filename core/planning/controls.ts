import { placeOf } from './draft/slots'
import { varied } from './difference'
import type { Procedure, Step } from '../records/procedure'

/** A face on which nearly every glue that wets and sets is known to hold. */
const FRIENDLY = 'raw card'
const UNTREATED = 'Untreated: no glue, no heat'

/**
 * The same glue with a friendly surface in the place of side B: where it fails there too, glue, batch or hand is to
 * blame, and not the joint.
 */
export const onFriendlySurface = (procedure: Procedure, id: string, letter: string): Procedure => ({
  ...varied(procedure, id, letter),
  name: `${procedure.name}, on ${FRIENDLY}`,
  steps: procedure.steps.map((step) =>
    step.kind === 'prepare-b'
      ? { ...step, text: `Take ${FRIENDLY} in the place of side B, and leave it as it is`, why: [] }
      : { ...step },
  ),
})

/** Whether a procedure is such a piece. */
export const isUntreated = ({ family, adhesive, name }: Pick<Procedure, 'family' | 'adhesive' | 'name'>): boolean =>
  family === 'unknown' && adhesive === null && name === UNTREATED

/**
 * A piece that no glue, heat or solvent touches: what the others are held against when harm, work or looks are judged.
 * It is laid aside with them and looked at with them.
 */
export function untreated(joint: string, id: string, letter: string): Procedure {
  const step = (kind: Step['kind'], text: string): Step => ({
    id: `s${placeOf(kind) + 1}`,
    kind,
    text,
    minS: 0,
    maxS: null,
  })
  return {
    id,
    joint,
    letter,
    name: UNTREATED,
    family: 'unknown',
    adhesive: null,
    helpers: [],
    anyway: true,
    coats: 1,
    spreadGm2: null,
    dilution: null,
    blend: null,
    steps: [
      step('apply', 'Put nothing on: cut it from the same piece as the others'),
      step('close', 'Lay it aside with the others'),
      step('cure', 'Leave it where the others are'),
    ],
  }
}
