import * as z from 'zod/mini'
import { amount, day, id, measure, positive, share, text, words } from './fields'

/** An own material: a class of the tables, called by the maker's name. */
export const materialSchema = z.object({ id, name: words, classId: id, thicknessMm: measure, note: text })
export type Material = z.infer<typeof materialSchema>

/** What the label of a product says where it differs from its family; seconds, °C, g/m². */
export const labelSchema = z.partial(z.object({
  waitMinS: amount, waitMaxS: amount, openS: amount, holdS: amount,
  handlingS: amount, fullS: amount, serviceMinC: z.number(), serviceMaxC: z.number(), spreadGm2: positive,
})) // prettier-ignore

/** A product on the shelf, of a family. */
export const adhesiveSchema = z.object({
  id, name: words, family: id, packSize: positive, packUnit: z.enum(['g', 'ml', 'm', 'stick', 'piece']),
  packPrice: amount, label: labelSchema, note: text,
}) // prettier-ignore
export type Adhesive = z.infer<typeof adhesiveSchema>

/** One pack of a product: when opened, until when it is good, how much is left (share of the pack, 0…1). */
export const stockSchema = z.object({
  id,
  adhesive: id,
  batch: text,
  openedOn: z.nullable(day),
  expiresOn: z.nullable(day),
  left: share,
})
export type StockItem = z.infer<typeof stockSchema>
