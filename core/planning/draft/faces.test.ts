import { describe, expect, it } from 'vitest'
import { familyOf } from '../../knowledge/families'
import { materialClassOf } from '../../knowledge/materials'
import type { Brief } from '../../records/joint'
import { openBrief } from '../../records/openBrief'
import { situationOf, type Around } from '../../situation/situation'
import { coatedFace, sideHead, sideWords } from './faces'

const on = (family: string, a: string | null, b: string | null, brief: Partial<Brief> = {}, around: Around = {}) => {
  const cls = (id: string | null) => (id === null ? null : materialClassOf(id))
  return situationOf({ ...openBrief(), ...brief }, cls(a), cls(b), familyOf(family), around)
}
const coated = (...of: Parameters<typeof on>) => coatedFace(on(...of)).side

describe('the face that a glue for one face is laid on', () => {
  it('is not the one that the activator wets', () =>
    expect(coated('ca-gel', 'fabric-cotton', 'wood', {}, { helpers: ['activator'] })).toBe('A'))

  it('stands the heat of a bead', () => {
    expect(coated('hotmelt-high', 'foam-eps', 'wood')).toBe('B')
    expect(coated('hotmelt-high', 'wood', 'foam-eps')).toBe('A')
  })

  it('is the firm one beside cloth or paper', () => {
    expect(coated('pva-white', 'paper', 'metal')).toBe('B')
    expect(coated('pva-white', 'metal', 'fabric-cotton')).toBe('A')
    // However thin the firm one is.
    const thin = { a: { ...openBrief().a, thicknessMm: 5 }, b: { ...openBrief().b, thicknessMm: 0.5 } }
    expect(coated('pva-white', 'felt', 'metal', thin)).toBe('B')
  })

  it('else is the thicker one, and A where both are alike or open', () => {
    const thick = (a: number, b: number) => ({
      a: { ...openBrief().a, thicknessMm: a },
      b: { ...openBrief().b, thicknessMm: b },
    })
    expect(coated('pva-white', 'card', 'card', thick(1, 2))).toBe('B')
    expect(coated('pva-white', 'card', 'card', thick(2, 1))).toBe('A')
    expect(coated('pva-white', 'card', 'card', thick(2, 2))).toBe('A')
    expect(coated('pva-white', null, null)).toBe('A')
  })

  it('is named with its material where that is known', () => {
    const [a, b] = on('pva-white', 'wood', null).faces
    expect([sideWords(a), sideWords(b)]).toEqual(['side A (solid wood)', 'side B'])
    expect([sideHead(a), sideHead(b)]).toEqual(['Side A, solid wood: ', 'Side B: '])
  })
})
