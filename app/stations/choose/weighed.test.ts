// @vitest-environment happy-dom
import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Item } from '../../../core/choice/criteria'
import { buildDemoBench } from '../../../demo/bench'
import { mountAt, press, shown, type Mounted } from '../../testing/mountAt'
import { moveWords, neededWords, valueText, whyWords } from './weighWords'
import { eventually } from '../../testing/eventually'

vi.mock('../../workers/client', async () => (await import('../../testing/noWorker')).workerHere())

const NOW = Date.parse('2026-11-24T18:00:00')
type Tables = ReturnType<typeof buildDemoBench>
/** H2’s pulls as newtons, by letter, in the order of its blocks; none for a letter: it was not pulled. */
function chooseOf(loads: Record<string, number[]>, change: (tables: Tables) => void = () => {}) {
  const tables = buildDemoBench(NOW)
  const round = tables.round.find(({ joint }) => joint === 'h2')!
  const coupons = tables.coupon.filter((one) => one.round === round.id)
  const letterOf = (id: string) => tables.procedure.find((one) => one.id === id)!.letter
  const ids = new Set(coupons.map(({ id }) => id))
  const model = tables.reading.find(({ coupon, outcome }) => ids.has(coupon) && outcome.end === 'broke')!
  tables.reading = tables.reading.filter(({ coupon }) => !ids.has(coupon))
  for (const [letter, list] of Object.entries(loads))
    coupons
      .filter(({ procedure }) => letterOf(procedure) === letter)
      .sort((x, y) => x.block - y.block)
      .slice(0, list.length)
      .forEach((coupon, i) =>
        tables.reading.push({
          ...model,
          id: `${letter}${i}`,
          coupon: coupon.id,
          at: NOW + i,
          raw: { way: 'gauge', value: list[i]!, unit: 'N' },
          outcome: { end: 'broke', places: { tornA: 0, offA: 100, glue: 0, offB: 0, tornB: 0 } },
          early: null,
        }),
      )
  // Nothing is asked of its surroundings but what a test puts there.
  const open = { heatC: null, coldC: null, water: null, life: null, flex: null, repositionS: null }
  Object.assign(tables.joint.find(({ id }) => id === 'h2')!.brief, open)
  change(tables)
  return mountAt(tables, '/joint/h2/choose')
}
const weighed = async (mounted: Mounted) => {
  await shown(mounted, '[data-school="points"]')
  return mounted.wrapper.find('[data-weighed]')
}
const first = ({ wrapper }: Mounted, school: string) => wrapper.find(`[data-school="${school}"] .first`).text()
describe('all that counts', () => {
  beforeEach(() => void vi.useFakeTimers({ now: NOW, toFake: ['Date'] }))

  it('is judged in three ways, each value opens to what it rests on, and what is unknown is said', async () => {
    const mounted = await chooseOf({ A: [150, 160, 170], B: [300, 310, 320], C: [70, 80, 75] })
    const part = await weighed(mounted)
    expect(part.findAll('[data-school]')).toHaveLength(3)
    expect(part.find('.said').text()).toMatch(/^All three ways come to the same: /)
    // D was not pulled: its strength is the tables’, and says so.
    const rows = part.findAll('tbody tr').map((one) => one.text())
    expect(rows.find((one) => one.includes('H2-D'))).toMatch(/a forecast, not tested|not tested/)
    expect(rows.find((one) => one.includes('H2-A'))).not.toMatch(/not tested/)
    expect(part.text()).toMatch(/so that it is not weighed:\s*flexibility, durability, looks, later work/)
    await part.find('tbody td button, tbody td [role="button"]').trigger('click')
    await flushPromises()
    expect(part.find('[data-trade-off] svg').attributes('aria-label')).toMatch(/MPa for/)
    mounted.wrapper.unmount()
  })

  it('follows a weight that is tried, keeps nothing until it is said, and marks a late change', async () => {
    const mounted = await chooseOf({ A: [150, 160, 170], B: [300, 310, 320], C: [70, 80, 75] })
    const part = await weighed(mounted)
    const before = first(mounted, 'points')
    const round = () => mounted.bench.all('round').find(({ joint }) => joint === 'h2')!
    const kept = JSON.stringify(round().weights)
    await part.find('[data-weights] input').setValue('0')
    await eventually(() => expect(first(mounted, 'points')).not.toBe(before))
    expect(JSON.stringify(round().weights)).toBe(kept)
    expect(part.text()).toMatch(/nothing of it is kept yet/)
    await press(mounted, /^Back to those that were set/)
    await eventually(() => expect(first(mounted, 'points')).toBe(before))
    await part.find('[data-weights] input').setValue('5')
    await flushPromises()
    await press(mounted, /^Keep these weights/)
    expect(round().weights).toMatchObject({ values: { strength: 5, cure: 1 }, changedLate: expect.any(Number) })
    expect(mounted.wrapper.text()).toMatch(/What counts was changed after the first pull/)
    mounted.wrapper.unmount()
  })

  it('says why the ways disagree: points forgive a cure that misses its must', async () => {
    const mounted = await chooseOf({ A: [150, 160, 170], B: [900, 910, 920], C: [85, 88, 90] }, (tables) => {
      // Needed within an hour: the strong ones take a day and more.
      tables.joint.find(({ id }) => id === 'h2')!.brief.readyH = 1
    })
    const part = await weighed(mounted)
    expect(part.findAll('.said').map((one) => one.text())).toContainEqual(
      expect.stringMatching(/^Points forgive that .* misses what must be in full cure; knock-out does not\.$/),
    )
    expect(first(mounted, 'points')).not.toBe(first(mounted, 'knock-out'))
    mounted.wrapper.unmount()
  })
})

