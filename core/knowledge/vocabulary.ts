/** Words of the brief (knowledge/ids.md), with what the maker reads. */
export const geometries = ['lap', 'butt-edge', 'face-large', 'point', 'patch', 'edge-strip', 'rod'] as const
export type Geometry = (typeof geometries)[number]
export const geometryWords: Record<Geometry, { word: string; gloss: string }> = {
  lap: { word: 'a lap', gloss: 'one part overlaps the other and is pulled along it' },
  'butt-edge': { word: 'an edge', gloss: 'edge against edge, or an edge standing on a face' },
  'face-large': { word: 'large faces', gloss: 'two broad faces glued all over' },
  point: { word: 'a point', gloss: 'a small spot, such as a bead or an eye' },
  patch: { word: 'a patch', gloss: 'a piece laid flat on a larger one' },
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
export const motionWords: Record<Motion, string> = {
  still: 'hanging still',
  walked: 'walked',
  danced: 'danced or run',
  dropped: 'dropped',
}

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
export const helperWords: Record<Helper, { word: string; gloss: string }> = {
  activator: { word: 'activator', gloss: 'sets instant glue at once; brittle when overdone' },
  'powder-filler': { word: 'powder', gloss: 'fine powder and thin instant glue make a hard fillet' },
  'fibre-filler': { word: 'cotton fibre', gloss: 'a pinch and instant glue, on hard parts only' },
  primer: { word: 'polyolefin primer', gloss: 'lets instant glue take on polypropylene and polyethylene' },
  'tack-and-cure': { word: 'fast dabs', gloss: 'a fast glue in dabs holds while the slow one cures' },
  'cloth-primer': { word: 'primed cloth', gloss: 'a thin first coat, dried, keeps glue from the good side' },
  'paper-backing': { word: 'paper backing', gloss: 'thin paper laid on the back of thin cloth' },
}

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
export const traitWords: Record<FaceTrait, { word: string; gloss: string }> = {
  'cut-edge': { word: 'a cut edge or end grain', gloss: 'it drinks thin glue' },
  pale: { word: 'pale or with its good side out', gloss: 'what bleeds through will be seen' },
  printed: { word: 'printed or dyed by hand', gloss: 'ink or dye may run' },
  'glossy-dark': { word: 'glossy or dark, in view', gloss: 'a white frost would be seen' },
  tinted: {
    word: 'tinted, UV-filtering or over 6 mm thick',
    gloss: 'hold it before the lamp: does a drop behind it set?',
  },
  stressed: {
    word: 'bent, flame-polished, laser-cut or screwed tight',
    gloss: 'stress that solvent opens into cracks',
  },
  'across-layers': { word: 'pulled across its print layers', gloss: 'it may split between them' },
  uncured: { word: 'not washed and post-cured', gloss: 'a white cloth wiped over it (gloves on) comes off smeared' },
  'mould-fresh': { word: 'fresh from a mould, oily, or sanded and not wiped', gloss: 'a water drop stays round' },
  'polish-near': { word: 'near silicone spray, wax or polish', gloss: 'a water drop runs off and leaves no film' },
}

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
export const stakeWords: Record<Stake, { word: string; gloss: string }> = {
  overhead: { word: 'hangs over people or carries one', gloss: 'overhead pieces, seats, flying' },
  climbing: { word: 'is climbed on or held by', gloss: 'ropes, harness, handholds' },
  blade: { word: 'holds a blade or a missile', gloss: 'what may fly off when swung' },
  protective: { word: 'protects a body', gloss: 'helmets, guards' },
  pressure: { word: 'holds pressure', gloss: 'air, gas, water under pressure' },
  mains: { word: 'touches mains electricity', gloss: 'lamps and motors on the mains' },
  food: { word: 'meets food, drink or a mouth', gloss: 'cups, mouthpieces, toys that are chewed' },
  medical: { word: 'serves a medical use', gloss: 'splints, devices, dressings' },
  'skin-closing': { word: 'is glued to a body', gloss: 'glue between a part and skin, or closing skin' },
}
