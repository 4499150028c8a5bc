/** What the face that is glued may be like. */
export const faceStates = [
  'clean',
  'dusty',
  'greasy',
  'glazed',
  'sanded',
  'painted-acrylic',
  'painted-solvent',
  'old-glue',
  'damp',
  'smooth-side',
  'textured-side',
] as const
export type FaceState = (typeof faceStates)[number]
