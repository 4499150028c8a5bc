import { shareAt } from '../knowledge/practice'
import type { Family } from '../knowledge/families'
import { roomFactor, STANDARD_ROOM, type Room } from './room'
import { closedS, doneMm, reachMm, type CureFaces } from './shutIn'

export interface CureQuestion {
  /** the family's times, the label's put over them */
  family: Family
  faces: CureFaces
  /** null: not said, taken as 20 °C and 50 % */
  room: Room | null
  /** deepest point of the joint to its open rim, mm; null while open */
  halfWidthMm: number | null
  /** the gap that a bead fills, mm */
  gapMm?: number | null
  /** by when it is wanted, s after closing; null or left out: a week */
  givenS?: number | null
  /** glue laid on, as a share of the usual amount: a thicker film dries for longer */
  film?: number
}

/** Why it does not cure here. */
export type NoCure = 'too-cold' | 'air-full' | 'no-damp' | 'dark'

export interface Cure {
  factor: number
  waitMinS: number
  waitMaxS: number
  openS: number
  holdS: number
  handlingS: number
  /** until it is done through: in the open, or from the rim inwards where that takes longer */
  fullS: number
  potLifeS: number | null
  /** the part of fullS that the way from the rim asks for; null where nothing has to pass there or the depth is open */
  closedS: number | null
  /**
   * beads with air lanes, so narrow that their middle is done in the time given, where a film would take longer than
   * its usual cure: how wide at most, and until they are cured; null where a film does as well
   */
  beads: { widthMm: number; fullS: number } | null
  /** mm after one day from the rim inwards, at 20 °C and 50 % RH; null where nothing has to pass there */
  reachMm: number | null
  cures: boolean
  why: NoCure | null
  /** it would pass the rim only, and how deep that is was not said */
  depthOpen: boolean
  question: CureQuestion
}

/**
 * The times of a glue in a joint: this room, these faces, this depth (methods.md, Cure). What a label or the maker
 * says has been put over the family before; it stretches with the room like the rest.
 */
export function cureOf(question: CureQuestion): Cure {
  const { family, faces, halfWidthMm } = question
  const room = question.room ?? STANDARD_ROOM
  const foam = faces.some(({ material }) => material?.group === 'foam')
  const bead = question.gapMm != null && question.gapMm > 2 ? question.gapMm : null
  const factor = roomFactor(family, room, { onFoam: foam, beadMm: bead })
  // A thick bead cools for longer once it is closed; lying open it is a bead like any other.
  const open = roomFactor(family, room, { onFoam: foam })
  const dries = family.mechanism === 'evaporate-water' || family.mechanism === 'evaporate-solvent'
  const film = dries ? (question.film ?? 1) : 1
  const reach = reachMm(family, faces)
  const closed = reach === null || halfWidthMm === null ? null : closedS(halfWidthMm, reach, factor)
  const why = noCure(family, faces, room, factor)
  const scaled = (seconds: number, by = factor) => (seconds === 0 ? 0 : seconds * by)
  return {
    factor,
    waitMinS: scaled(family.waitMinS, open * film),
    waitMaxS: scaled(family.waitMaxS, open),
    openS: scaled(family.openS, open),
    holdS: scaled(family.holdS),
    handlingS: why ? Infinity : scaled(family.handlingS, factor * film),
    fullS: why ? Infinity : Math.max(scaled(family.fullS, factor * film), closed ?? 0),
    potLifeS: family.potLifeS === null ? null : scaled(family.potLifeS),
    closedS: closed,
    beads:
      why || closed === null
        ? null
        : beadsFor(closed, reach!, factor, scaled(family.fullS), question.givenS ?? GIVEN_S),
    reachMm: reach,
    cures: why === null,
    why,
    depthOpen: reach !== null && halfWidthMm === null,
    question,
  }
}

/** What a maker gives a joint where nothing else was said, s. */
export const GIVEN_S = 7 * 86_400
/** The narrowest bead that is worth laying, mm. */
const NARROWEST_MM = 3

function beadsFor(closed: number, reach: number, factor: number, fullS: number, givenS: number): Cure['beads'] {
  // A film that is done in that time needs no lanes.
  if (closed <= Math.max(fullS, givenS)) return null
  const done = doneMm(Math.max(givenS, fullS), reach, factor)
  const widthMm = Math.max(NARROWEST_MM, Math.floor(2 * done))
  return { widthMm, fullS: Math.max(fullS, closedS(widthMm / 2, reach, factor)) }
}

/** Until the joint is cured as it is planned: in beads with air lanes where a film would stay wet inside. */
export const plannedFullS = ({ beads, fullS }: Pick<Cure, 'beads' | 'fullS'>): number => beads?.fullS ?? fullS

function noCure(family: Family, faces: CureFaces, room: Room, factor: number): NoCure | null {
  if (family.cureMinC !== null && room.tempC < family.cureMinC) return 'too-cold'
  if (!Number.isFinite(factor)) return family.mechanism === 'moisture' ? 'no-damp' : 'air-full'
  const [a, b] = faces
  const dark = a.material && b.material && !a.material.transparent && !b.material.transparent
  return family.needs.includes('light-path') && dark ? 'dark' : null
}

/**
 * Share of its full strength that a joint has some time after closing, 0…1: by the family's points, stretched by the
 * room, and no more than the share of the width that is done from the rim. null without a row for the family.
 */
export function shareAfter(cure: Cure, seconds: number): number | null {
  const { family, halfWidthMm } = cure.question
  if (!cure.cures) return 0
  const grabs = family.traits.includes('dry-grab') || family.mechanism === 'pressure'
  const share = shareAt(family.id, seconds / cure.factor, grabs)
  if (share === null || cure.reachMm === null || halfWidthMm === null) return share
  return Math.min(share, doneMm(seconds, cure.reachMm, cure.factor) / halfWidthMm)
}

/**
 * A time as it is said and kept everywhere: seconds to two minutes, then half minutes, minutes, quarters of an hour:
 * no clock at a bench counts finer. What a table or a label says in whole seconds stays.
 */
export function roundedS(seconds: number): number {
  return Number.isInteger(seconds) ? seconds : grainedS(seconds)
}

/** A time that was worked out from others, in the same grain. */
export function grainedS(seconds: number): number {
  if (!Number.isFinite(seconds)) return seconds
  const grain = seconds < 120 ? 1 : seconds < 600 ? 30 : seconds < 7200 ? 60 : 900
  return Math.round(seconds / grain) * grain
}

/** A family with its times as they are in a room; where it does not cure the tables' times stay, for the words. */
export function inRoom(family: Family, cure: Cure): Family {
  if (!cure.cures) return family
  const { waitMinS, waitMaxS, openS, holdS, handlingS, potLifeS } = cure
  return {
    ...family,
    waitMinS: roundedS(waitMinS),
    waitMaxS: roundedS(waitMaxS),
    openS: roundedS(openS),
    holdS: roundedS(holdS),
    handlingS: roundedS(handlingS),
    fullS: roundedS(plannedFullS(cure)),
    potLifeS: potLifeS === null ? null : roundedS(potLifeS),
  }
}
