import { describe, expect, it } from 'vitest'
import { openBrief } from '../records/openBrief'
import type { Scrap, Sighting } from '../records/scrap'
import { nextLook, scrapSays, scrapsOn } from './scrap'

const MIN = 60_000
const laid = (...looks: [minutes: number, saw: Sighting][]) => ({
  startedAt: 1_000_000,
  looks: looks.map(([minutes, saw]) => ({ at: 1_000_000 + minutes * MIN, saw })),
})

describe('a drop on scrap', () => {
  it('is looked at after ten minutes and after a day', () => {
    expect(nextLook(laid())).toEqual({ afterS: 600, dueAt: 1_000_000 + 10 * MIN })
    expect(nextLook(laid([10, 'nothing']))).toEqual({ afterS: 86_400, dueAt: 1_000_000 + 1440 * MIN })
    expect(nextLook(laid([10, 'nothing'], [1440, 'nothing']))).toBeNull()
  })
  it('is still due when it was looked at too early, not when a minute early', () => {
    expect(nextLook(laid([5, 'nothing']))?.afterS).toBe(600)
    expect(nextLook(laid([9, 'nothing']))?.afterS).toBe(86_400)
    expect(nextLook(laid([10, 'nothing'], [600, 'nothing']))?.afterS).toBe(86_400)
  })
  it('needs no look at ten minutes once a day has gone by', () => expect(nextLook(laid([1500, 'nothing']))).toBeNull())
  it.each([
    ['open', laid([10, 'nothing'])],
    ['fine', laid([10, 'nothing'], [1440, 'nothing'])],
    ['mark', laid([10, 'mark'], [1440, 'nothing'])],
    ['spoilt', laid([3, 'spoilt'])],
    ['spoilt', laid([10, 'mark'], [1440, 'spoilt'])],
  ] as const)('says %s', (says, one) => expect(scrapSays(one)).toBe(says))
  it('that is spoilt needs no further look', () => expect(nextLook(laid([3, 'spoilt']))).toBeNull())
  it('tells of the same glue on the same faces only, whichever way round, the newest first', () => {
    const open = openBrief()
    const brief = {
      a: { ...open.a, material: 'foam-xps' },
      b: { ...open.b, material: 'card', state: 'dusty' as const },
    }
    const scrap = (id: string, startedAt: number, more: Partial<Scrap> = {}): Scrap => ({
      id,
      joint: 'j',
      family: 'ca-gel',
      adhesive: null,
      rule: 'styrene-foam-attacked',
      sides: [
        { material: 'card', state: 'dusty' },
        { material: 'foam-xps', state: null },
      ],
      startedAt,
      looks: [],
      ...more,
    })
    const all = [
      scrap('old', 1),
      scrap('new', 2),
      scrap('other glue', 3, { family: 'ca-thin' }),
      scrap('own product', 4, { adhesive: 'p' }),
      scrap('other face', 5, { sides: [brief.a, { material: 'card', state: null }] }),
    ]
    expect(scrapsOn(all, brief, { family: 'ca-gel', adhesive: null }).map(({ id }) => id)).toEqual(['new', 'old'])
    expect(scrapsOn(all, brief, { family: 'ca-gel', adhesive: 'p' }).map(({ id }) => id)).toEqual(['own product'])
  })
})
