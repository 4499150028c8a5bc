import type { Brief } from '../core/records/joint'
import type { Adhesive } from '../core/records/shelf'
import type { CouponSize, TestId } from '../core/knowledge/testKinds'

/**
 * A village winter lantern parade and its giant walking heron. Products and people are made up; no brand, no real name.
 */
export const build = {
  name: 'Lantern heron',
  what:
    'Giant walking heron on a back-carried frame for the winter lantern parade: it is danced, rained on, and ' +
    'folds into a van.',
  budget: 60,
}

type Glue = Omit<Adhesive, 'id' | 'note' | 'label' | 'aliases'> & {
  key: string
  aliases?: string[]
  label?: Adhesive['label']
  openedDaysAgo: number | null
  left: number
}
export const glues: Glue[] = [
  {
    key: 'milky',
    name: 'Milky contact, water',
    family: 'contact-water',
    packSize: 250,
    packUnit: 'ml',
    packPrice: 11.5,
    openedDaysAgo: 40,
    left: 0.05,
  },
  {
    key: 'tin',
    name: 'Tin contact, solvent',
    aliases: ['Cobbler’s tin'],
    family: 'contact-solvent',
    packSize: 250,
    packUnit: 'ml',
    packPrice: 9.2,
    openedDaysAgo: 95,
    left: 0.5,
  },
  {
    key: 'textile',
    name: 'School textile glue',
    family: 'fabric-glue',
    label: { facts: { washable: true, healthWarning: false } },
    packSize: 110,
    packUnit: 'ml',
    packPrice: 6.8,
    openedDaysAgo: 20,
    left: 0.9,
  },
  {
    key: 'tacky',
    name: 'Tacky white, big bottle',
    family: 'pva-tacky',
    packSize: 500,
    packUnit: 'ml',
    packPrice: 9.9,
    openedDaysAgo: 200,
    left: 0.6,
  },
  {
    key: 'low',
    name: 'Low-melt sticks',
    family: 'hotmelt-low',
    packSize: 50,
    packUnit: 'stick',
    packPrice: 11,
    openedDaysAgo: null,
    left: 0.8,
  },
  {
    key: 'high',
    name: 'Amber sticks, hot nozzle',
    family: 'hotmelt-high',
    packSize: 20,
    packUnit: 'stick',
    packPrice: 6.4,
    openedDaysAgo: null,
    left: 0.45,
  },
  {
    key: 'thin',
    name: 'Thin instant, 20 g',
    family: 'ca-thin',
    packSize: 20,
    packUnit: 'g',
    packPrice: 6,
    openedDaysAgo: 330,
    left: 0.4,
  },
  {
    key: 'rubbery',
    name: 'Rubbery instant, 20 g',
    family: 'ca-flexible',
    packSize: 20,
    packUnit: 'g',
    packPrice: 9.5,
    openedDaysAgo: 12,
    left: 0.85,
  },
  {
    key: 'twin',
    name: 'Slow twin tube',
    family: 'epoxy-slow',
    packSize: 50,
    packUnit: 'ml',
    packPrice: 12.4,
    label: { fullS: 129600, facts: { lightfast: false } },
    openedDaysAgo: 60,
    left: 0.6,
  },
  {
    key: 'clearpu',
    name: 'Clear tube, damp cure',
    family: 'pu-clear',
    packSize: 50,
    packUnit: 'ml',
    packPrice: 8.9,
    openedDaysAgo: 9,
    left: 0.9,
  },
]

/** A rule of the house, tied to what made it. */
export const houseRules = [
  {
    key: 'no-solvent-indoors',
    name: 'No solvent glue indoors',
    verdict: 'block',
    mechanism: 'evaporate-solvent',
    where: 'indoors',
    reason: 'Headaches in the shed last winter, door shut against the frost.',
    grade: 'own test',
    evidence: 'Two evenings in January',
    lookAgainInDays: 140,
  },
] as const

export const ownMaterials = [
  {
    key: 'rib',
    name: 'Rib foam, grey, 10 mm',
    classId: 'foam-eva',
    thicknessMm: 10,
    note: 'cut edges, skin sanded off',
  },
  {
    key: 'wing',
    name: 'Wing cloth, thin',
    classId: 'fabric-synthetic',
    thicknessMm: 0.2,
    note: 'old parachute lining, washed',
  },
] as const

