import { isHeld, type GlueTask } from '../../../core/planning/gluing'
import { countdown } from '../../look/times'

/** The one figure of a step: how long until it may be done, how long is left to do it, or how far it is too late. */
export function clockOf(task: GlueTask, now: number): { value: string; says: string } | null {
  const { since, readyAt, lateAt, step, hold } = task
  if (hold && isHeld(task, now))
    return {
      value: countdown(readyAt - now),
      says: hold.kind === 'film' ? 'at least, until the air is clear' : 'at least, until what is hot is cold',
    }
  if (since === null) return null
  if (readyAt > now)
    return { value: countdown(readyAt - now), says: `until it may be ${step.kind === 'close' ? 'closed' : 'left'}` }
  if (lateAt !== null && lateAt < now)
    return { value: countdown(now - lateAt), says: 'too long: note what you do, or start this piece again' }
  if (lateAt !== null) return { value: countdown(lateAt - now), says: 'left to do it' }
  return { value: countdown(now - since), says: 'since the last step' }
}
