import * as z from 'zod/mini'

export const mechanisms = [
  'evaporate-water',
  'evaporate-solvent',
  'moisture',
  'melt',
  'heat-activated',
  'two-part',
  'light',
  'weld',
  'pressure',
  'unknown',
] as const
export type Mechanism = (typeof mechanisms)[number]
const water = z.enum(['no', 'splash', 'wash', 'soak'])

/** What a family is made of: what rules of attack, fume and undoing ask. */
const chemistries = [
  ...['pva', 'acrylic', 'polymer-stick', 'starch', 'cyanoacrylate', 'polychloroprene', 'natural-rubber', 'elastomer'],
  ...['elastomer-grab', 'spray-rubber', 'hot-melt', 'polyurethane', 'epoxy', 'methacrylate', 'light-acrylic'],
  ...['silicone', 'silane', 'solvent', 'pressure-sensitive', 'none', 'unknown'],
] as const

/** What a family does that its numbers do not say; a rule asks the row, never a list of ids. */
export const familyTraits = {
  'applied-hot': 'laid or activated far above what polystyrene foam bears',
  contact: 'both films are dry when they meet, and grab at once',
  creeps: 'slides slowly under a weight that hangs on it',
  'damp-cured': 'needs the moisture of the air along its whole line',
  'dries-out': 'its tack goes within seasons',
  'dry-grab': 'a film that sticks to its own kind once dry',
  fleeting: 'made for weeks, not for years',
  foams: 'swells while it cures',
  'folds-crack': 'half soft: a thick line cracks where it is folded again and again',
  'for-cloth': 'made for thin cloth',
  'for-leather': 'made for leather too',
  'for-paper': 'made for paper and card',
  'fuses-sheet': 'the part itself is the glue: heat-formable sheet fused to itself',
  'grips-foam': 'takes on closed-cell foam though it wants a porous face',
  'grips-sealed': 'a paste that takes on one sealed face',
  gun: 'laid molten from a gun',
  'heats-in-bulk': 'a pool of it boils itself',
  'holds-bent': 'stays where a sprung part is held, though it is not hard',
  'low-odour': 'hardly gives off vapour',
  'melts-parts': 'a hot tool melts the parts themselves',
  'minds-damp': 'a film of water keeps it off the face',
  mist: 'sprayed so thin that little solvent is left to get out',
  neutral: 'sold as pH-neutral',
  propellant: 'a can with flammable propellant',
  'seals-over': 'laid over as well as under, it holds paper and cloth on anything',
  'sinks-in': 'a first coat sinks into an absorbent face',
  slow: 'slow enough that fast dabs may hold it meanwhile',
  'soaks-powder': 'soaks into a filling of powder',
  thick: 'stands out under a thin skin',
  wicks: 'drawn into the closed joint',
} as const
export type FamilyTrait = keyof typeof familyTraits
const traitNames = Object.keys(familyTraits) as [FamilyTrait, ...FamilyTrait[]]

/**
 * One row of families.json: typical values of an adhesive family, which a label and a test outrank. Times at 20 °C and
 * 50 % RH.
 */
export const familySchema = z.object({
  id: z.string(),
  name: z.string(),
  mechanism: z.enum(mechanisms),
  faces: z.enum(['one', 'both']),
  form: z.enum(['thin', 'medium', 'gel', 'paste', 'stick', 'melt', 'film', 'foam', 'spray']),
  waitMinS: z.number(),
  waitMaxS: z.number(),
  openS: z.number(),
  holdS: z.number(),
  handlingS: z.number(),
  fullS: z.number(),
  /** coldest air in which it sets at all, °C: below it a film chalks, a mix stalls; null where cold only slows it */
  cureMinC: z.nullable(z.number()),
  clamp: z.enum(['clamp', 'press', 'hold', 'no']),
  gapMaxMm: z.number(),
  flex: z.enum(['rigid', 'semi', 'flexible', 'elastic']),
  serviceMinC: z.number(),
  serviceMaxC: z.number(),
  water,
  look: z.enum(['clear', 'haze', 'tinted', 'opaque']),
  yellows: z.boolean(),
  sandable: z.boolean(),
  paintable: z.boolean(),
  carvable: z.boolean(),
  hotWire: z.enum(['yes', 'no', 'slow']),
  expands: z.number(),
  spreadGm2: z.number(),
  densityGml: z.number(),
  packSize: z.number(),
  packUnit: z.string(),
  packPrice: z.number(),
  potLifeS: z.nullable(z.number()),
  shelfUnopenedMonths: z.number(),
  shelfOpenedDays: z.number(),
  needs: z.array(z.string()),
  attacks: z.array(z.string()),
  hazards: z.array(z.string()),
  chemistry: z.enum(chemistries),
  /**
   * share of its weight that leaves as vapour which may harm, 0…1: solvents, the part of a monomer that evaporates
   * before it sets. Judged from usual solids contents; water does not count. 0 is not the same as harmless.
   */
  volatileShare: z.number().check(z.gte(0), z.lte(1)),
  /** of what is sold by the metre */
  tapeWidthMm: z.nullable(z.number()),
  traits: z.array(z.enum(traitNames)),
})
export type Family = z.infer<typeof familySchema>
export type WaterClass = Family['water']
