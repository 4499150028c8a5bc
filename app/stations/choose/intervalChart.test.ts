// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { ProcedureSummary } from '../../../core/statistics/analyse'
import IntervalChart from './IntervalChart.vue'

const summary = (low90: number, median: number, high90: number, open: ProcedureSummary['open'] = null) =>
  ({ typical: { low90, median, high90 }, weakJoint: { median, low95: low90 / 2 }, open }) as ProcedureSummary
const chart = (list: (ProcedureSummary | null)[], limit: number | null = null) =>
  mount(IntervalChart, {
    props: {
      rows: list.map((one, i) => ({ key: `${i}`, letter: 'ABC'[i]!, summary: one })),
      limit,
      unit: 'MPa',
      rowHeight: 80,
    },
  })
const share = (text: string | undefined) => Number.parseFloat(text!)

describe('the intervals', () => {
  it('stand on one scale of ratios: twice as strong is as far along everywhere', () => {
    const drawn = chart([summary(1, 2, 4), summary(2, 4, 8)], 3)
    const spans = drawn.findAll('[data-row] > line:first-of-type')
    const [from, to] = spans.map((one) => [share(one.attributes('x1')), share(one.attributes('x2'))] as const)
    const octave = (from![1] - from![0]) / 2
    expect(to![0] - from![0]).toBeCloseTo(octave, 1)
    expect(to![1] - to![0]).toBeCloseTo(2 * octave, 1)
    const dots = drawn.findAll('circle').map((one) => share(one.attributes('cx')))
    expect(dots[0]).toBeCloseTo(from![0] + octave, 1)
    // The limit of 3 lies between 2 and 4, by its logarithm.
    const limit = share(drawn.find('.limit').attributes('x1'))
    expect((limit - dots[0]!) / (dots[1]! - dots[0]!)).toBeCloseTo(Math.log(1.5) / Math.log(2), 2)
    expect(share(drawn.find('[data-row="A"] .weak').element.parentElement!.getAttribute('x')!)).toBeCloseTo(
      from![0] - octave,
      1,
    )
  })
  it('of what only held “at least” runs on to the edge with an arrow, and has no middle', () => {
    const drawn = chart([summary(2, 4, 9, 'above'), summary(1, 2, 3, 'below'), null])
    expect(drawn.find('[data-row="A"] line').attributes('x2')).toBe('100%')
    expect(drawn.findAll('.arrow')).toHaveLength(1)
    expect(drawn.find('[data-row="A"]').text()).toContain('≥ 2.00')
    expect(drawn.find('[data-row="B"] line').attributes('x1')).toBe('0%')
    expect(drawn.find('[data-row="B"]').text()).toContain('≤ 3.00')
    expect(drawn.find('[data-row="B"] .weak').exists()).toBe(false)
    expect(drawn.findAll('circle')).toHaveLength(0)
    expect(drawn.findAll('[data-row="C"] line')).toHaveLength(0)
  })
  it('of nothing is an empty scale', () => {
    expect(chart([null]).html()).not.toMatch(/NaN|Infinity/)
  })
})
