import { cureOf, plannedFullS, type CureQuestion } from './cure'
import { STANDARD_ROOM } from './room'

/** A room that stays within this counts as the same: times hold with a range. Beyond it they are worked out anew. */
export const ROOM_GIVES_C = 3
export const ROOM_GIVES_RH = 10

/**
 * The shortest and the longest full cure while the room stays within what it may give, as factors on its cure in the
 * room that was said; ∞ where it would not cure any more. null where it does not cure here at all.
 */
export function cureRange(question: CureQuestion): { low: number; high: number } | null {
  const room = question.room ?? STANDARD_ROOM
  const here = plannedFullS(cureOf({ ...question, room }))
  if (!Number.isFinite(here) || here <= 0) return null
  const corners = [-ROOM_GIVES_C, 0, ROOM_GIVES_C].flatMap((byC) =>
    [-ROOM_GIVES_RH, 0, ROOM_GIVES_RH].map((byRh) => {
      const at = { tempC: room.tempC + byC, rh: Math.min(100, Math.max(0, room.rh + byRh)) }
      return plannedFullS(cureOf({ ...question, room: at })) / here
    }),
  )
  return { low: Math.min(...corners), high: Math.max(...corners) }
}
