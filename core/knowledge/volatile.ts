import type { Family } from './families'

/**
 * Share of a family's weight that leaves as vapour which may harm, 0…1: solvents of solvent-borne and spray glue, the
 * part of a monomer that evaporates before it sets. Judged from usual solids contents; the label or the data sheet says
 * better. Water does not count.
 */
const shares: Record<string, number> = {
  'contact-solvent': 0.75,
  'rubber-cement': 0.88,
  'elastomer-solvent': 0.65,
  'construction-solvent': 0.3,
  'spray-contact': 0.85,
  'spray-repositionable': 0.9,
  'solvent-weld-thin': 1,
  'solvent-weld-gel': 0.9,
  mma: 0.15,
  'ca-thin': 0.05,
  'ca-medium': 0.03,
  'ca-gel': 0.02,
  'ca-flexible': 0.03,
  'ca-foam-safe': 0.01,
  silicone: 0.04,
  'foam-can': 0.15,
}

/** 0 where nothing that may harm is known to evaporate: that is not the same as harmless. */
export const volatileShareOf = (family: Pick<Family, 'id'>): number => shares[family.id] ?? 0
