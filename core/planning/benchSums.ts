import { mayBurn } from '../care/heat'
import type { Family } from '../knowledge/families'
import { measured } from '../quantities/betterUnit'
import { durationWords } from '../quantities/durations'
import { inSentence } from '../quantities/inSentence'
import type { Procedure } from '../records/procedure'
import { coverS } from '../screening/rules/cover'
import { eveningOf } from './evening'
import { glueShare, recipe } from './mix'
import { CLOSE_S, GUN_WARMS_S, LEAST_MIX_G, POT_SHARE } from './mixing'
import { WASTE } from '../costs/cost'
import { gramsPerCm2 } from './needs'

/** What a maker works out at the bench. */
export interface BenchSum {
  about: 'mix' | 'dilution' | 'coverage' | 'at-once' | 'evening' | 'gun' | 'hurry'
  words: string
}

export interface SumsFor {
  procedure: Procedure
  /** its times as they are in this room */
  family: Family
  /** bonded area of one piece or joint, cm² */
  areaCm2: number
  /** pieces or joints to be glued */
  pieces: number
  /** g in the pack at hand; null: unknown */
  packG: number | null
  /** small real pieces, which are prepared by the tray: beads, stones, eyes */
  byTray: boolean
  /** min in an evening */
  eveningMin: number
  /** a face that heat harms: no dryer, no warm place */
  heatHarms: boolean
}

/** Pieces that can be laid and closed within a time, at least one. */
export const within = (seconds: number, areaCm2: number, family: Family): number =>
  Math.max(1, Math.floor(seconds / (coverS(areaCm2, family) + CLOSE_S)))

/** Pieces or joints that one mix serves before it thickens; null for what is not mixed, or keeps. */
export const perMix = ({ steps }: Pick<Procedure, 'steps'>, family: Family, areaCm2: number): number | null =>
  family.potLifeS === null || !steps.some(({ kind }) => kind === 'mix')
    ? null
    : within(POT_SHARE * family.potLifeS, areaCm2, family)

/**
 * The sums of one glue for one joint: mix, dilution, coverage, how many pieces before it skins, how many an evening,
 * and what may be done to hurry it, only where its kind allows it (methods.md 8).
 */
export function benchSums(of: SumsFor): BenchSum[] {
  const { procedure, family, areaCm2, pieces, packG, eveningMin } = of
  const perPiece = areaCm2 * gramsPerCm2(procedure, family)
  const out: BenchSum[] = []
  const add = (about: BenchSum['about'], words: string) => void out.push({ about, words })
  const fit = perMix(procedure, family, areaCm2)
  if (fit !== null) {
    const grams = Math.max(LEAST_MIX_G, Math.min(fit, pieces) * perPiece * glueShare(procedure))
    add(
      'mix',
      `One mix serves ${count(fit, 'piece')} before it thickens (${durationWords(family.potLifeS!)} in this room): ` +
        `${measured(grams, 'g')} a mix, ${count(Math.ceil(pieces / fit), 'mix')} for all ${pieces}. ` +
        `Weigh the parts as the label says; below ${LEAST_MIX_G} g they are easily off.`,
    )
  }
  const parts = recipe({ ...procedure, name: 'glue' }, pieces * perPiece)
  if (parts.length) {
    const each = parts.map(({ name, grams }) => `${measured(grams, 'g')} of ${inSentence(name)}`)
    add('dilution', `For all ${pieces}: ${each.join(' and ')}.`)
  }
  if (perPiece > 0 && areaCm2 > 0) {
    const enough = packG === null ? null : Math.floor(packG / (perPiece * glueShare(procedure)))
    add(
      'coverage',
      `1 g covers ${measured(areaCm2 / perPiece, 'cm²')}; one piece takes ${measured(perPiece, 'g')}, ` +
        `${100 * WASTE} % lost included.` +
        (enough === null
          ? ''
          : ` The pack at hand, ${measured(packG!, 'g')}, is enough for ${count(enough, 'piece')}.`),
    )
  }
  if (skins(family)) {
    const { openS } = family
    add(
      'at-once',
      coverS(areaCm2, family) > openS
        ? `It skins after ${durationWords(openS)}, before one piece is covered: lay strips, or take a slower glue.`
        : `Lay no more than ${count(within(openS, areaCm2, family), 'piece')} before closing the first: ` +
            `it skins after ${durationWords(openS)}.`,
    )
  }
  const evening = eveningOf(procedure.steps, family, areaCm2, pieces, eveningMin, of.byTray)
  add(
    'evening',
    `About ${count(evening.pieces, 'piece')} in an evening of ${durationWords(eveningMin * 60)}: ` +
      `${durationWords(Math.round(evening.eachS))} by hand each, most of it ${evening.binds}.` +
      (evening.evenings > 1 ? ` All ${pieces} take ${evening.evenings} evenings.` : ''),
  )
  if (family.form === 'melt')
    add('gun', `Let the gun warm up for ${durationWords(GUN_WARMS_S)} first, and again after each long pause.`)
  const hurry = hurryWords(family, of.heatHarms)
  if (hurry) add('hurry', hurry)
  return out
}

/** What is closed wet skins over; what waits open, is mixed, is ironed or sticks as it is does not. */
export const skins = ({ waitMinS, mechanism, openS, potLifeS }: Family): boolean =>
  !(waitMinS > 0 || ['pressure', 'weld', 'heat-activated'].includes(mechanism) || potLifeS !== null) &&
  Number.isFinite(openS) &&
  openS > 0

const count = (n: number, word: string) => `${n} ${n === 1 ? word : word === 'mix' ? 'mixes' : `${word}s`}`

/** What shortens its time, where its kind allows it; null where nothing does. */
function hurryWords({ mechanism, hazards, chemistry }: Family, heatHarms: boolean): string | null {
  const burns = mayBurn(hazards)
  switch (mechanism) {
    case 'evaporate-water':
      return heatHarms
        ? 'To hurry it: moving air over the open film, cool; a hair dryer may harm a face of this joint.'
        : 'To hurry it: moving air over the open film, or a hair dryer on its lowest setting, kept moving. Once it ' +
            'is closed nothing hurries it but a warm, dry room.'
    case 'evaporate-solvent':
      return burns
        ? 'To hurry it: moving air only, from a fan that stands well off. No dryer, no warm place: its vapour may ' +
            'catch fire.'
        : 'To hurry it: moving air. No dryer: a hot skin keeps the solvent in.'
    case 'two-part':
      return heatHarms || burns
        ? 'It may be warmed in the hand before it is mixed; what is mixed gets no heat here.'
        : 'Warm both parts in the hand before mixing: they run and mix better. A warm room, up to about 30 °C, ' +
            'shortens the cure, and the pot life as well.'
    case 'moisture':
      return chemistry === 'cyanoacrylate'
        ? 'To hurry it: breathe on a face, or an activator. No dryer: dry heat slows it and drives off its vapour.'
        : 'To hurry it: damp air, or one face misted with water. A dryer dries the air that it needs.'
    default:
      return null
  }
}