describe('the next best test', () => {
  beforeEach(() => void vi.useFakeTimers({ now: NOW, toFake: ['Date'] }))
  const next = (mounted: Mounted) =>
    shown(mounted, '[data-next-test] select').then(() => mounted.wrapper.find('[data-next-test]'))

  it('says stop where another test would hardly change the choice', async () => {
    const mounted = await chooseOf({ A: [60, 61, 62], B: [900, 910, 920], C: [30, 31, 32], D: [40, 41, 42] })
    expect((await next(mounted)).text()).toMatch(/Stop: another test would hardly change the choice/)
    mounted.wrapper.unmount()
  })

  it('offers the coupon that teaches most a minute, and adds it to the round by one press', async () => {
    // Two that lie close above the limit, once pulled each: which one is open.
    const mounted = await chooseOf({ A: [75, 80], B: [82], C: [20], D: [25] })
    const part = await next(mounted)
    expect(part.text()).toMatch(/worth \d+\.\d+ of 100, why\? on average/)
    const before = mounted.bench.all('coupon').length
    await press(mounted, /^Add it to the round/)
    expect(mounted.bench.all('coupon')).toHaveLength(before + 1)
    const added = mounted.bench.all('coupon').at(-1)!
    expect(added.label).toMatch(/^H2-[AB]4$/)
    expect(added.stamps).toEqual([])
    await mounted.bench.undo()
    expect(mounted.bench.all('coupon')).toHaveLength(before)
    mounted.wrapper.unmount()
  })
})

describe('what was not tested', () => {
  beforeEach(() => void vi.useFakeTimers({ now: NOW, toFake: ['Date'] }))
  const rainy = (tables: Tables) =>
    void Object.assign(tables.joint.find(({ id }) => id === 'h2')!.brief, {
      water: 'wash',
      flex: 'band',
      repositionS: 60,
    })

  it('is weighed by what is typical, and said to be no measurement', async () => {
    const mounted = await chooseOf({ A: [150, 160, 170], B: [300, 310, 320], C: [70, 80, 75] }, rainy)
    const part = await weighed(mounted)
    const heads = part.findAll('thead th').map((one) => one.text())
    expect(heads.find((one) => one.startsWith('kept after 3 washes, not pulled'))).toBeTruthy()
    expect(heads.find((one) => one.startsWith('how the line bends'))).toMatch(/best from half soft to flexible/)
    expect(heads.find((one) => one.startsWith('time to line it up'))).toMatch(/must 60 s, plenty 3 min/)
    const school = part.find('[data-school="points"] li button')
    await school.trigger('click')
    await flushPromises()
    expect(mounted.wrapper.text()).toMatch(/Not measured, and filled in: .*kept after 3 washes/)
    expect(mounted.wrapper.text()).toMatch(/sum ÷ [\d.]+, the weights/)
    await (await shown(mounted, '[data-weights] .ask-why')).trigger('click')
    await flushPromises()
    expect(mounted.wrapper.find('#why').text()).toMatch(/how far the weight of strength may move/)
    mounted.wrapper.unmount()
  })

  it('can be the next best test: one press makes an arm for it and a coupon', async () => {
    const mounted = await chooseOf({ A: [300, 310, 320], B: [300, 310, 320], C: [70], D: [70] }, (tables) => {
      rainy(tables)
      const round = tables.round.find(({ joint }) => joint === 'h2')!
      const values = {
        strength: 1,
        flexibility: 0,
        cure: 0,
        cost: 0,
        ease: 0,
        durability: 5,
        looks: 0,
        'later-work': 0,
      }
      round.weights = { values, setAt: 0, changedLate: null }
    })
    await weighed(mounted)
    await eventually(() => expect(mounted.wrapper.find('[data-next-test]').text()).toMatch(/after 3 washes: worth/))
    const line = mounted.wrapper.findAll('[data-next-test] li').find((one) => /after 3 washes/.test(one.text()))!
    expect(line.text()).toMatch(/a new exposure for this round/)
    await line.find('.ask-why').trigger('click')
    await flushPromises()
    expect(mounted.wrapper.text()).toMatch(/best choice today: [\d.]+ of 100/)
    const coupons = mounted.bench.all('coupon').length
    await line.findAll('button').at(-1)!.trigger('click')
    await flushPromises()
    const round = () => mounted.bench.all('round').find(({ joint }) => joint === 'h2')!
    expect(round().arms.at(-1)).toMatchObject({ exposure: { kind: 'wash' }, test: round().arms[0]!.test })
    const added = mounted.bench.all('coupon').slice(coupons)
    expect(added.length).toBeGreaterThan(0)
    for (const one of added) expect(one).toMatchObject({ arm: round().arms.at(-1)!.id, stamps: [] })
    await mounted.bench.undo()
    expect(round().arms).toHaveLength(1)
    expect(mounted.bench.all('coupon')).toHaveLength(coupons)
    mounted.wrapper.unmount()
  })
})

