import { block, caution, note, push, type Rule, rule } from '../rule'
import { needs } from '../../situation/about'
import { durationWords, windowWords } from '../../quantities/durations'
import { coverS } from './cover'
import { graded } from './scale'
import { isHotmelt } from './kinds'

const openTimeVsArea = rule(
  'open-time-vs-area',
  'Dry run with a timer on the full size.',
  'wetting stops at skin or freeze',
  (s) => {
    const { family } = s
    if (
      s.areaCm2 === null ||
      family.traits.includes('wicks') ||
      family.mechanism === 'pressure' ||
      family.form === 'film'
    )
      return null
    const need = coverS(s.areaCm2, family)
    const db = graded(need / family.openS, [0.7, 1, 1.5], [0, -3, -6, isHotmelt(family) ? -10 : -20])
    if (db === 0) return null
    const text =
      `${s.areaCm2.toFixed(0)} cm² takes about ${durationWords(need)} to cover; this one ` +
      `${isHotmelt(family) ? 'chills' : 'skins'} in ${durationWords(family.openS)}.`
    return push(db, `${text} Lay it in strips.`)
  },
)

const contactNoReposition = rule(
  'contact-no-reposition',
  'Practise on full-size scrap with slip sheets.',
  'film-to-film autoadhesion',
  (s) => {
    const films = s.family.faces === 'both' && s.family.mechanism.startsWith('evaporate')
    return films && s.repositionS !== null && s.repositionS > 0
      ? caution(
          `The two dry films grab at first touch, and you want ${durationWords(s.repositionS)} to line them up: use ` +
            'spacers, marks and one edge at a time.',
        )
      : null
  },
)

const setsBeforeAligned = rule(
  'sets-before-aligned',
  'Close a scrap, wait that long, and try to slide it.',
  'open time of the table or the label',
  (s) => {
    const films = s.family.faces === 'both' && s.family.mechanism.startsWith('evaporate')
    const placedFirst = s.family.mechanism === 'heat-activated' || s.family.mechanism === 'light'
    if (s.repositionS === null || s.repositionS <= 0 || films || placedFirst) return null
    if (s.family.mechanism === 'pressure')
      return caution('It grabs at first touch: lay it down along one edge, with a wet slip film if the label allows.')
    if (s.family.openS >= s.repositionS) return null
    const text =
      `You want ${durationWords(s.repositionS)} to line the parts up, and this one sets in ` +
      `${durationWords(s.family.openS)}.`
    return s.family.openS * 3 <= s.repositionS ? block(text) : caution(text)
  },
)

const contactOneFaceOnly = rule(
  'contact-one-face-only',
  'Peel strip with one and with two coated faces.',
  'chain interdiffusion of two films',
  (s) =>
    needs(s, 'both-faces') && s.reach === 'one'
      ? block('It sticks to itself: with only one face coated it gives almost no hold.')
      : null,
)

const tackWindow = rule(
  'tack-window',
  'Back of the finger: a sticky pull, no transfer.',
  'solvent balance in the film',
  (s) => {
    const { waitMinS, waitMaxS } = s.family
    if (waitMinS <= 0) return null
    const cover = s.areaCm2 === null ? 0 : coverS(s.areaCm2, s.family)
    if (s.readyH !== null && waitMinS + s.family.holdS > s.readyH * 3600)
      return caution(
        `It must stay open for at least ${durationWords(waitMinS)} before closing, and you have ` +
          `${durationWords(s.readyH * 3600)}.`,
      )
    if (cover > waitMaxS - waitMinS)
      return caution(
        `Covering takes about ${durationWords(cover)}: the first part is too late to grab ` +
          `(${durationWords(waitMaxS)}) before ` +
          'the last is ready to close.',
      )
    return s.inShell === true
      ? caution(
          `It must be closed ${windowWords(waitMinS, waitMaxS)} after coating, and inside a shell you cannot ` +
            'feel when.',
        )
      : note(
          `Wait ${windowWords(waitMinS, waitMaxS)} before closing: too early traps ` +
            `${s.family.mechanism === 'evaporate-water' ? 'water' : 'solvent'}, too late gives no grab.`,
        )
  },
)

const holdTooLong = rule('hold-too-long', 'Dry run of the fixture.', 'creep before green strength', (s) => {
  if (s.family.holdS <= 120 || s.helpers.includes('tack-and-cure')) return null
  return s.canClamp === false
    ? caution(
        `Nobody holds a part still for ${durationWords(s.family.holdS)}, and this joint cannot be clamped: ` +
          'plan tape, ' +
          'pins or fast dabs.',
      )
    : null
})

/** The time between spreading and holding: open time, tack, setting before it lies right. */
export const closingRules: Rule[] = [
  openTimeVsArea,
  contactNoReposition,
  setsBeforeAligned,
  contactOneFaceOnly,
  tackWindow,
  holdTooLong,
]
