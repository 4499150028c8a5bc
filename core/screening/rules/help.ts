import { weightOf } from '../../knowledge/weights'
import { inSentence } from '../../quantities/inSentence'
import { DAB_SHARE } from '../../coupons/dabs'
import { figureOf } from '../../quantities/figure'
import { familyOf } from '../../knowledge/families'
import { block, caution, fit, note, type Rule, rule } from '../rule'
import type { Dab, Situation } from '../../situation/situation'
import { has, needs, someFace } from '../../situation/about'
import { attackRules } from './attack'
import { formRules } from './form'
import { heatRules } from './heat'
import { isCa, isTextile, styreneFoam } from './kinds'
import { markRules } from './marks'
import { peopleRules } from './people'
import { surfaceRules } from './surface'

const dabName = (dab: Dab) => inSentence(familyOf(dab).name)

/** What may speak against a glue on faces, gap, view and for people, also where only dabs of it are set. */
const DAB_RULES = [...peopleRules, ...attackRules, ...heatRules, ...markRules, ...formRules, ...surfaceRules]
/** A dab that is as doubtful as this is no help, decibans. */
const DOUBTFUL = -6

/** The gravest reason against a dab glue here, by the rules that judge a glue; null where nothing speaks against it. */
function dabFault(dab: Dab, s: Situation): string | null {
  // Of the main glue neither label nor helpers nor own pulls are its own.
  const alone: Situation = {
    ...s,
    family: familyOf(dab),
    helpers: [],
    dab: null,
    second: null,
    facts: {},
    correction: null,
  }
  const found = DAB_RULES.flatMap((one) => {
    const finding = one.judge(alone)
    if (!finding || finding.assumed || finding.verdict === 'note') return []
    const db = finding.db ?? weightOf(one.id)[finding.verdict]
    return db <= DOUBTFUL ? [{ db: one.harm && finding.verdict === 'block' ? -Infinity : db, text: finding.text }] : []
  })
  const worst = found.sort((x, y) => x.db - y.db)[0]
  return worst ? `${dabName(dab)}: ${worst.text.replace(/\.$/, '')}` : null
}

/** The dab that may be used: the one said, else the first that nothing speaks against. */
export const usableDab = (s: Situation): Dab | null =>
  (s.dab ? [s.dab] : (['ca-gel', 'hotmelt-low', 'tape-foam'] as const)).find((dab) => !dabFault(dab, s)) ?? null

const tackAndCurePair = rule(
  'tack-and-cure-pair',
  'One scrap assembled the same way, then hang.',
  'fixture strength from 5–10 % of the area',
  (s) => {
    if (!s.helpers.includes('tack-and-cure')) return null
    const dab = usableDab(s)
    if (!dab)
      return caution(`The dabs do not serve here: ${s.dab ? dabFault(s.dab, s) : 'no fast glue takes on these faces'}.`)
    if (!has(s, 'slow')) return null
    const lost =
      s.areaCm2 === null
        ? ''
        : `, which cost about ${figureOf(s.areaCm2 * DAB_SHARE)} cm² of ${figureOf(s.areaCm2)} cm²`
    return fit(`Small dabs of ${dabName(dab)} in the corners${lost}, hold at once while this cures between them.`)
  },
)

const tackAndCureStandoff = rule(
  'tack-and-cure-standoff',
  'Pull a scrap open: is the line wetted between the dabs?',
  'dab thickness sets the bond line',
  (s) => {
    if (!s.helpers.includes('tack-and-cure') || !(s.family.gapMaxMm < 1 || needs(s, 'close-fit'))) return null
    if (s.dab === 'ca-gel') return null
    return caution(
      `${s.dab ? `Thick dabs of ${dabName(s.dab)}` : 'Thick dabs'} hold the faces apart, and this bridges ` +
        `${s.family.gapMaxMm} mm only: small dabs of gel instant glue, pressed down.`,
    )
  },
)

const helperWithoutEffect = rule(
  'helper-without-effect',
  'A scrap with and a scrap without.',
  'what a helper is made for',
  (s) => {
    const ca = isCa(s.family)
    const idle = s.helpers.filter(
      (helper) =>
        (helper === 'activator' || helper === 'powder-filler' || helper === 'fibre-filler' || helper === 'primer') &&
        !ca,
    )
    if (idle.length)
      return note(
        'Activator, powder, fibre and polyolefin primer work with instant glue only; with this one they do nothing.',
      )
    if (s.helpers.includes('primer') && !someFace(s, (m) => m.surfaceEnergy === 'low'))
      return note('The primer is for polypropylene and polyethylene; it adds nothing here.')
    if (s.helpers.includes('tack-and-cure') && s.family.holdS < 120)
      return note('It grabs by itself: dabs of a second glue only cost area.')
    return (s.helpers.includes('cloth-primer') || s.helpers.includes('paper-backing')) && !someFace(s, isTextile)
      ? note('Priming or paper backing is for cloth, and there is none here.')
      : null
  },
)

const fibreNeedsThin = rule(
  'fibre-needs-thin',
  'Cut a filled scrap through: is it wet to the core?',
  'a wick that thick glue does not fill',
  (s) =>
    s.helpers.includes('fibre-filler') && isCa(s.family) && s.family.form !== 'thin'
      ? s.family.form === 'medium'
        ? note('Thin glue soaks the fibre through at once; this one wets it poorly.')
        : caution('Fibre is soaked through at once with thin glue: this one stays on top, and the inside stays dry.')
      : null,
)

const powderInStyrene = rule('powder-fill-on-foam', 'One fillet on scrap.', 'heat and monomer of the fillet', (s) => {
  if (!s.helpers.includes('powder-filler') || !isCa(s.family) || !someFace(s, styreneFoam)) return null
  return s.family.attacks.includes('styrene-foam')
    ? block('Powder and instant glue get hot: polystyrene foam melts beside the fillet.')
    : caution('The fillet gets hot and polystyrene foam softens beside it: thin layers.')
})

/** A second glue, an activator, a filler, a primer: what each helper does here. */
export const helpRules: Rule[] = [
  tackAndCurePair,
  tackAndCureStandoff,
  helperWithoutEffect,
  fibreNeedsThin,
  powderInStyrene,
]
