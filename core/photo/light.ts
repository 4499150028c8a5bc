import { linearOf, luminance } from './lab'
import type { Picture } from './picture'

/**
 * How light falls over a picture: ln of it = px·u + py·v + qx·u² + qy·v², u and v the place from the middle in halves
 * of the longer side. Light multiplies what a face sends back, alike in red, green and blue.
 */
export interface Light {
  px: number
  py: number
  qx: number
  qy: number
}
export const EVEN_LIGHT: Light = { px: 0, py: 0, qx: 0, qy: 0 }

/** Place in halves of the longer side, from the middle. */
export const placeOf = ({ width, height }: Pick<Picture, 'width' | 'height'>) => {
  const half = Math.max(width, height) / 2
  return { u: (x: number) => (x + 0.5 - width / 2) / half, v: (y: number) => (y + 0.5 - height / 2) / half }
}

/** What each column and each row is divided by, so that all is lit alike. */
export function lightRows(
  light: Light,
  picture: Pick<Picture, 'width' | 'height'>,
): { x: Float32Array; y: Float32Array } {
  const { u, v } = placeOf(picture)
  return {
    x: Float32Array.from({ length: picture.width }, (_, x) => Math.exp(-(light.px * u(x) + light.qx * u(x) ** 2))),
    y: Float32Array.from({ length: picture.height }, (_, y) => Math.exp(-(light.py * v(y) + light.qy * v(y) ** 2))),
  }
}

/** Two places are compared this far apart, as shares of the outline’s extent. */
const APART = [1 / 24, 1 / 12]
/** Pairs that are looked at, at most. */
const PAIRS = 40_000
/** A pair on two colours differs by more than light does over so short a way, ln. */
const ONE_FACE = 0.25

/**
 * A first guess of how light falls, from pairs of near places: most of them lie on one colour, so that the middle one
 * of their differences is what light does, whatever the colours are.
 */
export function guessLight(picture: Picture, inside: Uint8Array): Light {
  const { width, height, data, bytes } = picture
  const lnAt = (i: number) => {
    const at = i * bytes
    return Math.log(0.002 + luminance(linearOf[data[at]!]!, linearOf[data[at + 1]!]!, linearOf[data[at + 2]!]!))
  }
  const half = Math.max(width, height) / 2
  const slope = (along: 'x' | 'y'): number => {
    const length = along === 'x' ? width : height
    const differences: number[] = []
    for (const share of APART) {
      const apart = Math.max(2, Math.round(length * share))
      const step = along === 'x' ? apart : apart * width
      const stride = Math.max(1, Math.floor((width * height) / (PAIRS / APART.length)))
      for (let i = 0; i < width * height; i += stride) {
        const other = i + step
        const fits = along === 'x' ? (i % width) + apart < width : other < width * height
        if (!fits || !inside[i] || !inside[other]) continue
        const difference = lnAt(other) - lnAt(i)
        if (Math.abs(difference) < ONE_FACE) differences.push((difference * half) / apart)
      }
    }
    if (differences.length < 20) return 0
    differences.sort((p, q) => p - q)
    return differences[Math.floor(differences.length / 2)]!
  }
  return { ...EVEN_LIGHT, px: slope('x'), py: slope('y') }
}
