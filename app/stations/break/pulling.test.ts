// @vitest-environment happy-dom
import { Blob } from 'node:buffer'
import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Arm } from '../../../core/records/round'
import { insert } from '../../../core/records/entry'
import type { Clash } from '../../../core/records/merge'
import type { Reading } from '../../../core/records/reading'
import { buildDemoBench } from '../../../demo/bench'
import { openClash } from '../../bench/clash'
import { clashText } from '../../bench/clashText'
import { photoOf } from '../../bench/photos'
import { mountAt, type Mounted } from '../../testing/mountAt'
import { eventually } from '../../testing/eventually'

vi.mock('../../workers/client', async () => (await import('../../testing/noWorker')).workerHere())
const photo = { picture: { width: 4, height: 3, bytes: 4, data: new Uint8ClampedArray(48) }, blob: new Blob(['jpeg']) }
vi.mock('./photoPixels', async (original) => ({
  ...(await original<typeof import('./photoPixels')>()),
  pixelsOf: vi.fn(async () => photo),
}))

const NOW = Date.parse('2026-11-24T18:05:00')
type Tables = ReturnType<typeof buildDemoBench>
const roundOf = (tables: Tables) => tables.round.find(({ joint }) => joint === 'h2')!
/** H2’s Break with its first arm changed. */
const breakOf = (arm: Partial<Arm> = {}, change: (tables: Tables) => void = () => {}) => {
  const tables = buildDemoBench(NOW)
  Object.assign(roundOf(tables).arms[0]!, arm)
  change(tables)
  return mountAt(tables, '/joint/h2/break')
}
const button = ({ wrapper }: Mounted, words: RegExp) => wrapper.findAll('button').find((one) => words.test(one.text()))
const press = async (mounted: Mounted, words: RegExp) => {
  await button(mounted, words)!.trigger('click')
  await flushPromises()
}
const atHand = ({ wrapper }: Mounted) => wrapper.find('.which .tape').text()
const couponAt = (mounted: Mounted, label = atHand(mounted)) =>
  mounted.bench.all('coupon').find((one) => one.label === label)!
const readingsOf = (mounted: Mounted, label: string) =>
  mounted.bench.of('reading', couponAt(mounted, label).id).sort((x, y) => x.at - y.at)
const place = async (mounted: Mounted, i: number) => {
  await mounted.wrapper.findAll('.places .tap')[i]!.trigger('click')
  await flushPromises()
}
/** Each press a second after the one before, as a hand does it. */
let clock = NOW
beforeEach(() => {
  clock = NOW
  vi.useFakeTimers({ now: NOW, toFake: ['Date'] })
})
const log = async (mounted: Mounted) => {
  vi.setSystemTime((clock += 1000))
  await press(mounted, /^(Log|Correct) this pull/)
}

describe('a test that went wrong', () => {
  it('says what becomes of it, and glues a spare in its place in the same step', async () => {
    const mounted = await breakOf()
    const label = atHand(mounted)
    const before = mounted.bench.all('coupon').length
    await press(mounted, /^Test went wrong/)
    await press(mounted, /^Flaw in the material/)
    expect(mounted.wrapper.find('[data-becomes]').text()).toMatch(/the part failed, not the glue/i)
    const thens = mounted.wrapper.findAll('input[name="after-fault"]')
    // What has broken cannot be pulled again.
    expect(thens).toHaveLength(2)
    await thens[1]!.setValue(true)
    await log(mounted)
    const spare = mounted.bench.all('coupon').at(-1)!
    expect(mounted.bench.all('coupon')).toHaveLength(before + 1)
    expect(spare.label.replace(/\d+$/, '')).toBe(label.replace(/\d+$/, ''))
    expect(spare.deviations[0]!.text).toBe(`A spare in place of ${label}`)
    expect(readingsOf(mounted, label)[0]!.outcome).toEqual({ end: 'fault', reason: 'flaw in the material' })
    // It is not closed yet: it is passed over by itself.
    expect(mounted.wrapper.find('[data-next]').text()).toMatch(new RegExp(`not ready.*${spare.label}`))
    await mounted.bench.undo()
    expect(mounted.bench.all('coupon')).toHaveLength(before)
    expect(readingsOf(mounted, label)).toEqual([])
    mounted.wrapper.unmount()
  })

  it('whose piece is whole is pulled again: the slip stands beside, and counts as no pull', async () => {
    const mounted = await breakOf()
    const label = atHand(mounted)
    await press(mounted, /^Test went wrong/)
    await press(mounted, /^Grip slipped/)
    await mounted.wrapper.findAll('input[name="after-fault"]')[2]!.setValue(true)
    await log(mounted)
    expect(atHand(mounted)).toBe(label)
    expect(mounted.wrapper.find('.far li').text()).toMatch(/grip slipped, then pulled again/)
    await mounted.wrapper.find('#reading-text').setValue('42 N')
    await place(mounted, 1)
    await log(mounted)
    expect(atHand(mounted)).not.toBe(label)
    expect(readingsOf(mounted, label).map(({ outcome }) => outcome.end)).toEqual(['fault', 'broke'])
    mounted.wrapper.unmount()
  })
})