/** Offcuts in the box under the bench. */
export const offcuts = [
  { id: 'felt-piece', material: 'felt', widthMm: 210, heightMm: 300, count: 2 },
  { id: 'webbing-roll', material: 'webbing', widthMm: 50, heightMm: 1500, count: 1 },
  { id: 'rib-scrap', material: 'rib', widthMm: 180, heightMm: 420, count: 3 },
]

export interface DemoJoint {
  code: string
  name: string
  /** materials by own key or class id */
  a: string
  b: string
  brief: Partial<Brief> & {
    aThicknessMm?: number
    bThicknessMm?: number
    aState?: Brief['a']['state']
    bState?: Brief['b']['state']
  }
  glues: string[]
  round: { test: TestId; size: CouponSize; blocks: number; seed: number } | null
  /** where it stands: all pulled and decided, half pulled, being glued, or no coupon yet */
  state: 'decided' | 'half-pulled' | 'gluing' | 'asked'
  /** hours before now at which gluing began */
  gluedHoursAgo: number
  reason?: string
  /** glues as the maker expected them, strongest first */
  hunch?: string[]
}

const outdoors = {
  heatC: 30,
  coldC: -5,
  water: 'splash',
  sun: false,
  stakes: [],
  heatNear: false,
  roomM3: 45,
  repositionS: 0,
  perEvening: 12,
  life: 'show',
  air: 'window',
  users: [],
  skin: false,
} as const satisfies Partial<Brief>

export const joints: DemoJoint[] = [
  {
    code: 'H1',
    name: 'Rib to wing cloth',
    a: 'wing',
    b: 'rib',
    glues: ['milky', 'textile', 'low'],
    brief: {
      ...outdoors,
      aThicknessMm: 0.2,
      bThicknessMm: 10,
      aState: 'clean',
      bState: 'sanded',
      geometry: 'laid-on',
      widthMm: 25,
      lengthMm: 60,
      count: 36,
      loads: ['peel', 'flex'],
      weightKg: 0.6,
      share: 0.5,
      motion: 'danced',
      gapMm: 0,
      flex: 'must-flex',
      look: 'neat',
      later: [],
      maxCost: 0.4,
    },
    round: { test: 't-peel', size: { widthMm: 25 }, blocks: 4, seed: 2203 },
    hunch: ['low', 'milky', 'textile'],
    state: 'decided',
    gluedHoursAgo: 9 * 24 + 3,
    reason: 'Holds twice the load, stays soft in the fold, and needs no open window.',
  },
  {
    code: 'H2',
    name: 'Beak to hinge boss',
    a: 'thermoform-filled',
    b: 'print-pla',
    glues: ['twin', 'rubbery', 'high', 'clearpu'],
    brief: {
      ...outdoors,
      heatC: 45,
      aThicknessMm: 1.4,
      bThicknessMm: 4,
      aState: 'textured-side',
      bState: 'sanded',
      geometry: 'lap',
      widthMm: 20,
      lengthMm: 8,
      count: 2,
      loads: ['shear', 'impact'],
      weightKg: 2.4,
      share: 1,
      motion: 'dropped',
      gapMm: 0.2,
      flex: 'must-be-stiff',
      look: 'hidden',
      later: ['paint'],
      maxCost: 1.5,
    },
    round: { test: 'lap-shear', size: { widthMm: 12, overlapMm: 5 }, blocks: 3, seed: 4417 },
    state: 'half-pulled',
    gluedHoursAgo: 75,
  },
  {
    code: 'H3',
    name: 'Feather to rib',
    a: 'card',
    b: 'rib',
    glues: ['tacky', 'tin', 'milky', 'low'],
    brief: {
      ...outdoors,
      water: 'no',
      aThicknessMm: 0.8,
      bThicknessMm: 10,
      aState: 'clean',
      bState: 'sanded',
      geometry: 'edge-strip',
      widthMm: 20,
      lengthMm: 30,
      count: 180,
      loads: ['peel'],
      weightKg: 0.02,
      share: 1,
      motion: 'danced',
      gapMm: 0,
      look: 'neat',
      later: ['paint'],
      maxCost: 0.08,
    },
    round: { test: 'peel-90', size: { widthMm: 20 }, blocks: 3, seed: 907 },
    state: 'gluing',
    gluedHoursAgo: 0.72,
  },
  {
    code: 'H4',
    name: 'Eye to socket',
    a: 'thermoform-clear',
    b: 'thermoform-filled',
    glues: [],
    brief: {
      aThicknessMm: 2,
      bThicknessMm: 1.5,
      aState: 'clean',
      bState: 'painted-acrylic',
      geometry: 'butt-edge',
      widthMm: 3,
      lengthMm: 90,
      count: 2,
      loads: ['torsion', 'impact'],
      weightKg: 0.12,
      motion: 'danced',
      heatC: 50,
      look: 'clear',
      air: 'window',
    },
    round: null,
    state: 'asked',
    gluedHoursAgo: 0,
  },
  {
    code: 'H5',
    name: 'Strap to lining',
    a: 'webbing',
    b: 'felt',
    glues: ['textile', 'tin'],
    brief: {
      ...outdoors,
      aThicknessMm: 1.3,
      bThicknessMm: 1.5,
      aState: 'clean',
      bState: 'clean',
      geometry: 'face-large',
      widthMm: 40,
      lengthMm: 120,
      count: 4,
      loads: ['shear'],
      weightKg: 3,
      share: 0.5,
      motion: 'danced',
      gapMm: 0,
      flex: 'must-flex',
      look: 'hidden',
    },
    round: null,
    state: 'asked',
    gluedHoursAgo: 0,
  },
]

