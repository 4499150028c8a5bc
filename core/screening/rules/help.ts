import { DAB_SHARE } from '../../coupons/dabs'
import { figureOf } from '../../quantities/figure'
import { familyOf } from '../../knowledge/families'
import { block, caution, fit, note, type Rule, rule } from '../rule'
import type { Dab, Situation } from '../../situation/situation'
import { has, is, needs, someFace } from '../../situation/about'
import { isCa, isTextile, styreneFoam } from './kinds'

/** What speaks against a dab glue on these faces; the same facts as its own rules, without calling them. */
function dabFault(dab: Dab, s: Situation): string | null {
  const face = (test: Parameters<typeof someFace>[1]) => someFace(s, test)
  if (dab === 'ca-gel') {
    if (s.users?.includes('sensitised')) return 'someone here has reacted before, and instant glue is an acrylate too'
    if (face(styreneFoam)) return 'instant glue eats polystyrene foam'
    if (face(is('smokes'))) return 'instant glue smokes on natural fibre'
  }
  if (face((m) => m.surfaceEnergy === 'very-low') || (dab === 'ca-gel' && face((m) => m.surfaceEnergy === 'low')))
    return 'it does not take on this face'
  return null
}

/** The dab that may be used: the one said, else the first that nothing speaks against. */
export const usableDab = (s: Situation): Dab | null =>
  (s.dab ? [s.dab] : (['ca-gel', 'hotmelt-low', 'tape-foam'] as const)).find((dab) => !dabFault(dab, s)) ?? null

const dabName = (dab: Dab) => familyOf(dab).name.toLowerCase()

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
