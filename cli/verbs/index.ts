import type { Verb } from './verb'
import { analyse } from './analyse'
import { borrow } from './borrow'
import { convert } from './convert'
import { coupon } from './coupon'
import { cure } from './cure'
import { find } from './find'
import { next } from './next'
import { photo } from './photo'
import { rank } from './rank'
import { schedule } from './schedule'
import { screen } from './screen'

/** The verbs by name, one file each. */
export const verbs: Record<string, Verb<never, unknown>> = {
  convert,
  analyse,
  screen,
  coupon,
  cure,
  schedule,
  borrow,
  find,
  photo,
  rank,
  next,
} as unknown as Record<string, Verb<never, unknown>>
