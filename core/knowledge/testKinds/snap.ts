import { CodedError } from '../../errors'
import type { CouponSize, TestKind } from './kind'
import { disc, need, widthOf } from './sizes'

/** Load at mid-span of two supports, or at the end of a cantilever. */
function bendingMomentNmm(size: CouponSize, forceN: number): number {
  if (size.spanMm != null) return (forceN * need(size, 'spanMm', 'a snap at mid-span')) / 4
  if (size.armMm != null) return forceN * need(size, 'armMm', 'a snap as a cantilever')
  throw new CodedError('missing', 'spanMm', {
    field: 'The span between supports, or the arm of a cantilever,',
    purpose: 'a snap test',
  })
}

const rest = {
  unit: 'MPa',
  loads: ['bend'],
  how: [
    'Lay it on two supports, the joint in the middle.',
    'Hang the load at the joint, slowly more.',
    'Read the load at which it snaps.',
  ],
  bondLengthMm: () => 0,
  foretold: { by: 'bond', times: 1 },
} satisfies Partial<TestKind>
const lengthMm = (size: CouponSize) => (size.spanMm ?? 80) / 2 + 10

export const snapRect: TestKind<'snap-rect'> = {
  ...rest,
  name: 'snap',
  gloss: 'an edge joint bent until it breaks: load at mid-span, or at the end of a cantilever',
  reads: {
    by: 'load',
    formula: {
      id: 'snap-rect',
      unit: 'MPa',
      words: 'σ = 6 · M / (w · t²), M = F · span / 4 or F · arm',
      strength: (forceN, size) =>
        (6 * bendingMomentNmm(size, forceN)) /
        (need(size, 'widthMm', 'a snapped rectangle') * need(size, 'thicknessMm', 'a snapped rectangle') ** 2),
    },
  },
  sizes: { widthMm: 20, thicknessMm: 5, spanMm: 80 },
  drawing: 'edge',
  bondedMm2: (size) => widthOf(size, 20) * (size.thicknessMm ?? 5),
  piece: (size) => ({ widthMm: widthOf(size, 20), lengthMm: lengthMm(size) }),
}
export const snapRound: TestKind<'snap-round'> = {
  ...rest,
  name: 'snap, round',
  gloss: 'a round edge joint bent until it breaks',
  reads: {
    by: 'load',
    formula: {
      id: 'snap-round',
      unit: 'MPa',
      words: 'σ = 32 · M / (π · d³), M = F · span / 4 or F · arm',
      strength: (forceN, size) =>
        (32 * bendingMomentNmm(size, forceN)) / (Math.PI * need(size, 'diameterMm', 'a snapped round') ** 3),
    },
  },
  sizes: { diameterMm: 8, spanMm: 80 },
  drawing: 'rod',
  bondedMm2: (size) => disc(size.diameterMm ?? 10),
  piece: (size) => ({ widthMm: size.diameterMm ?? 10, lengthMm: lengthMm(size) }),
}
