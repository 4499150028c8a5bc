import { shallowReactive } from 'vue'
import { ROOM_GIVES_C, ROOM_GIVES_RH } from '../../core/cure/range'
import type { Bench } from '../../core/records/bench'
import type { ClimateSample, Link, Source } from './instrument'

type Room = NonNullable<Bench['room']>

/** What is taken for the room is the middle one of so many samples: one draught or one wrong figure moves nothing. */
const SAMPLES = 5

/** The noted room follows the sensor when it is off by more than times bear. */
const roomHasChanged = (noted: Pick<Room, 'tempC' | 'rh'> | null, live: ClimateSample): boolean =>
  noted === null || Math.abs(noted.tempC - live.tempC) > ROOM_GIVES_C || Math.abs(noted.rh - live.rh) > ROOM_GIVES_RH

const middle = (values: readonly number[]) => [...values].sort((x, y) => x - y)[Math.floor(values.length / 2)]!

/** The sensor that is read, and what it says; one for the app. */
export const roomClimate = shallowReactive({
  source: null as Pick<Source<ClimateSample>, 'name' | 'simulated'> | null,
  /** the middle of the last samples */
  live: null as ClimateSample | null,
  /** why it ended, or what it said that could not be read */
  trouble: '',
})

let link: Link | null = null

/**
 * Reads a sensor until it is lost or left.
 * @param note what is done with the room as it is read: at first, and whenever it has changed
 */
export async function readClimate(
  source: Source<ClimateSample>,
  noted: () => Pick<Room, 'tempC' | 'rh'> | null,
  note: (sample: ClimateSample, first: boolean) => void,
): Promise<void> {
  await leaveClimate()
  const samples: ClimateSample[] = []
  let first = true
  Object.assign(roomClimate, { source, live: null, trouble: '' })
  try {
    link = await source.open({
      sample(one) {
        samples.push(one)
        if (samples.length > SAMPLES) samples.shift()
        const live = {
          tempC: Math.round(middle(samples.map(({ tempC }) => tempC)) * 10) / 10,
          rh: Math.round(middle(samples.map(({ rh }) => rh))),
        }
        roomClimate.live = live
        roomClimate.trouble = ''
        if (first || roomHasChanged(noted(), live)) note(live, first)
        first = false
      },
      said(one) {
        if (one.what === 'battery-low') roomClimate.trouble = 'Its battery is low.'
        if (one.what === 'nonsense')
          roomClimate.trouble = `It sent “${one.line}”; warmth and humidity were expected, such as 17.4,58.`
        if (one.what === 'full') roomClimate.trouble = 'It sends faster than can be read, or at another speed.'
      },
      ended(why) {
        roomClimate.source = null
        roomClimate.live = null
        roomClimate.trouble = why ?? ''
        link = null
      },
    })
  } catch (error) {
    Object.assign(roomClimate, {
      source: null,
      live: null,
      trouble: error instanceof Error ? error.message : String(error),
    })
  }
}

export async function leaveClimate(): Promise<void> {
  await link?.close()
  link = null
}
