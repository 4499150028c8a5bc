import * as z from 'zod/mini'
import { waterRank, type Family } from './families'

/** What a label declares beside its numbers: yes, no, or nothing at all (left out). */
export const labelFactIds = [
  'foamSafe',
  'hotWire',
  'neutral',
  'flexible',
  'clear',
  'lightfast',
  'washable',
  'comesOffWater',
  'healthWarning',
  'animalFree',
] as const
export type LabelFact = (typeof labelFactIds)[number]
export const labelFactsSchema = z.partial(
  z.object({
    foamSafe: z.boolean(),
    hotWire: z.boolean(),
    neutral: z.boolean(),
    flexible: z.boolean(),
    clear: z.boolean(),
    lightfast: z.boolean(),
    washable: z.boolean(),
    comesOffWater: z.boolean(),
    healthWarning: z.boolean(),
    animalFree: z.boolean(),
  }),
)
export type LabelFacts = z.infer<typeof labelFactsSchema>

interface Fact {
  /** of a glue: it … */
  is: string
  /** as a label says it, and as it says the contrary */
  yes: string
  no: string
  /** whether glue of the family usually is so; null where the tables don't say */
  usual: (family: Family) => boolean | null
  /** what the family becomes where the label says so, or the contrary */
  put: (family: Family, yes: boolean) => Partial<Family>
}

const withWord = <T>(words: readonly T[], word: T, there: boolean): T[] => [
  ...words.filter((one) => one !== word),
  ...(there ? [word] : []),
]

export const labelFacts: Record<LabelFact, Fact> = {
  foamSafe: {
    is: 'is foam-safe',
    yes: 'foam-safe',
    no: 'not for polystyrene foam',
    usual: ({ attacks }) => !attacks.includes('styrene-foam'),
    put: ({ attacks }, yes) => ({ attacks: withWord(attacks, 'styrene-foam', !yes) }),
  },
  hotWire: {
    is: 'may be cut by hot wire',
    yes: 'may be cut by hot wire',
    no: 'not to be cut by hot wire',
    usual: ({ hotWire }) => hotWire === 'yes',
    put: (_, yes) => ({ hotWire: yes ? 'yes' : 'no' }),
  },
  neutral: {
    is: 'is pH-neutral',
    yes: 'pH-neutral, acid-free',
    no: 'not acid-free',
    usual: ({ traits }) => traits.includes('neutral') || null,
    put: ({ traits, attacks }, yes) => ({
      traits: withWord(traits, 'neutral', yes),
      attacks: yes ? withWord(attacks, 'metal-corrosion', false) : attacks,
    }),
  },
  flexible: {
    is: 'stays flexible',
    yes: 'flexible',
    no: 'dries hard',
    usual: ({ flex }) => flex === 'flexible' || flex === 'elastic',
    put: ({ flex }, yes) => ({ flex: !yes ? 'rigid' : flex === 'elastic' ? flex : 'flexible' }),
  },
  clear: {
    is: 'dries clear',
    yes: 'dries clear',
    no: 'does not dry clear',
    usual: ({ look }) => look === 'clear',
    put: ({ look }, yes) => ({ look: yes ? 'clear' : look === 'clear' ? 'haze' : look }),
  },
  lightfast: {
    is: 'does not yellow',
    yes: 'does not yellow',
    no: 'yellows',
    usual: ({ yellows }) => !yellows,
    put: (_, yes) => ({ yellows: !yes }),
  },
  washable: {
    is: 'is washable',
    yes: 'washable once cured',
    no: 'not washable',
    usual: ({ water }) => waterRank(water) >= waterRank('wash'),
    put: ({ water }, yes) => {
      const firm = waterRank(water) >= waterRank('wash')
      return { water: yes ? (firm ? water : 'wash') : firm ? 'splash' : water }
    },
  },
  comesOffWater: {
    is: 'comes off with water',
    yes: 'comes off with water',
    no: 'does not come off with water',
    usual: () => null,
    put: ({ water }, yes) => ({ water: yes ? 'no' : water }),
  },
  healthWarning: {
    is: 'carries a health warning',
    yes: 'carries a health warning',
    no: 'carries no health warning',
    usual: ({ hazards }) => (hazards.length ? true : null),
    put: () => ({}),
  },
  animalFree: { is: 'is animal-free', yes: 'animal-free', no: 'of animal origin', usual: () => null, put: () => ({}) },
}

/** Whether a glue is so, by its label, else as its family usually is; null where neither says. */
export const factOf = (fact: LabelFact, family: Family, said: LabelFacts): boolean | null =>
  said[fact] ?? labelFacts[fact].usual(family)

/** The family with what its label declares put over it. */
export function withFacts(family: Family, said: LabelFacts): Family {
  return labelFactIds.reduce((one, fact) => {
    const yes = said[fact]
    return yes === undefined ? one : { ...one, ...labelFacts[fact].put(one, yes) }
  }, family)
}

/** What a label declares, in its words. */
export const declaredWords = (said: LabelFacts, which: (fact: LabelFact) => boolean = () => true): string[] =>
  labelFactIds.flatMap((fact) => {
    const yes = said[fact]
    return yes === undefined || !which(fact) ? [] : [yes ? labelFacts[fact].yes : labelFacts[fact].no]
  })
