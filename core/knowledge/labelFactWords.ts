import { labelFactIds, type LabelFact, type LabelFacts } from './labelFactIds'

/** Of a glue: it …; as a label says it; and as it says the contrary. */
export const labelFactWords: Record<LabelFact, { is: string; yes: string; no: string }> = {
  foamSafe: { is: 'is foam-safe', yes: 'foam-safe', no: 'not for polystyrene foam' },
  hotWire: { is: 'may be cut by hot wire', yes: 'may be cut by hot wire', no: 'not to be cut by hot wire' },
  neutral: { is: 'is pH-neutral', yes: 'pH-neutral, acid-free', no: 'not acid-free' },
  flexible: { is: 'stays flexible', yes: 'flexible', no: 'dries hard' },
  clear: { is: 'dries clear', yes: 'dries clear', no: 'does not dry clear' },
  lightfast: { is: 'does not yellow', yes: 'does not yellow', no: 'yellows' },
  washable: { is: 'is washable', yes: 'washable once cured', no: 'not washable' },
  comesOffWater: { is: 'comes off with water', yes: 'comes off with water', no: 'does not come off with water' },
  healthWarning: { is: 'carries a health warning', yes: 'carries a health warning', no: 'carries no health warning' },
  animalFree: { is: 'is animal-free', yes: 'animal-free', no: 'of animal origin' },
}

/** What a label declares, in its words. */
export const declaredWords = (said: LabelFacts, which: (fact: LabelFact) => boolean = () => true): string[] =>
  labelFactIds.flatMap((fact) => {
    const yes = said[fact]
    return yes === undefined || !which(fact) ? [] : [yes ? labelFactWords[fact].yes : labelFactWords[fact].no]
  })
