// @vitest-environment happy-dom
import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { buildDemoBench } from '../../../demo/bench'
import { mountAt, type Mounted } from '../../testing/mountAt'
import { gramsUsed, stepNotes } from './stepNotes'
import { eventually } from '../../testing/eventually'

vi.mock('../../workers/client', async () => (await import('../../testing/noWorker')).workerHere())

const NOW = Date.parse('2026-11-24T18:05:00')
const MINUTE = 60_000
type Tables = ReturnType<typeof buildDemoBench>
const press = async ({ wrapper }: Mounted, words: RegExp) => {
  await wrapper
    .findAll('button')
    .find((one) => words.test(one.text()))!
    .trigger('click')
  await flushPromises()
}
const doIt = async ({ wrapper }: Mounted) => {
  await wrapper.find('.task .v-btn.go').trigger('click')
  await flushPromises()
}
const couponOf = ({ bench }: Mounted, label: string) => bench.all('coupon').find((one) => one.label === label)!
const shown = ({ wrapper }: Mounted) => wrapper.find('.task .tape').text()

/** Only one piece of a solvent contact is begun: its glue was laid so long ago that it may be closed, or no more. */
const openSince =
  (minutes: number, rule?: 'repeat' | 'keep' | 'leave-out') =>
  (tables: Tables): void => {
    const procedure = tables.procedure.find((one) => one.joint === 'h3' && one.letter === 'B')!
    const round = tables.round.find(({ joint }) => joint === 'h3')!
    if (rule) round.offWindow = rule
    const close = procedure.steps.findIndex(({ kind }) => kind === 'close')
    let first = true
    for (const coupon of tables.coupon.filter((one) => one.round === round.id)) {
      coupon.stamps = []
      coupon.deviations = []
      if (coupon.procedure !== procedure.id || !first) continue
      first = false
      coupon.stamps = procedure.steps.slice(0, close).map(({ id }) => ({ step: id, at: NOW - minutes * MINUTE }))
    }
  }
const glueOf = async (change: (tables: Tables) => void = () => {}, joint = 'h3') => {
  const tables = buildDemoBench(NOW)
  change(tables)
  return mountAt(tables, `/joint/${joint}/glue`)
}

beforeEach(() => {
  vi.useFakeTimers({ now: NOW, toFake: ['Date'] })
  Object.assign(stepNotes, { by: '', tool: '', stock: {}, before: '', after: '' })
})

describe('a piece that is closed too late', () => {
  it('is kept with a mark where nothing else was set', async () => {
    const mounted = await glueOf(openSince(600))
    const label = shown(mounted)
    await doIt(mounted)
    expect(couponOf(mounted, label).deviations.at(-1)!.text).toMatch(/^close came .* late$/)
    expect(couponOf(mounted, label).stamps.length).toBeGreaterThan(2)
    mounted.wrapper.unmount()
  })

  it('is begun again where the round says so', async () => {
    const mounted = await glueOf(openSince(600, 'repeat'))
    const label = shown(mounted)
    await doIt(mounted)
    expect(couponOf(mounted, label)).toMatchObject({ stamps: [], leftOut: null })
    expect(couponOf(mounted, label).deviations.at(-1)!.text).toMatch(/late: begun again with fresh parts/)
    mounted.wrapper.unmount()
  })

  it('is left out where the round says so: not pulled, and taken in again by one press', async () => {
    const mounted = await glueOf(openSince(600, 'leave-out'))
    const label = shown(mounted)
    await doIt(mounted)
    expect(couponOf(mounted, label).leftOut).toMatch(/late, and the round leaves such pieces out/)
    await mounted.go('/joint/h3/break')
    expect(mounted.wrapper.text()).not.toContain(label)
    await mounted.go('/joint/h3/glue')
    expect(mounted.wrapper.find('.really-done').text()).toContain('left out')
    await press(mounted, /^Count it after all/)
    expect(couponOf(mounted, label).leftOut).toBeNull()
    mounted.wrapper.unmount()
  })

  it('in its window goes its usual way, whatever was set', async () => {
    const mounted = await glueOf(openSince(20, 'leave-out'))
    const label = shown(mounted)
    await doIt(mounted)
    expect(couponOf(mounted, label).leftOut ?? null).toBeNull()
    expect(couponOf(mounted, label).deviations).toEqual([])
    mounted.wrapper.unmount()
  })
})

