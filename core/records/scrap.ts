import * as z from 'zod/mini'
import { faceStates } from '../knowledge/faceStates'
import { id, moment, words } from './fields'
import type { Versions } from './versioned'

/** What is seen when a scrap is looked at. */
const sightings = ['nothing', 'mark', 'spoilt'] as const
export type Sighting = (typeof sightings)[number]

const side = z.object({ material: z.nullable(id), state: z.nullable(z.enum(faceStates)) })

/** A drop of glue on scrap: does it harm? Looked at after ten minutes and after a day. */
export const scrapSchema = z.object({
  id,
  joint: id,
  family: id,
  /** the product on the shelf; null: any of the family */
  adhesive: z.nullable(id),
  /** the rule of the trade whose warning it answers */
  rule: words,
  /** the materials and faces as they were, one side each */
  sides: z.array(side).check(z.length(2)),
  startedAt: moment,
  looks: z.array(z.object({ at: moment, saw: z.enum(sightings) })).check(z.maxLength(20)),
})
export type Scrap = z.infer<typeof scrapSchema>

export const scrapVersions: Versions = { since: 5 }