describe('its words', () => {
  const item = (name: string, unit: string) => ({ name, unit }) as Item
  it('bear a unit each, and durations and money as they are written everywhere', () => {
    expect(valueText(item('x', 'h'), 30, '€')).toBe('30 h')
    expect(valueText(item('x', 'min'), 7, '€')).toBe('7 min')
    expect(valueText(item('x', ''), 0.925, '€')).toMatch(/^9[23] %$/)
    expect(valueText(item('x', 'money'), 1.5, '€')).toMatch(/1\.50/)
    expect(valueText(item('x', 'MPa'), 0.0092, '€')).toBe('9.20 kPa')
  })
  it('say how far a weight may move, and what the second lacks', () => {
    expect(moveWords({ group: 'x', down: null, up: null })).toMatch(/however it is weighed/)
    expect(moveWords({ group: 'x', down: 1.42, up: 3.17 })).toBe('another comes first below 1.40 or above 3.20')
    expect(moveWords({ group: 'x', down: 0, up: null })).toBe('another comes first when it counts for nothing')
    const names = { procedure: () => 'Slow tube', item: () => item('full cure', 'h') }
    expect(neededWords([{ procedure: 'b', criterion: 'cure', now: 30, needed: 8 }], names, '€')).toEqual([
      'full cure: 8 h (now 30 h)',
    ])
    expect(
      whyWords(
        [{ forgiving: 'points', strict: 'weakest-link', procedure: 'a', criterion: 'cure', missesMust: false }],
        names,
      ),
    ).toEqual(['Points forgive that Slow tube falls behind in full cure; weakest link does not.'])
  })
})

describe('a decision that more is known of', () => {
  beforeEach(() => void vi.useFakeTimers({ now: NOW, toFake: ['Date'] }))

  it('is opened again by a later wash arm that takes it below the limit, here and on the start page', async () => {
    const mounted = await chooseOf({ A: [150, 160, 170], B: [300, 310, 320] }, (tables) => {
      const round = tables.round.find(({ joint }) => joint === 'h2')!
      const dry = round.arms[0]!
      round.arms.push({ ...dry, id: 'wash', exposure: { kind: 'wash', amount: 3, hours: 6 } })
      const model = tables.coupon.find(({ label }) => label === 'H2-B1')!
      const pull = tables.reading.find(({ coupon }) => coupon === model.id)!
      for (const i of [7, 8]) {
        tables.coupon.push({
          ...model,
          id: `w${i}`,
          label: `H2-B${i}`,
          block: i,
          arm: 'wash',
          glueAt: i + 50,
          pullAt: i + 50,
        })
        tables.reading.push({
          ...pull,
          id: `wr${i}`,
          coupon: `w${i}`,
          at: NOW + 3_600_000,
          raw: { way: 'gauge', value: 30 + i, unit: 'N' },
        })
      }
      tables.decision.push({
        ...tables.decision[0]!,
        id: 'of h2',
        joint: 'h2',
        round: round.id,
        arm: dry.id,
        procedure: model.procedure,
        at: NOW + 1800_000,
        known: { pulls: 3, typical: 5, weakLow: 2.8, unit: 'MPa', margin: 3, required: dry.passLimit },
      })
    })
    const note = () => mounted.wrapper.find('[data-reopened]')
    await eventually(() => expect(note().text()).toMatch(/3 washes leaves 1\d % of its dry strength.*below the/))
    expect(note().text()).toMatch(
      /2 pulls of lap shear, after 3 washes came in after it, some of them of what was chosen/,
    )
    await mounted.go('/')
    await eventually(() => expect(mounted.wrapper.text()).toMatch(/H2\s*is decided, and more is known now: 2 pulls/))
    mounted.wrapper.unmount()
  })
})
