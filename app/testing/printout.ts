import { careFor } from '../../core/care/care'
import { glueCautions, stepCautions } from '../../core/care/steps'
import { exposuresNamed } from '../../core/choice/real/surroundings'
import { couponSize } from '../../core/coupons/size'
import { demands } from '../../core/loads/demand'
import { armWords } from '../../core/planning/arms'
import { differences } from '../../core/planning/difference'
import { expectedLoad } from '../../core/planning/couponFaults'
import { cureAdvice } from '../../core/cure/advice'
import { fairness } from '../../core/planning/fairness'
import { limitInShort, limitWords } from '../../core/planning/limitMeans'
import { whyStep } from '../../core/planning/stepWhy'
import { needsOf, type NeedOf } from '../../core/planning/needs'
import { stepTime } from '../../core/planning/stepTime'
import { toolsFor } from '../../core/planning/tools'
import { changesThatHelp } from '../../core/screening/changes'
import { compare } from '../../core/screening/compare'
import { helpersThatHelp, inOrder, judged } from '../../core/screening/shortlist'
import { harmOfUndoing, waysToUndo } from '../../core/screening/undoing'
import { whateverTheGlue } from '../../core/screening/whatever'
import { situationOf } from '../../core/situation/situation'
import { families, type Family } from '../../core/knowledge/families'
import { screen } from '../../core/screening/screen'
import { couponTests } from '../../core/coupons/bond'
import type { Round } from '../../core/records/round'
import { progressOf } from '../../core/planning/progress'
import type { JointView } from '../bench/jointView'
import { needWords, nextStep, routeWords, stateWords } from '../bench/jointWords'
import { showMoney } from '../../core/quantities/money'
import { measured } from '../../core/quantities/betterUnit'
import { plainSetting } from '../../core/planning/__tests__/plain'
import { randomPlan, type RandomPlan } from './randomPlan'

/** One sentence as the app would show it, with where it stands. */
export interface Line {
  at: string
  text: string
}

const gauge = { limitN: 490, resolutionN: 0.5 }
const said = (at: string, ...texts: (string | null | undefined)[]): Line[] =>
  texts.flatMap((text) => (text ? [{ at, text }] : []))

function shortlistLines({ brief, a, b }: RandomPlan): Line[] {
  const setting = plainSetting(a, b, { brief, room: { tempC: 12, rh: 70 }, currency: 'EUR' })
  const candidates = inOrder(families.map((family) => judged(family, null, setting)))
  return [
    ...candidates.flatMap((candidate) => [
      ...candidate.screening.reasons.flatMap((reason) => said(`reason ${reason.rule}`, reason.text)),
      ...waysToUndo(candidate.situation).flatMap((way) =>
        said('undoing', `${way.how}. ${way.sideEffect}.`, harmOfUndoing(way, candidate.situation)),
      ),
    ]),
    ...candidates
      .slice(0, 4)
      .flatMap((one) => helpersThatHelp(one, setting).flatMap(({ text }) => said('helper', text))),
    ...compare(candidates.slice(0, 3), (money) => showMoney(money, 'EUR')).flatMap(({ what, values }) =>
      values.flatMap((value) => said(`compare ${what}`, value)),
    ),
    ...whateverTheGlue(candidates.map(({ screening }) => screening)).flatMap(({ text }) => said('whatever', text)),
    ...changesThatHelp(setting).flatMap(({ words }) => said('change', words)),
  ]
}

function planLines({ brief, a, b, procedures, families: glues, arms }: RandomPlan): Line[] {
  const adviceOf = (family: Family) => {
    const situation = situationOf(brief, a, b, family, { room: { tempC: 12, rh: 70 } })
    return { situation, screening: screen(situation) }
  }
  const draft = { arms, procedures: [...procedures], blocks: 2, order: 'as-written' as const, control: null }
  const setting = {
    brief,
    a: a.id,
    b: b.id,
    gauge,
    familyOf: ({ letter }: { letter: string }) => glues[letter === 'A' ? 0 : 1],
    packDaysLeft: () => 2,
    now: 0,
    advice: ({ letter }: { letter: string }) => adviceOf(glues[letter === 'A' ? 0 : 1]),
  }
  const list = procedures.map((procedure, i): NeedOf => ({ procedure, family: glues[i]!, product: null, left: null }))
  return [
    ...fairness(draft, setting).flatMap((fault) =>
      said(`fault ${fault.id}`, fault.text, fault.mend?.words, ...(fault.more ?? []).map(({ words }) => words)),
    ),
    ...arms.flatMap((arm) => said('arm', armWords(arm))),
    ...arms.flatMap((arm) =>
      arm.passLimit === null
        ? []
        : said('limit', limitWords(arm.passLimit, arm, brief), limitInShort(arm.passLimit, arm)),
    ),
    ...procedures.flatMap((procedure, i) =>
      procedure.steps.flatMap((step) => said('why step', ...whyStep(step, adviceOf(glues[i]!)))),
    ),
    ...glues.flatMap((family) => said('cure', ...cureAdvice(adviceOf(family).situation.cure))),
    ...differences(...procedures).flatMap((text) => said('difference', text)),
    ...toolsFor(arms, list).flatMap((text) => said('tool', text)),
    ...needsOf(list, arms, 4).glues.flatMap(({ name, grams }) => said('need', `${name}: ${measured(grams, 'g')}`)),
    ...couponTests.flatMap((test) =>
      glues.flatMap((family) =>
        couponSize({
          test,
          a: a.id,
          aThicknessMm: brief.a.thicknessMm,
          b: b.id,
          bThicknessMm: brief.b.thicknessMm,
          adhesive: family.id,
          gauge,
        }).advice.flatMap((text) => said('coupon', text)),
      ),
    ),
    ...glues.flatMap((family) => {
      const load = expectedLoad(arms[0]!, setting, family.id)
      return said('expected', load && `${measured(load[0], 'N')} to ${measured(load[1], 'N')}`)
    }),
  ]
}

