import { figureOf } from '../../core/quantities/figure'

/** How numbers are shown: three significant figures, units small and always there (interface.md, "Look"). */

/** Three significant figures without exponent or trailing zeros that claim more: 0.678, 12.3, 118, 1250. */
export function figure(value: number): string {
  return Number.isFinite(value) ? figureOf(value) : '–'
}

export const percent = (share: number): string =>
  share > 0.995 ? 'over 99 %' : share < 0.005 ? 'under 1 %' : `${Math.round(share * 100)} %`

/** A share that is no chance: 0 % and 100 % are said as they are. */
export const wholePercent = (share: number): string => `${Math.round(100 * share)} %`

export const plural = (count: number, one: string, many = `${one}s`): string => `${count} ${count === 1 ? one : many}`
export const capital = (text: string): string => text.replace(/^./, (first) => first.toUpperCase())
