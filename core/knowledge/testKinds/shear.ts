import type { TestKind } from './kind'
import { GRIP_MM, need, overlapOf, widthOf } from './sizes'

export const lapShear: TestKind<'lap-shear'> = {
  name: 'lap shear',
  gloss: 'two strips overlap and are pulled along the glue line (after ISO 4587)',
  reads: {
    by: 'load',
    formula: {
      id: 'lap-shear',
      unit: 'MPa',
      words: 'τ = F / (w · L)',
      strength: (forceN, size) => forceN / (need(size, 'widthMm', 'lap shear') * need(size, 'overlapMm', 'lap shear')),
    },
  },
  unit: 'MPa',
  sizes: { widthMm: 25, overlapMm: 12 },
  loads: ['shear'],
  drawing: 'lap',
  how: [
    'Hook the scale in the hole, the other end in a vice.',
    'Pull in line with the strips, slowly: five seconds to the break.',
    'Read the peak; keep both pieces.',
  ],
  bondedMm2: (size) => widthOf(size) * overlapOf(size),
  piece: (size) => ({ widthMm: widthOf(size), lengthMm: overlapOf(size) + GRIP_MM }),
  bondLengthMm: overlapOf,
  foretold: { by: 'bond', times: 1 },
  endsCarry: true,
}