describe('the order of the pulls', () => {
  it('is changed only with a reason, which stays on the coupon', async () => {
    const mounted = await breakOf()
    const label = atHand(mounted)
    await press(mounted, /^Pull it last/)
    expect(mounted.wrapper.find('.pass .problem').text()).toMatch(/Say why first/)
    expect(atHand(mounted)).toBe(label)
    await mounted.wrapper.find('.pass input').setValue('its jig is away')
    await press(mounted, /^Pull it last/)
    expect(atHand(mounted)).not.toBe(label)
    expect(couponAt(mounted, label).deviations.at(-1)!.text).toMatch(/its jig is away/)
    // The other way: another one in its place.
    const second = atHand(mounted)
    const options = mounted.wrapper.findAll('.pass option')
    const other = options.at(-1)!.text()
    await mounted.wrapper.find('.pass input').setValue('warm already')
    await mounted.wrapper.find('.pass select').setValue((options.at(-1)!.element as HTMLOptionElement).value)
    await press(mounted, /^Change places/)
    expect(atHand(mounted)).toBe(other)
    expect(couponAt(mounted, second).pullAt).toBeGreaterThan(couponAt(mounted, other).pullAt)
    mounted.wrapper.unmount()
  })
})

describe('three ways on one piece', () => {
  it('are read one after the other on the same coupon, and only its own test counts as its pull', async () => {
    const mounted = await breakOf({ first: ['shake', 'straight'] })
    const label = atHand(mounted)
    expect(mounted.wrapper.find('.reading h3').text()).toBe('Shake it')
    expect(mounted.wrapper.find('#reading-text').exists()).toBe(false)
    await log(mounted)
    expect(atHand(mounted)).toBe(label)
    expect(mounted.wrapper.find('.reading h3').text()).toBe('Pull it straight')
    await mounted.wrapper.find('#reading-text').setValue('35 N')
    await press(mounted, /^Did not break/)
    await log(mounted)
    expect(atHand(mounted)).toBe(label)
    expect(mounted.wrapper.find('.which').text()).toMatch(/already shaken, pulled straight/)
    await mounted.wrapper.find('#reading-text').setValue('80 N')
    await place(mounted, 1)
    await log(mounted)
    expect(readingsOf(mounted, label).map(({ direction }) => direction ?? 'own')).toEqual(['shake', 'straight', 'own'])
    const lines = mounted.wrapper.findAll('.far li').map((one) => one.text())
    expect(lines[0]).toMatch(/already shaken, pulled straight/)
    expect(lines[1]).toMatch(/≥ 35\.0\s*N.*pulled straight: did not break/s)
    expect(mounted.wrapper.text()).not.toMatch(/second reading of the same coupon/)
    await mounted.go('/joint/h2/choose')
    const text = mounted.wrapper.find('[data-earlier]').text()
    expect(text).toMatch(/shaken, 1 of 1 held; pulled straight, 1 of 1 held/)
    expect(text).toMatch(/none of it is counted twice/)
    mounted.wrapper.unmount()
  })

  it('that end the piece close its own test, and open it again when they are corrected', async () => {
    const mounted = await breakOf({ first: ['straight'] })
    const label = atHand(mounted)
    await mounted.wrapper.find('#reading-text').setValue('30 N')
    await place(mounted, 1)
    await log(mounted)
    const [straight, own] = readingsOf(mounted, label)
    expect(own).toMatchObject({ because: straight!.id, outcome: { end: 'fault', reason: expect.any(String) } })
    expect(atHand(mounted)).not.toBe(label)
    const row = mounted.wrapper.findAll('.far li').find((one) => /pulled straight: off A/.test(one.text()))!
    await row.find('button[aria-label^="Correct"]').trigger('click')
    await flushPromises()
    await press(mounted, /^Did not break/)
    await log(mounted)
    expect(readingsOf(mounted, label).find(({ id }) => id === own!.id)!.setAside).toMatch(/was corrected/)
    mounted.wrapper.unmount()
  })
})

