import { describe, expect, it } from 'vitest'
import { plainLines } from '../../core/records/instrument'
import { gaugeBySerial } from './forceSources'
import type { ForceSample } from './instrument'

/** What a gauge hears and says of lines that come through a port. */
async function read(text: string, protocol = plainLines) {
  const readable = new ReadableStream<Uint8Array>({
    start(controller) {
      controller.enqueue(new TextEncoder().encode(text))
      controller.close()
    },
  })
  const samples: ForceSample[] = []
  const said: string[] = []
  let ms = 0
  const port = { readable, open: async () => {}, close: async () => {} }
  await new Promise<void>((resolve, reject) => {
    gaugeBySerial(port, protocol, 'Gauge', () => ms++)
      .open({
        sample: (one) => samples.push(one),
        said: (one) => said.push(one.what === 'nonsense' ? `? ${one.line}` : one.what),
        ended: () => resolve(),
      })
      .catch(reject)
  })
  return { samples, said }
}

describe('a gauge on a serial line', () => {
  it('is read in newtons whatever its lines are written in', async () => {
    const { samples, said } = await read('1.5 kgf\n-2 lbf\n3\n')
    expect(samples.map(({ n }) => n)).toEqual([1.5 * 9.80665, expect.closeTo(-8.8964, 3), 3])
    expect(said).toEqual([])
    const scale = { ...plainLines, unit: 'g', sign: -1 as const, decimal: 'comma' as const }
    expect((await read('-102,5\n', scale)).samples[0]!.n).toBeCloseTo(0.1025 * 9.80665, 9)
  })

  it('takes travel where it is described', async () => {
    const two = { ...plainLines, secondColumn: 2 }
    expect((await read('12.5,3.75\n', two)).samples[0]).toMatchObject({ n: 12.5, mm: 3.75 })
  })

  it('says overload, a weak battery and nonsense, and goes on', async () => {
    const { samples, said } = await read('OL\n5.0 N LOW BAT\nhello\n9e9\n6.0 N\n')
    expect(said).toEqual(['overload', 'battery-low', '? hello', '? 9e9'])
    expect(samples.map(({ n }) => n)).toEqual([5, 6])
  })
})
