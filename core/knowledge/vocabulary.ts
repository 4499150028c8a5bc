/** Words of the brief (knowledge/ids.md), with what the maker reads. */
export const geometries = ['lap', 'butt-edge', 'face-large', 'point', 'laid-on', 'patch', 'edge-strip', 'rod'] as const
export type Geometry = (typeof geometries)[number]
export const geometryWords: Record<Geometry, { word: string; gloss: string }> = {
  lap: { word: 'a lap', gloss: 'one part overlaps the other and is pulled along it' },
  'butt-edge': { word: 'an edge', gloss: 'edge against edge, or an edge standing on a face' },
  'face-large': { word: 'large faces', gloss: 'two broad faces glued all over' },
  point: { word: 'a point', gloss: 'a small spot, such as a bead or an eye' },
  'laid-on': { word: 'a piece laid on', gloss: 'a detail, a trim or a strap lies flat on a larger part' },
  patch: { word: 'a repair patch', gloss: 'a piece laid over a hole, a tear or a worn place' },
  'edge-strip': { word: 'an edge strip', gloss: 'a strip along a rim, free on one side' },
  rod: { word: 'a rod in a hole', gloss: 'a round part inside a socket' },
}

export const loadModes = ['shear', 'tension', 'peel', 'cleavage', 'torsion', 'bend', 'flex', 'impact'] as const
export type LoadMode = (typeof loadModes)[number]
export const loadWords: Record<LoadMode, { word: string; gloss: string }> = {
  shear: { word: 'pulled sideways', gloss: 'shear: the faces slide along each other' },
  tension: { word: 'pulled straight off', gloss: 'tension: square to the glue line' },
  peel: { word: 'peeled', gloss: 'peel: a flexible part lifts from one end' },
  cleavage: { word: 'prised open', gloss: 'cleavage: stiff parts opened from one edge' },
  torsion: { word: 'twisted', gloss: 'torsion: turned about the axis of the joint' },
  bend: { word: 'snapped', gloss: 'bending across a stiff joint' },
  flex: { word: 'flexed', gloss: 'bent again and again' },
  impact: { word: 'dropped', gloss: 'knocks, drops and shaking' },
}

export const motions = ['still', 'walked', 'danced', 'dropped'] as const
export type Motion = (typeof motions)[number]
/** Motion factor on the weight (methods.md 9); the maker may put another number. */
export const motionFactor: Record<Motion, number> = { still: 1, walked: 2, danced: 3, dropped: 5 }

export const helpers = [
  'activator',
  'powder-filler',
  'fibre-filler',
  'primer',
  'tack-and-cure',
  'cloth-primer',
  'paper-backing',
] as const
export type Helper = (typeof helpers)[number]

export const stateWords: Record<string, string> = {
  clean: 'clean',
  dusty: 'dusty',
  greasy: 'greasy',
  glazed: 'shiny skin',
  sanded: 'sanded',
  'painted-acrylic': 'painted (acrylic)',
  'painted-solvent': 'painted (solvent or lacquer)',
  'old-glue': 'old glue on it',
  damp: 'damp',
  'smooth-side': 'smooth side',
  'textured-side': 'textured side',
}

/** What else may be true of a face; asked only where the material makes it matter. */
export const faceTraits = [
  'cut-edge',
  'pale',
  'printed',
  'glossy-dark',
  'tinted',
  'stressed',
  'across-layers',
  'uncured',
  'mould-fresh',
  'polish-near',
] as const
export type FaceTrait = (typeof faceTraits)[number]

/**
 * What would fall, burst or be swallowed with this joint: where any is true, glue tested at home must not be what
 * holds.
 */
export const stakes = [
  'overhead',
  'climbing',
  'blade',
  'protective',
  'pressure',
  'mains',
  'food',
  'medical',
  'skin-closing',
] as const
export type Stake = (typeof stakes)[number]
