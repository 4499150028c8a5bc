import { describe, expect, it } from 'vitest'
import { familyOf } from '../knowledge/families'
import { materialClassOf } from '../knowledge/materials'
import { openBrief } from '../records/openBrief'
import { drinkingFace, glueGrams, situationOf } from './situation'

const on = (family: string, a: string, b: string, size: { widthMm: number | null; lengthMm: number | null }) =>
  situationOf({ ...openBrief(), ...size }, materialClassOf(a), materialClassOf(b), familyOf(family), { packPrice: 9 })
const size = { widthMm: 40, lengthMm: 50 }

describe('the glue of one joint', () => {
  it('costs what is laid on both faces, in the coats that it will be given, with a tenth lost', () => {
    // 20 cm² × 2 faces × 150 g/m² × 1.1 = 0.66 g; a tin of 250 ml at 0.87 g/ml is 217.5 g for 9.00.
    expect(on('contact-solvent', 'metal', 'glass', size).glueCost).toBeCloseTo((0.66 / 217.5) * 9, 10)
    // Felt drinks the first coat.
    expect(on('contact-solvent', 'metal', 'felt', size).glueCost).toBeCloseTo((1.32 / 217.5) * 9, 10)
    expect(on('contact-solvent', 'metal', 'felt', { ...size, widthMm: null }).glueCost).toBeNull()
  })
  it('sinks into the face that drinks, and only if it is a glue that sinks in', () => {
    expect(drinkingFace(on('contact-solvent', 'metal', 'felt', size))?.side).toBe('B')
    expect(drinkingFace(on('contact-solvent', 'metal', 'glass', size))).toBeNull()
    expect(drinkingFace(on('hotmelt-low', 'metal', 'felt', size))).toBeNull()
  })
  it('weighs what fills the gap, where that is more than what is spread', () => {
    const epoxy = { ...familyOf('epoxy-slow'), spreadGm2: 220, densityGml: 1.1, expands: 1 }
    expect(glueGrams(epoxy, 20, null)).toBeCloseTo(0.44, 10)
    // 20 cm² × 1 mm = 2 cm³ at 1.1 g/ml.
    expect(glueGrams(epoxy, 20, 1)).toBeCloseTo(2.2, 10)
    expect(glueGrams({ ...epoxy, expands: 4 }, 20, 1)).toBeCloseTo(0.55, 10)
    expect(glueGrams(epoxy, 20, 0.05)).toBeCloseTo(0.44, 10)
  })
})
