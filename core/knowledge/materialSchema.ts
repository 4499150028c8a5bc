import * as z from 'zod/mini'

export const materialGroups = [
  'foam',
  'thermoform',
  'print',
  'sheet',
  'textile',
  'leather',
  'paper',
  'wood',
  'hard',
] as const
export type MaterialGroup = (typeof materialGroups)[number]

/** What a material is or does that its numbers do not say; a rule asks the row, never a list of ids. */
export const materialTraits = {
  'acid-fume': 'gives off acid or worse when overheated',
  board: 'stiff board, which a drop wicks into without running through',
  coated: 'a thin coat or skin that solvent lifts',
  cockles: 'dries wavy when wet over a broad face',
  'cockles-thin': 'the same, where it is thinner than a millimetre',
  corrodes: 'metal',
  crazes: 'clear plastic under stress that vapour crazes or frosts',
  dense: 'dense and smooth: water creeps along it',
  dents: 'dents under a clamp',
  dissolves: 'a solvent cement dissolves it',
  'dissolves-unevenly': 'solvent bites it only in places',
  drinks: 'uncoated paper',
  'drinks-at-edge': 'its cut edge drinks thin glue',
  fibrous: 'fibre that instant glue heats',
  glazes: 'synthetic fibre that heat glazes or puckers',
  'heat-formable': 'softens at hand-hot tools and sticks to itself',
  hide: 'leather with an open grain or nap',
  knit: 'stretches further than most glue lines',
  melts: 'a hot tool melts and joins it to its own kind',
  'minds-activator': 'the solvent of an activator eats, crazes or frosts it',
  'minds-hydrocarbon': 'light petrol dissolves or swells it',
  olefin: 'polyolefin: glue beads up unless it is primed or welded',
  opens: 'a tape that is peeled at every opening',
  'open-nap': 'a nap that shows every mark',
  plasticised: 'holds a softener that moves into glue',
  'print-runs': 'carries print that runs when wet',
  pvc: 'polyvinyl chloride',
  resin: 'may be printed and not cured through',
  'resin-dust': 'its dust holds resin that may harm',
  skinned: 'a shiny skin that gives no key until it is scuffed',
  smokes: 'natural fibre on which instant glue smokes',
  stone: 'stone and fired clay',
  strap: 'strap and felt, no thin cloth',
  stretchy: 'so soft and stretchy that a rigid line makes a hard lump in it',
  'styrene-foam': 'foamed polystyrene',
  'swells-in-solvent': 'a thin wall of it wrinkles or cracks from solvent',
  'takes-heat-away': 'chills a hot bead before it wets',
  'two-sided': 'its two sides bond differently',
  warps: 'plastic that warps from a hot bead',
} as const
export type MaterialTrait = keyof typeof materialTraits
const traitNames = Object.keys(materialTraits) as [MaterialTrait, ...MaterialTrait[]]

/** One row of materials.json: typical values of a material class. */
export const materialClassSchema = z.object({
  id: z.string(),
  name: z.string(),
  group: z.enum(materialGroups),
  porosity: z.number(),
  vapourBarrier: z.boolean(),
  surfaceEnergy: z.enum(['very-low', 'low', 'medium', 'high']),
  surfaceEnergyMNm: z.number(),
  softensC: z.number(),
  tensileMPa: z.number(),
  /** running on from a nick; null for cloth and leather, whose fibres stop it, and where nothing is known */
  tearNPerMm: z.nullable(z.number()),
  /** of a weave: load at which its yarns slide out at the edge of a strip, for each mm of its width */
  seamSlipNPerMm: z.nullable(z.number()),
  /** pulled square to its sheets, plies, layers or grain; null where it is as strong as along them */
  acrossMPa: z.nullable(z.number()),
  /** sheared along its grain; null where it follows from its tensile strength */
  shearMPa: z.nullable(z.number()),
  modulusMPa: z.number(),
  typicalThicknessMm: z.number(),
  transparent: z.boolean(),
  flexible: z.boolean(),
  sensitiveTo: z.array(z.string()),
  prep: z.string(),
  traits: z.array(z.enum(traitNames)),
})
export type MaterialClass = z.infer<typeof materialClassSchema>
