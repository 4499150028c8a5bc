import { bringsHeat, mayBurn } from '../../care/heat'
import { dabLayout } from '../../coupons/dabs'
import { inSentence } from '../../quantities/inSentence'
import { familyOf, type Family } from '../../knowledge/families'
import type { Situation } from '../../situation/situation'
import { usableDab } from '../../screening/rules/help'
import { HOLD_BY_HAND_S } from '../steps'
import { GUN_WARMS_S, LEAST_MIX_G } from '../mixing'
import { coatedFace, sideWords } from './faces'
import type { Demand } from './slots'

/** How a glue for one face is laid on it, by the face’s name. */
const applyWords: Partial<Record<Family['form'], (side: string) => string>> = {
  thin: (side) => `Wick it into the closed joint, or lay a thin film on ${side}`,
  film: (side) => `Lay the film on ${side}, no air below it`,
  melt: (side) => `Lay one hot bead on ${side}, no more than can be closed in the open time`,
  spray: (side) => `Spray an even coat on ${side}`,
  foam: (side) => `Lay a thin bead on ${side}: it swells`,
  stick: (side) => `Rub an even film on ${side}, to the edges`,
}

const spreadOn = (side: string) => `Spread a thin even film on ${side}`

/** The same where both faces are treated. */
const applyToBoth: Partial<Record<Family['form'], string>> = {
  film: 'Make both faces soft and tacky, evenly',
  melt: 'Melt both faces at once with the hot tool',
  spray: 'Spray an even coat on both faces',
}

const closeWords: Record<Family['mechanism'], string> = {
  'evaporate-water': 'Close, slide a little to spread, line up the marks',
  'evaporate-solvent': 'Line up the marks and close once',
  moisture: 'Line up the marks and close',
  melt: 'Close at once on the marks',
  'heat-activated': 'Close and press with the hot tool, cloth between',
  'two-part': 'Close on the marks and squeeze out a little bead',
  light: 'Close on the marks, no bubbles',
  weld: 'Close on the marks while it is soft',
  pressure: 'Line up the marks and close once, from one edge',
  unknown: 'Close as its label says',
}

/** Activator flashes off before the other face meets it, s. */
const FLASH_S = 30
/** A primer of polyolefin, and a primed or lined cloth that dries in the usual room, s. */
const PRIMER_S = 60
const CLOTH_DRIES_S = 1800
const slippery = (s: Situation) => s.faces.find(({ material }) => material?.surfaceEnergy === 'low')
const clothSide = (s: Situation) => s.faces.find(({ material }) => material?.group === 'textile')

/** What each helper asks for. */
function helped(s: Situation): Demand[] {
  const out: Demand[] = []
  for (const helper of s.helpers) {
    if (helper === 'activator')
      out.push({
        at: 'activate',
        text: `Mist activator thinly on ${sideWords(s.faces[1])} only and let it flash off`,
        minS: FLASH_S,
      })
    if (helper === 'powder-filler' || helper === 'fibre-filler') out.push(...filled(s, helper))
    if (helper === 'primer')
      out.push({
        at: 'prime',
        text: `Wipe polyolefin primer on ${sideWords(slippery(s) ?? s.faces[1])} and let it dry; glue within its time`,
        minS: PRIMER_S,
      })
    if (helper === 'cloth-primer')
      out.push({
        at: 'prime',
        text: `Prime the back of ${sideWords(clothSide(s) ?? s.faces[1])} thinly`,
        minS: CLOTH_DRIES_S,
      })
    if (helper === 'paper-backing')
      out.push({
        at: 'prime',
        text: `Line the back of ${sideWords(clothSide(s) ?? s.faces[1])} with thin paper`,
        minS: CLOTH_DRIES_S,
      })
    if (helper === 'tack-and-cure') out.push(...dabs(s))
  }
  return out
}

/** Filled instant glue sets in one hot burst: it is left alone so long, propped and not held, s. */
const COOLS_S = 120
const isFilled = ({ family, helpers }: Situation): boolean =>
  family.chemistry === 'cyanoacrylate' && (helpers.includes('powder-filler') || helpers.includes('fibre-filler'))

/** A filler laid dry and soaked through at once; stirred in where the glue is mixed; nothing where it does nothing. */
function filled(s: Situation, helper: 'powder-filler' | 'fibre-filler'): Demand[] {
  if (s.family.mechanism === 'two-part')
    return [{ at: 'mix', text: 'Stir the filler in last, to a stiff paste, in small lots: it heats in a lump' }]
  if (s.family.chemistry !== 'cyanoacrylate') return []
  const [lay, soak] =
    helper === 'powder-filler'
      ? [
          'Pack powder dry into the gap, no deeper than 2 mm at a time',
          'soak the powder through at once with thin glue; let each layer cool first',
        ]
      : [
          'Tease the fibre thin and lay one dry pinch into the gap',
          'soak the fibre through at once with thin glue, and take hands off',
        ]
  return [
    { at: 'fit', text: 'Prop the parts as they are to stay: nobody holds them while it sets' },
    { at: 'fill', text: lay },
    { at: 'apply', instead: true, text: `Face away, air moving: ${soak}` },
  ]
}

