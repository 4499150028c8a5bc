import type { TestKind } from './kind'
import { widthOf } from './sizes'

const late = [
  { hours: 0.2, word: 'after minutes' },
  { hours: 1, word: 'after an hour' },
  { hours: 24, word: 'after a day' },
  { hours: 168, word: 'after a week' },
]
const item = (id: string, word: string) => ({ id, word })
const rest = { unit: 'grade', sizes: {}, loads: [], bondLengthMm: () => 0 } satisfies Partial<TestKind>
/** A drop of glue, spread by itself. mm² */
const SPOT_MM2 = 100

export const spot: TestKind<never> = {
  ...rest,
  name: 'does it harm?',
  gloss: 'a spot of glue on scrap, looked at after minutes, an hour, a day and a week',
  reads: {
    by: 'grades',
    grading: {
      what: [
        item('melt', 'melts or dents'),
        item('cloud', 'clouds or crazes'),
        item('stain', 'stains'),
        item('bleed', 'bleeds through'),
        item('cockle', 'cockles'),
        item('paint', 'lifts paint'),
      ],
      steps: ['plainly', 'a trace', 'not at all'],
      looks: late,
    },
  },
  drawing: 'point',
  how: [
    'Put one drop on a scrap of each side.',
    'Look after ten minutes, an hour, a day, a week; good light, from the side.',
    'Grade what you see; take a photo beside a ruler.',
  ],
  bondedMm2: () => SPOT_MM2,
  piece: () => ({ widthMm: 40, lengthMm: 40 }),
}
export const work: TestKind<never> = {
  ...rest,
  name: 'work after curing',
  gloss: 'carved, sanded, cut with the hot wire, painted or washed after its full cure',
  reads: {
    by: 'grades',
    grading: {
      what: [
        item('carve', 'carve'),
        item('sand', 'sand'),
        item('hot-wire', 'hot wire'),
        item('paint', 'paint'),
        item('wash', 'wash'),
      ],
      steps: ['bad', 'so-so', 'good'],
      some: true,
      looks: [],
    },
  },
  drawing: 'faces',
  how: [
    'Work across the line as the real part will be worked.',
    'The same tool, the same hand, all pieces in one go.',
    'Grade how it went: bad, so-so, good. Mask on for dust.',
  ],
  bondedMm2: () => 40 * 100,
  piece: () => ({ widthMm: 40, lengthMm: 100 }),
}
export const looks: TestKind<never> = {
  ...rest,
  name: 'looks',
  gloss: 'clear, thin, without squeeze-out and without voids when it is opened',
  reads: {
    by: 'grades',
    grading: {
      what: [
        item('clear', 'clarity'),
        item('line', 'thin line'),
        item('squeeze', 'no squeeze-out'),
        item('voids', 'no voids when opened'),
      ],
      steps: ['poor', 'fair', 'good'],
      looks: late.slice(2),
    },
  },
  drawing: 'faces',
  how: [
    'Look at arm’s length in the real light.',
    'Then pull it open: is the whole face wetted?',
    'Grade what you see.',
  ],
  bondedMm2: (size) => widthOf(size) * 25,
  piece: () => ({ widthMm: 25, lengthMm: 25 }),
}
