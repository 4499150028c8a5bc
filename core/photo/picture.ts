import { CodedError } from '../errors'

/** A point of a picture, px from its upper left corner. */
export type Point = readonly [x: number, y: number]

/** A picture: width × height pixels, each with so many bytes (3: red, green, blue; 4: and what is not looked at). */
export interface Picture {
  width: number
  height: number
  data: Uint8Array | Uint8ClampedArray
  bytes: 3 | 4
}

/** Larger pictures are scaled down on their way in. */
const MOST_PIXELS = 4_000_000
const MOST_SIDE = 8192

/** @throws CodedError wrong-shape where the bytes do not make the picture; out-of-range for a side that none has */
export function checkPicture({ width, height, data, bytes }: Picture): void {
  for (const [side, path] of [
    [width, 'width'],
    [height, 'height'],
  ] as const)
    if (!Number.isInteger(side) || side < 1 || side > MOST_SIDE)
      throw new CodedError('out-of-range', path, { field: `The ${path}`, low: 1, high: MOST_SIDE, got: side })
  if (width * height > MOST_PIXELS)
    throw new CodedError('out-of-range', 'width', { field: 'Pixels', low: 1, high: MOST_PIXELS, got: width * height })
  if (data.length !== width * height * bytes)
    throw new CodedError('wrong-shape', 'rgb', {
      field: 'The picture',
      detail: `${width} × ${height} × ${bytes} bytes were expected, ${data.length} were got`,
    })
}

/**
 * Which pixels lie inside an outline, by their middle (even-odd): 1 inside, 0 outside.
 * @throws CodedError wrong-shape with fewer than three corners, or an outline that holds no pixel
 */
export function insideOf(outline: readonly Point[], width: number, height: number): Uint8Array {
  if (outline.length < 3)
    throw new CodedError('wrong-shape', 'outline', {
      field: 'The outline',
      detail: `three corners or more were expected, ${outline.length} were got`,
    })
  const inside = new Uint8Array(width * height)
  let some = false
  for (let y = 0; y < height; y++) {
    const middle = y + 0.5
    const crossings: number[] = []
    outline.forEach(([x1, y1], i) => {
      const [x2, y2] = outline[(i + 1) % outline.length]!
      if (y1 <= middle !== y2 <= middle) crossings.push(x1 + ((middle - y1) / (y2 - y1)) * (x2 - x1))
    })
    crossings.sort((p, q) => p - q)
    for (let c = 0; c + 1 < crossings.length; c += 2) {
      const from = Math.max(0, Math.ceil(crossings[c]! - 0.5))
      const to = Math.min(width - 1, Math.ceil(crossings[c + 1]! - 0.5) - 1)
      for (let x = from; x <= to; x++) {
        inside[y * width + x] = 1
        some = true
      }
    }
  }
  if (!some)
    throw new CodedError('wrong-shape', 'outline', { field: 'The outline', detail: 'it holds no part of the picture' })
  return inside
}
