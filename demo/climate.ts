import { saturationKPa, type Room } from '../core/cure/room'
import { normalDraw, type Random } from '../core/planning/random'

/** How far a heater warms the simulated room, °C, and how long most of that takes, min. */
const WARMS_BY_C = 5
const WARMS_IN_MIN = 30
/** what a cheap sensor scatters by */
const NOISE_C = 0.05
const NOISE_RH = 0.4

/**
 * The climate of a simulated room some minutes after a heater was switched on: warmer, and drier, since the air holds
 * the water that it held. Stands in for a sensor; no more true than that.
 */
export function simulatedClimate(from: Room, minutes: number, random: Random): Room {
  const tempC = from.tempC + WARMS_BY_C * (1 - Math.exp(-minutes / WARMS_IN_MIN))
  const rh = (from.rh * saturationKPa(from.tempC)) / saturationKPa(tempC)
  const rounded = (value: number) => Math.round(value * 100) / 100
  return {
    tempC: rounded(tempC + NOISE_C * normalDraw(random)),
    rh: rounded(Math.min(100, Math.max(0, rh + NOISE_RH * normalDraw(random)))),
  }
}
