import { testKinds } from '../knowledge/testKinds'
import { exposureWords } from '../knowledge/exposures'
import { durationWords } from '../quantities/durations'
import type { Arm } from '../records/round'

export { armOf } from './armOf'

/** An arm in words: “lap shear”, “lap shear, after 2 h at 50 °C”, “lap shear, 24 h after closing”. */
export const armWords = ({ test, exposure, ageS }: Pick<Arm, 'test' | 'exposure' | 'ageS'>): string =>
  [
    testKinds[test].name,
    ...(ageS == null ? [] : [`${durationWords(ageS)} after closing`]),
    ...(exposure ? [exposureWords(exposure)] : []),
  ].join(', ')

/**
 * Which arm the n-th coupon of a procedure belongs to (n from 1): the arms take turns, so that a warming room or a
 * thickening pot falls on all of them alike.
 */
export const armOfPlace = (arms: readonly Arm[], n: number): Arm => arms[(n - 1) % arms.length]!
