import { describe, expect, it } from 'vitest'
import { families, familyOf, unknownFamily, type FamilyTrait } from './families'
import { familySchema, familyTraits } from './familySchema'
import { hazards, hazardsOf } from './hazards'
import { hasGrain, isSawn, materialClasses, type MaterialTrait } from './materials'
import { materialClassSchema, materialTraits } from './materialSchema'
import { typicalPairStrength, typicalStrength } from './strengths'
import { undoOf } from './undo'
import { undoWaySchema } from './undoWaySchema'

describe('the knowledge tables', () => {
  it('fit their schemas, ids unlike: a row that is incomplete, or names a trait that nobody knows, fails', () => {
    families.forEach((family) => familySchema.parse(family))
    // A glue of no known family has every value too; its bounds are open, which no row of a table may be.
    expect(Object.keys(unknownFamily).sort()).toEqual(Object.keys(families[0]!).sort())
    materialClasses.forEach((material) => materialClassSchema.parse(material))
    expect(() => familySchema.parse({ ...families[0], chemistry: undefined })).toThrow()
    expect(() => familySchema.parse({ ...families[0], traits: ['sticks-to-cats'] })).toThrow()
    expect(() => materialClassSchema.parse({ ...materialClasses[0], traits: undefined })).toThrow()
    expect(new Set(families.map((f) => f.id)).size).toBe(families.length)
    expect(new Set(materialClasses.map((m) => m.id)).size).toBe(materialClasses.length)
    expect(families.length).toBeGreaterThan(40)
    expect(() => familyOf('treacle')).toThrow(/not-one-of/)
  })
  it('say of every family how it comes apart again, mildest first', () => {
    for (const { id } of families) {
      expect(undoOf(id).length, id).toBeGreaterThan(0)
      undoOf(id).forEach((way) => undoWaySchema.parse(way))
    }
    expect(undoOf('nothing')).toEqual([])
    // What heats says how far; what dissolves says with what.
    const ways = families.flatMap(({ id }) => undoOf(id))
    expect(ways.filter(({ by, atC }) => (by === 'heat') !== (atC !== undefined))).toEqual([])
    expect(ways.filter(({ by, solvent }) => (by === 'solvent') !== (solvent !== undefined))).toEqual([])
  })
  it('name no trait that no row bears', () => {
    const borne = new Set(families.flatMap(({ traits }) => traits))
    expect((Object.keys(familyTraits) as FamilyTrait[]).filter((trait) => !borne.has(trait))).toEqual([])
    const worn = new Set(materialClasses.flatMap(({ traits }) => traits))
    expect((Object.keys(materialTraits) as MaterialTrait[]).filter((trait) => !worn.has(trait))).toEqual([])
  })
  it('say what evaporates, and how wide a tape is', () => {
    expect(familyOf('rubber-cement').volatileShare).toBe(0.88)
    expect(familyOf('pva-white').volatileShare).toBe(0)
    for (const family of families) {
      if (family.packUnit === 'm') expect(family.tapeWidthMm, family.id).toBeGreaterThan(5)
      // Whatever is flammable as it is sold gives off something.
      if (family.hazards.includes('flammable')) expect(family.volatileShare, family.id).toBeGreaterThan(0.1)
    }
  })
  it('know what has a grain and what takes a saw', () => {
    const of = (id: string) => materialClasses.find((one) => one.id === id)!
    expect(['wood', 'fabric-cotton', 'leather', 'card'].map((id) => hasGrain(of(id)))).toEqual([true, true, true, true])
    expect(['foam-eva', 'sheet-acrylic', 'metal'].map((id) => hasGrain(of(id)))).toEqual([false, false, false])
    expect(['wood', 'sheet-acrylic', 'metal', 'print-pla'].map((id) => isSawn(of(id)))).toEqual(Array(4).fill(true))
    expect(['foam-eva', 'felt', 'paper'].map((id) => isSawn(of(id)))).toEqual([false, false, false])
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
