/** A colour in CIELAB: lightness 0…100, a green to red, b blue to yellow. */
export type Lab = readonly [l: number, a: number, b: number]

/** sRGB code 0…255 → linear light 0…1 (IEC 61966-2-1). */
export const linearOf: Float32Array = Float32Array.from({ length: 256 }, (_, code) => {
  const v = code / 255
  return v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4
})

// CIE 15: f(t) = t^(1/3) above (6/29)³, straight below; looked up, since a photo asks for it millions of times.
const STEPS = 4096
/** Light corrected for its fall may come out brighter than white. */
const BRIGHTEST = 4
const roots = Float32Array.from({ length: STEPS * BRIGHTEST + 2 }, (_, i) => rootOf(i / STEPS))
function rootOf(t: number): number {
  return t > (6 / 29) ** 3 ? Math.cbrt(t) : t / (3 * (6 / 29) ** 2) + 4 / 29
}
function root(t: number): number {
  const at = Math.min(BRIGHTEST, Math.max(0, t)) * STEPS
  const below = Math.floor(at)
  return roots[below]! + (at - below) * (roots[below + 1]! - roots[below]!)
}

/**
 * Linear sRGB → CIELAB for D65 (CIE 15, matrix of IEC 61966-2-1), into three places of a row.
 * @param out written at `at`, `at` + 1, `at` + 2
 */
export function labInto(out: Float32Array, at: number, r: number, g: number, b: number): void {
  const x = root((0.4124564 * r + 0.3575761 * g + 0.1804375 * b) / 0.95047)
  const y = root(0.2126729 * r + 0.7151522 * g + 0.072175 * b)
  const z = root((0.0193339 * r + 0.119192 * g + 0.9503041 * b) / 1.08883)
  out[at] = 116 * y - 16
  out[at + 1] = 500 * (x - y)
  out[at + 2] = 200 * (y - z)
}

/** sRGB codes 0…255 → CIELAB. */
export function labOf(r: number, g: number, b: number): Lab {
  const out = new Float32Array(3)
  labInto(out, 0, linearOf[r]!, linearOf[g]!, linearOf[b]!)
  return [out[0]!, out[1]!, out[2]!]
}

/** Luminance of linear sRGB, 0…1. */
export const luminance = (r: number, g: number, b: number): number => 0.2126729 * r + 0.7151522 * g + 0.072175 * b
