import * as z from 'zod/mini'
import { limits } from '../quantities/bounds'
import { geometries, loadModes, motions, stakes } from '../knowledge/vocabulary'
import { amount, celsius, count, day, gap, hours, lengthMm, positive, roomM3, seconds } from './fields'

/**
 * One word of the brief about the joint as a whole. From its row follow the brief's schema, the open brief, its name in
 * the core contract and the answers that are tried; how it is asked stands in the app's table of words.
 */
interface Word<S extends z.core.$ZodType, C extends string | null, L extends true | undefined> {
  /** of what is said; open it is null: unknown, never "no" */
  schema: S
  /** its name in the core contract; null: the contract asks it in other words (question.ts), or not at all */
  contract: C
  /** it came without a version of its own: older benches leave it out, which is "not said" */
  late?: L
  /** answers tried while it is open, from the mildest to the harshest; yes-or-no words are tried by themselves */
  tries?: readonly z.core.output<S>[]
}
const word = <S extends z.core.$ZodType, C extends string | null, L extends true | undefined = undefined>(
  row: Word<S, C, L>,
): Word<S, C, L> => row

export const laterWork = ['paint', 'sand', 'carve', 'hot-wire', 'heat-form'] as const

export const briefWords = {
  geometry: word({ schema: z.enum(geometries), contract: null, tries: ['lap', 'butt-edge'] }),
  /** of the bonded face: across, and along the pull */
  widthMm: word({ schema: lengthMm, contract: null }),
  lengthMm: word({ schema: lengthMm, contract: null }),
  /** deepest point to the nearest open edge, where it is not half of the smaller side */
  edgeMm: word({ schema: lengthMm, contract: null }),
  /** do the dry faces touch all over, or only here and there */
  fit: word({ schema: z.enum(['close', 'rough']), contract: null, tries: ['close', 'rough'] }),
  /** radius of a curved face */
  curveMm: word({ schema: lengthMm, contract: null }),
  count: word({ schema: count, contract: null }),
  loads: word({ schema: z.array(z.enum(loadModes)), contract: null, tries: [['shear'], ['peel'], ['flex']] }),
  weightKg: word({ schema: amount.check(z.lte(limits.mass[1])), contract: null, tries: [0, 0.2, 5] }),
  /** share of the weight that this one joint carries, 0…1; null is all of it */
  share: word({ schema: z.number().check(z.gte(1e-6), z.lte(1)), contract: null }),
  motion: word({ schema: z.enum(motions), contract: null }),
  /** from the joint to the line of the force: turns a weight into a twist or a snap */
  leverMm: word({ schema: lengthMm, contract: null }),
  /** how far it bends each time when it is flexed, degrees */
  flexDeg: word({ schema: positive.check(z.lte(360)), contract: null }),
  /** the tightest radius it is bent to, mm */
  bendRadiusMm: word({ schema: lengthMm, contract: null }),
  gapMm: word({ schema: gap, contract: null, tries: [0, 0.3, 2] }),
  heatC: word({ schema: celsius, contract: null, tries: [25, 50, 75] }),
  coldC: word({ schema: celsius, contract: null, tries: [15, -15] }),
  water: word({
    schema: z.enum(['no', 'splash', 'wash', 'soak']),
    contract: null,
    tries: ['no', 'splash', 'wash', 'soak'],
  }),
  sun: word({ schema: z.boolean(), contract: null }),
  flex: word({
    schema: z.enum(['must-flex', 'must-be-stiff', 'band']),
    contract: null,
    tries: ['must-flex', 'must-be-stiff'],
  }),
  look: word({ schema: z.enum(['hidden', 'neat', 'clear', 'white']), contract: null, tries: ['hidden', 'clear'] }),
  later: word({ schema: z.array(z.enum(laterWork)), contract: null, tries: [[], ['hot-wire'], ['paint'], ['sand']] }),
  /** closed in a box with what it may fog: a lamp housing, a visor, a display case */
  boxed: word({ schema: z.boolean(), contract: null }),
  life: word({
    schema: z.enum(['temporary', 'mend', 'show', 'years', 'archival']),
    contract: null,
    tries: ['temporary', 'years'],
  }),
  /** must be taken apart again without harm */
  undo: word({ schema: z.boolean(), contract: null }),
  /** seconds for which a part must still move after contact */
  repositionS: word({ schema: seconds, contract: null, tries: [0, 60] }),
  canClamp: word({ schema: z.boolean(), contract: null }),
  /** can both faces be coated before closing */
  reach: word({ schema: z.enum(['both', 'one']), contract: null, tries: ['both', 'one'] }),
  /** glued inside a thin shell or a deep cavity */
  inShell: word({ schema: z.boolean(), contract: null }),
  air: word({
    schema: z.enum(['closed', 'window', 'extraction', 'outdoors']),
    contract: null,
    tries: ['closed', 'window'],
  }),
  roomM3: word({ schema: roomM3, contract: null }),
  /** a heat gun, hot wire, flame or sparks in the same room while it is glued */
  heatNear: word({ schema: z.boolean(), contract: null }),
  users: word({
    schema: z.array(z.enum(['child', 'sensitised'])),
    contract: null,
    tries: [[], ['child'], ['sensitised']],
  }),
  skin: word({ schema: z.boolean(), contract: null }),
  stakes: word({ schema: z.array(z.enum(stakes)), contract: null }),
  /** hours from closing until it must carry its load */
  readyH: word({ schema: hours, contract: null, tries: [72, 6, 0.5] }),
  /** hours from closing until it can be taken up and worked on; left out by older benches: not said */
  handledH: word({ schema: hours, contract: 'maxHandlingH', late: true, tries: [24, 0.5, 0.1] }),
  handledBy: word({ schema: day, contract: null }),
  inServiceBy: word({ schema: day, contract: null }),
  perEvening: word({ schema: count, contract: null }),
  maxCost: word({ schema: amount, contract: null }),
}
type Words = typeof briefWords
export type BriefWord = keyof Words
export const briefWordKeys = Object.keys(briefWords) as BriefWord[]

type Shape = {
  [K in BriefWord]: Words[K] extends Word<infer S, string | null, infer L>
    ? L extends true
      ? z.ZodMiniOptional<z.ZodMiniNullable<S>>
      : z.ZodMiniNullable<S>
    : never
}
/** What the brief's schema says of each word. */
export const wordShape = Object.fromEntries(
  Object.entries(briefWords).map(([key, { schema, late }]) => {
    const open = z.nullable(schema)
    return [key, late ? z.optional(open) : open]
  }),
) as unknown as Shape

type ContractShape = {
  [K in BriefWord as Words[K]['contract'] extends string ? Words[K]['contract'] : never]: z.ZodMiniOptional<
    z.ZodMiniNullable<Words[K]['schema']>
  >
}
/** Words that the contract asks as the brief does, by their names in it. */
export const contractWords = Object.entries(briefWords).flatMap(([key, { contract }]) =>
  contract === null ? [] : [{ word: key as BriefWord, name: contract as string }],
)
export const contractShape = Object.fromEntries(
  contractWords.map(({ word: key, name }) => [name, z.optional(z.nullable(briefWords[key].schema))]),
) as unknown as ContractShape
