import { describe, expect, it } from 'vitest'
import { familyOf } from '../knowledge/families'
import { hazardCodes } from '../knowledge/hazards'
import { materialClassOf } from '../knowledge/materials'
import { stakes } from '../knowledge/vocabulary'
import type { Brief } from '../records/joint'
import { openBrief } from '../records/openBrief'
import { situationOf, type Around } from '../situation/situation'
import { careFor } from './care'
import { combinations } from './combined'
import { refusalFor } from './refusal'
import { vapourEstimate } from './vapour'

const care = (a: string, b: string, family: string, patch: Partial<Brief> = {}, around: Around = {}) =>
  careFor(situationOf({ ...openBrief(), ...patch }, materialClassOf(a), materialClassOf(b), familyOf(family), around))

describe('vapour in a room', () => {
  /** The same balance, stepped through second by second: no closed form in it. */
  const stepped = (g: number, share: number, room: number, n: number, hours: number) => {
    let mg = 0
    const steps = Math.round(hours * 3600)
    for (let i = 0; i < steps; i++) mg += (g * share * 1000) / steps - (mg * n) / 3600
    return mg / room
  }
  it.each([
    [20, 0.75, 30, 0.3, 1],
    [20, 0.75, 30, 3, 1],
    [120, 0.85, 45, 10, 0.5],
    [5, 1, 12, 0, 2],
  ])(
    '%d g, %d of it, in %d m³ with %d changes an hour, over %d h',
    (grams, volatileShare, roomM3, changesPerHour, releaseH) => {
      const { peakMgM3, evaporatedG } = vapourEstimate({ grams, volatileShare, roomM3, changesPerHour, releaseH })
      expect(peakMgM3 / stepped(grams, volatileShare, roomM3, changesPerHour, releaseH)).toBeCloseTo(1, 2)
      expect(evaporatedG).toBeCloseTo(grams * volatileShare, 9)
    },
  )
  it('gives no verdict without the limit of the data sheet, and the share of it with one', () => {
    const question = { grams: 20, volatileShare: 0.75, roomM3: 30, changesPerHour: 0 }
    expect(vapourEstimate(question).ofLimit).toBeNull()
    // 15 g in 30 m³ is 500 mg/m³.
    expect(vapourEstimate({ ...question, limitMgM3: 250 }).ofLimit).toBeCloseTo(2, 9)
  })
  it('refuses a room without size', () =>
    expect(() => vapourEstimate({ grams: 1, volatileShare: 1, roomM3: 0, changesPerHour: 1 })).toThrow(/not-positive/))
})

