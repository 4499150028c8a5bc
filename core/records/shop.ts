import * as z from 'zod/mini'
import { day } from './fields'

const minuteOfDay = z.int().check(z.gte(0), z.lte(1440))
const spanOfDay = z
  .object({ from: minuteOfDay, to: minuteOfDay })
  .check(z.refine(({ from, to }) => to > from, 'an end after its beginning expected'))
const few = z.int().check(z.gte(0), z.lte(200))

/** When somebody works, how many they are, and what stands in the workshop to hold, light, warm and chill with. */
export const shopSchema = z.object({
  /** day 0 is Sunday; minutes of the day */
  weekly: z.array(z.object({ day: z.int().check(z.gte(0), z.lte(6)), span: spanOfDay })).check(z.maxLength(50)),
  /** days that are otherwise: nobody is there, or at other hours */
  exceptions: z.array(z.object({ day, spans: z.array(spanOfDay).check(z.maxLength(8)) })).check(z.maxLength(400)),
  hands: z.int().check(z.gte(1), z.lte(20)),
  clamp: few,
  lamp: few,
  oven: few,
  fridge: few,
})
export type Shop = z.infer<typeof shopSchema>

const hour = 60
/** What is taken as long as nothing was said: evenings, and the daytime of a weekend; one person. */
export const usualShop: Shop = {
  weekly: [
    { day: 0, span: { from: 10 * hour, to: 18 * hour } },
    ...[1, 2, 3, 4, 5].map((weekday) => ({ day: weekday, span: { from: 18 * hour, to: 21 * hour } })),
    { day: 6, span: { from: 10 * hour, to: 18 * hour } },
  ],
  exceptions: [],
  hands: 1,
  clamp: 12,
  lamp: 1,
  oven: 12,
  fridge: 12,
}
