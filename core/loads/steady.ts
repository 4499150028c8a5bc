import type { Family } from '../knowledge/families'
import type { Brief } from '../records/joint'

/** How long a load stays on a joint, h: as long as the words allow; where nobody said, as long as any. */
const servedH: Record<NonNullable<Brief['life']>, number> = {
  temporary: 24,
  mend: 24 * 30,
  show: 24 * 120,
  years: 24 * 365 * 3,
  archival: 24 * 365 * 3,
}
const servedWords: Record<NonNullable<Brief['life']>, string> = {
  temporary: 'for a day',
  mend: 'until a better mend',
  show: 'over a run of shows',
  years: 'for years',
  archival: 'for good',
}

/** A load that stays on for so long and longer is no pull any more, h. */
const FROM_H = 1
/** Left after an hour and for good: of a film that creeps, and of one that does not. */
const CREEPS = [0.4, 0.1] as const
const STANDS = [0.8, 1 / 3] as const

/** A weight that hangs still on the joint; where no motion was said, still is taken. */
export const hangsStill = ({ weightKg, share, motion }: Pick<Brief, 'weightKg' | 'share' | 'motion'>): boolean =>
  weightKg !== null && weightKg * (share ?? 1) > 0 && (motion ?? 'still') === 'still'

/**
 * Share of a short pull’s strength that a load which stays on may ask for, 0…1: a straight line in the logarithms of
 * share and time, from an hour to three years. General practice: about a tenth for what creeps, a third for the
 * rest; an estimate, never a measurement.
 */
export function steadyShare({ traits, mechanism }: Pick<Family, 'traits' | 'mechanism'>, life: Brief['life']): number {
  const [first, last] = traits.includes('creeps') || mechanism === 'pressure' ? CREEPS : STANDS
  const along = Math.log(servedH[life ?? 'archival'] / FROM_H) / Math.log(servedH.archival / FROM_H)
  return first * (last / first) ** along
}

/** A load that stays, with how long, as it is said. */
export const steadyWords = (life: Brief['life']): string => `a load that hangs on it ${servedWords[life ?? 'archival']}`
