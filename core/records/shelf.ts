import * as z from 'zod/mini'
import { hazardCodes } from '../knowledge/hazardCodes'
import { mechanisms } from '../knowledge/familySchema'
import { labelFactIds } from '../knowledge/labelFactIds'
import { labelFactsSchema } from '../knowledge/labelFactsSchema'
import {
  amount,
  celsius,
  day,
  gap,
  id,
  lengthMm,
  measure,
  moment,
  owner,
  positive,
  seconds,
  share,
  spreadGm2,
  text,
  words,
} from './fields'
import type { Versions } from './versioned'

/** An own material: a class of the tables, called by the maker's name. */
export const materialSchema = z.object({ id, owner, name: words, classId: id, thicknessMm: measure, note: text })
export type Material = z.infer<typeof materialSchema>

/** What the label of a product says where it differs from its family; seconds, °C, g/m². */
const labelSchema = z.partial(
  z.object({
    waitMinS: seconds,
    waitMaxS: seconds,
    openS: seconds,
    holdS: seconds,
    handlingS: seconds,
    fullS: seconds,
    serviceMinC: celsius,
    serviceMaxC: celsius,
    spreadGm2,
    gapMaxMm: gap,
    potLifeS: positive,
    water: z.enum(['no', 'splash', 'wash', 'soak']),
    hazards: z.array(z.enum(hazardCodes)),
    /** exposure limit of its data sheet for what evaporates, mg/m³ */ limitMgM3: positive,
    /** what of it evaporates, 0…1 by weight */ volatileShare: share,
    /** what it declares beside its numbers, such as foam-safe */ facts: labelFactsSchema,
  }),
)

/** A product on the shelf, of a family. */
export const adhesiveSchema = z.object({
  id,
  owner,
  name: words,
  /** of the tables, or “unknown” */ family: id,
  /** other names it goes by */ aliases: z.array(words),
  /** null: not known, and counted as its family’s usual pack */
  packSize: z.nullable(positive),
  packUnit: z.enum(['g', 'ml', 'm', 'stick', 'piece']),
  /** null: not known */
  packPrice: z.nullable(amount),
  label: labelSchema,
  note: text,
})
export type Adhesive = z.infer<typeof adhesiveSchema>

/** One pack of a product: when opened, until when it is good, how much is left (share of the pack, 0…1). */
export const stockSchema = z.object({
  id,
  adhesive: id,
  batch: text,
  boughtOn: z.nullable(day),
  openedOn: z.nullable(day),
  expiresOn: z.nullable(day),
  left: share,
})
export type StockItem = z.infer<typeof stockSchema>

/**
 * An offcut or sheet to cut coupons from, of a material class or an own material. The grain, if any, runs along its
 * height.
 */
export const offcutSchema = z.object({
  id,
  material: id,
  widthMm: lengthMm,
  heightMm: lengthMm,
  count: z.int().check(z.positive(), z.lte(999)),
  note: text,
})
export type Offcut = z.infer<typeof offcutSchema>

export const adviceGrades = ['own test', 'another’s test', 'label', 'rule of the trade', 'hearsay'] as const
export type AdviceGrade = (typeof adviceGrades)[number]

/**
 * A rule of the house: what the maker holds true here, why, on what evidence, and when to look again. null in what it
 * is about: any.
 */
export const houseRuleSchema = z.object({
  id,
  owner,
  name: words,
  verdict: z.enum(['block', 'caution']),
  family: z.nullable(id),
  adhesive: z.nullable(id),
  /** a mechanism of the tables, such as evaporate-solvent */
  mechanism: z.nullable(z.enum(mechanisms)),
  /** a hazard that its label or family names */
  hazard: z.optional(z.nullable(z.enum(hazardCodes))),
  /** what it is known to be (“foamSafe”), or not known to be (“not foamSafe”) */
  fact: z.optional(z.nullable(z.enum([...labelFactIds, ...labelFactIds.map((one) => `not ${one}` as const)]))),
  /** a material class, an own material, or a group of materials */
  material: z.nullable(id),
  where: z.nullable(z.enum(['indoors', 'outdoors'])),
  reason: words,
  grade: z.enum(adviceGrades),
  evidence: text,
  since: moment,
  lookAgainOn: z.nullable(day),
})
export type HouseRule = z.infer<typeof houseRuleSchema>

export const materialVersions: Versions = { since: 1 }
export const adhesiveVersions: Versions = {
  since: 1,
  to: {
    // A pack's dates moved to the table of packs (its rows are made in versions.ts).
    2: (adhesive) =>
      'openedOn' in adhesive || 'expiresOn' in adhesive
        ? Object.fromEntries(Object.entries(adhesive).filter(([key]) => key !== 'openedOn' && key !== 'expiresOn'))
        : adhesive,
    // A product has other names.
    3: (adhesive) => ('aliases' in adhesive ? adhesive : { ...adhesive, aliases: [] }),
  },
}
export const stockVersions: Versions = {
  since: 2,
  // A pack knows when it was bought.
  to: { 3: (pack) => ('boughtOn' in pack ? pack : { ...pack, boughtOn: null }) },
}
export const offcutVersions: Versions = { since: 3 }
export const houseRuleVersions: Versions = { since: 3 }
