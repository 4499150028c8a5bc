import type { ForceUnit } from '../quantities/force'
import type { ArmRead } from '../records/round'
import { STANDARD_GRAVITY } from '../quantities/units'
import { LIMIT_SHARE, STEPS_AT_LEAST } from './plan'

export interface Gauge {
  limitN: number
  resolutionN: number
  /** what its display is told in; left out: newtons */
  unit?: ForceUnit
}

/** What hangs from a hook at a kitchen table, kg; what is poured into a cup or a bucket, l. */
const WEIGHTS_KG: [number, number] = [0.5, 20]
const WATER_L: [number, number] = [0.02, 10]
/** The lightest thing that holds it, a paper cup with its thread: it hangs there before a drop is poured in. kg */
const CUP_KG = 0.01
/** Ratios that a bar of a metre gives with a joint arm that hands can rig. */
export const LEVER_RATIOS = [2, 3, 5]
/** Where the joint sits on such a bar, from its pivot, mm. */
export const JOINT_ARM_MM = 100

/** The loads at the joint that a way of reading reads well, N. */
export function readsWell(read: ArmRead, gauge: Gauge): [low: number, high: number] {
  const well: [number, number] = [STEPS_AT_LEAST * gauge.resolutionN, LIMIT_SHARE * gauge.limitN]
  return spanOf(read, well)
}

/** The loads that it can tell at all: five steps of the gauge to its end. */
export const readsAtAll = (read: ArmRead, gauge: Gauge): [low: number, high: number] =>
  spanOf(read, [5 * gauge.resolutionN, gauge.limitN])

function spanOf(read: ArmRead, gauge: [number, number]): [number, number] {
  switch (read.way) {
    case 'gauge':
      return gauge
    case 'lever':
      return [gauge[0] * read.ratio, gauge[1] * read.ratio]
    case 'mass':
      return [WEIGHTS_KG[0] * STANDARD_GRAVITY, WEIGHTS_KG[1] * STANDARD_GRAVITY]
    case 'water':
      return [(WATER_L[0] + CUP_KG) * STANDARD_GRAVITY, WATER_L[1] * STANDARD_GRAVITY]
  }
}

/** Every way of reading, in the order in which a maker takes them. */
export const readings: readonly ArmRead[] = [
  { way: 'gauge' },
  ...LEVER_RATIOS.map((ratio): ArmRead => ({ way: 'lever', ratio })),
  { way: 'mass' },
  { way: 'water' },
]

export const readWords = (read: ArmRead): string =>
  ({
    gauge: 'by the gauge',
    lever: `by the gauge on a lever of ${'ratio' in read ? read.ratio : ''} to 1`,
    mass: 'by hung weights',
    water: 'by water poured into a bucket',
  })[read.way]
