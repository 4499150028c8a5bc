import type { Brief, Side } from './joint'

const openSide = (): Side => ({ material: null, thicknessMm: null, state: null, traits: null })

/** A brief with every word still open. */
export const openBrief = (): Brief => ({
  a: openSide(),
  b: openSide(),
  geometry: null,
  widthMm: null,
  lengthMm: null,
  edgeMm: null,
  fit: null,
  curveMm: null,
  count: null,
  loads: null,
  weightKg: null,
  share: null,
  motion: null,
  leverMm: null,
  flexDeg: null,
  bendRadiusMm: null,
  gapMm: null,
  heatC: null,
  coldC: null,
  water: null,
  sun: null,
  flex: null,
  look: null,
  later: null,
  boxed: null,
  life: null,
  undo: null,
  repositionS: null,
  canClamp: null,
  reach: null,
  inShell: null,
  air: null,
  roomM3: null,
  heatNear: null,
  users: null,
  skin: null,
  stakes: null,
  readyH: null,
  handledH: null,
  handledBy: null,
  inServiceBy: null,
  perEvening: null,
  maxCost: null,
})

/** The next free code with the build's letter: H1, H2, … */
export function nextJointCode(codes: readonly string[], letter = 'J'): string {
  const first = codes[0]?.[0] ?? letter
  const highest = codes.reduce((max, code) => Math.max(max, Number(code.slice(1)) || 0), 0)
  return `${first}${highest + 1}`
}
