import * as z from 'zod/mini'
import { forceUnits } from '../quantities/force'
import { instrumentSchema } from './instrument'
import { shopSchema } from './shop'
import { amount, day, forceN, id, moment, owner, positive, text, words } from './fields'
import type { Versions } from './versioned'

const pulls = z.array(positive)

/** The one row that says whose bench this is: its room, its instruments, the maker's hands, money. */
export const benchSchema = z.object({
  id,
  name: words,
  kind: z.enum(['own', 'demo']),
  createdAt: moment,
  /** who works at it, the same in every copy of it; left out: whoever has this one */
  maker: z.optional(id),
  /** what was said when copies were put together and they did not agree, so that it is asked once (mergeBenches) */
  answered: z.optional(z.array(text).check(z.maxLength(20_000))),
  room: z.nullable(
    z.object({
      tempC: z.number().check(z.gte(-30), z.lte(60)),
      rh: z.number().check(z.gte(0), z.lte(100)),
      at: moment,
      /** what it was read with; left out: typed off a thermometer */
      from: z.optional(z.enum(['sensor', 'simulated'])),
    }),
  ),
  /** what force is read with: its limit and its smallest step, N */
  gauge: z.object({
    name: text,
    limitN: forceN,
    resolutionN: forceN,
    /** what its display, and every load on screen, is told in; left out: newtons */
    unit: z.optional(z.enum(forceUnits)),
  }),
  /** instruments beside it, each with its range and its checks; left out: none */
  instruments: z.optional(z.array(instrumentSchema).check(z.maxLength(40))),
  /** pulls on the scale by grip, N (methods.md 1, by hand) */
  hands: z.object({ 'shaken-off': pulls, 'one-finger': pulls, 'one-hand': pulls, 'two-hands': pulls }),
  ratePerHour: amount,
  currency: z.string().check(z.maxLength(6)),
  /** when somebody works and with what; left out: the usual evenings */
  shop: z.optional(shopSchema),
})
export type Bench = z.infer<typeof benchSchema>

/** The thing being made. */
export const buildSchema = z.object({
  id,
  owner,
  name: words,
  inServiceBy: z.nullable(day),
  budget: z.nullable(amount),
  what: text,
})
export type Build = z.infer<typeof buildSchema>

export const benchVersions: Versions = { since: 1 }
export const buildVersions: Versions = { since: 1 }