function dabs(s: Situation): Demand[] {
  const dab = usableDab(s)
  if (!dab) return []
  const family = familyOf(dab)
  const { widthMm, lengthMm } = s.said
  const count = widthMm !== null && lengthMm !== null ? dabLayout(widthMm, lengthMm).dabs.length : null
  const where = count === null ? 'in the corners' : `in ${count} places, the corners first`
  return [
    { at: 'apply', text: `Leave room for dabs of ${inSentence(family.name)} ${where}; set them last` },
    { at: 'dab', text: 'Press the dabs down flat and hold still until they grip', minS: family.holdS },
  ]
}

/** How a joint is kept still until it can be handled. */
function fixWords(s: Situation): string {
  const { family, canClamp } = s
  if (family.traits.includes('dry-grab') || family.mechanism === 'pressure')
    return 'Let it rest without load until it can be handled'
  if (canClamp === false || family.clamp === 'hold' || family.clamp === 'no')
    return 'Pin, prop or tape it in place until it can be handled'
  return family.clamp === 'clamp'
    ? 'Clamp with flat pads until it can be handled'
    : 'Leave under a flat weight until it can be handled'
}

/** Keeping still from closing to handling: by hand for no longer than anyone does, then fixed in place. */
function kept(s: Situation): Demand[] {
  const { family } = s
  const dabs = s.helpers.includes('tack-and-cure') && usableDab(s) !== null
  if (family.mechanism === 'light')
    return [{ at: 'light', text: lampWords(s), minS: Math.max(family.holdS, family.handlingS) }]
  if (isFilled(s))
    return [
      {
        at: 'clamp',
        text: 'Hands off while it is hot: it stands propped until it is cool to the touch',
        minS: Math.max(COOLS_S, family.holdS),
      },
    ]
  const byHand = family.holdS <= HOLD_BY_HAND_S && !dabs
  const fixed = family.clamp === 'clamp' || family.clamp === 'press'
  const out: Demand[] = byHand ? [{ at: 'hold', text: 'Hold still', minS: family.holdS }] : []
  const until = Math.max(family.handlingS, family.holdS) - (byHand ? family.holdS : 0)
  if (fixed || !byHand) out.push({ at: 'clamp', text: fixWords(s), minS: fixed ? until : family.holdS })
  return out
}

function lampWords({ faces }: Situation): string {
  const through = faces.filter(({ material }) => material?.transparent)
  const from = through.length
    ? `through ${through.map(({ side }) => `side ${side}`).join(' and ')}`
    : 'along the rim, all the way round'
  return `Light it ${from}, spot by spot, the lamp close`
}

/** How a face is prepared: beside a glue that may burn nothing of it is done with heat. */
const prepWords = (prep: string, hazards: readonly string[]): string =>
  mayBurn(hazards)
    ? prep
        .split('; ')
        .filter((text) => !bringsHeat({ kind: 'prepare-a', text }))
        .join('; ')
    : prep

/** The usual way of a glue on two faces, from the tables: what every joint with it asks for. */
export function usualDemands(s: Situation): Demand[] {
  const { family, faces } = s
  const both = family.faces === 'both'
  const besides = s.second?.family.hazards ?? []
  const demands: Demand[] = faces.map((face) => ({
    at: face.side === 'A' ? 'prepare-a' : 'prepare-b',
    text: prepWords(face.material?.prep ?? '', [...family.hazards, ...besides]) || 'Clean, dry and scuff it',
  }))
  const hot = family.mechanism === 'heat-activated' || family.traits.includes('melts-parts')
  const tool = family.traits.includes('gun') ? 'glue gun' : hot ? 'hot tool' : null
  if (tool)
    demands.push(
      mayBurn(besides)
        ? { at: 'ready', text: `Leave the ${tool} cold until what was laid before is dry and the air is clear` }
        : {
            at: 'ready',
            text: `Switch the ${tool} on, on its stand, a heat-proof sheet under it`,
            minS: GUN_WARMS_S,
          },
    )
  if (family.form === 'spray')
    demands.push({ at: 'ready', text: 'Shake the can well and lay out paper against overspray' })
  demands.push({ at: 'fit', text: 'Dry-fit, and mark across the joint where the parts meet' })
  if (family.mechanism === 'two-part')
    demands.push({
      at: 'mix',
      text: `Mix both parts, ${LEAST_MIX_G} g or more, on a scale or through a nozzle, until no streak is left`,
    })
  demands.push({
    at: 'apply',
    text: both
      ? (applyToBoth[family.form] ?? 'Spread a thin even film on both faces')
      : (applyWords[family.form] ?? spreadOn)(sideWords(coatedFace(s))),
  })
  if (family.waitMinS > 0) demands.push({ at: 'wait', text: 'Leave open until it is dull and touch-dry' })
  const closes = both && family.mechanism === 'evaporate-water' ? 'evaporate-solvent' : family.mechanism
  demands.push({
    at: 'close',
    text: isFilled(s) ? 'Look that nothing has moved off the marks; do not touch the fill' : closeWords[closes],
  })
  if (family.traits.includes('dry-grab') || family.mechanism === 'pressure')
    demands.push({ at: 'press', text: 'Press hard all over, rolling from the middle to the rim' })
  demands.push(...helped(s), ...kept(s))
  demands.push({ at: 'cure', text: 'Leave alone until it is cured through' })
  return demands
}
