import { coverS } from '../../screening/rules/cover'
import { patchMarginMm } from '../../screening/rules/shape'
import type { Face, Situation } from '../../situation/situation'
import { has, someFace } from '../../situation/about'
import { POT_SHARE } from '../mixing'
import type { Reason } from '../../screening/reason'
import { coatedFace, sideWords } from './faces'
import type { Demand, Slot } from './slots'

type Answer = (s: Situation, reason: Reason) => Demand | Demand[] | null

const prepare = ({ side }: Pick<Face, 'side'>): Slot => (side === 'A' ? 'prepare-a' : 'prepare-b')
const stateOf = (s: Situation, ...states: string[]) => s.faces.filter(({ state }) => state && states.includes(state))
const clothOf = (s: Situation): Face => someFace(s, ({ group }) => group === 'textile') ?? s.faces[1]

const coatedWords = (s: Situation): string => (s.family.faces === 'both' ? 'both faces' : sideWords(coatedFace(s)))

/** Paper takes up no more water than it must: the other face alone is coated, or both as thinly as they go. */
function keptDry(s: Situation): string {
  if (s.family.faces === 'both') return 'Both coats as thin as they go'
  const coated = coatedFace(s)
  return `Nothing on side ${coated.side === 'A' ? 'B' : 'A'}: it stays dry`
}

/** The side that a reason names: “side B”; null where it names none. */
const named = ({ text }: Reason): 'A' | 'B' | null => (/\b[Ss]ide ([AB])\b/.exec(text)?.[1] as 'A' | 'B') ?? null
const onNamed =
  (text: string): Answer =>
  (s, reason) => {
    const side = named(reason)
    const faces = side ? s.faces.filter((face) => face.side === side) : s.faces
    return faces.map((face) => ({ at: prepare(face), text }))
  }
const at =
  (slot: Slot, text: string): Answer =>
  () => ({ at: slot, text })
const drop = at('try', 'Put a drop on a scrap of each side first and look after minutes and after a day')
const keepBack = at('mask', 'Mask so that the glue stays back from the face that is worked, cut or painted later')
const maskRim = at('mask', 'Mask what shows beside the line, and wipe squeeze-out at once')

/** Beads instead of a film, so wide that their middle is done in the time there is. */
const beads: Answer = ({ cure }) =>
  cure.beads && {
    at: 'apply',
    instead: true,
    text: `Lay beads no wider than ${cure.beads.widthMm} mm with air lanes between them`,
  }

/** How many fresh mixes all the pieces take, as many as one pot life allows. */
const lots: Answer = (s) => {
  if (s.areaCm2 === null || s.family.potLifeS === null) return null
  const each = Math.max(1, Math.floor((POT_SHARE * s.family.potLifeS) / (coverS(s.areaCm2, s.family) + 30)))
  return { at: 'mix', text: `One mix for no more than ${each} ${each === 1 ? 'joint' : 'joints'}, then a fresh one` }
}

/**
 * The reasons of the advice that a step answers, and that step. What a reason asks for is a step of the plan: a reason
 * that stands neither here nor in notByStep fails a test.
 */
