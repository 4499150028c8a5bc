import { CodedError } from '../errors'
import { labInto, linearOf, type Lab } from './lab'
import type { Picture, Point } from './picture'

/** What a grey card sends back of the light, 0…1. */
const GREY_CARD = 0.18
const RADIUS_SHARE = 0.012
const LEAST_LIGHT = 0.002
const MOST_LIGHT = 0.98

/** Mean light of a small round spot, linear red, green and blue. */
function spotAt({ width, height, data, bytes }: Picture, [x, y]: Point): [number, number, number] {
  const radius = Math.max(1.5, RADIUS_SHARE * Math.max(width, height))
  const sums: [number, number, number] = [0, 0, 0]
  let count = 0
  for (let py = Math.max(0, Math.floor(y - radius)); py <= Math.min(height - 1, y + radius); py++)
    for (let px = Math.max(0, Math.floor(x - radius)); px <= Math.min(width - 1, x + radius); px++) {
      if ((px + 0.5 - x) ** 2 + (py + 0.5 - y) ** 2 > radius * radius) continue
      const at = (py * width + px) * bytes
      for (let c = 0; c < 3; c++) sums[c]! += linearOf[data[at + c]!]!
      count += 1
    }
  if (!count) throw new CodedError('wrong-shape', 'spot', { field: 'The spot', detail: 'it lies outside of the photo' })
  return sums.map((one) => one / count) as [number, number, number]
}

/**
 * The colour of a spot as it would be in neutral light, by a grey patch in the same photo: what the lamp and the camera
 * tint alike drops out.
 * @param reflects what the patch sends back of the light, 0…1
 * @throws CodedError out-of-range where the patch is too dark or burnt out
 */
export function byGrey(picture: Picture, patch: Point, spot: Point, reflects = GREY_CARD): Lab {
  const grey = spotAt(picture, patch)
  for (const one of grey)
    if (one < LEAST_LIGHT || one > MOST_LIGHT)
      throw new CodedError('out-of-range', 'patch', {
        field: 'The light of the grey patch, 0 to 1',
        low: LEAST_LIGHT,
        high: MOST_LIGHT,
        got: one,
      })
  const of = spotAt(picture, spot).map((one, c) => (one * reflects) / grey[c]!) as [number, number, number]
  const out = new Float32Array(3)
  labInto(out, 0, ...of)
  return [out[0]!, out[1]!, out[2]!]
}

/** How a clear part has changed: yellower by so much (b*), hazier where what is dark behind it got lighter (L*). */
export const changed = (before: Lab, after: Lab): { yellower: number; lighter: number; distance: number } => ({
  yellower: after[2] - before[2],
  lighter: after[0] - before[0],
  distance: Math.hypot(after[0] - before[0], after[1] - before[1], after[2] - before[2]),
})
