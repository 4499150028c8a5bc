import { positive } from '../../quantities/require'
import type { CouponSize, SizeKey } from './kind'

/** Lengths that no strength depends on: what a hook, a vice and a hand need. mm */
export const GRIP_MM = 40
/** What most pieces are cut to across the pull, mm. */
const USUAL_WIDTH_MM = 25

/** The sizes of a coupon in words; all in mm but the area. */
export const sizeNames: Readonly<Record<SizeKey, { word: string; unit: 'mm' | 'mm²'; symbol: string }>> = {
  widthMm: { word: 'width', unit: 'mm', symbol: 'w' },
  overlapMm: { word: 'overlap', unit: 'mm', symbol: 'L' },
  areaMm2: { word: 'bonded area', unit: 'mm²', symbol: 'A' },
  thicknessMm: { word: 'thickness', unit: 'mm', symbol: 't' },
  diameterMm: { word: 'diameter', unit: 'mm', symbol: 'd or D' },
  innerDiameterMm: { word: 'inner diameter', unit: 'mm', symbol: 'd inside' },
  armMm: { word: 'arm', unit: 'mm', symbol: 'arm' },
  spanMm: { word: 'span', unit: 'mm', symbol: 'span' },
}

/** @throws CodedError missing, not-positive, naming the size and what it is needed for */
export const need = (size: CouponSize, key: SizeKey, purpose: string, name = `The ${sizeNames[key].word}`): number =>
  positive(size[key], key, name, purpose)

export const widthOf = (size: CouponSize, usual = USUAL_WIDTH_MM): number => size.widthMm ?? usual
export const overlapOf = (size: CouponSize): number => size.overlapMm ?? 12
/** Area of a disc, mm². */
export const disc = (diameterMm: number): number => (Math.PI * diameterMm ** 2) / 4
