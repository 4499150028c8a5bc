import { faceStates, type MaterialClass } from '../../../core/knowledge/materials'
import type { Dimension } from '../../../core/quantities/units'
import {
  faceTraits,
  geometries,
  geometryWords,
  loadModes,
  loadWords,
  motions,
  motionWords,
  stakes,
  stakeWords,
  stateWords,
  traitWords,
  type FaceTrait,
} from '../../../core/knowledge/vocabulary'
import type { Brief, Side } from '../../../core/records/joint'
import { lasting } from '../../look/figures'
import type { Choice } from './words/ChoiceList.vue'

/**
 * What can stand in one place of the sentence. `ask` is shown while it is open, `label` is for those who do not see the
 * sentence.
 */
interface Said {
  label: string
  ask: string
  /** in the history: “H1: shape” */
  what: string
}
export type WordDef = Said &
  (
    | { kind: 'one'; choices: Choice[] }
    | { kind: 'many'; choices: Choice[]; none: string }
    | { kind: 'yes'; yes: string; no: string; hint?: string }
    | {
        kind: 'number'
        dimension: Dimension | null
        unit: string
        least?: number
        most?: number
        whole?: boolean
        presets?: Choice[]
        hint?: string
        /** what stands in the record × scale = what is typed, in its dimension’s own unit */ scale?: number
        show?: (value: number) => string
      }
    | { kind: 'day' }
  )

const c = (value: string, word: string, gloss?: string): Choice => ({ value, word, gloss })
const mm = (value: number) => `${+value.toPrecision(6)} mm`

const geometryChoices: Choice[] = geometries.map((value) => ({ value, ...geometryWords[value] }))
const loadChoices: Choice[] = loadModes.map((value) => ({ value, ...loadWords[value] }))
export const stateChoices: Choice[] = faceStates.map((value) => ({ value, word: stateWords[value] ?? value }))

