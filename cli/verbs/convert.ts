import * as z from 'zod'
import { loadN, ways } from '../../core/readings/load'
import { forceTests } from '../../core/knowledge/testKinds'
import { strength, unitOf } from '../../core/readings/strength'
import { verb } from './verb'

const optional = z.number().nullish()

/** One reading in any way and unit → load at the joint and strength. */
export const convert = verb({
  input: z.object({
    test: z.enum(forceTests),
    way: z.enum(ways),
    value: z.number(),
    unit: z.string(),
    tareKg: optional,
    armLoadMm: optional,
    armJointMm: optional,
    beamKg: optional,
    beamArmMm: optional,
    widthMm: optional,
    overlapMm: optional,
    areaMm2: optional,
    thicknessMm: optional,
    diameterMm: optional,
    innerDiameterMm: optional,
    armMm: optional,
    spanMm: optional,
  }),
  output: z.object({ forceN: z.number(), result: z.number(), unit: z.enum(['MPa', 'N/mm']) }),
  run(input) {
    const forceN = loadN(input)
    return { forceN, result: strength(input.test, forceN, input), unit: unitOf(input.test) }
  },
})
