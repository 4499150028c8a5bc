// @vitest-environment happy-dom
import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { buildDemoBench } from '../../../demo/bench'
import { mountAt, shown } from '../../testing/mountAt'

const { kept } = vi.hoisted(() => ({ kept: { answer: new Promise<never>(() => {}) as Promise<unknown> } }))
// What was kept after exposures is answered when the test says so.
vi.mock('../../workers/client', async () => {
  const here = (await import('../../testing/noWorker')).workerHere()
  return { ...here, sideWorker: () => ({ ...here.sideWorker(), kept: () => kept.answer }) }
})

const NOW = Date.parse('2026-11-24T18:00:00')

describe('deciding', () => {
  beforeEach(() => void vi.useFakeTimers({ now: NOW, toFake: ['Date'] }))

  it('waits for the margin, so that a decision is never kept without it', async () => {
    const tables = buildDemoBench(NOW)
    tables.decision = []
    const round = tables.round.find(({ joint }) => joint === 'h1')!
    const dry = round.arms[0]!
    // One piece was washed: what it kept is asked of the worker.
    round.arms = [dry, { ...dry, id: 'wash', exposure: { kind: 'wash', amount: 3, hours: 6 } }]
    const piece = tables.coupon.find((one) => one.round === round.id)!
    tables.coupon.push({ ...piece, id: 'w', arm: 'wash', label: `${piece.label}9` })
    tables.reading.push({ ...tables.reading.find(({ coupon }) => coupon === piece.id)!, id: 'rw', coupon: 'w' })
    let answer: (shares: unknown) => void = () => {}
    kept.answer = new Promise((resolve) => (answer = resolve))
    const { wrapper, bench } = await mountAt(tables, '/joint/h1/choose')
    await shown({ wrapper }, '.decide form')
    await wrapper.find('.decide input').setValue('holds twice the load')
    await wrapper.find('.decide form').trigger('submit')
    await flushPromises()
    expect(bench.all('decision')).toEqual([])
    expect(wrapper.find('.decide [role="alert"]').text()).toMatch(/^A moment: /)
    answer([])
    await flushPromises()
    await wrapper.find('.decide form').trigger('submit')
    await flushPromises()
    const [decision] = bench.all('decision')
    expect(decision!.known.margin).toBeGreaterThan(0)
    expect(decision!.known.factors).toHaveLength(2)
    wrapper.unmount()
  })
})
