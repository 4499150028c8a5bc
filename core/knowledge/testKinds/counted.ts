import { bendStrain } from './bendStrain'
import type { TestKind } from './kind'
import { GRIP_MM, overlapOf, widthOf } from './sizes'

const FLEXED = { widthMm: 25, lengthMm: 80 }
/** Depth of what is glued on a drop coupon, mm. */
const DROPPED_MM = 25
/** The widest mandrel at hand, a large jar: what cracks before it was bent to less than this. */
const WIDEST_MANDREL_MM = 100
const flexed = {
  sizes: {},
  loads: ['flex'],
  drawing: 'patch',
  bondedMm2: () => FLEXED.widthMm * FLEXED.lengthMm,
  piece: () => FLEXED,
  bondLengthMm: () => FLEXED.lengthMm,
} satisfies Partial<TestKind>

export const bend: TestKind<never> = {
  ...flexed,
  name: 'bend to first crack',
  gloss: 'wrapped round ever smaller mandrels: the strain at the first crack',
  reads: {
    by: 'count',
    counting: {
      asks: ['Smallest radius that did no harm, mm', 'Radius that cracked it, mm'],
      least: ({ thicknessMm }) => 100 * bendStrain(thicknessMm ?? bend.sizes.thicknessMm!, WIDEST_MANDREL_MM),
      result: (radiusMm, { thicknessMm }) => 100 * bendStrain(thicknessMm ?? NaN, radiusMm),
    },
  },
  unit: '% strain',
  sizes: { thicknessMm: 5 },
  how: [
    'Wrap it round ever smaller jars or dowels.',
    'Look with a light at the glue line each time.',
    'Give the last radius that did no harm and the one that cracked it.',
  ],
  tools: ['jars or dowels of known radius'],
}
export const flex: TestKind<never> = {
  ...flexed,
  name: 'repeated flex',
  gloss: 'bent to the same angle again and again until the first crack',
  reads: { by: 'count', counting: { asks: ['Cycles without a crack', 'First crack at'], least: () => 1 } },
  unit: 'cycles',
  how: [
    'Bend to the same angle against a stop, both ways.',
    'Count; look every ten.',
    'Give the count at the first crack.',
  ],
}
export const layFlat: TestKind<never> = {
  name: 'lay-flat angle',
  gloss: 'a block of sheets is opened in its middle: the angle at which it lies, and at which its spine cracks',
  reads: {
    by: 'count',
    counting: {
      asks: ['Lies open at this angle unharmed, °', 'Its spine cracks at, °'],
      least: () => 1,
      end: 180,
      more: { further: 'opens further', furthest: 'opens furthest' },
    },
  },
  unit: '°',
  sizes: {},
  loads: [],
  drawing: 'edge',
  how: [
    'Open the block in its middle on the table and let go.',
    'Read the angle with a set square, 180° lies flat; then press it flat.',
    'Open and close it ten times and look along the spine for cracks.',
  ],
  bondedMm2: () => 100 * 5,
  piece: () => ({ widthMm: 100, lengthMm: 80 }),
  bondLengthMm: () => 5,
}
export const drop: TestKind<never> = {
  name: 'drop',
  gloss: 'dropped from one height until something lets go: how many it survived',
  reads: { by: 'count', counting: { asks: ['Drops it survived', 'Broke at drop'], least: () => 1 } },
  unit: 'drops',
  sizes: {},
  loads: ['impact'],
  drawing: 'edge',
  how: [
    'Drop from the same height on the same floor.',
    'Turn it the same way each time.',
    'Give the number it survived.',
  ],
  bondedMm2: (size) => widthOf(size) * DROPPED_MM,
  piece: (size) => ({ widthMm: widthOf(size), lengthMm: DROPPED_MM + GRIP_MM / 2 }),
  bondLengthMm: () => DROPPED_MM,
}
export const proof: TestKind<never> = {
  name: 'proof load',
  gloss: 'the required load times a factor, held for a time: it passes or not',
  reads: {
    by: 'count',
    counting: { asks: ['Times the load that it held', 'Let go at times the load'], least: () => 1 },
  },
  unit: '× the load',
  sizes: { widthMm: 25, overlapMm: 12 },
  loads: [],
  drawing: 'lap',
  how: [
    'Hang the required load, then twice it, then three times.',
    'Leave each for an hour; look whether it slides.',
    'Give the most that it held, and what it let go at.',
  ],
  bondedMm2: (size) => widthOf(size) * overlapOf(size),
  piece: (size) => ({ widthMm: widthOf(size), lengthMm: overlapOf(size) + GRIP_MM }),
  bondLengthMm: overlapOf,
}
