import type { LoadMode } from '../knowledge/vocabulary'
import type { CouponSize, ForceTest } from './strength'

/** What a coupon can be put through. Force tests carry the contract id of their formula. */
export const testIds = [
  'lap-shear',
  'tension',
  't-peel',
  'peel-180',
  'peel-90',
  'cleavage',
  'torsion-round',
  'torsion-ring',
  'torsion-rect',
  'snap-rect',
  'snap-round',
  'bend',
  'flex',
  'drop',
  'proof',
  'spot',
  'work',
  'looks',
] as const
export type TestId = (typeof testIds)[number]

export type SizeKey = keyof CouponSize
export interface TestKind {
  name: string
  /** the standard term's one-line gloss */
  gloss: string
  /** the formula behind it; null where what is counted is the result itself */
  force: ForceTest | null
  unit: string
  /** sizes that must be known to turn a load into a strength, with a usual value, mm (area mm²) */
  sizes: Partial<Record<SizeKey, number>>
  loads: LoadMode[]
  /** seam drawing that shows it */
  drawing: 'lap' | 'edge' | 'peel' | 'rod' | 'patch' | 'point' | 'faces'
  /** how it is done at a kitchen table, in three lines */
  how: [string, string, string]
}

const peel = (name: string, gloss: string, first: string): TestKind => ({
  name,
  gloss,
  force: 'peel',
  unit: 'N/mm',
  sizes: { widthMm: 25 },
  loads: ['peel'],
  drawing: 'peel',
  how: [
    first,
    'Hook the scale to the free end and pull at a steady walk of the hand.',
    'Read the load while it peels, not the first jerk.',
  ],
})