function careLines({ brief, a, b, procedures, families: glues }: RandomPlan): Line[] {
  return procedures.flatMap((procedure, i) => {
    const situation = situationOf(brief, a, b, glues[i]!, { helpers: procedure.helpers, dab: null })
    const care = careFor(situation)
    const wet = { waitMinS: glues[i]!.waitMinS, hazards: care.hazards.map(({ id }) => id) }
    return [
      ...glueCautions(care).flatMap((text) => said('care', text)),
      ...care.ready.flatMap(({ what, text }) => said(`ready ${what}`, text)),
      ...procedure.steps.flatMap((step) => [
        ...said('step', step.text, stepTime(step)),
        ...stepCautions(procedure, step, care, wet).flatMap((text) => said('step care', text)),
      ]),
    ]
  })
}

function jointLines({ brief, procedures }: RandomPlan): Line[] {
  const round: Round | null = null
  const progress = progressOf(brief, [...procedures], round, [], [], null)
  const view = { joint: { brief }, progress } as unknown as JointView
  return [
    ...demands(brief).flatMap(({ sum }) => sum.flatMap((text) => said('load', text))),
    ...exposuresNamed(brief).flatMap((text) => said('exposure', text)),
    ...said('joint', needWords(view), stateWords(view, 0), nextStep(view, 0).text),
    ...Object.values(routeWords(view)).flatMap(({ words }) => said('route', words)),
  ]
}

/** Every sentence that the app would say of a random joint, its shortlist, plan, care and steps. */
export function printout(seed: number): Line[] {
  const plan = randomPlan(seed)
  return [jointLines, shortlistLines, planLines, careLines].flatMap((lines) => lines(plan))
}

/** A number of something that is counted or pure needs no unit; these are the words that may stand behind a number. */
const units = [
  ...[
    'EUR',
    'mm²',
    'mm',
    'cm²',
    'cm',
    'm²',
    'm³',
    'µm',
    'm',
    'kgf',
    'kg',
    'mg',
    'gf',
    'g',
    'N',
    'kN',
    'mN',
    'µN',
    'MPa',
    'kPa',
    'Pa',
    'J',
    'ml',
    'l',
  ],
  ...['s', 'min', 'h', 'days?', 'weeks?', 'months?', 'years?', 'times', 'of'],
]
const COUNTED = new RegExp(`^(?:[%°×]|(?:${units.join('|')})(?![a-z]))`)

const faults: [name: string, of: RegExp][] = [
  ['a word twice', /\b([a-z]{2,}) \1\b/i],
  ['a value that is none', /\b(?:undefined|null|NaN|Infinity)\b|\[object/],
  ['an exponent', /\d(?:\.\d+)?e[+-]?\d/i],
  ['two spaces, or a space before a mark', /[^.]  |\s[,;:.!?](?!\d)/],
  ['two marks', /[,;:]\s*[,;:.]|\.\.(?!\.)|\?\.|!\./],
  ['an article before a vowel', /\ba (?:[aeio]|u[^ns])[a-z]*/],
  ['an article that stands alone', /(?<![-–] ?)\b(?:an?|the)[ ]?(?:$|[.,;])/],
  ['a number that a better unit would say', /(?<![\d.,])0\.00\d*[ \u00a0]?(MPa|kPa|N|kgf|N\/mm|mm|g|kg)\b/],
  ['a number that a better unit would say', /(?<![\d.,])\d{5,}(\.\d+)?[ \u00a0](MPa|kPa|N|kgf|N\/mm|mm|g|kg)\b/],
  ['one of many', /(?<![.\d])1 (?!mm\b|in\b)[a-z]+s\b(?! of)/],
  ['a template that was not filled', /\$\{|\{[a-z]+\}/],
  ['a degree without its sign', /\d C\b/],
]

/** What is wrong with a sentence, in words; null where nothing is found. */
export function faultOf(text: string): string | null {
  const found = faults.find(([, of]) => of.test(text))
  return found ? found[0] : bareNumber(text)
}

/** A measured number with decimals says what it measures: "0.32 MPa", never "0.32" alone. */
function bareNumber(text: string): string | null {
  for (const match of text.matchAll(/(?<![\w:.−-])\d+\.\d+/g)) {
    const rest = text.slice(match.index + match[0].length)
    const after = rest.replace(/^(?: (?:to|by|or|×|÷|and|−)? ?[\d.]+)*/, '')
    if (!COUNTED.test(after.trimStart())) return `a number without its unit: ${match[0]}`
  }
  return null
}
