import { describe, expect, it } from 'vitest'
import { families, familyOf } from '../knowledge/families'
import { materialClassOf } from '../knowledge/materials'
import { cureAdvice } from './advice'
import { cureOf, inRoom, shareAfter, type CureQuestion } from './cure'
import { warmed } from './room'

const face = (id: string | null, state: 'painted-acrylic' | 'damp' | null = null) => ({
  material: id === null ? null : materialClassOf(id),
  state,
})
const ask = (family: string, a: string | null, b: string | null, more: Partial<CureQuestion> = {}) =>
  cureOf({ family: familyOf(family), faces: [face(a), face(b)], room: null, halfWidthMm: null, ...more })
const room = (tempC: number, rh: number) => ({ tempC, rh })

/**
 * Saturation pressure of water in kPa from printed steam tables, and what follows from it by hand: Tetens' formula
 * keeps within 0.5 % of them between 5 and 35 °C.
 */
const steam: Record<number, number> = { 5: 0.8725, 10: 1.2281, 20: 2.3388, 30: 4.2467, 35: 5.629 }

describe('the room factor', () => {
  it.each([5, 10, 30, 35])('follows the steam table for water that leaves and damp that enters, at %d °C', (tempC) => {
    for (const rh of [25, 50, 75, 90]) {
      const dries = (steam[20]! * 0.5) / (steam[tempC]! * (1 - rh / 100))
      expect(ask('pva-white', 'card', 'card', { room: room(tempC, rh) }).factor / dries).toBeCloseTo(1, 2)
      const holds = (e: number, t: number) => e / (t + 273.15)
      const damp = holds(steam[20]! * 0.5, 20) / holds((steam[tempC]! * rh) / 100, tempC)
      const slower = Math.exp(Math.log(1.3) * ((20 - tempC) / 10))
      expect(ask('silicone', 'card', 'card', { room: room(tempC, rh) }).factor / (damp * slower)).toBeCloseTo(1, 2)
    }
  })

  it('doubles for ten degrees less with what reacts, and takes 1.6 times as long with what loses solvent', () => {
    expect(ask('epoxy-slow', 'metal', 'glass', { room: room(10, 80) }).factor).toBeCloseTo(2, 12)
    expect(ask('epoxy-slow', 'metal', 'glass', { room: room(30, 20) }).handlingS).toBeCloseTo(14_400, 8)
    expect(ask('contact-solvent', 'card', 'card', { room: room(10, 80) }).factor).toBeCloseTo(1.6, 12)
    expect(ask('solvent-weld-thin', 'sheet-acrylic', 'sheet-acrylic', { room: room(30, 50) }).factor).toBeCloseTo(
      0.625,
      12,
    )
  })

  it('is one for all in the room that the tables mean, but for melts on foam', () => {
    for (const { id, mechanism } of families) {
      const { factor } = ask(id, 'foam-eva', 'card')
      expect(factor, id).toBeCloseTo(mechanism === 'melt' ? 1.5 : 1, 12)
      expect(ask(id, 'wood', 'card').factor, id).toBeCloseTo(1, 12)
    }
  })

  it('lets a melt cool by the square of its bead, and slower in a warm room', () => {
    expect(ask('hotmelt-high', 'wood', 'card', { gapMm: 4 }).factor).toBeCloseTo(4, 12)
    expect(ask('hotmelt-high', 'wood', 'card', { gapMm: 1 }).factor).toBeCloseTo(1, 12)
    expect(ask('hotmelt-high', 'wood', 'card', { room: room(100, 50) }).factor).toBeCloseTo(2, 12)
  })

  it('scales the closing window, hold, pot life and a thicker film', () => {
    const cold = ask('contact-solvent', 'card', 'card', { room: room(10, 50) })
    expect([cold.waitMinS, cold.waitMaxS]).toEqual([960, 3840])
    const thick = ask('contact-solvent', 'card', 'card', { film: 2 })
    expect([thick.waitMinS, thick.waitMaxS]).toEqual([1200, 2400])
    expect(ask('epoxy-fast', 'card', 'card', { room: room(10, 50), film: 2 })).toMatchObject({
      potLifeS: 600,
      holdS: 1200,
    })
  })
})

