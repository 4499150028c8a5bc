import * as z from 'zod'
import { day, id, moment, text } from './fields'

const pulls = z.array(z.number().positive())

/** The one row that says whose bench this is: its room, its instruments, the maker's hands, money. */
export const benchSchema = z.object({
  id,
  name: text.min(1),
  kind: z.enum(['own', 'demo']),
  createdAt: moment,
  room: z.object({ tempC: z.number().min(-30).max(60), rh: z.number().min(0).max(100), at: moment }).nullable(),
  /** what force is read with: its limit and its smallest step, N */
  gauge: z.object({ name: text, limitN: z.number().positive(), resolutionN: z.number().positive() }),
  /** pulls on the scale by grip, N (methods.md 1, by hand) */
  hands: z.object({ 'shaken-off': pulls, 'one-finger': pulls, 'one-hand': pulls, 'two-hands': pulls }),
  ratePerHour: z.number().nonnegative(),
  currency: z.string().max(6),
})
export type Bench = z.infer<typeof benchSchema>

/** The thing being made. */
export const buildSchema = z.object({
  id,
  name: text.min(1),
  inServiceBy: day.nullable(),
  budget: z.number().nonnegative().nullable(),
  what: text,
})
export type Build = z.infer<typeof buildSchema>

/** A bench before anything is on it. */
export const emptyBench = (benchId: string, name: string, now: number, kind: Bench['kind'] = 'own'): Bench => ({
  id: benchId,
  name,
  kind,
  createdAt: now,
  room: null,
  gauge: { name: 'luggage scale', limitN: 490, resolutionN: 0.5 },
  hands: { 'shaken-off': [], 'one-finger': [], 'one-hand': [], 'two-hands': [] },
  ratePerHour: 0,
  currency: '',
})
