import { waterRank } from '../../knowledge/families'
import { caution, type Finding, note, push, type Rule, rule } from '../rule'
import type { Situation } from '../../situation/situation'
import { called, has, inView, is, loaded, someFace, wetter } from '../../situation/about'
import { isCa, isEpoxy, isPressure } from './kinds'
import { graded } from './scale'

const waterWords = { no: 'no water', splash: 'splashes', wash: 'washing or rain', soak: 'soaking' } as const
/** Where the limit stands on the label of a product, the advice is the label's. */
const asSaid = (s: Situation, word: string, finding: Finding): Finding =>
  s.labelled.includes(word) ? { ...finding, grade: 'label' } : finding

const tooHotForGlue = rule(
  'too-hot-for-glue',
  'Bonded scrap under load at the highest temperature for 2 h, thermometer inside.',
  'creep above softening; stated service limit',
  (s) => {
    const limit = s.family.serviceMaxC
    if (s.tempMaxC === null) return null
    const spare = limit - s.tempMaxC
    const steady = loaded(s, 'steady')
    const db = graded(-spare, [-10, 0, 10], [0, steady ? -6 : -3, -10, -20])
    if (db === 0) return null
    return asSaid(
      s,
      'serviceMaxC',
      push(
        db,
        db > -10
          ? `Near its limit of ${limit} °C it creeps slowly under load, and the joint meets ${s.tempMaxC} °C.`
          : `It lets go in the heat: the joint meets ${s.tempMaxC} °C and this holds to about ${limit} °C.`,
      ),
    )
  },
)

const partSoftensFirst = rule(
  'part-softens-first',
  'An unglued part at that heat for 2 h.',
  'heat-deflection of the substrate',
  (s) => {
    const face = s.tempMaxC === null ? null : someFace(s, (m) => s.tempMaxC! > m.softensC - 5)
    return face
      ? caution(
          `${called(face).replace(/^./, (c) => c.toUpperCase())} softens near ${face.material!.softensC} °C ` +
            `and the joint meets ${s.tempMaxC} °C: the part sags, whatever the glue.`,
        )
      : null
  },
)

const heatFormingAfterGluing = rule(
  'heat-forming-after-gluing',
  'Glue, heat and bend a scrap.',
  'forming at 80–120 °C',
  (s) =>
    s.later?.includes('heat-form') && s.family.serviceMaxC < 100
      ? caution(
          `The heat gun that shapes the part also loosens this line (it holds to ${s.family.serviceMaxC} °C): ` +
            'form first, glue after.',
        )
      : null,
)

const tooCold = rule(
  'too-cold',
  'Overnight in the freezer, then bend and drop.',
  'glass transition; brittleness',
  (s) =>
    s.tempMinC !== null && s.tempMinC < s.family.serviceMinC
      ? asSaid(
          s,
          'serviceMinC',
          caution(
            `Stiff in the cold: below ${s.family.serviceMinC} °C it cracks when knocked, and the joint meets ` +
              `${s.tempMinC} °C.`,
          ),
        )
      : null,
)

const steadyLoadCreep = rule(
  'steady-load-creep',
  'Hang it for 72 h, mark the edge with a pen.',
  'thermoplastic creep; design near one tenth of short-term strength',
  (s) => {
    const creeps = isPressure(s.family) || has(s, 'creeps')
    return loaded(s, 'steady') && creeps
      ? caution('It holds a tug but slides slowly under a weight that hangs on it all day.')
      : null
  },
)

const waterTooMuch = rule(
  'water-too-much',
  'Soak or wash as in real use, then peel.',
  'water class of the cured film',
  (s) =>
    s.water !== null && wetter(s.water, s.family.water)
      ? asSaid(
          s,
          'water',
          push(
            waterRank(s.water) - waterRank(s.family.water) > 1 ? -20 : -10,
            `The joint meets ${waterWords[s.water]}; this glue stands ${waterWords[s.family.water]}.`,
          ),
        )
      : null,
)

const waterOnGlassAndMetal = rule(
  'water-on-glass-and-metal',
  'Soak for a week, then pry.',
  'interfacial hydrolysis',
  (s) => {
    if (s.water !== 'wash' && s.water !== 'soak') return null
    const face =
      isCa(s.family) || isEpoxy(s.family) || s.family.chemistry === 'light-acrylic' ? someFace(s, is('dense')) : null
    return face
      ? caution(`Water creeps along smooth ${called(face)} over weeks, even where the glue itself survives.`)
      : null
  },
)

const yellowsInView = rule(
  'yellows-in-view',
  'Half-covered scrap on a sunny sill for weeks.',
  'photo-oxidation',
  (s) => {
    if (!s.family.yellows) return null
    const seen = s.look === 'clear' || s.look === 'white'
    // A thin lamp-cured line ages slowly indoors; only sun and years bring it to amber.
    const ages = s.sun === true || s.lasts !== null
    if (s.sun === true && s.look !== 'hidden') return push(-6, 'The line turns amber in the sun.')
    if (!seen) return null
    return s.family.chemistry === 'light-acrylic' && !ages
      ? note('The line may turn amber with years of light.')
      : push(s.lasts ? -6 : -3, 'The line turns amber with light and age.')
  },
)

const lineShows = rule(
  'line-shows',
  'Bond a scrap, view at arm’s length in the real light.',
  'colour and refractive mismatch',
  (s) => {
    const { look } = s.family
    if (!inView(s) || look === 'clear') return null
    // Behind a transparent face the whole line is seen.
    const behind = s.look === 'clear' && someFace(s, (m) => m.transparent) !== null
    const seen = behind
      ? { haze: s.family.form === 'melt' ? -10 : -6, tinted: -10, opaque: -20 }
      : s.look === 'clear'
        ? { haze: -3, tinted: -6, opaque: -10 }
        : { haze: 0, tinted: -3, opaque: -6 }
    const text = `The line or squeeze-out will show: it dries ${look === 'haze' ? 'hazy' : look}.`
    return seen[look] === 0 ? null : push(seen[look], text)
  },
)

/** What the joint meets afterwards. */
export const serviceRules: Rule[] = [
  tooHotForGlue,
  partSoftensFirst,
  heatFormingAfterGluing,
  tooCold,
  steadyLoadCreep,
  waterTooMuch,
  waterOnGlassAndMetal,
  yellowsInView,
  lineShows,
]
