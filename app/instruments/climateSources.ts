import { readInstrumentLine } from '../../core/formats/instrumentLine'
import { findUnit, toInside } from '../../core/quantities/units'
import { plainLines, type LineProtocol } from '../../core/records/instrument'
import type { ClimateSample, Listener, Source } from './instrument'
import { openLines } from './serialPort'
import { openStream } from './serverStream'

/** What a room can be: a sensor that says otherwise is broken, or its line is described wrongly. */
const inRoom = ({ tempC, rh }: ClimateSample) => tempC >= -30 && tempC <= 60 && rh >= 0 && rh <= 100
const isTemperature = (unit: string) => findUnit(unit, 'temperature') !== null

/** Lines such as “17.4,58.2”: warmth, then humidity. */
const climateLines: LineProtocol = { ...plainLines, secondColumn: 2, unit: '°C' }

/** A sensor on a serial line: a small board, a logger. */
export function climateBySerial(port: SerialPort, protocol: LineProtocol = climateLines): Source<ClimateSample> {
  return {
    name: 'Climate sensor by USB',
    simulated: false,
    open: (listener) =>
      openLines(port, protocol.baud, {
        line(text) {
          const read = readInstrumentLine(text, protocol, isTemperature)
          if (read.says === 'nothing') return
          const unit = read.says === 'figures' ? findUnit(read.unit, 'temperature') : null
          const sample =
            read.says === 'figures' && unit && read.second !== null
              ? { tempC: toInside(read.first, unit, 'temperature'), rh: read.second }
              : null
          if (sample && inRoom(sample)) listener.sample(sample)
          else listener.said({ what: 'nonsense', line: read.says === 'nonsense' ? read.line : text.trim() })
          if (read.says === 'figures' && read.batteryLow) listener.said({ what: 'battery-low' })
        },
        full: () => listener.said({ what: 'full' }),
        ended: (why) => listener.ended(why),
      }),
  }
}

/** Environmental sensing (0x181A) of the standard services: warmth and humidity, both in hundredths. */
const SENSING = 0x181a
const WARMTH = 0x2a6e
const HUMIDITY = 0x2a6f
const EVERY_MS = 5000

export const hasBluetooth = (): boolean => 'bluetooth' in navigator

/** A sensor by Bluetooth that speaks the standard service. */
export function climateByBluetooth(): Source<ClimateSample> {
  return {
    name: 'Climate sensor by Bluetooth',
    simulated: false,
    async open(listener: Listener<ClimateSample>) {
      const device = await navigator.bluetooth.requestDevice({ filters: [{ services: [SENSING] }] }).catch((error) => {
        throw new Error('No sensor was chosen: switch it on, hold it near, and choose it.', { cause: error })
      })
      const service = await device.gatt!.connect().then((gatt) => gatt.getPrimaryService(SENSING))
      const [warmth, humidity] = await Promise.all([
        service.getCharacteristic(WARMTH),
        service.getCharacteristic(HUMIDITY),
      ])
      let over = false
      function end(why: string | null) {
        if (over) return
        over = true
        clearInterval(timer)
        listener.ended(why)
      }
      async function look() {
        try {
          const [one, other] = [await warmth.readValue(), await humidity.readValue()]
          const sample = { tempC: one.getInt16(0, true) / 100, rh: other.getUint16(0, true) / 100 }
          if (inRoom(sample)) listener.sample(sample)
          else listener.said({ what: 'nonsense', line: `${sample.tempC} °C, ${sample.rh} %` })
        } catch {
          end('The sensor is gone: too far off, or its battery. The room stays as it was read last.')
        }
      }
      const timer = setInterval(() => void look(), EVERY_MS)
      device.addEventListener('gattserverdisconnected', () =>
        end('The sensor is gone: too far off, or its battery. The room stays as it was read last.'),
      )
      await look()
      return {
        async close() {
          end(null)
          device.gatt?.disconnect()
        },
      }
    },
  }
}

/** The stand-in: a room that a heater warms, streamed by the app's own server. */
export function climateSimulated(from: ClimateSample | null): Source<ClimateSample> {
  const query = from ? `?tempC=${from.tempC}&rh=${from.rh}` : ''
  return {
    name: 'Simulated climate sensor',
    simulated: true,
    open: (listener) =>
      openStream<ClimateSample>(
        `/instruments/climate${query}`,
        ({ tempC, rh }) => {
          if (inRoom({ tempC, rh })) listener.sample({ tempC, rh })
          return false
        },
        (why) => listener.ended(why),
      ),
  }
}