describe('cure from the rim inwards', () => {
  const days = (s: number | null) => s! / 86_400
  it('takes (half-width ÷ (k·c))² days between two sealed faces', () => {
    expect(days(ask('pva-white', 'glass', 'metal', { halfWidthMm: 10 }).closedS)).toBeCloseTo(16, 9)
    expect(days(ask('pva-white', 'foam-eva', 'foam-eva', { halfWidthMm: 50 }).closedS)).toBeCloseTo(100, 9)
    expect(days(ask('silicone', 'foam-eva', 'glass', { halfWidthMm: 42 }).closedS)).toBeCloseTo(100, 9)
    expect(days(ask('elastomer-solvent', 'metal', 'glass', { halfWidthMm: 40 }).closedS)).toBeCloseTo(100, 9)
  })

  it('counts paint as a seal, rigid foamed board as a sheet, and the room as well', () => {
    const painted = { faces: [face('wood', 'painted-acrylic'), face('glass')] as const, halfWidthMm: 25 }
    expect(days(ask('pva-wood', null, null, painted).closedS)).toBeCloseTo(100, 9)
    expect(days(ask('pva-white', 'foam-pvc', 'foam-pvc', { halfWidthMm: 25 }).closedS)).toBeCloseTo(100, 9)
    const cold = ask('elastomer-solvent', 'metal', 'glass', { halfWidthMm: 40, room: room(10, 50) })
    expect(days(cold.closedS)).toBeCloseTo(160, 9)
  })

  it('is the full cure only where it takes longer than that', () => {
    expect(ask('pva-white', 'glass', 'metal', { halfWidthMm: 1 }).fullS).toBe(86_400)
    expect(ask('pva-white', 'glass', 'metal', { halfWidthMm: 5 }).fullS).toBeCloseTo(4 * 86_400, 6)
  })

  it.each([
    ['one face breathes', 'pva-white', 'glass', 'card'],
    ['it dries before closing', 'contact-solvent', 'glass', 'metal'],
    ['a spray', 'spray-repositionable', 'glass', 'metal'],
    ['it reacts by itself', 'epoxy-slow', 'glass', 'metal'],
    ['instant glue takes the damp of the faces', 'ca-medium', 'glass', 'metal'],
    ['it cools', 'hotmelt-low', 'glass', 'metal'],
    ['a face is open', 'pva-white', 'glass', null],
  ])('does not hold where %s', (_, family, a, b) => {
    expect(ask(family, a, b, { halfWidthMm: 50 }).closedS).toBeNull()
  })
})

describe('where it does not cure', () => {
  it.each([
    ['epoxy-slow', 'wood', 'metal', room(4, 50), 'too-cold'],
    ['pva-white', 'wood', 'wood', room(0, 50), 'too-cold'],
    ['pva-white', 'wood', 'wood', room(20, 100), 'air-full'],
    ['ca-gel', 'wood', 'wood', room(20, 0), 'no-damp'],
    ['uv-acrylic', 'wood', 'metal', room(20, 50), 'dark'],
  ] as const)('%s between %s and %s says so', (family, a, b, here, why) => {
    const cure = ask(family, a, b, { room: here })
    expect(cure).toMatchObject({ cures: false, why, fullS: Infinity, handlingS: Infinity })
    expect(cureAdvice(cure)[0]).toMatch(/^Will not (cure|dry) here/)
    // The words of other places keep the tables' times instead of an endless one.
    expect(inRoom(familyOf(family), cure)).toEqual(familyOf(family))
    expect(shareAfter(cure, 1e6)).toBe(0)
  })
  it('cures at the very limit, and where light finds a way', () => {
    expect(ask('epoxy-slow', 'wood', 'metal', { room: room(5, 50) }).cures).toBe(true)
    expect(ask('uv-acrylic', 'glass', 'metal').cures).toBe(true)
    expect(ask('uv-acrylic', null, 'metal').cures).toBe(true)
  })
})

