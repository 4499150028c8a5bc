import type { TestKind } from './kind'
import { GRIP_MM, need, widthOf } from './sizes'

/** Thickness of the usual sheet, mm: of a coupon whose own is not said. */
const SHEET_MM = 5
/** Seam of a coupon that is slid along it, mm. */
const SEAM_MM = 25
const thick = (thicknessMm: number | null | undefined) => thicknessMm ?? SHEET_MM
const seam = (overlapMm: number | null | undefined) => overlapMm ?? SEAM_MM

export const edgePull: TestKind<'edge-pull'> = {
  name: 'edge pull',
  gloss: 'two strips glued end to end on their edges, pulled straight apart',
  reads: {
    by: 'load',
    formula: {
      id: 'edge-pull',
      unit: 'MPa',
      words: 'σ = F / (w · t)',
      strength: (forceN, size) =>
        forceN / (need(size, 'widthMm', 'an edge pull') * need(size, 'thicknessMm', 'an edge pull')),
    },
  },
  unit: 'MPa',
  sizes: { widthMm: 25, thicknessMm: SHEET_MM },
  loads: ['tension'],
  drawing: 'edge',
  how: [
    'Clip both strips over their whole width, the joint between.',
    'Pull in line with the strips, slowly.',
    'Read the peak; keep both pieces.',
  ],
  bondedMm2: (size) => widthOf(size) * thick(size.thicknessMm),
  piece: (size) => ({ widthMm: widthOf(size), lengthMm: GRIP_MM + 20 }),
  bondLengthMm: () => 0,
  foretold: { by: 'bond', times: 1 },
}

export const edgeShear: TestKind<'edge-shear'> = {
  name: 'edge shear',
  gloss: 'two strips glued edge to edge, side by side, and slid along the seam',
  reads: {
    by: 'load',
    formula: {
      id: 'edge-shear',
      unit: 'MPa',
      words: 'τ = F / (t · L)',
      strength: (forceN, size) =>
        forceN / (need(size, 'thicknessMm', 'an edge shear') * need(size, 'overlapMm', 'an edge shear', 'The seam')),
    },
  },
  unit: 'MPa',
  sizes: { thicknessMm: SHEET_MM, overlapMm: SEAM_MM },
  loads: ['shear'],
  drawing: 'edge',
  how: [
    'Fix one strip flat, the seam in line with the pull.',
    'Hook the other one close to the seam; pull along it, slowly.',
    'Read the peak; keep both pieces.',
  ],
  bondedMm2: (size) => seam(size.overlapMm) * thick(size.thicknessMm),
  piece: (size) => ({ widthMm: seam(size.overlapMm), lengthMm: GRIP_MM }),
  bondLengthMm: () => 0,
  foretold: { by: 'bond', times: 1 },
  endsCarry: true,
}
