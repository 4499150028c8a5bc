const count = (n: number, one: string, many = `${one}s`) => `${n} ${n === 1 ? one : many}`
const minus = (n: number) => String(n).replace('-', '−')

/** What the brief says of the joint's surroundings, where an exposure takes its usual amount from it. */
interface Surroundings {
  heatC: number | null
  coldC: number | null
}

export interface ExposureKindRow {
  name: string
  /** of the amount, as the maker types it */
  unit: string
  /** degrees are typed with any unit of temperature, the others as a plain number */
  degrees?: true
  /** amount, and how long it takes, h */
  usual: (brief: Surroundings) => { amount: number; hours: number }
  /** @param long the hours in words */
  words: (amount: number, long: string) => string
  /** what should lie at hand */
  tool?: string
  /** how it is begun and ended; left out: it passes by itself, or is done at the pull */
  acts?: { begin: string; end: string }
  /** what to mind before it begins */
  caution?: string
}

/** What a coupon can go through after its cure and before its test (methods.md 5). */
const kinds = {
  heat: {
    name: 'heat',
    unit: '°C',
    degrees: true,
    usual: ({ heatC }) => ({ amount: heatC ?? 50, hours: 2 }),
    words: (amount, long) => `after ${long} at ${amount} °C`,
    tool: 'hot box with a thermometer',
    acts: { begin: 'Put them into the heat', end: 'Take them out of the heat' },
    caution:
      'Heat drives vapours out and may set fire to what is still drying: cured pieces only, a thermometer in the ' +
      'box, air, and somebody in the room. What comes out is hot.',
  },
  cold: {
    name: 'cold',
    unit: '°C',
    degrees: true,
    usual: ({ coldC }) => ({ amount: coldC ?? -15, hours: 12 }),
    words: (amount, long) => `after ${long} at ${minus(amount)} °C`,
    tool: 'room in the freezer',
    acts: { begin: 'Put them into the cold', end: 'Take them out of the cold' },
    caution: 'In a closed bag, apart from food.',
  },
  wash: {
    name: 'washing',
    unit: 'washes',
    usual: () => ({ amount: 3, hours: 6 }),
    words: (amount) => `after ${count(amount, 'wash', 'washes')}`,
    tool: 'washing bag',
    acts: { begin: 'Begin the washing', end: 'They are washed and dry' },
  },
  soak: {
    name: 'soaking',
    unit: 'hours under water',
    usual: () => ({ amount: 24, hours: 24 }),
    words: (amount) => `after ${+amount.toPrecision(3)} h under water`,
    tool: 'jar of water',
    acts: { begin: 'Put them under water', end: 'Take them out of the water' },
  },
  sun: {
    name: 'sun',
    unit: 'days in the sun',
    usual: () => ({ amount: 14, hours: 336 }),
    words: (amount) => `after ${count(amount, 'day')} on a sunny sill`,
    acts: { begin: 'Put them on the sill', end: 'Take them off the sill' },
  },
  flex: {
    name: 'flexing',
    unit: 'flexes',
    usual: () => ({ amount: 500, hours: 1 }),
    words: (amount) => `after ${count(amount, 'flex', 'flexes')}`,
  },
  wait: {
    name: 'time',
    unit: 'weeks',
    usual: () => ({ amount: 4, hours: 672 }),
    words: (amount) => `after ${count(amount, 'week')}`,
  },
} satisfies Record<string, ExposureKindRow>

export type ExposureKind = keyof typeof kinds
export const exposureKinds = Object.keys(kinds) as [ExposureKind, ...ExposureKind[]]
export const exposureRows: Readonly<Record<ExposureKind, ExposureKindRow>> = kinds

/** An exposure in words: “after 2 h at 50 °C”. hours: how long it takes. */
export function exposureWords({ kind, amount, hours }: { kind: ExposureKind; amount: number; hours: number }): string {
  const long = hours >= 48 ? count(+(hours / 24).toPrecision(2), 'day') : `${+hours.toPrecision(2)} h`
  return exposureRows[kind].words(amount, long)
}