describe('many small things', () => {
  it('are counted before and after; so many of so many are lost, and Choose says what is kept', async () => {
    const mounted = await breakOf({ test: 'trims', size: {} }, (tables) => {
      const ids = new Set(tables.coupon.filter(({ round }) => round === roundOf(tables).id).map(({ id }) => id))
      tables.reading = tables.reading.filter(({ coupon }) => !ids.has(coupon))
    })
    const count = async (before: string, after: string) => {
      const label = atHand(mounted)
      const fields = mounted.wrapper.findAll('.losses input')
      if (before) await fields[0]!.setValue(before)
      await fields[1]!.setValue(after)
      return label
    }
    // The count before the wash is noted at once, and stands there when one comes back.
    await mounted.wrapper.findAll('.losses input')[0]!.setValue('40')
    await press(mounted, /^Note the count before/)
    expect(couponAt(mounted).trims).toMatchObject({ before: 40 })
    const label = await count('', '41')
    expect(mounted.wrapper.find('.losses .figure').text()).toMatch(/cannot be more left/)
    await log(mounted)
    expect(mounted.wrapper.find('.losses .problem').text()).toMatch(/between 0 and 40/)
    await count('', '37')
    expect(mounted.wrapper.find('.losses .figure').text()).toBe('3 of 40 lost')
    await log(mounted)
    expect(readingsOf(mounted, label)[0]!.raw).toEqual({ way: 'losses', before: 40, after: 37 })
    expect(mounted.wrapper.find('.far li').text()).toMatch(/3 of 40 lost/)
    while (atHand(mounted)[3] === label[3]) {
      await count('40', '37')
      await log(mounted)
    }
    await count('40', '12')
    await log(mounted)
    await mounted.go('/joint/h2/choose')
    const losses = mounted.wrapper.find('[data-losses]').text()
    expect(losses).toMatch(/keeps most: more than .* with (9\d|100) % certainty/)
    expect(losses).toMatch(/28 of 40/)
    mounted.wrapper.unmount()
  })
})

describe('cycles', () => {
  it('are counted by tap, ten at once and one less, and the last one cracks it', async () => {
    const mounted = await breakOf({ test: 'flex', size: {} })
    const plus = mounted.wrapper.find('.counter .plus')
    for (let i = 0; i < 3; i++) await plus.trigger('click')
    await press(mounted, /^Ten more/)
    await press(mounted, /^One less/)
    expect(plus.text()).toMatch(/^12 cycles/)
    await press(mounted, /^The last one cracked it/)
    await place(mounted, 2)
    const label = atHand(mounted)
    await log(mounted)
    expect(readingsOf(mounted, label).at(-1)!.raw).toEqual({ way: 'count', held: 11, broke: 12 })
    mounted.wrapper.unmount()
  })

  it('of a proof load that hangs are timed and numbered', async () => {
    const mounted = await breakOf({ test: 'proof', size: {} })
    await press(mounted, /^It hangs/)
    vi.setSystemTime((clock += 12 * 60_000))
    await press(mounted, /^Taken off/)
    await press(mounted, /^It hangs again/)
    vi.setSystemTime((clock += 60_000))
    await press(mounted, /^Taken off/)
    expect(mounted.wrapper.find('.hold').text()).toMatch(/loaded 2 ×, 12 min at the longest/)
    mounted.wrapper.unmount()
  })
})

