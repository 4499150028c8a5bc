import type { Formula, TestKind } from './kind'
import { GRIP_MM, need, widthOf } from './sizes'

/** Glued length of a peel strip, and the free tab it is pulled by, mm. */
const BOND_MM = 100
const TAB_MM = 50
/** Depth of what is prised open from one edge, mm. */
const PRISED_MM = 25

const overWidth = <Id extends 'peel' | 'cleavage'>(id: Id): Formula<Id> => ({
  id,
  unit: 'N/mm',
  words: 'F / w',
  strength: (forceN, size) => forceN / need(size, 'widthMm', id),
})

const peel = (name: string, gloss: string, first: string): TestKind<'peel'> => ({
  name,
  gloss,
  reads: { by: 'load', formula: overWidth('peel') },
  unit: 'N/mm',
  sizes: { widthMm: 25 },
  loads: ['peel'],
  drawing: 'peel',
  how: [
    first,
    'Hook the scale to the free end and pull at a steady walk of the hand.',
    'Read the load while it peels, not the first jerk.',
  ],
  bondedMm2: (size) => widthOf(size) * BOND_MM,
  piece: (size) => ({ widthMm: widthOf(size), lengthMm: BOND_MM + TAB_MM }),
  bondLengthMm: () => BOND_MM,
  foretold: { by: 'peel', times: 1 },
})

export const tPeel = peel(
  'T-peel',
  'two flexible arms pulled apart like a T (after ISO 11339)',
  'Fold both free arms back into a T.',
)
export const peel180 = peel(
  '180° peel',
  'the flexible arm is folded right back over itself (after ISO 8510)',
  'Fix the stiff part flat, fold the arm back over it.',
)
export const peel90 = peel(
  '90° peel',
  'the flexible arm is pulled square to the stiff part (after ISO 8510)',
  'Fix the stiff part flat, pull the arm straight up.',
)

/** A block of sheets glued along one edge: as high as a small book, mm. */
const BLOCK_MM = { height: 100, width: 80, thick: 5 }
export const pagePull: TestKind<'peel'> = {
  name: 'page pull',
  gloss: 'one sheet is pulled out of a block that is glued along its edge: the load over its height',
  reads: { by: 'load', formula: overWidth('peel') },
  unit: 'N/mm',
  sizes: { widthMm: BLOCK_MM.height },
  loads: ['peel'],
  drawing: 'edge',
  how: [
    'Clamp the block with its spine down, one middle sheet standing free.',
    'Grip that sheet along its whole height in a clip; pull straight up.',
    'Read the peak when it comes out, or tears: then it says “at least”.',
  ],
  bondedMm2: (size) => widthOf(size) * BLOCK_MM.thick,
  piece: (size) => ({ widthMm: widthOf(size), lengthMm: BLOCK_MM.width }),
  bondLengthMm: () => BLOCK_MM.thick,
  foretold: { by: 'peel', times: 1 },
  tools: ['bulldog clip as wide as the sheet is high'],
}

export const cleavage: TestKind<'cleavage'> = {
  name: 'cleavage',
  gloss: 'stiff parts prised open from one edge',
  reads: { by: 'load', formula: overWidth('cleavage') },
  unit: 'N/mm',
  sizes: { widthMm: 25 },
  loads: ['cleavage'],
  drawing: 'edge',
  how: [
    'Hook the scale at one edge, hold the other part down.',
    'Pull square to the faces, slowly.',
    'Read the peak when it springs open.',
  ],
  bondedMm2: (size) => widthOf(size) * PRISED_MM,
  piece: (size) => ({ widthMm: widthOf(size), lengthMm: PRISED_MM + GRIP_MM / 2 }),
  bondLengthMm: () => PRISED_MM,
  // Stiff parts pulled at one edge of a line d deep: the tension there is four times the mean, so F/w = σ · d/4.
  foretold: { by: 'bond', times: PRISED_MM / 4 },
}
