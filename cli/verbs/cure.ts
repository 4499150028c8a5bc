import * as z from 'zod'
import { cureAdvice } from '../../core/cure/advice'
import { cureOf, type Cure } from '../../core/cure/cure'
import { familyOf } from '../../core/knowledge/families'
import { materialClassOf } from '../../core/knowledge/materials'
import { notNegative, within } from '../../core/quantities/require'
import { verb } from './verb'

/** Seconds; null: never, or nobody knows. */
const seconds = z.number().nullable()
const finite = (n: number): number | null => (Number.isFinite(n) ? n : null)

/** The times of a glue between two faces in a room, and until the middle of a closed joint is done. */
export const cure = verb({
  input: z.object({
    adhesive: z.string(),
    a: z.string().nullish(),
    b: z.string().nullish(),
    tempC: z.number().nullish(),
    rh: z.number().nullish(),
    halfWidthMm: z.number().nullish(),
  }),
  output: z.object({
    waitMinS: seconds,
    waitMaxS: seconds,
    openS: seconds,
    holdS: seconds,
    handlingS: seconds,
    fullS: seconds,
    factor: z.number().nullable(),
    cures: z.boolean(),
    closedS: seconds,
    advice: z.array(z.string()),
  }),
  run: (input) => {
    const face = (id: string | null | undefined, path: string) => ({
      material: id == null ? null : materialClassOf(id, path),
      state: null,
    })
    const tempC = within(input.tempC ?? 20, -40, 60, 'tempC', 'The temperature of the room', '°C')
    const rh = within(input.rh ?? 50, 0, 100, 'rh', 'The humidity of the air', '%')
    const half = input.halfWidthMm ?? null
    const found = cureOf({
      family: familyOf(input.adhesive, 'adhesive'),
      faces: [face(input.a, 'a'), face(input.b, 'b')],
      room: { tempC, rh },
      halfWidthMm: half === null ? null : notNegative(half, 'halfWidthMm', 'The depth of the joint', 'the cure'),
    })
    return { ...timesOf(found), cures: found.cures, advice: cureAdvice(found) }
  },
})

function timesOf(found: Cure) {
  const { waitMinS, waitMaxS, openS, holdS, handlingS, fullS, factor, closedS } = found
  return {
    waitMinS: finite(waitMinS),
    waitMaxS: finite(waitMaxS),
    openS: finite(openS),
    holdS: finite(holdS),
    handlingS: finite(handlingS),
    fullS: finite(fullS),
    factor: finite(factor),
    closedS: closedS === null ? null : finite(closedS),
  }
}
