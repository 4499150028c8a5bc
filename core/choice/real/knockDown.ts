import { waterRank, type Family } from '../../knowledge/families'
import { steadyShare } from '../../loads/steady'
import type { Brief } from '../../records/joint'
import type { SurroundingId } from './surroundings'

/** At this the tables' strengths were taken, °C. */
const ROOM_C = 23
/** Left at the warmest and at the coldest that a family is used at. */
const [AT_HOTTEST, AT_COLDEST] = [0.5, 0.7]
/** Above the warmest what is left goes to nothing within so many degrees. */
const GONE_WITHIN_C = 20
/** Left of a glue that is used colder than its coldest: it may go brittle. */
const TOO_COLD = 0.3
/** Left after water, by how many steps the family's own limit lies below what is asked; the last one for more. */
const WET = [0.8, 0.4, 0.1] as const
const SPLASHED = 0.9
/** Left after years, of most glues and of those that dry out or are made for weeks. */
const [AGED, FLEETING] = [0.7, 0.2]

const line = (x: number, [x0, y0]: readonly [number, number], [x1, y1]: readonly [number, number]): number =>
  y0 + ((x - x0) / (x1 - x0)) * (y1 - y0)

/** Left at a temperature above that of a room. */
function hot(heatC: number, { serviceMaxC }: Family): number {
  if (heatC <= ROOM_C) return 1
  if (heatC <= serviceMaxC) return line(heatC, [ROOM_C, 1], [serviceMaxC, AT_HOTTEST])
  return Math.max(0.05, line(heatC, [serviceMaxC, AT_HOTTEST], [serviceMaxC + GONE_WITHIN_C, 0]))
}
const cold = (coldC: number, { serviceMinC }: Family): number =>
  coldC < serviceMinC ? TOO_COLD : coldC >= 5 ? 1 : Math.min(1, line(coldC, [5, 1], [serviceMinC, AT_COLDEST]))

function wet(asked: NonNullable<Brief['water']>, family: Family): number {
  const short = waterRank(asked) - waterRank(family.water)
  if (asked === 'splash' && short <= 0) return SPLASHED
  return WET[Math.min(WET.length - 1, Math.max(0, short))]!
}

/**
 * The share of its strength that a glue typically keeps, 0…1, where nothing was pulled: an estimate from the limits of
 * its family in the tables (docs/methods.md, margin), never a measurement.
 */
export function typicalKept(id: SurroundingId, brief: Brief, family: Family): number {
  const has = (trait: Family['traits'][number]) => family.traits.includes(trait)
  switch (id) {
    case 'heat':
      return hot(brief.heatC ?? ROOM_C, family)
    case 'cold':
      return cold(brief.coldC ?? ROOM_C, family)
    case 'water':
      return wet(brief.water ?? 'no', family)
    case 'years':
      return has('dries-out') || has('fleeting') ? FLEETING : AGED
    case 'hanging':
      return steadyShare(family, brief.life)
  }
}