export const testKinds: Record<TestId, TestKind> = {
  'lap-shear': {
    name: 'lap shear',
    gloss: 'two strips overlap and are pulled along the glue line (after ISO 4587)',
    force: 'lap-shear',
    unit: 'MPa',
    sizes: { widthMm: 25, overlapMm: 12 },
    loads: ['shear'],
    drawing: 'lap',
    how: [
      'Hook the scale in the hole, the other end in a vice.',
      'Pull in line with the strips, slowly: five seconds to the break.',
      'Read the peak; keep both pieces.',
    ],
  },
  tension: {
    name: 'straight pull',
    gloss: 'pulled square to the glue line (after ISO 6922)',
    force: 'tension',
    unit: 'MPa',
    sizes: { areaMm2: 400 },
    loads: ['tension'],
    drawing: 'edge',
    how: [
      'Back soft parts with scrap board so that they pull flat.',
      'Pull square to the glue line, slowly.',
      'Read the peak; keep both pieces.',
    ],
  },
  't-peel': peel(
    'T-peel',
    'two flexible arms pulled apart like a T (after ISO 11339)',
    'Fold both free arms back into a T.',
  ),
  'peel-180': peel(
    '180° peel',
    'the flexible arm is folded right back over itself (after ISO 8510)',
    'Fix the stiff part flat, fold the arm back over it.',
  ),
  'peel-90': peel(
    '90° peel',
    'the flexible arm is pulled square to the stiff part (after ISO 8510)',
    'Fix the stiff part flat, pull the arm straight up.',
  ),
  cleavage: {
    name: 'cleavage',
    gloss: 'stiff parts prised open from one edge',
    force: 'cleavage',
    unit: 'N/mm',
    sizes: { widthMm: 25 },
    loads: ['cleavage'],
    drawing: 'edge',
    how: [
      'Hook the scale at one edge, hold the other part down.',
      'Pull square to the faces, slowly.',
      'Read the peak when it springs open.',
    ],
  },
  'torsion-round': {
    name: 'twist, round',
    gloss: 'a round joint turned about its axis',
    force: 'torsion-round',
    unit: 'MPa',
    sizes: { diameterMm: 10, armMm: 50 },
    loads: ['torsion'],
    drawing: 'rod',
    how: [
      'Clamp one part, fix a bar across the other.',
      'Pull the bar at its arm, square to it.',
      'Read the peak; measure the arm.',
    ],
  },
  'torsion-ring': {
    name: 'twist, ring',
    gloss: 'a ring-shaped joint turned about its axis',
    force: 'torsion-ring',
    unit: 'MPa',
    sizes: { diameterMm: 20, innerDiameterMm: 14, armMm: 50 },
    loads: ['torsion'],
    drawing: 'rod',
    how: [
      'Clamp one part, fix a bar across the other.',
      'Pull the bar at its arm, square to it.',
      'Read the peak; measure the arm.',
    ],
  },
  'torsion-rect': {
    name: 'twist, rectangle',
    gloss: 'a rectangular joint turned about its axis',
    force: 'torsion-rect',
    unit: 'MPa',
    sizes: { widthMm: 20, thicknessMm: 5, armMm: 50 },
    loads: ['torsion'],
    drawing: 'edge',
    how: [
      'Clamp one part, fix a bar across the other.',
      'Pull the bar at its arm, square to it.',
      'Read the peak; measure the arm.',
    ],
  },
  'snap-rect': {
    name: 'snap',
    gloss: 'an edge joint bent until it breaks: load at mid-span, or at the end of a cantilever',
    force: 'snap-rect',
    unit: 'MPa',
    sizes: { widthMm: 20, thicknessMm: 5, spanMm: 80 },
    loads: ['bend'],
    drawing: 'edge',
    how: [
      'Lay it on two supports, the joint in the middle.',
      'Hang the load at the joint, slowly more.',
      'Read the load at which it snaps.',
    ],
  },
  'snap-round': {
    name: 'snap, round',
    gloss: 'a round edge joint bent until it breaks',
    force: 'snap-round',
    unit: 'MPa',
    sizes: { diameterMm: 8, spanMm: 80 },
    loads: ['bend'],
    drawing: 'rod',
    how: [
      'Lay it on two supports, the joint in the middle.',
      'Hang the load at the joint, slowly more.',
      'Read the load at which it snaps.',
    ],
  },
  bend: {
    name: 'bend to first crack',
    gloss: 'wrapped round ever smaller mandrels: the strain at the first crack',
    force: null,
    unit: '% strain',
    sizes: { thicknessMm: 5 },
    loads: ['flex'],
    drawing: 'patch',
    how: [
      'Wrap it round ever smaller jars or dowels.',
      'Look with a light at the glue line each time.',
      'Give the last radius that did no harm and the one that cracked it.',
    ],
  },
  flex: {
    name: 'repeated flex',
    gloss: 'bent to the same angle again and again until the first crack',
    force: null,
    unit: 'cycles',
    sizes: {},
    loads: ['flex'],
    drawing: 'patch',
    how: [
      'Bend to the same angle against a stop, both ways.',
      'Count; look every ten.',
      'Give the count at the first crack.',
    ],
  },
  drop: {
    name: 'drop',
    gloss: 'dropped from one height until something lets go: how many it survived',
    force: null,
    unit: 'drops',
    sizes: {},
    loads: ['impact'],
    drawing: 'edge',
    how: [
      'Drop from the same height on the same floor.',
      'Turn it the same way each time.',
      'Give the number it survived.',
    ],
  },
  proof: {
    name: 'proof load',
    gloss: 'the required load times a factor, held for a time: it passes or not',
    force: null,
    unit: '× the load',
    sizes: { widthMm: 25, overlapMm: 12 },
    loads: [],
    drawing: 'lap',
    how: [
      'Hang the required load, then twice it, then three times.',
      'Leave each for an hour; look whether it slides.',
      'Give the most that it held, and what it let go at.',
    ],
  },
  spot: {
    name: 'does it harm?',
    gloss: 'a spot of glue on scrap, looked at after minutes, an hour, a day and a week',
    force: null,
    unit: 'grade',
    sizes: {},
    loads: [],
    drawing: 'point',
    how: [
      'Put one drop on a scrap of each side.',
      'Look after ten minutes, an hour, a day, a week; good light, from the side.',
      'Grade what you see; take a photo beside a ruler.',
    ],
  },
  work: {
    name: 'work after curing',
    gloss: 'carved, sanded, cut with the hot wire, painted or washed after its full cure',
    force: null,
    unit: 'grade',
    sizes: {},
    loads: [],
    drawing: 'faces',
    how: [
      'Work across the line as the real part will be worked.',
      'The same tool, the same hand, all pieces in one go.',
      'Grade how it went: bad, so-so, good. Mask on for dust.',
    ],
  },
  looks: {
    name: 'looks',
    gloss: 'clear, thin, without squeeze-out and without voids when it is opened',
    force: null,
    unit: 'grade',
    sizes: {},
    loads: [],
    drawing: 'faces',
    how: [
      'Look at arm’s length in the real light.',
      'Then pull it open: is the whole face wetted?',
      'Grade what you see.',
    ],
  },
}

/** Whether each side bends; null where its material is open. */
export interface Sides {
  aBends: boolean | null
  bBends: boolean | null
}

/**
 * The peel that two sides allow, the usual one first: two arms that bend, one on a stiff part, or none, which is prised
 * open.
 */
function peels({ aBends, bBends }: Sides): TestId[] {
  if (aBends === false && bBends === false) return ['cleavage']
  if (aBends === false || bBends === false) return ['peel-90', 'peel-180']
  return ['t-peel', 'peel-180', 'peel-90']
}

/** Tests that answer a load of the brief on these sides, the usual one first; lap shear when nothing is known. */
export function testsFor(loads: readonly LoadMode[], sides: Sides = { aBends: null, bBends: null }): TestId[] {
  const fitting = loads.flatMap((load) =>
    load === 'peel' ? peels(sides) : testIds.filter((id) => testKinds[id].loads.includes(load)),
  )
  return fitting.length ? [...new Set(fitting)] : ['lap-shear']
}
