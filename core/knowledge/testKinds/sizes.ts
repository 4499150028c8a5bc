import { positive } from '../../quantities/require'
import type { CouponSize, SizeKey } from './kind'

/** Lengths that no strength depends on: what a hook, a vice and a hand need. mm */
export const GRIP_MM = 40
/** What most pieces are cut to across the pull, mm. */
const USUAL_WIDTH_MM = 25

const names: Record<SizeKey, string> = {
  widthMm: 'The width',
  overlapMm: 'The overlap',
  areaMm2: 'The bonded area',
  thicknessMm: 'The thickness',
  diameterMm: 'The diameter',
  innerDiameterMm: 'The inner diameter',
  armMm: 'The arm',
  spanMm: 'The span',
}

/** @throws CodedError missing, not-positive, naming the size and what it is needed for */
export const need = (size: CouponSize, key: SizeKey, purpose: string, name = names[key]): number =>
  positive(size[key], key, name, purpose)

export const widthOf = (size: CouponSize, usual = USUAL_WIDTH_MM): number => size.widthMm ?? usual
export const overlapOf = (size: CouponSize): number => size.overlapMm ?? 12
/** Area of a disc, mm². */
export const disc = (diameterMm: number): number => (Math.PI * diameterMm ** 2) / 4