export const answers: Readonly<Record<string, Answer>> = {
  'flammable-near-heat': at(
    'ready',
    'No heat gun, hot wire or flame in the room until the film is dry and the air is clear',
  ),
  'no-ventilation': at('ready', 'Open the window, and air the room while you work and afterwards'),
  'worn-on-skin': at('cure', 'Then cover or line the joint before it is worn'),
  'butt-edge-small': (s) => [
    { at: 'fit', text: 'Make a backing strip, a bevel or pins for the thin edge' },
    ...(s.family.form === 'melt' || s.family.chemistry === 'epoxy' || s.helpers.includes('powder-filler')
      ? [{ at: 'fillet' as const, text: 'Lay a fillet along both sides of the edge' }]
      : []),
  ],
  'patch-margin': (s) => ({
    at: 'fit',
    text: `Cut the patch ${patchMarginMm(s)} mm larger on every side, round its corners and thin its edges`,
  }),
  'curve-springs-back': (s, reason) => ({
    at: 'fit',
    text: `Shape ${sideWords(s.faces[named(reason) === 'B' ? 1 : 0])} to the curve until it lies there by itself`,
  }),
  'styrene-foam-attacked': (s, { verdict }) =>
    verdict === 'block'
      ? null
      : [
          ...list(drop(s, null as never)),
          ...(s.family.form === 'spray'
            ? [{ at: 'apply' as const, text: 'From arm’s length, a mist and no wet spots' }]
            : []),
        ],
  'activator-on-sensitive-face': drop,
  'heat-marks-part': (_, { verdict }) =>
    verdict === 'block' ? null : { at: 'apply', text: 'Let it cool a moment before closing' },
  'stress-crazing-clear': (s, { verdict }) =>
    verdict === 'note'
      ? { at: 'fit', text: 'Glue before bending, or anneal what was bent, cut or polished hot' }
      : drop(s, null as never),
  'bloom-on-clear': at('mask', 'Cover what shows round the line, and keep the air moving across it'),
  'glue-lifts-paint': maskRim,
  'solvent-softens-thin-plastic': at('apply', 'As little as wets it'),
  'weld-unlike-plastics': drop,
  // The cotton of a fill has steps of its own.
  'cotton-and-cyanoacrylate': (s) =>
    s.helpers.includes('fibre-filler')
      ? null
      : { at: 'apply', instead: true, text: 'Pea-sized dots of gel only, on the bench, never on the body' },
  'bleed-through-cloth': (s, { verdict }) =>
    verdict === 'note'
      ? { at: 'try', text: 'Glue a scrap of the cloth first and look at its good side' }
      : {
          at: 'prime',
          text: `Prime the back of ${sideWords(clothOf(s))} thinly, or line it with thin paper, and let it dry`,
          minS: 1800,
        },
  'stain-or-corrode': maskRim,
  'paper-cockle': (s) => [
    { at: 'apply', text: keptDry(s) },
    ...(s.canClamp === false ? [] : [{ at: 'clamp' as const, text: 'Between flat boards' }]),
  ],
  'ink-or-dye-runs': at('try', 'Wet a scrap with the glue first and wipe it with a white cloth'),
  'water-trapped': beads,
  'blind-joint-slow': beads,
  'moisture-cure-dry-air': (s) => damped(s),
  'damp-face': (s) => stateOf(s, 'damp').map((face) => ({ at: prepare(face), text: 'Dry it through' })),
  'light-path-missing': (_, { verdict }) =>
    verdict === 'block' ? null : { at: 'try', text: 'Light a drop through the real sheet first: it must set hard' },
  'will-not-cure-here': (s) =>
    s.cure.why === 'no-damp'
      ? damped(s)
      : { at: 'ready', text: 'Warm parts, glue and place, and keep them warm until it is cured' },
  'cold-or-humid-room': (s) =>
    s.roomC !== null && s.roomC < 15
      ? { at: 'ready', text: 'Warm parts, glue and place, and keep them warm until it can be handled' }
      : { at: 'ready', text: 'Warm or dry the air of the place before you start' },
  'mix-off-ratio': at('mix', ''),
  'pot-life-vs-batch': (s, reason) => lots(s, reason),
  'big-batch-heat': at('apply', 'In thin layers, each cooled before the next'),
  'shelf-old': at('try', 'Bond and break two scraps first, before this pack is trusted'),
  'thin-on-porous': (s) => {
    const face = someFace(s, (m) => m.porosity > 0.4) ?? s.faces[0]
    return {
      at: 'prime',
      text: `Size ${sideWords(face)} thinly with the same glue and let it dry`,
      minS: sizeDriesS(s),
    }
  },
  'gap-too-wide': (_, { verdict }) =>
    verdict === 'block'
      ? null
      : { at: 'fit', text: 'Sand the fit closer, or pack the gap with a sliver of the same stuff' },
  'gap-helper': at('fill', ''),
  'close-fit-needed': onNamed('Flatten it until no light shows through the dry joint'),
  'clamp-too-hard': (s) =>
    s.canClamp === false || s.family.clamp !== 'clamp' ? null : { at: 'clamp', text: 'Lightly' },
  'open-time-vs-area': at('apply', 'In strips, each closed before the next is laid'),
  'contact-no-reposition': at('close', 'With spacers between, one edge at a time'),
  'sets-before-aligned': at('fit', 'Make a stop or a jig, so that it is right at first touch'),
  'tack-window': at('wait', ''),
  'expansion-shifts-parts': (s) => [
    { at: 'apply', text: 'Thinly: it swells' },
    {
      at: 'clamp',
      text:
        s.canClamp === false
          ? 'Tape it tightly all round, so that it cannot swell apart'
          : 'All over: it swells and pushes',
    },
    { at: 'cure', text: 'Trim what oozed out once it is firm' },
  ],
  'hold-too-long': at('clamp', ''),
  'low-energy-fit': (s) => (s.helpers.includes('primer') ? { at: 'prime', text: '' } : null),
  'paint-is-weak-layer': (s) =>
    stateOf(s, 'painted-acrylic', 'painted-solvent').map((face) => ({
      at: prepare(face),
      text: 'Take the paint off where the joint comes',
    })),
  'old-glue-left': onNamed('Scrape it bare and scrub off what is left'),
  'glazed-skin': onNamed('Scuff it matt'),
  'dirty-face': onNamed('Clean it, sand it, clean it again'),
  'which-side': (s, reason) =>
    reason.verdict === 'note' && !has(s, 'fuses-sheet')
      ? null
      : list(
          onNamed(
            has(s, 'fuses-sheet')
              ? 'Turn its smooth, tacky face to the joint'
              : 'Roughen it, or turn its other face to the joint',
          )(s, reason),
        ),
  'resin-print-not-cured': (s) =>
    s.faces
      .filter(({ material }) => material?.traits.includes('resin'))
      .map((face) => ({ at: prepare(face), text: 'Wash, dry and post-cure it' })),
  'print-layers-split': (_, { verdict }) =>
    verdict === 'note' ? null : { at: 'fit', text: 'Set a pin or a patch across the layers' },
  'sand-or-carve-line': keepBack,
  'hot-wire-through-line': (s, reason) => (reason.verdict === 'block' ? null : keepBack(s, reason)),
  'paint-will-not-hold': keepBack,
  'line-thickness-and-weight': at('apply', 'As thin as holds, pressed flat'),
  'repeat-coats': (s) => ({
    at: 'coat',
    text: `Let the first coat soak in and dry, then coat ${coatedWords(s)} again`,
    minS: sizeDriesS(s),
  }),
  'tack-and-cure-pair': (_, { verdict }) => (verdict === 'fit' ? { at: 'dab', text: '' } : null),
  'tack-and-cure-standoff': (_, { verdict }) =>
    verdict === 'caution' ? { at: 'apply', text: 'Dabs of gel no larger than a lentil' } : null,
  'powder-fill-on-foam': (_, { verdict }) => (verdict === 'block' ? null : { at: 'fill', text: 'Thin layers' }),
  grip: (s, reason) =>
    /once that is scuffed/.test(reason.text)
      ? s.faces
          .filter(({ material }) => material && reason.text.toLowerCase().includes(material.name.toLowerCase()))
          .map((face) => ({ at: prepare(face), text: 'Scuff it matt and wipe it' }))
      : null,
}