describe('what is noted with a step', () => {
  it('is the bottle before less the bottle after, or a sentence', () => {
    expect(gramsUsed({ before: '84.2 g', after: '83.4' })).toBeCloseTo(0.8, 9)
    expect(gramsUsed({ before: '3 oz', after: '84 g' })).toBeCloseTo(3 * 28.349523125 - 84, 3)
    expect(gramsUsed({ before: '', after: ' ' })).toBeNull()
    expect(() => gramsUsed({ before: '84.2 g', after: '' })).toThrow()
    expect(() => gramsUsed({ before: '83 g', after: '84 g' })).toThrow()
  })

  it('stays with the piece: who and how much, and how that compares with the plan', async () => {
    const mounted = await glueOf((tables) => {
      openSince(0)(tables)
      for (const one of tables.coupon) if (one.label.startsWith('H3')) one.stamps = []
      const procedure = tables.procedure.find((one) => one.joint === 'h3' && one.letter === 'B')!
      const apply = procedure.steps.findIndex(({ kind }) => kind === 'apply')
      const first = tables.coupon.find((one) => one.label.startsWith('H3-B'))!
      first.stamps = procedure.steps.slice(0, apply).map(({ id }) => ({ step: id, at: NOW - 30 * MINUTE }))
      // The only one that is left.
      for (const one of tables.coupon) if (one.label.startsWith('H3') && one !== first) one.leftOut = 'lost'
    })
    const label = shown(mounted)
    Object.assign(stepNotes, { by: 'Ana', before: '84.2 g', after: '' })
    await doIt(mounted)
    expect(mounted.wrapper.find('.task .problem').text()).toMatch(/weight after/i)
    stepNotes.after = '83.4 g'
    await doIt(mounted)
    expect(couponOf(mounted, label).stamps.find(({ grams }) => grams)).toMatchObject({ by: 'Ana', grams: 0.8 })
    expect(stepNotes).toMatchObject({ by: 'Ana', before: '', after: '' })
    expect(mounted.wrapper.find('.really-done').text()).toMatch(
      /B: 0\.80 g used on a piece .*1 piece.* the plan lays on/,
    )
    mounted.wrapper.unmount()
  })
})

describe('with sticky hands', () => {
  it('a tap anywhere does the step once, not what comes after it, and not before its cautions were read', async () => {
    const mounted = await glueOf(openSince(20))
    const label = shown(mounted)
    const before = couponOf(mounted, label).stamps.length
    await press(mounted, /^Fill the screen/)
    const whole = document.querySelector<HTMLElement>('.whole')!
    whole.click()
    await flushPromises()
    const read = [...whole.querySelectorAll('button')].find((one) => one.textContent?.includes('I have read this'))
    if (read) {
      expect(couponOf(mounted, label).stamps.length).toBe(before)
      read.click()
      await flushPromises()
      whole.click()
      await flushPromises()
    }
    const after = couponOf(mounted, label).stamps.length
    expect(after).toBeGreaterThan(before)
    document.querySelector<HTMLElement>('.whole')!.click()
    await flushPromises()
    const all = () => mounted.bench.of('coupon', mounted.bench.of('round', 'h3')[0]!.id)
    const stamps = all().reduce((sum, one) => sum + one.stamps.length, 0)
    expect(stamps).toBe(after)
    mounted.wrapper.unmount()
  })
})

describe('the build’s own joints', () => {
  it('are reckoned back from the day, noted as they are glued, and marked where they are for a time', async () => {
    const mounted = await glueOf(() => {}, 'h1')
    const build = () => mounted.wrapper.find('.build')
    expect(build().text()).toMatch(/own 36 joints, in service/)
    const joints = () =>
      [
        ...build()
          .text()
          .matchAll(/glue (\d+) joint/g),
      ].reduce((sum, [, count]) => sum + Number(count), 0)
    await eventually(() => expect(joints()).toBe(36))
    await build().find('input:not([type="date"])').setValue('12')
    await build().find('form').trigger('submit')
    await flushPromises()
    await eventually(() => expect(joints()).toBe(24))
    expect(build().text()).toMatch(/Begin by .*12 glued so far|12 glued so far.*Begin by/s)
    await build().find('input:not([type="date"])').setValue('40')
    await build().find('form').trigger('submit')
    await flushPromises()
    expect(build().find('.problem').text()).toMatch(/24/)
    await build().find('input[type="date"]').setValue('2027-02-01')
    await flushPromises()
    expect(mounted.bench.of('decision', 'h1')[0]!.redoOn).toBe('2027-02-01')
    await mounted.go('/')
    await eventually(() => expect(mounted.wrapper.text()).toMatch(/H1 is made only for a time/))
    mounted.wrapper.unmount()
  })
})
