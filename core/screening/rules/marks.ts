import { wetLoadOf } from '../../knowledge/practice'
import { BY_SCRAP, caution, note, push, type Rule, rule, worseOf } from '../rule'
import type { Situation } from '../../situation/situation'
import { attacks, called, has, inView, is, someFace, thicknessOf, withTrait } from '../../situation/about'
import { isPaper, isTextile, solventBorne } from './kinds'
import { graded } from './scale'

const bleedThroughCloth = rule(
  'bleed-through-cloth',
  'One drop on the back; look at the front when dry.',
  'capillary wicking',
  (s) => {
    if (!(attacks(s, 'fabric-bleed') || s.family.form === 'thin')) return null
    const shield = s.helpers.includes('cloth-primer')
      ? 'priming'
      : s.helpers.includes('paper-backing')
        ? 'paper backing'
        : null
    return worseOf(s, (face, m) => {
      const mm = face.thicknessMm ?? m.typicalThicknessMm
      const pale = face.traits?.includes('pale')
      if (!isTextile(m) || !(pale || mm < 0.5)) return null
      if (shield)
        return note(`The ${shield} keeps the glue from the good side of ${called(face)}; look at a scrap first.`)
      // Where the good side is neither pale nor printed nor looked at, a halo does no harm.
      const mild = !pale && !face.traits?.includes('printed') && !inView(s)
      const text = `It may wick through ${called(face)}, ${mm} mm, and show as a dark or stiff patch on the good side.`
      return mild ? note(text) : caution(`${text} Prime the back thinly or line it with thin paper.`)
    })
  },
  BY_SCRAP,
)

const stainOrCorrode = rule(
  'stain-or-corrode',
  'One drop on scrap, looked at after a week.',
  'carried oils and solvent; acid released on cure',
  (s) => {
    const hide = worseOf(s, (face, m) => {
      if (!attacks(s, 'leather-stain') || !is('hide')(m)) return null
      const text = `It may darken pale ${called(face)} where it is squeezed out.`
      return is('open-nap')(m) || inView(s) || face.traits?.includes('pale') ? caution(text) : note(text)
    })
    if (hide) return hide
    const metal = attacks(s, 'metal-corrosion') ? someFace(s, is('corrodes')) : null
    if (metal) return caution('The common acid-curing type corrodes bare metal: take a neutral-curing one.')
    const stone = attacks(s, 'stone-stain') ? someFace(s, is('stone')) : null
    return stone ? caution('It may leave an oily halo in stone: take a non-staining type.') : null
  },
  BY_SCRAP,
)

/** Grams in a square metre of sheet a millimetre thick. */
const G_PER_M2_MM = 800
/** Smaller faces dry flat. */
const SMALL_CM2 = 20

const paperCockle = rule(
  'paper-cockle',
  'Full-size scrap dried under weight.',
  'fibre swelling across the grain',
  (s) => {
    const { waterGm2 } = wetLoadOf(s.family.id)
    const said = s.areaCm2 !== null && s.areaCm2 > SMALL_CM2
    if (!waterGm2 || !(said || s.geometry === 'face-large')) return null
    return worseOf(s, (face, m) => {
      if (!is('cockles')(m) && !is('cockles-thin')(m)) return null
      const mm = thicknessOf(face) ?? 1
      const load = waterGm2 / (mm * G_PER_M2_MM)
      const broad = said ? `${s.areaCm2!.toFixed(0)} cm² dry` : 'a large face dries'
      const text =
        `Its water swells ${called(face)}: ${broad} wavy unless the thicker piece is coated and both are pressed ` +
        'between boards.'
      // Pressed between boards a thin coat dries flat.
      const pressed = graded(load, [0.4, 0.8, 1.5], [0, -3, -6, -10])
      // What rests on a size that nobody said counts by half.
      const db = said ? pressed : pressed / 2
      return load <= 0.15 ? null : db === 0 ? note(text) : push(db, text, !said || face.thicknessMm === null)
    })
  },
)

/** Declared pH-neutral by their kind. */
const neutral = (s: Situation) => has(s, 'neutral')
const paperYellowAcid = rule(
  'paper-yellow-acid',
  'No quick test; ask for a declared pH-neutral, ageing-tested type.',
  'oxidation of rubber and tackifier; acid hydrolysis',
  (s) => {
    const face = s.lasts && !neutral(s) ? someFace(s, isPaper) : null
    if (!face) return null
    return s.family.yellows
      ? caution(`Over years it stains ${called(face)} and makes it brittle.`)
      : caution(`Unless its label declares it pH-neutral it may stain ${called(face)} over years.`)
  },
)

const inkOrDyeRuns = rule(
  'ink-or-dye-runs',
  'Press a swab wet with the glue on a spare print.',
  'soluble colourant',
  (s) => {
    const wet = attacks(s, 'ink-run') || solventBorne(s.family)
    const face = wet ? (withTrait(s, 'printed') ?? someFace(s, is('print-runs'))) : null
    return face ? caution(`Ink or dye on ${called(face)} that looks dry may run.`) : null
  },
  BY_SCRAP,
)

/** Glue that shows or spoils what it does not eat: halo, stain, cockle, yellowing, runs. */
export const markRules: Rule[] = [bleedThroughCloth, stainOrCorrode, paperCockle, paperYellowAcid, inkOrDyeRuns]