describe('where it let go', () => {
  it('is set by arrows and digits alone', async () => {
    const mounted = await breakOf()
    const shares = () => mounted.wrapper.findAll('.places .tap b').map((one) => parseInt(one.text()))
    const arrow = async (key: string) => {
      window.dispatchEvent(new KeyboardEvent('keydown', { key }))
      await flushPromises()
    }
    await arrow('ArrowRight')
    expect(shares()).toEqual([0, 0, 100, 0, 0])
    await arrow('ArrowLeft')
    expect(shares()).toEqual([0, 100, 0, 0, 0])
    const taps = mounted.wrapper.findAll('.places .tap')
    await taps[1]!.trigger('keydown', { key: '3' })
    expect(shares()).toEqual([0, 30, 70, 0, 0])
    await taps[0]!.trigger('keydown', { key: '5' })
    expect(shares()).toEqual([50, 15, 35, 0, 0])
    await taps[4]!.trigger('keydown', { key: '0' })
    expect(shares()).toEqual([0, 0, 0, 0, 100])
    mounted.wrapper.unmount()
  })

  it('is painted on either face, mirrored on the other; undo takes the last stroke back', async () => {
    const mounted = await breakOf()
    const faces = mounted.wrapper.findAll('.paint svg')
    for (const face of faces)
      face.element.getBoundingClientRect = () => ({ left: 0, top: 0, width: 400, height: 200 }) as DOMRect
    await press(mounted, /^All of it off A/)
    const shares = () => mounted.wrapper.findAll('.places .tap b').map((one) => parseInt(one.text()))
    expect(shares()).toEqual([0, 100, 0, 0, 0])
    // Torn out of B, painted on the right half of the face of B: the left half of A.
    await mounted.wrapper.findAll('input[name="face-part"]')[4]!.setValue(true)
    await mounted.wrapper.findAll('input[name="brush"]')[2]!.setValue(true)
    const at = (clientX: number, clientY: number) => ({ clientX, clientY, button: 0 })
    for (let x = 225; x < 400; x += 50) {
      await faces[1]!.trigger('pointerdown', at(x, 0))
      await faces[1]!.trigger('pointermove', at(x, 200))
      await faces[1]!.trigger('pointerup', at(x, 200))
    }
    const torn = shares()[4]!
    expect(torn).toBeGreaterThan(45)
    expect(torn).toBeLessThan(65)
    const label = atHand(mounted)
    await press(mounted, /^Undo the last stroke/)
    expect(shares()[4]).toBeLessThan(torn)
    await mounted.wrapper.find('#reading-text').setValue('50 N')
    await log(mounted)
    const { outcome } = readingsOf(mounted, label).at(-1)!
    if (outcome.end !== 'broke') throw new Error('it was logged as broken')
    expect(outcome.painted!.cells[7]).toBe('B')
    expect(outcome.painted!.cells[0]).toBe('a')
    expect(outcome.painted!.cells[outcome.painted!.columns - 1]).toBe('a')
    mounted.wrapper.unmount()
  })

  it('is painted by keys too', async () => {
    const mounted = await breakOf()
    const face = mounted.wrapper.find('.paint svg')
    await mounted.wrapper.findAll('input[name="brush"]')[3]!.setValue(true)
    await face.trigger('keydown', { key: 'ArrowRight' })
    await face.trigger('keydown', { key: ' ' })
    expect(mounted.wrapper.find('.paint [role="status"]').text()).toMatch(/off A$/)
    expect(mounted.wrapper.findAll('.places .tap b')[1]!.text()).toBe('100 %')
    mounted.wrapper.unmount()
  })
})

