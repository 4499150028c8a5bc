import { byFamily, rowsOfColumns } from './columns'
import gaps from './gaps.json'
import doses from './heat-dose.json'
import stiffness from './stiffness.json'
import times from './strength-time.json'
import { type Helper } from './vocabulary'
import wet from './wet-load.json'

// What practice knows of a family by itself: gaps, heat, strength over time, stiffness, what wets a sheet.
interface GapRow {
  family: string
  helper: string
  gapMaxMm: number
}
const gapRows = byFamily(rowsOfColumns<GapRow>(gaps as never))
/** Widest gap that a family bridges, mm, with the helper in use that reaches furthest; null without a row. */
export function gapLimit(family: string, helpers: readonly Helper[]): number | null {
  const rows = gapRows.get(family) ?? []
  const own = rows.filter(({ helper }) => helper !== '' && helpers.includes(helper as Helper))
  const used = own.length ? own : rows.filter(({ helper }) => helper === '')
  return used.length ? Math.max(...used.map(({ gapMaxMm }) => gapMaxMm)) : null
}

interface DoseRow {
  family: string
  dose: string
  surfaceRiseC: number
}
const doseRows = byFamily(rowsOfColumns<DoseRow>(doses as never))
/** Rise of a badly conducting face under each dose of a family, °C. */
export const heatRises = (family: string): readonly DoseRow[] => doseRows.get(family) ?? []

interface TimeRow {
  family: string
  t1S: number
  share1: number
  t2S: number
  share2: number
  t3S: number
  share3: number
}
const timeRows = new Map(rowsOfColumns<TimeRow>(times as never).map((row) => [row.family, row]))
/**
 * Share of its full strength that a family has after a time: a straight line in the logarithm of time between three
 * points; before the first in proportion to time, or held there for glues that grab.
 * @param seconds since closing, at 20 °C and 50 % RH
 * @returns 0…1; null without a row
 */
export function shareAt(family: string, seconds: number, grabs: boolean): number | null {
  const row = timeRows.get(family)
  if (!row) return null
  const { t1S, share1, t2S, share2, t3S, share3 } = row
  if (seconds >= t3S) return share3
  if (seconds <= t1S) return grabs ? share1 : (share1 * Math.max(0, seconds)) / t1S
  const [from, low, to, high] = seconds < t2S ? [t1S, share1, t2S, share2] : [t2S, share2, t3S, share3]
  return low + ((high - low) * Math.log(seconds / from)) / Math.log(to / from)
}

export interface Stiffness {
  family: string
  filmModulusMPa: number
  elongationPct: number
  /** 3 made for spines that open flat … 0 breaks them */
  layFlat: number
}
const stiffRows = new Map(rowsOfColumns<Stiffness>(stiffness as never).map((row) => [row.family, row]))
export const stiffnessOf = (family: string): Stiffness | null => stiffRows.get(family) ?? null

interface WetRow {
  family: string
  waterGm2: number
  solventGm2: number
}
const wetRows = new Map(rowsOfColumns<WetRow>(wet as never).map((row) => [row.family, row]))
/** What wets the sheet at the usual spread, g/m². */
export const wetLoadOf = (family: string): WetRow => wetRows.get(family) ?? { family, waterGm2: 0, solventGm2: 0 }
