import { CodedError } from '../errors'
import { asUnit } from '../quantities/parse'
import { notNegative, positive } from '../quantities/require'
import { STANDARD_GRAVITY, WATER_KG_PER_LITRE, toInside, type Dimension } from '../quantities/units'

/** The ways in which one number is read (methods.md 1); steps, hands and traces have files of their own. */
export const ways = ['gauge', 'mass', 'water', 'lever'] as const
export type Way = (typeof ways)[number]

export interface LoadReading {
  way: Way
  value: number
  unit: string
  /** hook, tray or bucket, for mass, water and weights on a lever, kg; 0 when left out */
  tareKg?: number | null
  /** lever: from the pivot to where the load acts, and to the joint, mm */
  armLoadMm?: number | null
  armJointMm?: number | null
  /** lever: the beam's own mass (kg) and the arm of its middle (mm); both or neither */
  beamKg?: number | null
  beamArmMm?: number | null
}

const dimensions: Record<Way, Dimension> = { gauge: 'force', mass: 'mass', water: 'volume', lever: 'force' }

/** What each way's number measures: for choosing units on screen. */
export const dimensionOfWay = (way: Way): Dimension => dimensions[way]

/**
 * The load at the joint in N (methods.md 1): gauge as read; m·g; (litres × 0.998 kg + tare)·g; F·(arm of the load / arm
 * of the joint) plus the beam's own moment over the arm of the joint. A lever is loaded by weights or a gauge alike, so
 * its number is read as a force and a mass unit means that mass hung on it.
 * @throws CodedError naming the field
 */
export function loadN(reading: LoadReading): number {
  const { way } = reading
  const dimension = dimensions[way]
  if (dimension === undefined) throw new CodedError('not-one-of', 'way', { got: String(way), known: ways.join(', ') })
  const unit = asUnit(reading.unit, dimension, 'unit')
  const amount = toInside(notNegative(reading.value, 'value', 'The reading', 'the load'), unit, dimension)
  if (way === 'gauge') return amount
  const tareKg = notNegative(reading.tareKg ?? 0, 'tareKg', 'The tare', 'the load')
  if (way === 'mass') return (amount + tareKg) * STANDARD_GRAVITY
  if (way === 'water') return (amount * WATER_KG_PER_LITRE + tareKg) * STANDARD_GRAVITY
  const armJointMm = positive(reading.armJointMm, 'armJointMm', 'The arm of the joint', 'a lever')
  const armLoadMm = positive(reading.armLoadMm, 'armLoadMm', 'The arm of the load', 'a lever')
  return ((amount + tareKg * STANDARD_GRAVITY) * armLoadMm + beamMoment(reading)) / armJointMm
}

/** N·mm of the beam's own weight about the pivot; 0 for a balanced beam. */
function beamMoment({ beamKg, beamArmMm }: LoadReading): number {
  if (beamKg == null && beamArmMm == null) return 0
  const mass = notNegative(beamKg, 'beamKg', "The beam's mass", 'the moment of the beam')
  return (
    mass *
    STANDARD_GRAVITY *
    notNegative(beamArmMm, 'beamArmMm', "The arm of the beam's middle", 'the moment of the beam')
  )
}
