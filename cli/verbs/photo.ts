import * as z from 'zod'
import { CodedError } from '../../core/errors'
import { colourShares } from '../../core/photo/shares'
import type { Point } from '../../core/photo/picture'
import { verb } from './verb'

const point = z.tuple([z.number(), z.number()])

/** The colours of an outlined face and their shares of it. */
export const photo = verb({
  input: z.object({
    width: z.number(),
    height: z.number(),
    /** base64 of width · height · 3 bytes */
    rgb: z.string(),
    /** corners, px; left out: the whole picture */
    outline: z.array(point).nullish(),
    k: z.number(),
    seed: z.number().nullish(),
  }),
  output: z.object({
    clusters: z.array(z.object({ lab: z.tuple([z.number(), z.number(), z.number()]), share: z.number() })),
  }),
  run: ({ width, height, rgb, outline, k, seed }) => {
    if (!/^[A-Za-z0-9+/\s]*={0,2}\s*$/.test(rgb))
      throw new CodedError('wrong-shape', 'rgb', { field: 'The picture', detail: 'base64 was expected' })
    const data = new Uint8Array(Buffer.from(rgb, 'base64'))
    const whole: Point[] = [
      [0, 0],
      [width, 0],
      [width, height],
      [0, height],
    ]
    const { groups } = colourShares({ width, height, data, bytes: 3 }, outline ?? whole, k, { seed: seed ?? 1 })
    return { clusters: groups.map(({ lab, share }) => ({ lab: [...lab] as [number, number, number], share })) }
  },
})