const list = (found: ReturnType<Answer>): Demand[] => (found === null ? [] : Array.isArray(found) ? found : [found])
/** What a reason asks for; nothing where no step answers it, or own evidence has lifted it. */
export const demandsOf = (s: Situation, reason: Reason): Demand[] =>
  reason.lifted ? [] : list(answers[reason.rule]?.(s, reason) ?? null)

/** A thin coat that dries in: as long as the glue waits, and twenty minutes at least in the usual room. */
const sizeDriesS = ({ family, cure }: Situation): number =>
  Math.max(family.waitMinS, Math.round(1200 * Math.min(cure.factor, 50)))
/** Water for what cures with it: on a face, or in the air where a film of water keeps the glue off. */
function damped(s: Situation): Demand {
  if (has(s, 'minds-damp'))
    return { at: 'ready', text: 'Moisten the air of the place: warm water in bowls beside the parts' }
  // The face that takes no glue first: water and glue meet when it is closed.
  const coated = coatedFace(s)
  const dry = s.faces.find((face) => face !== coated)!
  const wettable = [dry, coated].find(
    ({ material }) => material && !WATER_HARMS.some((one) => material.traits.includes(one)),
  )
  return { at: 'damp', text: `Mist ${sideWords(wettable ?? dry)} lightly with water: damp, no drops` }
}
const WATER_HARMS = ['corrodes', 'cockles', 'cockles-thin', 'print-runs'] as const