describe('what helps', () => {
  it('tells nothing of a room that nobody said', () => {
    const open = cureAdvice(ask('hotmelt-low', 'foam-eva', 'foam-eva', { room: null })).join(' ')
    expect(open).toMatch(/^Foam and a thick bead hold the heat: it takes 1\.5 times as long/)
    expect(open).not.toMatch(/room/)
    expect(cureAdvice(ask('hotmelt-low', 'foam-eva', 'foam-eva', { room: room(28, 50) })).join(' ')).toMatch(
      /In this room/,
    )
  })
  it('says how much of it is done in the time given, and how wide a bead may be', () => {
    const given = (days: number) => ask('pva-white', 'foam-eva', 'foam-eva', { halfWidthMm: 50, givenS: days * 86_400 })
    // 5 mm/√day: in 4 days 10 mm from each rim.
    expect(cureAdvice(given(4))[0]).toContain('Dries 10 mm of 50 mm in 4 days')
    expect(cureAdvice(given(4))[0]).toContain(
      'beads no wider than 20 mm with air lanes between them it takes 4 days. Lay it thinner, or take',
    )
    expect(given(4)).toMatchObject({ beads: { widthMm: 20 } })
    expect(inRoom(familyOf('pva-white'), given(4)).fullS).toBeCloseTo(4 * 86_400, 6)
    // 6 mm are dry within a week as a film: no lanes, least of all beads wider than the joint.
    expect(ask('pva-white', 'foam-eva', 'foam-eva', { halfWidthMm: 6 }).beads).toBeNull()
    // In an hour no bead dries that can be laid: the narrowest takes its time, and never less than the usual cure.
    expect(given(0.04).beads).toEqual({ widthMm: 10, fullS: 86_400 })
    expect(cureAdvice(given(101))).toEqual([])
  })
  it('asks for the size where the way from the rim counts, and for the faces', () => {
    expect(cureAdvice(ask('silicone', 'glass', 'glass'))[0]).toContain('say how large')
    expect(cureAdvice(ask('silicone', null, 'glass')).join()).toContain('Not both faces are known')
    expect(cureAdvice(ask('epoxy-slow', null, 'glass'))).toEqual([])
  })
  it('offers a warm box in a cold room, with what it would take there', () => {
    const [cold] = cureAdvice(ask('epoxy-slow', 'wood', 'metal', { room: room(10, 60) }))
    // 48 h at 20 °C, at 25 °C a factor of 2^-0.5.
    expect(cold).toContain('2 times as long')
    expect(cold).toContain('In a warm box at 25 °C it takes 34 h')
    expect(cureAdvice(ask('pva-white', 'wood', 'card', { room: room(30, 90) }))[0]).toContain('Dry the air')
  })
  it('wants foaming glue damped between two dry, dense faces only', () => {
    const damp = /mist one/
    expect(cureAdvice(ask('pu-foaming', 'glass', 'metal')).join()).toMatch(damp)
    expect(cureAdvice(ask('pu-foaming', 'glass', 'wood')).join()).not.toMatch(damp)
    const misted = { faces: [face('glass', 'damp'), face('metal')] as const }
    expect(cureAdvice(ask('pu-foaming', null, null, misted)).join()).not.toMatch(damp)
  })
  it('warms air without adding water to it', () => {
    // 10 °C at 60 %: 0.737 kPa; saturated at 25 °C 3.169 kPa.
    expect(warmed(room(10, 60), 25).rh).toBeCloseTo(23.3, 1)
    expect(warmed(room(25, 90), 5).rh).toBe(100)
  })
})

describe('strength at an earlier hour', () => {
  it('stretches with the room', () => {
    const warm = ask('epoxy-slow', 'wood', 'metal')
    const cold = ask('epoxy-slow', 'wood', 'metal', { room: room(10, 50) })
    // 4 h: 0.15 of it by the table; in the cold after 8 h.
    expect(shareAfter(warm, 14_400)).toBeCloseTo(0.15, 9)
    expect(shareAfter(cold, 28_800)).toBeCloseTo(0.15, 9)
  })
  it('is no more than the share of the width that is done from the rim', () => {
    const cure = ask('pva-white', 'foam-eva', 'foam-eva', { halfWidthMm: 50 })
    expect(shareAfter(cure, 4 * 86_400)).toBeCloseTo(10 / 50, 9)
    expect(shareAfter(cure, 100 * 86_400)).toBe(1)
  })
})
