import * as z from 'zod/mini'
import { faceStates } from '../knowledge/faceStates'
import { faceTraits } from '../knowledge/vocabulary'
import { wordShape } from './briefWords'
import { id, measure, moment, words } from './fields'
import { asObject, type Versions } from './versioned'

/** One side of a joint: material (a class id of the tables, or an own material), and the face that is glued. */
const sideSchema = z.object({
  material: z.nullable(id),
  thicknessMm: measure,
  state: z.nullable(z.enum(faceStates)),
  traits: z.nullable(z.array(z.enum(faceTraits))),
})
export type Side = z.infer<typeof sideSchema>

/** What is asked of a joint. null (and an empty list marked open) means the maker has not said: unknown, never "no". */
export const briefSchema = z.object({ a: sideSchema, b: sideSchema, ...wordShape })
export type Brief = z.infer<typeof briefSchema>

export const jointSchema = z.object({
  id,
  build: id,
  code: z.string().check(z.regex(/^[A-Z]\d{1,3}$/, 'a letter and a number, such as H1')),
  name: words,
  createdAt: moment,
  brief: briefSchema,
  /** words of the brief that a usual joint proposed and nobody has confirmed yet, such as “heatC” and “a.material” */
  proposed: z.optional(z.array(words).check(z.maxLength(80))),
})
export type Joint = z.infer<typeof jointSchema>

/** What version 3 asked beside what version 2 did. */
const askedSince3 = [
  ...['edgeMm', 'fit', 'curveMm', 'leverMm', 'flexDeg', 'bendRadiusMm', 'sun', 'boxed', 'undo', 'repositionS'],
  ...['canClamp', 'reach', 'inShell', 'roomM3', 'heatNear', 'stakes', 'readyH', 'handledBy', 'perEvening'],
]
export const jointVersions: Versions = {
  since: 1,
  to: {
    // Briefs ask more, all of it open.
    3: (joint) => {
      const brief = asObject(joint['brief'])
      if (!brief || askedSince3.every((word) => word in brief)) return joint
      const open = Object.fromEntries(askedSince3.map((word) => [word, null]))
      const side = (value: unknown) => ({ traits: null, ...asObject(value) })
      return { ...joint, brief: { ...open, ...brief, a: side(brief['a']), b: side(brief['b']) } }
    },
  },
}