describe('a photo', () => {
  it('stays with its coupon, with how long after closing it was taken; taken away it comes back by undo', async () => {
    const mounted = await breakOf()
    const coupon = couponAt(mounted)
    const input = mounted.wrapper.find('.photo input[type="file"]')
    Object.defineProperty(input.element, 'files', { value: [new Blob(['x'])] })
    await input.trigger('change')
    await flushPromises()
    await eventually(() => expect(mounted.wrapper.find('[data-photos] img').exists()).toBe(true))
    const [kept] = mounted.bench.get('coupon', coupon.id)!.photos!
    expect(kept).toMatchObject({ width: 4, height: 3 })
    expect(await (await photoOf(mounted.bench.id, kept!.id))!.text()).toBe('jpeg')
    expect(mounted.wrapper.find('[data-photos] figcaption').text()).toMatch(/after closing/)
    await press(mounted, /^Take away/)
    expect(mounted.wrapper.find('[data-photos]').exists()).toBe(false)
    await mounted.bench.undo()
    await flushPromises()
    expect(mounted.wrapper.find('[data-photos] img').exists()).toBe(true)
    mounted.wrapper.unmount()
  })
})

describe('a coupon that is flexed before it is pulled', () => {
  it('has its flexes counted, and their number stays on it', async () => {
    const mounted = await breakOf({ exposure: { kind: 'flex', amount: 20, hours: 0 } })
    const label = atHand(mounted)
    await press(mounted, /^Ten more/)
    await press(mounted, /^Ten more/)
    await press(mounted, /^Note 20 flexes/)
    expect(couponAt(mounted, label).deviations.at(-1)!.text).toBe('Flexed before the pull: 20 of 20')
    expect(mounted.wrapper.find('#flex-first + p').text()).toMatch(/20 of 20/)
    mounted.wrapper.unmount()
  })
})

describe('a coupon that another tab logs at the same press', () => {
  /** Mine is typed and logged; before it is stored, the other tab's is. */
  async function both(answer: 'mine' | 'theirs' | 'back') {
    const mounted = await breakOf()
    const { bench, wrapper } = mounted
    const label = atHand(mounted)
    const coupon = couponAt(mounted)
    const other: Reading = {
      ...{
        id: 'their-pull',
        coupon: coupon.id,
        at: clock,
        size: { ...bench.get('round', coupon.round)!.arms[0]!.size },
        early: null,
        note: '',
        corrected: [],
      },
      raw: { way: 'gauge', value: 77, unit: 'N', tareKg: 0 },
      outcome: { end: 'held' },
      setAside: null,
    }
    const attempt = bench.attempt
    bench.attempt = async (...of) => {
      bench.attempt = attempt
      expect(await bench.write('Theirs', [insert('reading', other)])).toBe(true)
      return attempt(...of)
    }
    await wrapper.find('#reading-text').setValue('41 N')
    await place(mounted, 0)
    await log(mounted)
    await flushPromises()
    expect(openClash.value).not.toBeNull()
    const [{ path, mine, theirs }] = openClash.value!.clashes as [Clash]
    expect(clashText(mine, path)).toMatch(/^41 N, /)
    expect(clashText(theirs, path)).toMatch(/^77 N, did not break/)
    openClash.value!.answer(answer)
    await flushPromises()
    await eventually(() => expect(openClash.value).toBeNull())
    return { mounted, readings: readingsOf(mounted, label), label }
  }
  const standing = (readings: readonly Reading[]) =>
    readings.filter(({ setAside }) => setAside === null).map(({ raw }) => 'value' in raw && raw.value)

  it('is asked about: mine stands, and theirs is set aside with the reason', async () => {
    const { readings } = await both('mine')
    await eventually(() => expect(readings.length).toBeGreaterThan(0))
    expect(standing(readings)).toEqual([41])
    expect(readings.find(({ id }) => id === 'their-pull')!.setAside).toMatch(/another tab/)
  })
  it('is asked about: theirs stands, and nothing is written', async () => {
    const { readings } = await both('theirs')
    expect(standing(readings)).toEqual([77])
    expect(readings).toHaveLength(1)
  })
  it('keeps what was typed where the maker goes back to the form', async () => {
    const { mounted, label } = await both('back')
    expect(atHand(mounted)).toBe(label)
    await eventually(() => expect(mounted.wrapper.html()).toContain('Correct this pull'))
    const typed = mounted.wrapper.findAll('input').map(({ element }) => element.value)
    expect(typed).toContain('41 N')
  })
})
