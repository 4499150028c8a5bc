// @vitest-environment happy-dom
import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { seededRandom } from '../../../core/planning/random'
import type { Picture } from '../../../core/photo/picture'
import { buildDemoBench } from '../../../demo/bench'
import { simulatedTrace } from '../../../demo/trace'
import type { ForceSample, Listener } from '../../instruments/instrument'
import { mountAt, type Mounted } from '../../testing/mountAt'
import { sharesOf } from './photoShares'
import { eventually } from '../../testing/eventually'

vi.mock('../../workers/client', async () => (await import('../../testing/noWorker')).workerHere())

/** The gauge that is read: the test says what it hears. */
let heard: Listener<ForceSample>
vi.mock('../../instruments/forceSources', () => ({
  gaugeBySerial: vi.fn(),
  gaugeSimulated: () => ({
    name: 'Simulated gauge',
    simulated: true,
    open: async (listener: Listener<ForceSample>) => {
      heard = listener
      return { close: async () => listener.ended(null) }
    },
  }),
}))
/** Left half of a face foam-white, right half glue-dark, as a camera would give it. */
const half: Picture = {
  width: 120,
  height: 80,
  bytes: 4,
  data: Uint8ClampedArray.from({ length: 120 * 80 * 4 }, (_, i) => ((i >> 2) % 120 < 60 ? 225 : 70) + (i % 5)),
}
vi.mock('./photoPixels', async (original) => ({
  ...(await original<typeof import('./photoPixels')>()),
  pixelsOf: vi.fn(async () => ({ picture: half, blob: new Blob(['photo']) })),
}))

const NOW = Date.parse('2026-11-24T18:05:00')
type Tables = ReturnType<typeof buildDemoBench>
const breakOf = (change: (tables: Tables) => void = () => {}) => {
  const tables = buildDemoBench(NOW)
  change(tables)
  return mountAt(tables, '/joint/h2/break')
}
const press = async ({ wrapper }: Mounted, words: RegExp) => {
  await wrapper
    .findAll('button')
    .find((one) => words.test(one.text()))!
    .trigger('click')
  await flushPromises()
}
beforeEach(() => void vi.useFakeTimers({ now: NOW, toFake: ['Date'] }))

describe('a pull that is read from a gauge', () => {
  const points = simulatedTrace({ test: 'lap-shear', forceN: 120 }, seededRandom(5))
  const begin = async () => {
    const mounted = await breakOf()
    await mounted.wrapper.find('.which select').setValue('trace')
    await press(mounted, /^Pull with the simulated gauge/)
    return mounted
  }
  const send = (list: typeof points) => list.forEach(({ s, n, mm }) => heard.sample({ ms: s * 1000, n, mm }))

  it('keeps its peak and its trace when the load is gone, and says that it was simulated', async () => {
    const mounted = await begin()
    send(points)
    await flushPromises()
    heard.ended(null)
    await flushPromises()
    expect(mounted.wrapper.find('[data-live]').text()).toMatch(/simulated: no real gauge/)
    expect(mounted.wrapper.find('.figure').text()).toMatch(/^1(19|20)/)
    await press(mounted, /^At A|off A|A$/).catch(() => {})
    const label = mounted.wrapper.find('.tape').text()
    await mounted.wrapper.find('.places .tap').trigger('click')
    await press(mounted, /^Log this pull/)
    const coupon = mounted.bench.all('coupon').find((one) => one.label === label)!
    const [reading] = mounted.bench.of('reading', coupon.id)
    expect(reading!.raw).toMatchObject({ way: 'trace', simulated: true, take: 'peak' })
    expect(mounted.wrapper.find('.far').text()).toMatch(/simulated/)
    mounted.wrapper.unmount()
  })

  it('kept, is read again in another way: the mean of its steady part instead of its peak', async () => {
    const mounted = await begin()
    send(points)
    heard.ended(null)
    await flushPromises()
    const load = () => parseFloat(mounted.wrapper.find('.figure').text())
    const peak = load()
    await mounted.wrapper.findAll('input[name="take"]')[1]!.trigger('change')
    expect(load()).toBeLessThan(0.9 * peak)
    expect(mounted.wrapper.find('[data-live]').text()).toMatch(/Steady from/)
    await mounted.wrapper.findAll('input[name="take"]')[0]!.trigger('change')
    expect(load()).toBe(peak)
    mounted.wrapper.unmount()
  })

  it('lost in the middle keeps what was read, says so, and can still be typed', async () => {
    const mounted = await begin()
    send(points.slice(0, Math.floor(points.length / 2)))
    heard.ended('The link is lost. What was read is kept; connect it again.')
    await flushPromises()
    expect(mounted.wrapper.find('[data-live] .problem').text()).toMatch(/link is lost.*kept/)
    expect(Number(/\d+/.exec(mounted.wrapper.find('.figure').text())![0])).toBeGreaterThan(20)
    await mounted.wrapper.find('.which select').setValue('gauge')
    await mounted.wrapper.find('#reading-text').setValue('118 N')
    await flushPromises()
    expect(mounted.wrapper.find('.figure').text()).toMatch(/^118/)
    mounted.wrapper.unmount()
  })

  it('that says nonsense or more than it reads is told, and a gauge at its end counts as at least', async () => {
    const mounted = await begin()
    heard.said({ what: 'nonsense', line: 'HELLO' })
    await flushPromises()
    expect(mounted.wrapper.find('[data-live] .problem').text()).toMatch(/“HELLO”, which is no load/)
    send(points.slice(0, 60))
    heard.said({ what: 'overload' })
    heard.ended(null)
    await flushPromises()
    expect(mounted.wrapper.find('[data-live] .problem').text()).toMatch(/at least/)
    mounted.wrapper.unmount()
  })
})

