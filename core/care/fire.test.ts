import { describe, expect, it } from 'vitest'
import { tasksOf } from '../planning/gluing'
import type { Coupon } from '../records/coupon'
import type { Procedure, Step } from '../records/procedure'
import { burning, CLEARS_S, fireHold, fireSpans, holdWords, type FireGlue, type FirePiece } from './fire'

const step = (kind: Step['kind'], minS = 0, more: Partial<Step> = {}): Step => ({
  id: kind,
  kind,
  text: kind,
  minS,
  maxS: null,
  ...more,
})
const contact = [step('prepare-a'), step('apply'), step('coat', 600), step('wait', 900), step('close'), step('cure')]
const wet = [step('prepare-a'), step('apply'), step('close'), step('cure')]
const melt = [step('ready', 300, { once: true }), step('prepare-a'), step('apply'), step('close'), step('cure')]
const solvent: FireGlue = { waitMinS: 900, hazards: ['flammable'], hot: false }
const wetSolvent: FireGlue = { waitMinS: 0, hazards: ['flammable'], hot: false }
const gun: FireGlue = { waitMinS: 0, hazards: ['hot-burn'], hot: true }
const MINUTE = 60_000
const piece = (label: string, steps: Step[], glue: FireGlue, done: Record<string, number>): FirePiece => ({
  coupon: {
    id: label,
    label,
    stamps: Object.entries(done).map(([id, at]) => ({ step: id, at })),
    leftOut: null,
  } as never,
  procedure: { id: label[0]!, steps },
  glue,
})
const spansOf = (steps: Step[], glue: FireGlue) =>
  fireSpans(steps, glue).map(({ kind, from, to, afterS }) => [kind, steps[from]!.kind, steps[to]!.kind, afterS])

describe('what is hot, and what may burn', () => {
  it('lasts from the first film to the end of drying, or to closing where it is closed wet', () => {
    expect(spansOf(contact, solvent)).toEqual([['film', 'apply', 'coat', 900 + CLEARS_S]])
    expect(spansOf(wet, wetSolvent)).toEqual([['film', 'apply', 'close', CLEARS_S]])
    // Closed before its film is dry.
    expect(spansOf([step('apply'), step('wait', 300), step('close')], solvent)).toEqual([
      ['film', 'apply', 'close', CLEARS_S],
    ])
    expect(spansOf(contact, { ...solvent, hazards: [] })).toEqual([])
  })
  it('lasts from switching the gun on to the last hot bead, or while a heat gun is used', () => {
    expect(spansOf(melt, gun)).toEqual([['heat', 'ready', 'close', CLEARS_S]])
    expect(spansOf([step('apply'), step('warm', 60), step('close')], wetSolvent)).toContainEqual([
      'heat',
      'warm',
      'warm',
      CLEARS_S + 60,
    ])
    expect(spansOf([step('ready'), step('apply')], { ...gun, hot: false })).toEqual([])
  })
  it('is read off the records of the bench', () => {
    const open = piece('A1', contact, solvent, { 'prepare-a': 0, apply: MINUTE })
    expect(burning([open], 2 * MINUTE)).toEqual([{ kind: 'film', coupon: 'A1', label: 'A1', until: null }])
    const dried = piece('A1', contact, solvent, { 'prepare-a': 0, apply: MINUTE, coat: 12 * MINUTE })
    expect(burning([dried], 13 * MINUTE)[0]!.until).toBe((12 + 15 + 10) * MINUTE)
    expect(burning([dried], 38 * MINUTE)).toEqual([])
    expect(burning([piece('A1', contact, solvent, { 'prepare-a': 0 })], MINUTE)).toEqual([])
    const on = piece('B1', melt, gun, { ready: 0 })
    expect(burning([on], MINUTE)).toEqual([{ kind: 'heat', coupon: 'B1', label: 'B1', until: null }])
    // A gun that nobody used for four hours is off.
    expect(burning([on], 241 * MINUTE)).toEqual([])
    expect(burning([{ ...on, coupon: { ...on.coupon, leftOut: 'dropped' } }], MINUTE)).toEqual([])
  })
})

describe('a step that would bring them together', () => {
  const now = 13 * MINUTE
  const film = burning([piece('A1', contact, solvent, { apply: MINUTE, coat: 12 * MINUTE })], now)
  const heat = burning([piece('B1', melt, gun, { ready: 12 * MINUTE })], now)
  const hold = (one: FirePiece, kind: string, all = [...film, ...heat]) =>
    fireHold(
      one,
      one.procedure.steps.find(({ id }) => id === kind)!,
      all,
      now,
    )
  const other = piece('B2', melt, gun, {})
  it('waits until the film is dry and the air is clear', () => {
    for (const kind of ['ready', 'apply', 'close'])
      expect(hold(other, kind)).toMatchObject({ kind: 'film', labels: ['A1'], until: 37 * MINUTE, open: false })
    expect(hold(other, 'prepare-a')).toBeNull()
    expect(holdWords(hold(other, 'apply')!)).toMatch(/^Nothing hot yet: vapour of A1 may catch fire/)
  })
  it('lays no film beside a gun that is on, for as long as nobody knows when it is off', () => {
    const fresh = piece('A2', contact, solvent, {})
    expect(hold(fresh, 'apply')).toMatchObject({
      kind: 'heat',
      labels: ['B1'],
      until: now + CLEARS_S * 1000,
      open: true,
    })
    expect(hold(fresh, 'prepare-a')).toBeNull()
    // What is open is gone on with: the gun goes off.
    const begun = hold(piece('A3', contact, solvent, { apply: MINUTE }), 'coat')!
    expect(begun).toMatchObject({ begun: true, until: 0 })
    expect(holdWords(begun)).toMatch(/switch it off and take it away first/)
  })
  it('does not wait for itself, nor for its own kind', () => {
    expect(hold(piece('A1', contact, solvent, { apply: MINUTE }), 'coat', film)).toBeNull()
    expect(hold(piece('A2', contact, solvent, {}), 'apply', film)).toBeNull()
    expect(hold(other, 'apply', heat)).toBeNull()
  })
  it('stands behind what can be done, among the tasks of a round', () => {
    const coupon = (label: string, stamps: Coupon['stamps'] = []) =>
      ({
        id: label,
        label,
        procedure: label[0],
        arm: 'a',
        block: 1,
        glueAt: 1,
        stamps,
        leftOut: null,
      }) as unknown as Coupon
    const procedures = [
      { id: 'A', letter: 'A', steps: contact },
      { id: 'B', letter: 'B', steps: melt },
    ] as unknown as Procedure[]
    const coupons = [
      coupon('A1', [
        { step: 'prepare-a', at: 0 },
        { step: 'apply', at: 0 },
        { step: 'coat', at: now },
      ]),
      coupon('B1'),
    ]
    const fire = { glues: { A: solvent, B: gun }, all: film }
    const [first, second] = tasksOf(coupons, procedures, now, fire)
    expect(first!.coupon.id).toBe('A1')
    expect(second).toMatchObject({ readyAt: 37 * MINUTE, hold: { kind: 'film' } })
    expect(tasksOf(coupons, procedures, now)[1]).toMatchObject({ readyAt: 0, hold: null })
  })
})
