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
    expect(typicalPairStrength('foam-eva', 'metal', 'ca-medium')!.weaker).toBe('a')
  })
})
