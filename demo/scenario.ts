import type { Adhesive } from '../core/records/shelf'

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

export type Glue = Omit<Adhesive, 'id' | 'note' | 'label' | 'aliases'> & {
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

/** A drop of the tin on a scrap of the beak, looked at after its ten minutes; the look after a day is due. */
export const scrap = {
  joint: 'h2',
  rule: 'solvent-softens-thin-plastic',
  adhesive: 'tin',
  family: 'contact-solvent',
  laidHoursAgo: 26,
  lookedAfterMin: 11,
}
