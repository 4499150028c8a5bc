import * as z from 'zod/mini'

/** One way to take a family's joints apart again. General practice; the label and the safety data sheet come first. */
export const undoWaySchema = z.strictObject({
  by: z.enum(['cold', 'heat', 'water', 'solvent', 'peel', 'cut', 'none']),
  /** °C at which it lets go */
  atC: z.optional(z.number()),
  /** class of solvent, as in a material's sensitiveTo */
  solvent: z.optional(z.enum(['ketone', 'aromatic', 'alcohol', 'hydrocarbon'])),
  /** takes force as well, which tears what is not hard */
  prise: z.optional(z.boolean()),
  /** peels off without pulling fibres */
  gentle: z.optional(z.boolean()),
  /** how it is done */
  how: z.string().check(z.minLength(1)),
  /** what it may do beside that */
  sideEffect: z.string().check(z.minLength(1)),
})
export type UndoWay = z.infer<typeof undoWaySchema>
