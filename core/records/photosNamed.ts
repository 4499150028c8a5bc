import type { Coupon } from './coupon'
import type { Entry } from './entry'
import type { Tables } from './tables'

const photosOf = (coupons: readonly Pick<Coupon, 'photos'>[]): string[] =>
  coupons.flatMap(({ photos = [] }) => photos.map(({ id }) => id))

/** Photos that records of a bench name, whoever made them. */
export const namedPhotos = ({ coupon }: Pick<Tables, 'coupon'>): string[] => [...new Set(photosOf(coupon))]

/** Photos that come back when one of these entries is taken back or done again. */
export const photosInEntries = (entries: readonly Entry[]): string[] =>
  entries.flatMap(({ changes }) =>
    changes.flatMap(({ table, before, after }) =>
      table === 'coupon' ? photosOf([before, after].flatMap((one) => (one ? [one as Coupon] : []))) : [],
    ),
  )
