import { durationWords } from '../quantities/durations'
import { digitsOf } from '../quantities/figure'
import { GIVEN_S, type Cure, type NoCure } from './cure'
import { roomFactor, STANDARD_ROOM, warmed, type Room } from './room'
import { closedS, doneMm, isSealed, passing } from './shutIn'

/** A warm box: a carton with a lamp or a heating mat in it, °C. */
const WARM_BOX_C = 25
/** From this factor on a room is worth a word. */
const SLOW = 1.5
/** Two figures are enough for what a room does. */
const about = (n: number) => digitsOf(Number(n.toPrecision(2)))
const degrees = (tempC: number) => `${digitsOf(tempC).replace('-', '−')} °C`
const says = { water: 'dries', solvent: 'dries', damp: 'cures' }

/** What stands in the way of the cure here, and what helps. */
export function cureAdvice(cure: Cure): string[] {
  const out: string[] = []
  if (cure.why) out.push(whyNot(cure.why, cure))
  out.push(...fromTheRim(cure))
  if (cure.cures && cure.factor >= SLOW) out.push(slowRoom(cure))
  if (needsDamp(cure)) out.push('It cures with damp and finds none between two dry, sealed faces: mist one lightly.')
  if (cure.question.faces.some((face) => isSealed(face) === null) && passing(cure.question.family))
    out.push('Not both faces are known: between two sealed ones it would be done from the rim inwards only.')
  return out
}

function whyNot(why: NoCure, { question: { family, room } }: Cure): string {
  const { tempC, rh } = room ?? STANDARD_ROOM
  if (why === 'too-cold')
    return (
      `Will not cure here: it wants ${degrees(family.cureMinC!)} or more and the room has ${degrees(tempC)}. Warm ` +
      'parts, glue and place, in a warm box for as long as it cures.'
    )
  if (why === 'air-full')
    return `Will not dry here: air at ${about(rh)} % takes up no water. Warm the air or dry it, and let it move.`
  if (why === 'no-damp')
    return 'Will not cure here: this air holds no water, and it cures with it. Moisten the air, or mist one face.'
  return 'Will not cure here: no side lets light through, and where light cannot reach it stays liquid.'
}

function fromTheRim(cure: Cure): string[] {
  const { family, halfWidthMm } = cure.question
  const givenS = cure.question.givenS ?? GIVEN_S
  const what = passing(family)
  if (cure.reachMm === null || what === null || !cure.cures) return []
  if (halfWidthMm === null)
    return [`Between these faces it ${says[what]} from the rim inwards only: say how large the joint is.`]
  if (cure.closedS! <= givenS) return []
  const done = doneMm(givenS, cure.reachMm, cure.factor)
  const { beads } = cure
  const lanes = beads
    ? `In beads no wider than ${beads.widthMm} mm with air lanes between them it takes ${durationWords(beads.fullS)}`
    : 'Let air in through a vent'
  const more = what === 'damp' ? 'Mist one face' : 'Lay it thinner'
  return [
    `${says[what].replace(/^./, (c) => c.toUpperCase())} ${about(done)} mm of ${about(halfWidthMm)} mm in ` +
      `${durationWords(givenS)}: all of it takes ${durationWords(cure.closedS!)}. ${lanes}. ${more}, or take a glue ` +
      'that dries before closing or sets by itself.',
  ]
}

function slowRoom(cure: Cure): string {
  const { family, faces, gapMm } = cure.question
  const room = cure.question.room ?? STANDARD_ROOM
  // Of a room that nobody said nothing is told: then foam or a thick bead holds the heat.
  const times = cure.question.room
    ? `In this room all takes ${about(cure.factor)} times as long as at 20 °C and 50 %.`
    : `Foam and a thick bead hold the heat: it takes ${about(cure.factor)} times as long as a thin one on a stiff part.`
  if (family.mechanism === 'melt') return `${times} Lay a thinner bead.`
  if (room.tempC >= WARM_BOX_C) return `${times} ${drier(room, family.mechanism === 'moisture')}`
  const foam = faces.some(({ material }) => material?.group === 'foam')
  const there = roomFactor(family, warmed(room, WARM_BOX_C), { onFoam: foam, beadMm: gapMm ?? null })
  const full = family.fullS * there
  const closed = cure.reachMm === null ? 0 : closedS(cure.question.halfWidthMm ?? 0, cure.reachMm, there)
  return `${times} In a warm box at ${WARM_BOX_C} °C it takes ${durationWords(Math.max(full, closed))}.`
}
const drier = ({ rh }: Room, damp: boolean) =>
  damp ? `Moisten the air (it has ${about(rh)} %).` : `Dry the air (it has ${about(rh)} %) and let it move.`

function needsDamp({ question: { family, faces } }: Cure): boolean {
  return (
    family.traits.includes('foams') &&
    faces.every(({ material, state }) => material !== null && material.porosity < 0.2 && state !== 'damp')
  )
}