describe('a sheet that is pasted', () => {
  it('takes in what is right as one step and names each row that is not, with its reason', async () => {
    const mounted = await breakOf((tables) => {
      const round = tables.round.find(({ joint }) => joint === 'h2')!
      const model = tables.coupon.find((one) => one.round === round.id)!
      for (let i = 0; i < 500; i++)
        tables.coupon.push({ ...model, id: `more ${i}`, label: `H2-A${100 + i}`, glueAt: 100 + i, pullAt: 100 + i })
    })
    const rows = Array.from({ length: 500 }, (_, i) => [`H2-A${100 + i}`, `${20 + (i % 37)} N`, 'A', ''])
    // Twenty that are wrong, each in its own way, on lines that are known.
    const wrong = (line: number, column: number, text: string) => void (rows[line - 1]![column] = text)
    for (const line of [3, 50, 77, 120]) wrong(line, 1, 'a lot')
    for (const line of [130, 131, 140, 200]) wrong(line, 2, 'somewhere')
    for (const line of [201, 210, 250, 333]) wrong(line, 0, 'H9-Z1')
    for (const line of [340, 341, 390, 400]) wrong(line, 1, '5 litres')
    for (const line of [401, 450, 499, 500]) wrong(line, 0, 'H2-A100')
    const before = mounted.bench.all('reading').length
    await mounted.wrapper.find('.paste textarea').setValue(rows.map((cells) => cells.join('\t')).join('\n'))
    await eventually(() =>
      expect(mounted.wrapper.find('[data-rows]').text()).toMatch(/480 rows can be taken in, 20 cannot/),
    )
    const named = mounted.wrapper.findAll('.bad li b').map((one) => Number(one.text().replace('line ', '')))
    expect(named).toEqual([
      3, 50, 77, 120, 130, 131, 140, 200, 201, 210, 250, 333, 340, 341, 390, 400, 401, 450, 499, 500,
    ])
    expect(mounted.wrapper.find('.bad').text()).toMatch(/no coupon H9-Z1.*has a reading already/s)
    await press(mounted, /^Log 480 pulls/)
    expect(mounted.bench.all('reading').length).toBe(before + 480)
    await mounted.bench.undo()
    await flushPromises()
    expect(mounted.bench.all('reading').length).toBe(before)
    mounted.wrapper.unmount()
  })
})

describe('a photo of the face', () => {
  it('shares are whole and add up to 100, what is beside drops out, voids are told apart', () => {
    const groups = [{ share: 0.5 }, { share: 0.2 }, { share: 0.1 }, { share: 0.2 }]
    expect(sharesOf(groups, ['offA', 'glue', 'void', 'beside'])).toEqual({
      places: { tornA: 0, offA: 71, glue: 29, offB: 0, tornB: 0 },
      voids: 13,
      wet: 0,
    })
    expect(sharesOf(groups, [null, null, 'void', null])).toBeNull()
  })

  it('is outlined by taps, its colours are named, and its shares stand in the form', async () => {
    const mounted = await breakOf()
    const photo = () => mounted.wrapper.find('.photo')
    const input = photo().find('input[type="file"]')
    Object.defineProperty(input.element, 'files', { value: [new Blob(['x'])] })
    await input.trigger('change')
    await flushPromises()
    const canvas = photo().find('canvas')
    Object.assign(canvas.element, { width: 120, height: 80 })
    canvas.element.getBoundingClientRect = () => ({ left: 0, top: 0, width: 120, height: 80 }) as DOMRect
    // A quarter of the outlined field lies on the dark half.
    for (const [clientX, clientY] of [
      [0, 0],
      [80, 0],
      [80, 80],
      [0, 80],
    ])
      await canvas.trigger('click', { clientX, clientY })
    expect(photo().findAll('.dot').length).toBe(4)
    await photo().findAll('select').at(-1)!.setValue('2')
    await press(mounted, /^Find the colours/)
    await eventually(() => expect(photo().findAll('li').length).toBe(2))
    const shares = photo()
      .findAll('li b')
      .map((one) => parseInt(one.text()))
    expect(Math.abs(shares[0]! - 75)).toBeLessThanOrEqual(2)
    const selects = photo().findAll('li select')
    await selects[0]!.setValue('offA')
    await selects[1]!.setValue('glue')
    await press(mounted, /^Take these shares/)
    const places = mounted.wrapper.findAll('.places .tap b').map((one) => parseInt(one.text()) || 0)
    expect(places.reduce((sum, one) => sum + one, 0)).toBe(100)
    expect(Math.max(...places)).toBe(shares[0])
    mounted.wrapper.unmount()
  })
})
