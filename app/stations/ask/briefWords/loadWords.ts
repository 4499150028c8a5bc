import { loadModes, loadWords, motions } from '../../../../core/knowledge/vocabulary'
import { motionWords } from '../../../../core/knowledge/vocabularyWords'
import type { BriefWord } from '../../../../core/records/briefWords'
import type { Choice } from '../words/ChoiceList.vue'
import { c, mm, type LineWord } from './wordDef'

const loadChoices: Choice[] = loadModes.map((value) => ({ value, ...loadWords[value] }))

/** Words of the load. */
export const wordsOfLoad = {
  loads: {
    line: 'load',
    kind: 'many',
    label: 'How it is loaded',
    ask: 'loaded how?',
    what: 'loads',
    none: 'not loaded',
    choices: loadChoices,
    open: { word: 'The load', find: 'Pull at it by hand the way it will be pulled.' },
  },
  weightKg: {
    line: 'load',
    kind: 'number',
    label: 'Weight it carries',
    ask: 'what weight?',
    what: 'weight',
    dimension: 'mass',
    unit: 'kg',
    least: 0,
    hint: 'All that hangs on it, weighed on a kitchen scale.',
    open: { word: 'The weight', find: 'Weigh the part on a kitchen scale.' },
  },
  share: {
    line: 'load',
    kind: 'number',
    label: 'Share of the weight on one joint',
    ask: 'what share each?',
    what: 'share',
    dimension: null,
    unit: '',
    least: 0.001,
    most: 1,
    show: (v) => (v === 1 ? 'all of it on one' : `${+(v * 100).toPrecision(3)} % on one`),
    presets: [
      c('1', 'all of it'),
      c('0.5', 'half', 'two joints share it'),
      c('0.25', 'a quarter'),
      c('0.1', 'a tenth'),
    ],
  },
  motion: {
    line: 'load',
    kind: 'one',
    label: 'How it moves',
    ask: 'moving how?',
    what: 'motion',
    choices: motions.map((value) => c(value, motionWords[value])),
  },
  leverMm: {
    line: 'load',
    kind: 'number',
    label: 'Lever',
    ask: 'how far out?',
    what: 'lever',
    dimension: 'length',
    unit: 'mm',
    least: 0.1,
    hint: 'From the joint to the middle of the weight.',
    show: (v) => `${mm(v)} away from the joint`,
  },
  flexDeg: {
    line: 'load',
    kind: 'number',
    label: 'Angle it is flexed to',
    ask: 'bent how far?',
    what: 'flex angle',
    dimension: 'angle',
    unit: '°',
    least: 1,
    most: 360,
    presets: [c('20', '20°', 'a gentle sway'), c('60', '60°', 'a knee walking'), c('180', '180°', 'folded flat')],
  },
  bendRadiusMm: {
    line: 'load',
    kind: 'number',
    label: 'Tightest radius',
    ask: 'to what radius?',
    what: 'radius',
    dimension: 'length',
    unit: 'mm',
    least: 0.1,
    show: (v) => `a radius of ${mm(v)}`,
  },
} satisfies Partial<Record<BriefWord, LineWord>>
