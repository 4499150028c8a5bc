import * as z from 'zod/mini'

/** What a label declares, as it is kept. */
export const labelFactsSchema = z.partial(
  z.object({
    foamSafe: z.boolean(),
    hotWire: z.boolean(),
    neutral: z.boolean(),
    flexible: z.boolean(),
    clear: z.boolean(),
    lightfast: z.boolean(),
    washable: z.boolean(),
    comesOffWater: z.boolean(),
    healthWarning: z.boolean(),
    animalFree: z.boolean(),
  }),
)
export type LabelFacts = z.infer<typeof labelFactsSchema>
