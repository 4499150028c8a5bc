import { geometries, geometryWords } from '../../../../core/knowledge/vocabulary'
import type { Brief } from '../../../../core/records/joint'
import type { Choice } from '../words/ChoiceList.vue'
import { c, mm, type WordDef } from './wordDef'

const geometryChoices: Choice[] = geometries.map((value) => ({ value, ...geometryWords[value] }))

/** Words of the parts: shape, size, fit. */
export const partsWords = {
  geometry: {
    kind: 'one',
    label: 'Shape of the joint',
    ask: 'what shape?',
    what: 'shape',
    choices: geometryChoices,
    open: { word: 'The shape', find: 'Do the parts overlap, or meet edge to edge?' },
  },
  widthMm: {
    kind: 'number',
    label: 'Width of the glued face',
    ask: 'how wide?',
    what: 'width',
    dimension: 'length',
    unit: 'mm',
    least: 0.1,
    open: { word: 'The size', find: 'Measure the glued face, across and along.' },
  },
  lengthMm: {
    kind: 'number',
    label: 'Length of the glued face, along the pull',
    ask: 'how long?',
    what: 'length',
    dimension: 'length',
    unit: 'mm',
    least: 0.1,
  },
  edgeMm: {
    kind: 'number',
    label: 'Deepest point to an open edge',
    ask: 'how deep inside?',
    what: 'distance to the rim',
    dimension: 'length',
    unit: 'mm',
    least: 0.1,
    hint: 'How far the middle lies from where air can reach. Left open it is half of the smaller side.',
    show: (v) => `at most ${mm(v)} from the rim`,
  },
  count: {
    kind: 'number',
    label: 'How many such joints',
    ask: 'how many?',
    what: 'number of joints',
    dimension: null,
    unit: '',
    least: 1,
    most: 100_000,
    whole: true,
    show: (n) => `${n} of them`,
  },
  fit: {
    kind: 'one',
    label: 'Fit',
    ask: 'do they touch?',
    what: 'fit',
    choices: [c('close', 'touch all over'), c('rough', 'touch only here and there', 'hold the dry joint to a light')],
    open: { word: 'The fit', find: 'Hold the dry joint to a light.' },
  },
  gapMm: {
    kind: 'number',
    label: 'Gap',
    ask: 'some gap?',
    what: 'gap',
    dimension: 'length',
    unit: 'mm',
    least: 0,
    show: (v) => (v === 0 ? 'no gap' : `${v} mm of gap`),
    presets: [
      c('0', 'none: the faces touch'),
      c('0.2', '0.2 mm', 'two sheets of paper'),
      c('0.5', '0.5 mm', 'a visiting card'),
      c('1', '1 mm', 'a bank card'),
      c('3', '3 mm'),
    ],
    open: { word: 'The gap', find: 'Lay the parts together and slide a card in: does it go?' },
  },
  curveMm: {
    kind: 'number',
    label: 'Curve',
    ask: 'flat or curved?',
    what: 'curve',
    dimension: 'length',
    unit: 'mm',
    least: 1,
    show: (v) => (v >= 1e5 ? 'flat' : `curved to a radius of ${mm(v)}`),
    presets: [
      c('100000', 'flat'),
      c('300', '300 mm', 'a large pot'),
      c('60', '60 mm', 'a mug'),
      c('15', '15 mm', 'a broom stick'),
    ],
  },
} satisfies Partial<Record<keyof Brief, WordDef>>
