import type { CouponSize, TestKind } from './kind'
import { disc, need } from './sizes'

const areaOf = (size: CouponSize) => size.areaMm2 ?? 400

/** The bonded area as given, or width × overlap, or the round spot of a diameter, mm². */
function bondedAreaMm2(size: CouponSize): number {
  if (size.areaMm2 == null && size.widthMm != null && size.overlapMm != null)
    return need(size, 'widthMm', 'the area') * need(size, 'overlapMm', 'the area', 'The length')
  if (size.areaMm2 == null && size.diameterMm != null) return disc(need(size, 'diameterMm', 'the area'))
  return need(size, 'areaMm2', 'a straight pull')
}

export const tension: TestKind<'tension'> = {
  name: 'straight pull',
  gloss: 'pulled square to the glue line (after ISO 6922)',
  reads: {
    by: 'load',
    formula: {
      id: 'tension',
      unit: 'MPa',
      words: 'σ = F / A',
      strength: (forceN, size) => forceN / bondedAreaMm2(size),
    },
  },
  unit: 'MPa',
  sizes: { areaMm2: 400 },
  loads: ['tension'],
  drawing: 'edge',
  how: [
    'Back soft parts with scrap board so that they pull flat.',
    'Pull square to the glue line, slowly.',
    'Read the peak; keep both pieces.',
  ],
  bondedMm2: areaOf,
  piece: (size) => {
    const side = Math.max(20, Math.ceil(Math.sqrt(areaOf(size))))
    return { widthMm: side, lengthMm: side }
  },
  bondLengthMm: (size) => Math.sqrt(areaOf(size)),
  spot: true,
  foretold: { by: 'bond', times: 1 },
}
