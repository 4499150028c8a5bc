import { readInstrumentLine } from '../../core/formats/instrumentLine'
import type { TestId } from '../../core/knowledge/testKinds'
import { findUnit, toInside } from '../../core/quantities/units'
import type { LineProtocol } from '../../core/records/instrument'
import type { ForceSample, Source } from './instrument'
import { openLines } from './serialPort'
import { openStream } from './serverStream'

const isForce = (unit: string) => findUnit(unit, 'force') !== null
/** More than this no maker's gauge reads: the line is described wrongly, N. */
const MOST_N = 1e5

/** A gauge or a scale on a serial line, by the description of its lines. */
export function gaugeBySerial(
  port: Pick<SerialPort, 'open' | 'close' | 'readable'>,
  protocol: LineProtocol,
  name: string,
  clock: () => number,
): Source<ForceSample> {
  return {
    name,
    simulated: false,
    open(listener) {
      const begun = clock()
      return openLines(port, protocol.baud, {
        line(text) {
          const read = readInstrumentLine(text, protocol, isForce)
          if (read.says === 'nothing') return
          if (read.says === 'overload') return listener.said({ what: 'overload' })
          const unit = read.says === 'figures' ? findUnit(read.unit, 'force') : null
          const n = read.says === 'figures' && unit ? toInside(read.first, unit, 'force') : NaN
          if (read.says !== 'figures' || !(Math.abs(n) <= MOST_N))
            return listener.said({ what: 'nonsense', line: read.says === 'nonsense' ? read.line : text.trim() })
          if (read.batteryLow) listener.said({ what: 'battery-low' })
          listener.sample({ ms: clock() - begun, n, mm: read.second })
        },
        full: () => listener.said({ what: 'full' }),
        ended: (why) => listener.ended(why),
      })
    },
  }
}

/** What the stand-in pulls: a coupon of a test that carries about so much. */
export interface SimulatedPullOf {
  test: TestId
  forceN: number
  limitN: number
  lengthMm: number | null
}

interface Bundle {
  samples: { s: number; n: number; mm: number | null }[]
  overload?: boolean
  end?: boolean
}

/** The stand-in: the app's own server pulls a coupon in simulated time. */
export function gaugeSimulated({ test, forceN, limitN, lengthMm }: SimulatedPullOf): Source<ForceSample> {
  const query = new URLSearchParams({
    test,
    forceN: String(forceN),
    limitN: String(limitN),
    ...(lengthMm !== null && { lengthMm: String(lengthMm) }),
  })
  return {
    name: 'Simulated gauge',
    simulated: true,
    open: (listener) =>
      openStream<Bundle>(
        `/instruments/gauge?${query.toString()}`,
        ({ samples, overload, end }) => {
          for (const { s, n, mm } of samples) listener.sample({ ms: s * 1000, n, mm })
          if (overload) listener.said({ what: 'overload' })
          return end === true
        },
        (why) => listener.ended(why),
      ),
  }
}