describe('care over glue, helper, material and place', () => {
  /** Each combination: where it is said, and where it just is not. */
  const cases: [id: string, said: ReturnType<typeof care>, not: ReturnType<typeof care>][] = [
    [
      'solvent-near-heat',
      care('foam-eva', 'felt', 'contact-solvent', { heatNear: true }),
      care('foam-eva', 'felt', 'contact-water', { heatNear: true }),
    ],
    [
      'solvent-near-heat',
      care('wood', 'felt', 'contact-solvent', {}, { helpers: ['tack-and-cure'], dab: 'hotmelt-low' }),
      care('wood', 'felt', 'contact-solvent', {}, { helpers: ['tack-and-cure'], dab: 'tape-foam' }),
    ],
    ['hot-in-the-room', care('wood', 'felt', 'hotmelt-low'), care('wood', 'felt', 'pva-white')],
    ['instant-on-fibre', care('fabric-cotton', 'wood', 'ca-gel'), care('fabric-cotton', 'wood', 'epoxy-slow')],
    [
      'instant-on-fibre',
      care('print-pla', 'print-pla', 'ca-thin', {}, { helpers: ['fibre-filler'] }),
      care('print-pla', 'print-pla', 'epoxy-slow', {}, { helpers: ['fibre-filler'] }),
    ],
    ['activator-burst', care('wood', 'wood', 'ca-gel', {}, { helpers: ['activator'] }), care('wood', 'wood', 'ca-gel')],
    [
      'isocyanate-air',
      care('wood', 'wood', 'pu-foaming', { air: 'window' }),
      care('wood', 'wood', 'pu-foaming', { air: 'outdoors' }),
    ],
    ['expanding-foam', care('wood', 'wood', 'foam-can'), care('wood', 'wood', 'pu-clear')],
    ['cleaning-solvent', care('print-pla', 'wood', 'ca-gel'), care('felt', 'wood', 'ca-gel')],
    ['sanding-dust', care('foam-eva', 'felt', 'pva-white'), care('felt', 'felt', 'pva-white')],
    ['no-solvent-wipe', care('foam-xps', 'wood', 'pva-white'), care('foam-eva', 'wood', 'pva-white')],
    ['heated-vinyl', care('vinyl-soft', 'wood', 'hotmelt-high'), care('vinyl-soft', 'wood', 'contact-water')],
    ['lamp-and-eyes', care('glass', 'metal', 'uv-acrylic'), care('glass', 'metal', 'epoxy-slow')],
    [
      'people-near',
      care('wood', 'wood', 'epoxy-slow', { users: ['child'] }),
      care('wood', 'wood', 'epoxy-slow', { users: [] }),
    ],
  ]
  it.each(cases)('%s is said where two things meet, and only there', (id, said, not) => {
    const lines = (one: typeof said) => one.combined.length + one.cleaning.length
    expect(lines(not)).toBeLessThan(lines(said))
    expect(combinations.some((one) => one.id === id)).toBe(true)
  })
  it('has a case for every combination', () =>
    expect(combinations.map(({ id }) => id).filter((id) => !cases.some(([one]) => one === id))).toEqual([]))
  it('says what brings a hazard: the glue, the helper, the material', () => {
    const { hazards } = care('mdf', 'wood', 'ca-thin', { later: ['sand'] }, { helpers: ['activator'] })
    const from = (code: string) => hazards.find(({ id }) => id === code)?.from
    expect(from('skin-bond')).toEqual(['Cyanoacrylate, thin wicking'])
    expect(from('flammable')).toEqual(['activator'])
    expect(from('dust')).toEqual(['MDF', 'Solid wood'])
    expect(from('vapour-irritant')).toEqual(['Cyanoacrylate, thin wicking', 'activator'])
  })
  it('takes the hazards of the label for those of the family', () => {
    const family = { ...familyOf('contact-water'), hazards: ['sensitiser'] }
    const { hazards, ready } = careFor(situationOf(openBrief(), null, null, family))
    expect(hazards.map(({ id }) => id)).toEqual(['sensitiser'])
    expect(ready.find(({ what }) => what === 'gloves')?.text).toMatch(/data sheet/)
  })
  it('names gloves, eyes, air, fire and what lies at hand by what the glue gives off', () => {
    const kinds = (family: string) => care('wood', 'wood', family).ready.map(({ what }) => what)
    expect(kinds('contact-solvent')).toEqual(expect.arrayContaining(['gloves', 'eyes', 'air', 'fire', 'at hand']))
    expect(kinds('hotmelt-low')).toEqual(['gloves', 'at hand', 'at hand'])
    expect(kinds('pva-white')).toEqual([])
    expect(care('wood', 'wood', 'ca-thin').ready.find(({ what }) => what === 'gloves')!.text).toMatch(/never cotton/)
  })
  it('never promises that something is without danger', () => {
    for (const [, said] of cases) expect(JSON.stringify(said)).not.toMatch(/\bsafe(?!ty)\b|harmless|non-toxic/i)
  })
  it('knows every hazard code of the tables', () => expect(hazardCodes.length).toBe(13))
})

describe('joints without advice', () => {
  it.each(stakes.map((stake) => [stake]))('%s: says why, and that it only records', (stake) => {
    expect(refusalFor([stake])).toMatch(/only recorded/)
  })
  it('are none where nothing of the kind is said', () =>
    expect([refusalFor(null), refusalFor([])]).toEqual([null, null]))
})
