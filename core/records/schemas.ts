import { benchSchema, buildSchema } from './bench'
import { jointSchema } from './joint'
import { makerSchema, saidSchema } from './learned'
import { readingSchema } from './reading'
import { roundSchema } from './round'
import { decisionSchema } from './decision'
import { couponSchema, cureCheckSchema } from './coupon'
import { procedureSchema } from './procedure'
import { scrapSchema } from './scrap'
import { adhesiveSchema, houseRuleSchema, materialSchema, offcutSchema, stockSchema } from './shelf'

/**
 * What every record of a table has to be. Loaded when something is written or a file is read: what
 * only shows a bench takes names and types from tables.ts.
 */
export const schemas = {
  bench: benchSchema,
  build: buildSchema,
  joint: jointSchema,
  material: materialSchema,
  adhesive: adhesiveSchema,
  stock: stockSchema,
  procedure: procedureSchema,
  round: roundSchema,
  coupon: couponSchema,
  cureCheck: cureCheckSchema,
  reading: readingSchema,
  decision: decisionSchema,
  houseRule: houseRuleSchema,
  offcut: offcutSchema,
  scrap: scrapSchema,
  maker: makerSchema,
  said: saidSchema,
} as const
