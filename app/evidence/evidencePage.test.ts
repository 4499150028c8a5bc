// @vitest-environment happy-dom
import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { buildDemoBench } from '../../demo/bench'
import { mountAt, press, shown } from '../testing/mountAt'

vi.mock('../workers/client', async () => (await import('../testing/noWorker')).workerHere())

const NOW = Date.parse('2026-11-24T18:00:00')
const figureAfter = (text: string, words: RegExp) => Number(new RegExp(`${words.source} ([\\d.]+)`).exec(text)![1])

describe('the evidence page', () => {
  beforeEach(() => void vi.useFakeTimers({ now: NOW, toFake: ['Date'] }))

  it('shows every pull by its pair against the tables, other makers’ marked, what is lent not tested', async () => {
    const mounted = await mountAt(buildDemoBench(NOW), '/evidence')
    await shown(mounted, '[data-pulled]')
    const lines = mounted.wrapper.findAll('[data-pulled]').map((one) => one.text())
    const milky = lines.find((one) => one.startsWith('Milky contact'))!
    expect(milky).toMatch(/T-peel · 4 pulls/)
    const [low, typical, high] = [/between/, /typically/, /and/].map((words) => figureAfter(milky, words)) as number[]
    expect(low).toBeLessThan(typical!)
    expect(typical).toBeLessThan(high!)
    expect(figureAfter(milky, /19 in 20 hold/)).toBeLessThan(typical!)
    expect(figureAfter(milky, /tables/)).toBe(2)
    expect(lines.find((one) => one.startsWith('White contact'))).toMatch(/by Puppet loft, old mill/)
    expect(mounted.wrapper.findAll('details summary').some((one) => /not tested on this pair/.test(one.text()))).toBe(
      true,
    )
    // Every reading behind a line opens in Why.
    await mounted.wrapper.find('[data-pulled] .ask-why').trigger('click')
    await flushPromises()
    expect(mounted.wrapper.findAll('#why tbody tr')).toHaveLength(4)
    // What is lent says so, with its formula.
    await mounted.wrapper.find('[data-lent] .ask-why').trigger('click')
    await flushPromises()
    expect(mounted.wrapper.find('#why').text()).toMatch(/Borrowed from your other tests, not tested on this pair/)
    mounted.wrapper.unmount()
  })

  it('narrows to a glue or a material, and to one’s own or others’ pulls', async () => {
    const mounted = await mountAt(buildDemoBench(NOW), '/evidence')
    await shown(mounted, '[data-pulled]')
    const names = () => mounted.wrapper.findAll('[data-pulled] b').map((one) => one.text())
    await press(mounted, /^other makers’$/)
    expect(names().sort()).toEqual(['Rubber solution, tube', 'White contact, jar'])
    await press(mounted, /^own pulls$/)
    expect(names()).not.toContain('White contact, jar')
    await mounted.wrapper.find('.filter input').setValue('textile')
    expect(names()).toEqual(['School textile glue'])
    await mounted.wrapper.find('.filter input').setValue('zzz')
    expect(mounted.wrapper.text()).toContain('Nothing here has “zzz”')
    mounted.wrapper.unmount()
  })

  it('holds forecasts to account, and hunches, by what the decision kept', async () => {
    const tables = buildDemoBench(NOW)
    const { forecasts } = tables.decision[0]!.known
    const mounted = await mountAt(tables, '/evidence')
    await shown(mounted, '#how-good .bins')
    const text = mounted.wrapper.find('#how-good').text()
    const [, answered, unclear] = /(\d+) forecasts? answered by pulls, (\d+) not clear/.exec(text)!
    expect(Number(answered) + Number(unclear)).toBe(forecasts!.length)
    expect(text).toMatch(/1 round: the first was the first in 0; 2 of 3 pairs/)
    // The score is worked out before one's eyes.
    await mounted.wrapper.find('#how-good .ask-why').trigger('click')
    await flushPromises()
    const sum = [
      ...mounted.wrapper
        .find('#why')
        .text()
        .matchAll(/\)² = ([\d.]+)/g),
    ].map(([, one]) => Number(one))
    const mean = sum.reduce((total, one) => total + one, 0) / sum.length
    expect(figureAfter(text, /Score/)).toBeCloseTo(mean, 2)
    mounted.wrapper.unmount()
  })

  it('notes what somebody said, and says whether it was tested', async () => {
    const mounted = await mountAt(buildDemoBench(NOW), '/evidence')
    await shown(mounted, '[data-pulled]')
    await press(mounted, /^Note what somebody said$/)
    const form = mounted.wrapper.find('form.note')
    await form.trigger('submit')
    expect(mounted.wrapper.find('.problem').text()).toMatch(/Say who said it, and what/)
    const [what, who] = form.findAll('input')
    await what!.setValue('Textile glue holds wing cloth')
    await who!.setValue('the shop')
    const selects = form.findAll('select')
    await selects[1]!.setValue('family fabric-glue')
    await selects[2]!.setValue('wing')
    await form.trigger('submit')
    await flushPromises()
    expect(mounted.bench.all('said')).toHaveLength(3)
    const line = mounted.wrapper.findAll('li').find((one) => /Textile glue holds/.test(one.text()))!
    expect(line.text()).toMatch(/(agrees|disagrees|cannot tell), 4 pulls here/)
    expect(mounted.wrapper.text()).toMatch(/not tested here/)
    await line.find('button').trigger('click')
    await flushPromises()
    expect(mounted.bench.all('said')).toHaveLength(2)
    mounted.wrapper.unmount()
  })

  it('of an empty bench says what comes here', async () => {
    const tables = buildDemoBench(NOW)
    const mounted = await mountAt({ ...tables, reading: [], decision: [], said: [], houseRule: [] }, '/evidence')
    expect(mounted.wrapper.text()).toMatch(/Nothing was pulled yet/)
    expect(mounted.wrapper.text()).toMatch(/Nothing to hold to account yet/)
    expect(mounted.errors).toEqual([])
    mounted.wrapper.unmount()
  })
})
