import type { TestKind } from './kind'

/** A swatch with trims in rows. mm */
const SWATCH = { widthMm: 120, lengthMm: 120 }
/** Trims on a swatch and the glue under one of them, mm². */
const TRIMS = 40
const TRIM_MM2 = 30

export const trims: TestKind<never> = {
  name: 'trims kept',
  gloss: 'many small things glued on one swatch, counted before and after: how many are lost',
  reads: { by: 'losses' },
  unit: 'lost',
  sizes: {},
  loads: [],
  drawing: 'point',
  how: [
    'Glue a known number in rows on one swatch, forty say.',
    'Count them, wash or wear it as the real piece will be, let it dry, and count again.',
    'Look at the lost ones: glue left on the cloth, on the trim, or on neither.',
  ],
  bondedMm2: () => TRIMS * TRIM_MM2,
  piece: () => SWATCH,
  bondLengthMm: () => 0,
}
