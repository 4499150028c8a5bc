// @vitest-environment happy-dom
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { STANDARD_GRAVITY } from '../../../../core/quantities/units'
import { buildDemoBench } from '../../../../demo/bench'
import { mountAt, press } from '../../../testing/mountAt'
import { pictureOf } from './picture'

vi.mock('../../../workers/client', async () => (await import('../../../testing/noWorker')).workerHere())
vi.mock('./picture', () => ({ pictureOf: vi.fn() }))

const NOW = Date.parse('2026-11-24T18:00:00')
type Tables = ReturnType<typeof buildDemoBench>
const cardOf = (change: (tables: Tables) => void = () => {}) => {
  const tables = buildDemoBench(NOW)
  change(tables)
  return mountAt(tables, '/joint/h1/card')
}
const briefOf = (tables: Tables) => tables.joint.find(({ id }) => id === 'h1')!.brief
describe('the card', () => {
  beforeEach(() => void vi.useFakeTimers({ now: NOW, toFake: ['Date'] }))

  it('says what the real joints take, what the margin rests on, and every pull behind it', async () => {
    const { wrapper, bench } = await cardOf()
    const text = wrapper.find('[data-card]').text()
    const procedure = bench.get('procedure', bench.all('decision')[0]!.procedure)!
    // 25 × 60 mm, both faces, in coats, a tenth lost: from the spread of the family.
    const grams = (15 / 1e4) * 2 * (procedure.spreadGm2 ?? 140) * procedure.coats * 1.1
    expect(text).toMatch(/36 joints of 25 × 60 mm: [\d.]+ g of glue each/)
    expect(Number(/mm: ([\d.]+) g of glue each/.exec(text)![1])).toBeCloseTo(grams, 1)
    const { margin, holdsN } = bench.all('decision')[0]!.known
    expect(text).toContain(`${margin!.toFixed(2)} times the required load`)
    const kilos = holdsN! / STANDARD_GRAVITY
    expect(text).toContain(`One joint holds about ${kilos.toFixed(1)}\u00a0kg hanging still`)
    expect(text).toMatch(/−5 °C cold: 80 % left, typical, not tested/)
    expect(text).toMatch(/H1-A1 [\d.]+, /)
    expect(wrapper.find('svg.code').attributes('aria-label')).toMatch(/\/joint\/h1\/card$/)
    wrapper.unmount()
  })

  it('is smaller as A6, keeps its steps and cautions, and leaves the pulls to the larger one', async () => {
    const { wrapper } = await cardOf()
    const steps = wrapper.findAll('.steps li').length
    await press({ wrapper }, /^A6/)
    expect([...document.head.querySelectorAll('style')].map((one) => one.textContent).join()).toContain('105mm 148mm')
    expect(wrapper.findAll('.steps li')).toHaveLength(steps)
    expect(wrapper.find('[data-card]').text()).not.toMatch(/H1-A1/)
    expect(wrapper.find('[data-card]').text()).toMatch(/safety data sheet come first/)
    wrapper.unmount()
    expect([...document.head.querySelectorAll('style')].map((one) => one.textContent).join()).not.toContain('@page')
  })

  it('asks for a size that is open, and of an older decision says that nothing untested counts', async () => {
    const { wrapper } = await cardOf((tables) => {
      briefOf(tables).lengthMm = null
      const { known } = tables.decision[0]!
      delete known.factors
      delete known.holdsN
    })
    const text = wrapper.find('[data-card]').text()
    expect(text).toMatch(/Say in Ask how large the joint is/)
    expect(text).toMatch(/the margin does not count on it/)
    expect(text).not.toMatch(/undefined|NaN|null/)
    wrapper.unmount()
  })

  it('is saved as a picture, and says so when none could be made', async () => {
    const { wrapper } = await cardOf()
    const saved = vi.spyOn(HTMLAnchorElement.prototype, 'click')
    saved.mockImplementation(function (this: HTMLAnchorElement) {
      names.push(this.download)
    })
    const names: string[] = []
    vi.mocked(pictureOf).mockResolvedValueOnce(new Blob(['x'], { type: 'image/png' }))
    await press({ wrapper }, /Save it as a picture/)
    expect(names).toEqual(['h1-card.png'])
    vi.mocked(pictureOf).mockRejectedValueOnce(new Error('out of memory'))
    await press({ wrapper }, /Save it as a picture/)
    expect(wrapper.find('[role="alert"]').text()).toMatch(/could not be made: out of memory/)
    saved.mockRestore()
    wrapper.unmount()
  })

  it('of a joint that is not decided says where a card comes from', async () => {
    const { wrapper } = await cardOf((tables) => void (tables.decision = []))
    expect(wrapper.text()).toMatch(/Nothing is decided for this joint yet.*open the bench on which it was decided/s)
    wrapper.unmount()
  })
})