/** Words of the whole joint, by their field in the brief. */
export const words = {
  geometry: { kind: 'one', label: 'Shape of the joint', ask: 'what shape?', what: 'shape', choices: geometryChoices },
  widthMm: {
    kind: 'number',
    label: 'Width of the glued face',
    ask: 'how wide?',
    what: 'width',
    dimension: 'length',
    unit: 'mm',
    least: 0.1,
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
  loads: {
    kind: 'many',
    label: 'How it is loaded',
    ask: 'loaded how?',
    what: 'loads',
    none: 'not loaded',
    choices: loadChoices,
  },
  weightKg: {
    kind: 'number',
    label: 'Weight it carries',
    ask: 'what weight?',
    what: 'weight',
    dimension: 'mass',
    unit: 'kg',
    least: 0,
    hint: 'All that hangs on it, weighed on a kitchen scale.',
  },
  share: {
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
    kind: 'one',
    label: 'How it moves',
    ask: 'moving how?',
    what: 'motion',
    choices: motions.map((value) => c(value, motionWords[value])),
  },
  leverMm: {
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
    kind: 'number',
    label: 'Angle it is flexed to',
    ask: 'bent how far?',
    what: 'flex angle',
    dimension: 'angle',
    unit: '°',
    least: 1,
    presets: [c('20', '20°', 'a gentle sway'), c('60', '60°', 'a knee walking'), c('180', '180°', 'folded flat')],
  },
  bendRadiusMm: {
    kind: 'number',
    label: 'Tightest radius',
    ask: 'to what radius?',
    what: 'radius',
    dimension: 'length',
    unit: 'mm',
    least: 0.1,
    show: (v) => `a radius of ${mm(v)}`,
  },
  heatC: {
    kind: 'number',
    label: 'Highest temperature',
    ask: 'what heat?',
    what: 'heat',
    dimension: 'temperature',
    unit: '°C',
    presets: [
      c('25', '25 °C', 'a warm room'),
      c('40', '40 °C', 'summer stage, worn on the body'),
      c('50', '50 °C', 'near stage lamps'),
      c('70', '70 °C', 'a parked car in the sun'),
      c('90', '90 °C', 'close to a hot lamp'),
    ],
  },
  coldC: {
    kind: 'number',
    label: 'Lowest temperature',
    ask: 'what cold?',
    what: 'cold',
    dimension: 'temperature',
    unit: '°C',
    presets: [
      c('15', '15 °C', 'always indoors'),
      c('0', '0 °C', 'an evening outdoors'),
      c('-15', '−15 °C', 'winter, an unheated van'),
    ],
  },
  water: {
    kind: 'one',
    label: 'Water',
    ask: 'rain?',
    what: 'water',
    choices: [
      c('no', 'no water'),
      c('splash', 'splashes', 'drizzle, sweat, a damp cloth'),
      c('wash', 'rain or washing'),
      c('soak', 'soaking'),
    ],
  },
  sun: { kind: 'yes', label: 'Sun', ask: 'sun?', what: 'sun', yes: 'sunlight', no: 'no sun' },
  life: {
    kind: 'one',
    label: 'How long it must last',
    ask: 'how long?',
    what: 'life',
    choices: [
      c('temporary', 'a day, then come apart'),
      c('show', 'a run of shows'),
      c('years', 'years'),
      c('archival', 'as long as paper lasts', 'albums, books, museum work'),
    ],
  },
  undo: {
    kind: 'yes',
    label: 'Comes apart again',
    ask: 'come apart again?',
    what: 'undoing',
    yes: 'come apart without harm',
    no: 'stay for good',
  },
  flex: {
    kind: 'one',
    label: 'Flexibility',
    ask: 'bend or not?',
    what: 'flexibility',
    choices: [
      c('must-flex', 'bend freely'),
      c('band', 'give a little, but not flop', 'too stiff is wrong, too floppy too'),
      c('must-be-stiff', 'stay stiff'),
    ],
  },
  look: {
    kind: 'one',
    label: 'Looks',
    ask: 'look how?',
    what: 'looks',
    choices: [
      c('hidden', 'look anyhow', 'the line is hidden'),
      c('neat', 'look neat'),
      c('clear', 'stay clear'),
      c('white', 'stay white'),
    ],
  },
  boxed: {
    kind: 'yes',
    label: 'Closed housing',
    ask: 'shut in a housing?',
    what: 'housing',
    yes: 'shut in with what may fog',
    no: 'open to the air',
    hint: 'A lamp housing, a visor, a display case: vapour settles on the clear parts inside.',
  },
  later: {
    kind: 'many',
    label: 'Later work',
    ask: 'what later work?',
    what: 'later work',
    none: 'no later work',
    choices: [
      c('paint', 'paint'),
      c('sand', 'sanding'),
      c('carve', 'carving'),
      c('hot-wire', 'a hot wire'),
      c('heat-form', 'a heat gun'),
    ],
  },
  air: {
    kind: 'one',
    label: 'Where it is glued',
    ask: 'where?',
    what: 'place',
    choices: [
      c('closed', 'indoors, no window open'),
      c('window', 'indoors, window open'),
      c('extraction', 'with extraction'),
      c('outdoors', 'outdoors'),
    ],
  },
  roomM3: {
    kind: 'number',
    label: 'Size of the room',
    ask: 'how large a room?',
    what: 'room',
    dimension: null,
    unit: 'm³',
    least: 1,
    most: 100_000,
    hint: 'Length × width × height in metres.',
    show: (v) => `a room of ${v} m³`,
    presets: [
      c('12', '12 m³', 'a bathroom'),
      c('35', '35 m³', 'a small workroom'),
      c('60', '60 m³', 'a garage'),
      c('200', '200 m³', 'a hall'),
    ],
  },
  heatNear: {
    kind: 'yes',
    label: 'Flame or hot tool in the room',
    ask: 'flame or hot tool near?',
    what: 'heat near',
    yes: 'a flame or hot tool in the room',
    no: 'no flame or hot tool near',
    hint: 'Heat gun, hot wire, hot knife, gas ring, stove, sparks.',
  },
  users: {
    kind: 'many',
    label: 'Who is there',
    ask: 'who there?',
    what: 'people',
    none: 'nobody to take special care of',
    choices: [
      c('child', 'children'),
      c('sensitised', 'someone who reacts to glue', 'asthma, a rash or a wheeze from glue, resin or nail products'),
    ],
  },
  skin: { kind: 'yes', label: 'Skin', ask: 'touches skin?', what: 'skin', yes: 'touches skin', no: 'touches no skin' },
  stakes: {
    kind: 'many',
    label: 'What hangs on it',
    ask: 'is anyone’s safety on it?',
    what: 'what hangs on it',
    none: 'holds nobody’s safety',
    choices: stakes.map((value) => ({ value, ...stakeWords[value] })),
  },
  reach: {
    kind: 'one',
    label: 'Faces that can be coated',
    ask: 'reach both faces?',
    what: 'reach',
    choices: [c('both', 'coat both faces'), c('one', 'coat only one face')],
  },
  canClamp: {
    kind: 'yes',
    label: 'Clamping',
    ask: 'clamp it?',
    what: 'clamping',
    yes: 'clamp or weigh it down',
    no: 'not clamp it',
  },
  inShell: {
    kind: 'yes',
    label: 'Inside a shell',
    ask: 'inside a shell?',
    what: 'shell',
    yes: 'inside a closed shell',
    no: 'in the open',
  },
  repositionS: {
    kind: 'number',
    label: 'Time to line it up',
    ask: 'time to line it up?',
    what: 'time to line up',
    dimension: 'time',
    unit: 's',
    least: 0,
    show: (v) =>
      v === 0
        ? 'no time to line it up'
        : v < 120
          ? `${v} s to line it up`
          : `${+(v / 60).toPrecision(3)} min to line it up`,
    presets: [c('0', 'none: it is closed once'), c('20', '20 s'), c('60', 'a minute'), c('300', '5 min')],
  },
  perEvening: {
    kind: 'number',
    label: 'Joints in an evening',
    ask: 'how many an evening?',
    what: 'pace',
    dimension: null,
    unit: '',
    least: 1,
    most: 1000,
    whole: true,
    show: (n) => `${n} in an evening`,
  },
  handledBy: { kind: 'day', label: 'Can be handled by', ask: 'which day?', what: 'handling by' },
  inServiceBy: { kind: 'day', label: 'In service by', ask: 'when?', what: 'in service by' },
  readyH: {
    kind: 'number',
    label: 'Time from gluing to full load',
    ask: 'how soon after gluing?',
    what: 'time to cure',
    dimension: 'time',
    unit: 'h',
    least: 0.01,
    scale: 3600,
    show: (s) => `carries its load ${lasting(s)} after gluing`,
    presets: [
      c('3600', 'an hour', 'the same session'),
      c('43200', 'overnight'),
      c('172800', 'two days'),
      c('604800', 'a week'),
    ],
  },
  maxCost: {
    kind: 'number',
    label: 'Money for one joint',
    ask: 'what money?',
    what: 'money',
    dimension: null,
    unit: '',
    least: 0,
  },
} satisfies Partial<Record<keyof Brief, WordDef>>
export type BriefWordKey = keyof typeof words

/** Words of one side, by their field; A and B stand in the label. */
export const sideWords = (side: 'A' | 'B', material: MaterialClass | null) =>
  ({
    thicknessMm: {
      kind: 'number',
      label: `Thickness of side ${side}`,
      ask: 'how thick?',
      what: 'thickness',
      dimension: 'length',
      unit: 'mm',
      least: 0.01,
    },
    state: { kind: 'one', label: `Face of side ${side}`, ask: 'which face?', what: 'face', choices: stateChoices },
    traits: {
      kind: 'many',
      label: `What else is true of face ${side}`,
      ask: 'anything special?',
      what: 'what else is true',
      none: 'nothing special',
      choices: traitsOf(material).map((value) => ({ value, ...traitWords[value] })),
    },
  }) satisfies Partial<Record<keyof Side, WordDef>>
export type SideWordKey = keyof ReturnType<typeof sideWords>

/** What is worth asking of a face of this material; all of it while the material is open. */
export function traitsOf(material: MaterialClass | null): FaceTrait[] {
  if (!material) return [...faceTraits]
  const { group, id, porosity, transparent } = material
  const by: Partial<Record<FaceTrait, boolean>> = {
    'cut-edge': group === 'wood' || group === 'paper',
    pale: group === 'textile' || group === 'leather' || group === 'paper',
    printed: group === 'paper' || group === 'textile',
    'glossy-dark': porosity < 0.3 && group !== 'foam',
    tinted: transparent,
    stressed: transparent,
    'across-layers': group === 'print',
    uncured: id === 'print-resin',
  }
  return faceTraits.filter((trait) => by[trait] ?? true)
}
