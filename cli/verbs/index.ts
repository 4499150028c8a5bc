import type { Verb } from './verb'
import { analyse } from './analyse'
import { convert } from './convert'
import { coupon } from './coupon'
import { screen } from './screen'

/** The verbs by name, one file each. */
export const verbs: Record<string, Verb<never, unknown>> = { convert, analyse, screen, coupon } as unknown as Record<
  string,
  Verb<never, unknown>
>
