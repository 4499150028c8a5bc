import jscad from '@jscad/modeling'
import type { PrintedCoupon } from './printedCoupon'

const { booleans, primitives, transforms, geometries, modifiers } = jscad
// The package's types name the module in place of its function.
const generalize = modifiers.generalize as unknown as (options: object, solid: Solid) => Solid
type Solid = ReturnType<typeof primitives.cuboid>

const HEAD_MM = 18
const SEGMENTS = 48

/**
 * One half as a solid: z up from the bonded face at z = 0. Printed lying on its side, layers along the pull, solid
 * infill.
 */
export function couponHalf({ bondMm, neckMm, armMm, holeMm }: PrintedCoupon): Solid {
  const box = (size: [number, number, number], z: number) => primitives.cuboid({ size, center: [0, 0, z] })
  const pad = 4
  const length = armMm + HEAD_MM / 2
  const [across, deep] = neckMm
  const body = booleans.union(
    box([bondMm[0], bondMm[1], pad], pad / 2),
    box([across, deep, length - pad], pad + (length - pad) / 2),
    box([Math.max(HEAD_MM, across), deep, HEAD_MM], armMm),
  )
  const hole = transforms.translate(
    [0, 0, armMm],
    transforms.rotateX(Math.PI / 2, primitives.cylinder({ radius: holeMm / 2, height: deep * 3, segments: SEGMENTS })),
  )
  return generalize({ snap: true, simplify: true, triangulate: true }, booleans.subtract(body, hole))
}

export type Triangle = [Point, Point, Point]
export type Point = [number, number, number]

/**
 * Triangles of a solid, wound outwards. Corners that differ by rounding are laid together, so that the surface is
 * closed.
 */
export function trianglesOf(solid: Solid): Triangle[] {
  const at = (n: number) => Math.round(n * 1e4) / 1e4 + 0
  return geometries.geom3
    .toPolygons(solid)
    .flatMap(({ vertices }) =>
      Array.from(
        { length: vertices.length - 2 },
        (_, i): Triangle =>
          [vertices[0]!, vertices[i + 1]!, vertices[i + 2]!].map(
            ([x, y, z]) => [at(x), at(y), at(z)] as Point,
          ) as Triangle,
      ),
    )
    .filter(([a, b, c]) => String(a) !== String(b) && String(b) !== String(c) && String(a) !== String(c))
}

/** Binary STL of a pair, side by side. @returns 84 bytes of head and 50 a triangle */
export function stlOfPair(coupon: PrintedCoupon): Uint8Array {
  const half = couponHalf(coupon)
  const apart = Math.max(HEAD_MM, coupon.neckMm[0]) + 6
  const triangles = [...trianglesOf(half), ...trianglesOf(transforms.translateX(apart, half) as Solid)]
  const bytes = new Uint8Array(84 + 50 * triangles.length)
  const view = new DataView(bytes.buffer)
  view.setUint32(80, triangles.length, true)
  triangles.forEach((triangle, i) => {
    const normal = normalOf(triangle)
    ;[normal, ...triangle].flat().forEach((value, k) => view.setFloat32(84 + 50 * i + 4 * k, value, true))
  })
  return bytes
}

function normalOf([a, b, c]: Triangle): Point {
  const u = [b[0] - a[0], b[1] - a[1], b[2] - a[2]] as const
  const v = [c[0] - a[0], c[1] - a[1], c[2] - a[2]] as const
  const n: Point = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]]
  const length = Math.hypot(...n) || 1
  return [n[0] / length, n[1] / length, n[2] / length]
}
