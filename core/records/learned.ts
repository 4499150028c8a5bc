import * as z from 'zod/mini'
import { exposureKinds } from '../knowledge/exposures'
import { day, id, moment, owner, positive, text, words } from './fields'
import { adviceGrades } from './shelf'
import type { Versions } from './versioned'

/** Another maker whose bench was put to this one: whose readings they are, and what they were read with. */
export const makerSchema = z.object({
  id,
  /** what their bench is called */
  name: words,
  gauge: z.object({ name: text, limitN: positive, resolutionN: positive }),
  /** when the file was saved that came last */
  at: moment,
})
export type OtherMaker = z.infer<typeof makerSchema>

/** What somebody said of a glue between two materials: noted with its source, and then tested or not. */
export const saidSchema = z.object({
  id,
  owner,
  /** who said it, or where it stands */
  who: words,
  what: words,
  /** which way it points */
  says: z.enum(['holds', 'fails', 'something else']),
  family: z.nullable(id),
  adhesive: z.nullable(id),
  /** material classes or own materials; null: any */
  a: z.nullable(id),
  b: z.nullable(id),
  /** what it goes through before; null: as it is, dry */
  exposure: z.nullable(z.enum(exposureKinds)),
  grade: z.enum(adviceGrades),
  at: moment,
  lookAgainOn: z.nullable(day),
})
export type Said = z.infer<typeof saidSchema>

export const makerVersions: Versions = { since: 6 }
export const saidVersions: Versions = {
  since: 6,
  // The first builds of version 6 did not ask what it goes through before.
  to: { 6: (said) => ('exposure' in said ? said : { ...said, exposure: null }) },
}
