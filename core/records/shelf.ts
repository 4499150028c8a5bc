import * as z from 'zod'
import { day, id, measure, text } from './fields'

/** An own material: a class of the tables, called by the maker's name. */
export const materialSchema = z.object({ id, name: text.min(1), classId: id, thicknessMm: measure, note: text })
export type Material = z.infer<typeof materialSchema>

/** What the label of a product says where it differs from its family; seconds, °C, g/m². */
export const labelSchema = z.object({
  waitMinS: z.number().nonnegative(), waitMaxS: z.number().nonnegative(), openS: z.number().nonnegative(), holdS: z.number().nonnegative(),
  handlingS: z.number().nonnegative(), fullS: z.number().nonnegative(), serviceMinC: z.number(), serviceMaxC: z.number(), spreadGm2: z.number().positive(),
}).partial() // prettier-ignore

/** A product on the shelf, of a family. */
export const adhesiveSchema = z.object({
  id, name: text.min(1), family: id, packSize: z.number().positive(), packUnit: z.enum(['g', 'ml', 'm', 'stick', 'piece']),
  packPrice: z.number().nonnegative(), label: labelSchema, note: text,
}) // prettier-ignore
export type Adhesive = z.infer<typeof adhesiveSchema>

/** One pack of a product: when opened, until when it is good, how much is left (share of the pack, 0…1). */
export const stockSchema = z.object({
  id,
  adhesive: id,
  batch: text,
  openedOn: day.nullable(),
  expiresOn: day.nullable(),
  left: z.number().min(0).max(1),
})
export type StockItem = z.infer<typeof stockSchema>
