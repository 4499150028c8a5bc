import type { Family } from '../knowledge/families'

/** The air that a joint cures in. */
export interface Room {
  tempC: number
  /** relative humidity, % */
  rh: number
}
/** The room that the tables' times are meant for. */
export const STANDARD_ROOM: Room = { tempC: 20, rh: 50 }

/** Pressure of water vapour in saturated air, kPa (Tetens 1930). */
export const saturationKPa = (tempC: number): number => 0.6108 * Math.exp((17.27 * tempC) / (tempC + 237.3))

/** What the air still lacks until it is full of water, kPa: the pull on water that dries. */
const vapourDeficitKPa = ({ tempC, rh }: Room): number => saturationKPa(tempC) * (1 - rh / 100)

/** Water in the air, g/m³, by the gas law with e in kPa. */
const absoluteHumidityGm3 = ({ tempC, rh }: Room): number =>
  (2165 * saturationKPa(tempC) * (rh / 100)) / (tempC + 273.15)

/** The same air brought to another temperature: it holds the same water, so its relative humidity changes. */
export const warmed = (room: Room, tempC: number): Room => ({
  tempC,
  rh: Math.min(100, (room.rh * saturationKPa(room.tempC)) / saturationKPa(tempC)),
})

/** The bead that a melt's typical times are meant for, mm; and how much longer it stays hot on foam. */
const BEAD_MM = 2
const ON_FOAM = 1.5
/** Heat of a melt as it is laid, °C. */
const MELT_C = 180

/** What else bears on a melt: it cools through its bead and into its faces. */
export interface Bead {
  onFoam: boolean
  /** thickness of the bead, mm */
  beadMm?: number | null
}

/**
 * By how much a family's times stretch in a room: t = t(20 °C, 50 % RH) × f (methods.md, Cure).
 * @returns Infinity where the air takes up no water, or has none to give
 */
export function roomFactor(family: Pick<Family, 'mechanism' | 'chemistry'>, room: Room, bead: Bead): number {
  const colder = (STANDARD_ROOM.tempC - room.tempC) / 10
  switch (family.mechanism) {
    case 'two-part':
      return 2 ** colder
    case 'evaporate-water':
      return over(vapourDeficitKPa(STANDARD_ROOM), vapourDeficitKPa(room))
    case 'evaporate-solvent':
      return 1.6 ** colder
    // The solvent of a cement leaves as any other does; a hot tool's seam only cools.
    case 'weld':
      return family.chemistry === 'solvent' ? 1.6 ** colder : 1
    case 'moisture':
      return over(absoluteHumidityGm3(STANDARD_ROOM), absoluteHumidityGm3(room)) * 1.3 ** colder
    case 'melt':
      return (
        ((bead.beadMm ?? BEAD_MM) / BEAD_MM) ** 2 *
        ((MELT_C - STANDARD_ROOM.tempC) / (MELT_C - room.tempC)) *
        (bead.onFoam ? ON_FOAM : 1)
      )
    default:
      return 1
  }
}

const over = (usual: number, here: number) => (here > 0 ? usual / here : Infinity)
