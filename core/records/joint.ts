import * as z from 'zod/mini'
import { limits } from '../quantities/bounds'
import { faceStates } from '../knowledge/faceStates'
import { faceTraits, geometries, loadModes, motions, stakes } from '../knowledge/vocabulary'
import {
  amount,
  celsius,
  count,
  day,
  gap,
  hours,
  id,
  measure,
  moment,
  positive,
  roomM3,
  seconds,
  words,
} from './fields'
import { asObject, type Versions } from './versioned'

/** One side of a joint: material (a class id of the tables, or an own material), and the face that is glued. */
const sideSchema = z.object({
  material: z.nullable(id),
  thicknessMm: measure,
  state: z.nullable(z.enum(faceStates)),
  traits: z.nullable(z.array(z.enum(faceTraits))),
})
export type Side = z.infer<typeof sideSchema>

export const laterWork = ['paint', 'sand', 'carve', 'hot-wire', 'heat-form'] as const

/** What is asked of a joint. null (and an empty list marked open) means the maker has not said: unknown, never "no". */
export const briefSchema = z.object({
  a: sideSchema,
  b: sideSchema,
  geometry: z.nullable(z.enum(geometries)),
  /** of the bonded face: across, and along the pull */
  widthMm: measure,
  lengthMm: measure,
  /** deepest point to the nearest open edge, where it is not half of the smaller side */
  edgeMm: measure,
  /** do the dry faces touch all over, or only here and there */
  fit: z.nullable(z.enum(['close', 'rough'])),
  /** radius of a curved face */
  curveMm: measure,
  count: z.nullable(count),
  loads: z.nullable(z.array(z.enum(loadModes))),
  weightKg: z.nullable(amount.check(z.lte(limits.mass[1]))),
  /** share of the weight that this one joint carries, 0…1; null is all of it */
  share: z.nullable(z.number().check(z.gte(1e-6), z.lte(1))),
  motion: z.nullable(z.enum(motions)),
  /** from the joint to the line of the force: turns a weight into a twist or a snap */
  leverMm: measure,
  /** how far it bends each time when it is flexed, degrees */
  flexDeg: z.nullable(positive.check(z.lte(360))),
  /** the tightest radius it is bent to, mm */
  bendRadiusMm: measure,
  gapMm: z.nullable(gap),
  heatC: z.nullable(celsius),
  coldC: z.nullable(celsius),
  water: z.nullable(z.enum(['no', 'splash', 'wash', 'soak'])),
  sun: z.nullable(z.boolean()),
  flex: z.nullable(z.enum(['must-flex', 'must-be-stiff', 'band'])),
  look: z.nullable(z.enum(['hidden', 'neat', 'clear', 'white'])),
  later: z.nullable(z.array(z.enum(laterWork))),
  /** closed in a box with what it may fog: a lamp housing, a visor, a display case */
  boxed: z.nullable(z.boolean()),
  life: z.nullable(z.enum(['temporary', 'mend', 'show', 'years', 'archival'])),
  /** must be taken apart again without harm */
  undo: z.nullable(z.boolean()),
  /** seconds for which a part must still move after contact */
  repositionS: z.nullable(seconds),
  canClamp: z.nullable(z.boolean()),
  /** can both faces be coated before closing */
  reach: z.nullable(z.enum(['both', 'one'])),
  /** glued inside a thin shell or a deep cavity */
  inShell: z.nullable(z.boolean()),
  air: z.nullable(z.enum(['closed', 'window', 'extraction', 'outdoors'])),
  roomM3: z.nullable(roomM3),
  /** a heat gun, hot wire, flame or sparks in the same room while it is glued */
  heatNear: z.nullable(z.boolean()),
  users: z.nullable(z.array(z.enum(['child', 'sensitised']))),
  skin: z.nullable(z.boolean()),
  stakes: z.nullable(z.array(z.enum(stakes))),
  /** hours from closing until it must carry its load */
  readyH: z.nullable(hours),
  /** hours from closing until it can be taken up and worked on; left out by older benches: not said */
  handledH: z.optional(z.nullable(hours)),
  handledBy: z.nullable(day),
  inServiceBy: z.nullable(day),
  perEvening: z.nullable(count),
  maxCost: z.nullable(amount),
})
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
