import { hazardsOf } from '../knowledge/hazards'
import type { Candidate } from './shortlist'
import { undoing, undoWords } from './undoing'
import { durationWords, windowWords } from '../quantities/durations'

export interface CompareLine {
  what: string
  /** one text a glue, in the order given */
  values: string[]
  differs: boolean
}

const flexWords = { rigid: 'sets hard', semi: 'half soft', flexible: 'stays flexible', elastic: 'rubbery' }
const waterWords = { no: 'no water', splash: 'splashes', wash: 'washing, rain', soak: 'soaking' }
const verdictWords = { fit: 'suits', caution: 'careful', block: 'ruled out' }
const finite = (n: number, words: string) => (Number.isFinite(n) ? words : 'not known')
const clampWords = { clamp: 'clamp', press: 'press or weight', hold: 'by hand', no: 'nothing' }

type Line = [what: string, value: (candidate: Candidate, cost: string) => string]
const lines: Line[] = [
  ['Verdict here', ({ screening }) => verdictWords[screening.verdict]],
  [
    'Gravest reason',
    ({ screening }) =>
      screening.reasons.find(({ verdict }) => verdict === 'block' || verdict === 'caution')?.text ??
      'nothing speaks against it',
  ],
  [
    'Own pulls',
    ({ screening }) => screening.reasons.find(({ rule }) => rule === 'own-evidence')?.text ?? 'none on this pair',
  ],
  [
    'Wait before closing',
    ({ family }) => (family.waitMinS > 0 ? windowWords(family.waitMinS, family.waitMaxS) : 'none'),
  ],
  ['Open time', ({ family }) => finite(family.openS, durationWords(family.openS))],
  ['Hold', ({ family }) => `${durationWords(family.holdS)}, ${clampWords[family.clamp]}`],
  ['Can be handled after', ({ family }) => durationWords(family.handlingS)],
  ['Full cure', ({ family }) => durationWords(family.fullS)],
  [
    'Cold to heat',
    ({ family }) =>
      finite(family.serviceMaxC, `${String(family.serviceMinC).replace('-', '−')} to ${family.serviceMaxC} °C`),
  ],
  ['Water', ({ family }) => waterWords[family.water]],
  ['Flexibility', ({ family }) => flexWords[family.flex]],
  ['Looks', ({ family }) => `${family.look === 'haze' ? 'hazy' : family.look}${family.yellows ? ', yellows' : ''}`],
  ['Bridges a gap of', ({ family }) => finite(family.gapMaxMm, `${family.gapMaxMm} mm`)],
  ['Glue for one joint', (_, cost) => cost],
  [
    'Hazards',
    ({ family }) =>
      hazardsOf(family.hazards)
        .map(({ id }) => id.replace(/-/g, ' '))
        .join(', ') || 'none usual for its kind; see the label',
  ],
  ['Undo', ({ situation }) => undoWords(undoing([situation]))],
]

/** Two or three glues side by side for one brief: the lines in which they differ come first. */
export function compare(candidates: readonly Candidate[], showMoney: (money: number) => string): CompareLine[] {
  const cost = ({ situation }: Candidate) =>
    situation.glueCost !== null
      ? showMoney(situation.glueCost)
      : situation.areaCm2 === null
        ? 'say the size'
        : 'price not known'
  const all = lines.map(([what, value]): CompareLine => {
    const values = candidates.map((candidate) => value(candidate, cost(candidate)))
    return { what, values, differs: new Set(values).size > 1 }
  })
  return [...all.filter(({ differs }) => differs), ...all.filter(({ differs }) => !differs)]
}
