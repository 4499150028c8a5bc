import { waterRank, type Family } from './families'
import { labelFactIds, type LabelFact, type LabelFacts } from './labelFactIds'

interface Fact {
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
    usual: ({ attacks }) => !attacks.includes('styrene-foam'),
    put: ({ attacks }, yes) => ({ attacks: withWord(attacks, 'styrene-foam', !yes) }),
  },
  hotWire: {
    usual: ({ hotWire }) => hotWire === 'yes',
    put: (_, yes) => ({ hotWire: yes ? 'yes' : 'no' }),
  },
  neutral: {
    usual: ({ traits }) => traits.includes('neutral') || null,
    put: ({ traits, attacks }, yes) => ({
      traits: withWord(traits, 'neutral', yes),
      attacks: yes ? withWord(attacks, 'metal-corrosion', false) : attacks,
    }),
  },
  flexible: {
    usual: ({ flex }) => flex === 'flexible' || flex === 'elastic',
    put: ({ flex }, yes) => ({ flex: !yes ? 'rigid' : flex === 'elastic' ? flex : 'flexible' }),
  },
  clear: {
    usual: ({ look }) => look === 'clear',
    put: ({ look }, yes) => ({ look: yes ? 'clear' : look === 'clear' ? 'haze' : look }),
  },
  lightfast: {
    usual: ({ yellows }) => !yellows,
    put: (_, yes) => ({ yellows: !yes }),
  },
  washable: {
    usual: ({ water }) => waterRank(water) >= waterRank('wash'),
    put: ({ water }, yes) => {
      const firm = waterRank(water) >= waterRank('wash')
      return { water: yes ? (firm ? water : 'wash') : firm ? 'splash' : water }
    },
  },
  comesOffWater: {
    usual: () => null,
    put: ({ water }, yes) => ({ water: yes ? 'no' : water }),
  },
  healthWarning: {
    usual: ({ hazards }) => (hazards.length ? true : null),
    put: () => ({}),
  },
  animalFree: { usual: () => null, put: () => ({}) },
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
