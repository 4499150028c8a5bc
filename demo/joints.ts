import type { Brief } from '../core/records/joint'
import type { CouponSize, TestId } from '../core/knowledge/testKinds'

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
