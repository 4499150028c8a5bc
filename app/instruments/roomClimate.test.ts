import { afterEach, describe, expect, it } from 'vitest'
import { climateBySerial } from './climateSources'
import type { ClimateSample, Listener, Source } from './instrument'
import { leaveClimate, readClimate, roomClimate } from './roomClimate'

/** A sensor that says what the test says. */
function sensor() {
  let hear!: Listener<ClimateSample>
  const source: Source<ClimateSample> = {
    name: 'Sensor',
    simulated: false,
    open: async (listener) => {
      hear = listener
      return { close: async () => listener.ended(null) }
    },
  }
  return { source, say: (tempC: number, rh: number) => hear.sample({ tempC, rh }), of: () => hear }
}
afterEach(leaveClimate)

describe('the room as a sensor reads it', () => {
  it('is noted at first, and again only when it has changed by more than times bear', async () => {
    const { source, say } = sensor()
    const notes: [number, number, boolean][] = []
    let noted = { tempC: 20, rh: 50 }
    await readClimate(
      source,
      () => noted,
      ({ tempC, rh }, first) => {
        notes.push([tempC, rh, first])
        noted = { tempC, rh }
      },
    )
    say(20.2, 51)
    for (let i = 0; i < 6; i++) say(22.9, 55)
    expect(notes).toEqual([[20.2, 51, true]])
    for (let i = 0; i < 6; i++) say(23.4, 55)
    expect(notes).toEqual([
      [20.2, 51, true],
      [23.4, 55, false],
    ])
    for (let i = 0; i < 6; i++) say(23.4, 66)
    expect(notes.at(-1)).toEqual([23.4, 66, false])
  })

  it('is moved by no single wrong figure', async () => {
    const { source, say } = sensor()
    const notes: number[] = []
    await readClimate(
      source,
      () => ({ tempC: 18, rh: 50 }),
      ({ tempC }) => notes.push(tempC),
    )
    ;[18, 18, 18, 45, 18, 18].forEach((one) => say(one, 50))
    expect(notes).toEqual([18])
    expect(roomClimate.live).toEqual({ tempC: 18, rh: 50 })
  })

  it('says why it ended, and what it could not read', async () => {
    const { source, of } = sensor()
    await readClimate(
      source,
      () => null,
      () => {},
    )
    of().said({ what: 'nonsense', line: 'HELLO' })
    expect(roomClimate.trouble).toMatch(/“HELLO”.*17\.4,58/)
    of().ended('The sensor is gone.')
    expect(roomClimate).toMatchObject({ source: null, live: null, trouble: 'The sensor is gone.' })
  })

  it('of a serial line comes in °C or °F, and what no room has is nonsense', async () => {
    const text = ['17.4,58.2', '64.4 F,40', '17.4', '900,20', 'READY', ''].join('\n')
    const readable = new ReadableStream<Uint8Array>({
      start(controller) {
        controller.enqueue(new TextEncoder().encode(text))
        controller.close()
      },
    })
    const port = { readable, open: async () => {}, close: async () => {} } as unknown as SerialPort
    const samples: ClimateSample[] = []
    const said: string[] = []
    await new Promise<void>((resolve) => {
      void climateBySerial(port).open({
        sample: (one) => samples.push(one),
        said: (one) => said.push(one.what === 'nonsense' ? one.line : one.what),
        ended: () => resolve(),
      })
    })
    expect(samples).toEqual([
      { tempC: 17.4, rh: 58.2 },
      { tempC: expect.closeTo(18, 6), rh: 40 },
    ])
    expect(said).toEqual(['17.4', '900,20', 'READY'])
  })
})