/** A drop of the tin on a scrap of the beak, looked at after its ten minutes; the look after a day is due. */
export const scrap = {
  joint: 'h2',
  rule: 'solvent-softens-thin-plastic',
  adhesive: 'tin',
  family: 'contact-solvent',
  laidHoursAgo: 26,
  lookedAfterMin: 11,
}

/** Another maker's bench that was put to this one: a puppet workshop with a gauge and hands of its own. */
export const otherMaker = {
  id: 'mill',
  name: 'Puppet loft, old mill',
  gauge: { name: 'spring balance', limitN: 200, resolutionN: 1 },
  build: { id: 'mill-fox', name: 'Fox and hound', what: 'Two hand puppets for the winter show.' },
  glues: [
    {
      key: 'mill-rubber',
      name: 'Rubber solution, tube',
      family: 'rubber-cement',
      packSize: 100,
      packUnit: 'ml',
      packPrice: 5.5,
      openedDaysAgo: 70,
      left: 0.5,
    },
    {
      key: 'mill-water',
      name: 'White contact, jar',
      family: 'contact-water',
      packSize: 250,
      packUnit: 'ml',
      packPrice: 12,
      openedDaysAgo: 30,
      left: 0.6,
    },
  ] satisfies Glue[],
  joints: [
    {
      code: 'P1',
      name: 'Ear to skull',
      a: 'felt',
      b: 'foam-eva',
      glues: ['mill-rubber', 'mill-water'],
      brief: {
        aThicknessMm: 3,
        bThicknessMm: 10,
        aState: 'clean',
        bState: 'sanded',
        geometry: 'patch',
        loads: ['peel'],
      },
      round: { test: 't-peel', size: { widthMm: 25 }, blocks: 4, seed: 515 },
      state: 'decided',
      gluedHoursAgo: 30 * 24,
    },
  ] satisfies DemoJoint[],
}

/** What was said of glues by others, with where it came from. */
export const hearsay = [
  {
    key: 'cold-melt',
    who: 'the neighbour with the float workshop',
    what: 'Low-melt sticks let go of cloth when the parade is below zero.',
    says: 'fails',
    family: 'hotmelt-low',
    a: 'rib',
    b: 'wing',
    exposure: 'cold',
    grade: 'hearsay',
    daysAgo: 12,
  },
  {
    key: 'tacky-card',
    who: 'label on the bottle',
    what: 'Holds card to foam after ten minutes by hand.',
    says: 'holds',
    family: 'pva-tacky',
    a: 'card',
    b: 'rib',
    exposure: null,
    grade: 'label',
    daysAgo: 5,
  },
] as const
