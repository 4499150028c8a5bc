import { describe, expect, it } from 'vitest'
import { families, familyOf, familySchema } from './families'
import { hazards, hazardsOf } from './hazards'
import { materialClassSchema, materialClasses } from './materials'
import { typicalPairStrength, typicalStrength } from './strengths'

describe('the knowledge tables', () => {
  it('fit their schemas, ids unlike', () => {
    families.forEach((family) => familySchema.parse(family))
    materialClasses.forEach((material) => materialClassSchema.parse(material))
    expect(new Set(families.map((f) => f.id)).size).toBe(families.length)
    expect(families).toHaveLength(45)
    expect(new Set(materialClasses.map((m) => m.id)).size).toBe(39)
    expect(() => familyOf('treacle')).toThrow(/not-one-of/)
  })
  it('name only hazards that are explained, in words that claim no safety', () => {
    for (const family of families) expect(hazardsOf(family.hazards)).toHaveLength(family.hazards.length)
    for (const hazard of hazards) expect(hazard.show).not.toMatch(/\bsafe\b|harmless|non-toxic/i)
  })
  it('have a typical strength for every pair, sensible and capped by the material', () => {
    for (const material of materialClasses)
      for (const family of families) {
        const row = typicalStrength(material.id, family.id)
        expect(row, `${material.id} ${family.id}`).not.toBeNull()
        expect(row!.observedMPa).toBeLessThanOrEqual(row!.bondMPa + 1e-9)
        expect(row!.cv).toBeGreaterThan(0)
      }
    // Three rows as they stand in the tables.
    expect(typicalStrength('foam-eva', 'pva-white')).toMatchObject({
      test: 'butt',
      bondMPa: 0.15,
      peelNPerMm: 0.3,
      cv: 0.3,
      failure: 'adhesive',
      observedMPa: 0.15,
      basis: 'judged',
    })
    expect(typicalStrength('foam-xps', 'epoxy-slow')).toMatchObject({
      bondMPa: 0.9,
      observedMPa: 0.3,
      failure: 'substrate',
    })
    expect(typicalStrength('mdf', 'contact-water')).toMatchObject({
      test: 'lap',
      bondMPa: 1.3,
      observedMPa: 1.3,
      observedPeelNPerMm: 1.5,
    })
    expect(typicalPairStrength('foam-eva', 'metal', 'ca-medium')!.weaker).toBe('a')
  })
})
