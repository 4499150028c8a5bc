import type { Family } from '../knowledge/families'
import type { Procedure, Second } from '../records/procedure'
import type { Adhesive } from '../records/shelf'

/** A glue that the shelf knows by name, or a family of the tables. */
export interface KnownGlue {
  /** the family with the label's values over it */
  family: Family
  product: Adhesive | null
  /** what is left of the pack in use, 0…1; null when none is on the shelf */
  left: number | null
}

/** What else a blend is stirred from. known: null where the shelf has nothing of that name, so that it has no price. */
export interface OtherPart {
  name: string
  /** of what is laid on, 0…1 */
  share: number
  known: KnownGlue | null
}

/** Share of what is laid on that is the procedure's own glue: less when it is diluted, or the first part of a blend. */
export function glueShare({ dilution, blend, second }: Pick<Procedure, 'dilution' | 'blend' | 'second'>): number {
  // What another glue is laid on for is not laid on of this one.
  const faces = second?.role === 'part' ? 1 - second.share : 1
  if (dilution) return (faces * dilution.glue) / (dilution.glue + dilution.water)
  if (!blend) return faces
  return (faces * blend.parts[0]!.parts) / blend.parts.reduce((sum, { parts }) => sum + parts, 0)
}

/** The other parts of a blend; water of a dilution costs nothing and is none. */
export function otherParts(
  { blend }: Pick<Procedure, 'blend'>,
  byName: (name: string) => KnownGlue | null = () => null,
): OtherPart[] {
  const total = blend?.parts.reduce((sum, { parts }) => sum + parts, 0) ?? 1
  return (blend?.parts.slice(1) ?? []).map(({ name, parts }) => ({ name, share: parts / total, known: byName(name) }))
}

/** A batch as a recipe: grams of each part for the weight that is needed. */
export function recipe(
  procedure: Pick<Procedure, 'dilution' | 'blend' | 'name'>,
  grams: number,
): { name: string; grams: number }[] {
  const { dilution, blend, name } = procedure
  const parts = dilution
    ? [
        { name, parts: dilution.glue },
        { name: 'water', parts: dilution.water },
      ]
    : (blend?.parts ?? [])
  const total = parts.reduce((sum, one) => sum + one.parts, 0)
  return parts.map((one) => ({ name: one.name, grams: (grams * one.parts) / total }))
}

/**
 * How much a second glue comes to, as a share of what is laid on of the first: its own spread on its share of the
 * faces, a first coat on both of them.
 * @param laid the first glue's spread, g/m², faces and coats
 */
export function secondShare(
  second: Second,
  { spreadGm2, faces }: Pick<Family, 'spreadGm2' | 'faces'>,
  laid: { spreadGm2: number; faces: number; coats: number },
): number {
  const own = spreadGm2 * (second.role === 'first-coat' || faces === 'both' ? 2 : 1) * second.share
  return own / (laid.spreadGm2 * laid.faces * laid.coats)
}
