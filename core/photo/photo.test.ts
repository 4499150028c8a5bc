import { describe, expect, it } from 'vitest'
import { seededRandom } from '../planning/random'
import { made, randomFace, within, type Colour, type Made } from './__tests__/made'
import { byGrey, changed } from './grey'
import { labOf } from './lab'
import { apart, bendAngle, edgeNear, mmPerPx, thicknessMm } from './measure'
import { insideOf, type Picture, type Point } from './picture'
import { inOrder, isConvex, project, projection, sidesFor, straightened } from './perspective'
import { colourShares, OUTSIDE } from './shares'
import { solve } from './solve'

const OUTLINE: Point[] = [
  [11, 9],
  [226, 13],
  [221, 149],
  [16, 144],
]

/** Of each true colour the share of the group that lies nearest to it, as lit from the middle. */
function sharesBy(found: ReturnType<typeof colourShares>, colours: readonly Colour[]): number[] {
  const left = [...found.groups]
  return colours.map((colour) => {
    const [l, a, b] = labOf(...colour)
    const off = (lab: readonly number[]) => Math.hypot(0.5 * (lab[0]! - l), lab[1]! - a, lab[2]! - b)
    const nearest = left.reduce((best, one) => (off(one.lab) < off(best.lab) ? one : best), left[0]!)
    left.splice(left.indexOf(nearest), 1)
    return nearest.share
  })
}

describe('CIELAB', () => {
  // Published values of the sRGB primaries and greys for D65.
  it.each([
    [
      [255, 255, 255],
      [100, 0, 0],
    ],
    [
      [0, 0, 0],
      [0, 0, 0],
    ],
    [
      [255, 0, 0],
      [53.24, 80.09, 67.2],
    ],
    [
      [0, 255, 0],
      [87.73, -86.18, 83.18],
    ],
    [
      [0, 0, 255],
      [32.3, 79.19, -107.86],
    ],
    [
      [119, 119, 119],
      [50.03, 0, 0],
    ],
  ] as const)('of %j', (rgb, lab) => {
    labOf(rgb[0], rgb[1], rgb[2]).forEach((one, i) => expect(Math.abs(one - lab[i]!)).toBeLessThan(0.06))
  })
})

describe('an outline', () => {
  it('holds the pixels whose middle lies in it, as a count of crossings says', () => {
    const random = seededRandom(4)
    for (let turn = 0; turn < 40; turn++) {
      const outline = Array.from({ length: 3 + Math.floor(random() * 5) }, (): Point => [random() * 40, random() * 30])
      const inside = insideOf(outline, 40, 30)
      for (let i = 0; i < inside.length; i++)
        expect(inside[i] === 1).toBe(within(outline, (i % 40) + 0.5, Math.floor(i / 40) + 0.5))
    }
  })

  it('with two corners, or outside of the picture, is refused in words', () => {
    expect(() =>
      insideOf(
        [
          [0, 0],
          [5, 5],
        ],
        9,
        9,
      ),
    ).toThrow(expect.objectContaining({ code: 'wrong-shape' }))
    expect(() =>
      insideOf(
        [
          [20, 20],
          [30, 20],
          [20, 30],
        ],
        9,
        9,
      ),
    ).toThrow(expect.objectContaining({ path: 'outline' }))
  })
})

describe('shares of colours', () => {
  it('are right to three in a hundred on 24 made faces with falling light and noise', () => {
    const random = seededRandom(2)
    const errors: number[] = []
    for (let seed = 1; seed <= 24; seed++) {
      const face = randomFace(seed)
      const { picture, shares } = made(face, OUTLINE, random)
      if (shares.some((one) => one < 0.01)) continue
      const found = colourShares(picture, OUTLINE, face.colours.length)
      sharesBy(found, face.colours).forEach((one, i) => errors.push(Math.abs(one - shares[i]!)))
    }
    expect(errors.length).toBeGreaterThan(50)
    expect(Math.max(...errors)).toBeLessThan(0.03)
  })

  const thirds: Made = {
    width: 240,
    height: 160,
    colours: [
      [200, 198, 190],
      [172, 170, 163],
      [60, 60, 65],
    ],
    at: (x, y) => (Math.hypot(x - 60, y - 60) < 22 ? 2 : x < 120 ? 0 : 1),
    fall: 0.25,
    angle: 0,
    onCodes: false,
    noise: 3,
  }

  it('tell two greys apart that fall of light alone would mix up', () => {
    // The far side of the light one is darker than the near side of the dark one.
    const { picture, shares } = made(thirds, OUTLINE, seededRandom(1))
    const found = colourShares(picture, OUTLINE, 3)
    sharesBy(found, thirds.colours).forEach((one, i) => expect(Math.abs(one - shares[i]!)).toBeLessThan(0.02))
  })

  it('find a hundredth of the face beside three large colours', () => {
    const small: Made = {
      ...thirds,
      colours: [
        [230, 225, 215],
        [120, 80, 50],
        [70, 110, 160],
        [240, 200, 60],
      ],
      at: (x, y) => (Math.hypot(x - 160, y - 90) < 10 ? 3 : x < 90 ? 0 : x < 170 ? 1 : 2),
      noise: 8,
    }
    const { picture, shares } = made(small, OUTLINE, seededRandom(1))
    expect(shares[3]).toBeLessThan(0.012)
    const found = sharesBy(colourShares(picture, OUTLINE, 4), small.colours)
    found.forEach((one, i) => expect(Math.abs(one - shares[i]!)).toBeLessThan(0.003))
  })

  it('of colours that are sprinkled pixel by pixel are not smoothed away', () => {
    const random = seededRandom(5)
    const sprinkled: Made = { ...thirds, colours: FOUR, at: () => Math.floor(random() ** 2 * 4), noise: 2 }
    const { picture, shares } = made(sprinkled, OUTLINE, seededRandom(1))
    const found = sharesBy(colourShares(picture, OUTLINE, 4), FOUR)
    found.forEach((one, i) => expect(Math.abs(one - shares[i]!)).toBeLessThan(0.01))
  })
  const FOUR: Colour[] = [
    [230, 225, 215],
    [190, 60, 50],
    [25, 25, 28],
    [70, 110, 160],
  ]

  it('add up to one, label every pixel inside and none outside, and come out the same each time', () => {
    const { picture } = made(thirds, OUTLINE, seededRandom(1))
    const [one, other] = [colourShares(picture, OUTLINE, 3), colourShares(picture, OUTLINE, 3)]
    expect(one.groups.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 12)
    expect(other).toEqual(one)
    const inside = insideOf(OUTLINE, 240, 160)
    expect([...one.labels].every((label, i) => (label === OUTSIDE) === (inside[i] === 0))).toBe(true)
    const shares = one.groups.map((_, k) => one.labels.filter((label) => label === k).length)
    expect([...shares].sort((x, y) => y - x)).toEqual(shares)
  })

  it('of one even colour are that colour alone, however many are asked for', () => {
    const plain: Made = { ...thirds, colours: [[200, 198, 190]], at: () => 0, fall: 0, noise: 0 }
    const { picture } = made(plain, OUTLINE, seededRandom(1))
    expect(colourShares(picture, OUTLINE, 1).groups).toEqual([{ lab: expect.anything(), share: 1 }])
    expect(colourShares(picture, OUTLINE, 3).groups.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 12)
  })

  it('ask again for what makes no picture', () => {
    const data = new Uint8Array(12)
    const picture = (more: Partial<Picture>): Picture => ({ width: 2, height: 2, data, bytes: 3, ...more })
    const bad =
      (more: Partial<Picture>, k = 2) =>
      () =>
        colourShares(
          picture(more),
          [
            [0, 0],
            [2, 0],
            [2, 2],
          ],
          k,
        )
    expect(bad({ width: 3 })).toThrow(expect.objectContaining({ code: 'wrong-shape', path: 'rgb' }))
    expect(bad({ width: 0 })).toThrow(expect.objectContaining({ path: 'width' }))
    expect(bad({ height: 1.5 })).toThrow(expect.objectContaining({ path: 'height' }))
    expect(bad({}, 0)).toThrow(expect.objectContaining({ path: 'k' }))
    expect(bad({}, 9)).toThrow(expect.objectContaining({ path: 'k' }))
  })
})

describe('perspective', () => {
  it('takes four corners to four others, and all that lies between as a pinhole camera does', () => {
    // A face 200 × 100 in space, turned and seen from a point: the textbook pinhole, f = 800.
    const camera = (x: number, y: number): Point => {
      const [cos, sin] = [Math.cos(0.5), Math.sin(0.5)]
      const [px, py, pz] = [x * cos - 100, y - 50 + 0.1 * x, 600 + x * sin]
      return [400 + (800 * px) / pz, 300 + (800 * py) / pz]
    }
    const face: Point[] = [
      [0, 0],
      [200, 0],
      [200, 100],
      [0, 100],
    ]
    const back = projection(
      face.map(([x, y]) => camera(x, y)),
      face,
    )
    for (const [x, y] of [
      [0, 0],
      [37, 81],
      [150, 20],
      [100, 50],
    ] as const) {
      const [u, v] = project(back, camera(x, y))
      expect(u).toBeCloseTo(x, 6)
      expect(v).toBeCloseTo(y, 6)
    }
  })

  it('puts a slanted face straight: areas on it are right to two in a hundred', () => {
    // A checked face 8 × 4 drawn at a slant; put straight, each field has a 32nd of it, and those of one colour half.
    const corners: Point[] = [
      [70, 50],
      [330, 90],
      [300, 230],
      [90, 270],
    ]
    const flat: Point[] = [
      [0, 0],
      [8, 0],
      [8, 4],
      [0, 4],
    ]
    const back = projection(corners, flat)
    const data = new Uint8Array(400 * 300 * 3).fill(128)
    for (let y = 0; y < 300; y++)
      for (let x = 0; x < 400; x++) {
        const [u, v] = project(back, [x + 0.5, y + 0.5])
        if (u < 0 || u >= 8 || v < 0 || v >= 4) continue
        // The left third is white: a third of the straight face, more of the slanted one.
        data.fill(u < 8 / 3 ? 240 : 40, (y * 400 + x) * 3, (y * 400 + x) * 3 + 3)
      }
    const slanted: Picture = { width: 400, height: 300, data, bytes: 3 }
    const to = sidesFor(corners, { widthMm: 80, heightMm: 40 })
    expect(to.height / to.width).toBeCloseTo(0.5, 2)
    const straight = straightened(slanted, corners, to)
    const white = Array.from({ length: to.width * to.height }, (_, i) => (straight.data[3 * i]! > 140 ? 1 : 0))
    const share = white.reduce<number>((sum, one) => sum + one, 0) / white.length
    expect(Math.abs(share - 1 / 3)).toBeLessThan(0.02 / 3)
  })

  it('asks for corners that go round a field, and brings them into order', () => {
    expect(
      isConvex([
        [0, 0],
        [9, 0],
        [9, 9],
        [0, 9],
      ]),
    ).toBe(true)
    expect(
      isConvex([
        [0, 0],
        [9, 9],
        [9, 0],
        [0, 9],
      ]),
    ).toBe(false)
    expect(
      inOrder([
        [9, 8],
        [0, 9],
        [1, 0],
        [10, 1],
      ]),
    ).toEqual([
      [1, 0],
      [10, 1],
      [9, 8],
      [0, 9],
    ])
    const picture: Picture = { width: 9, height: 9, data: new Uint8Array(243), bytes: 3 }
    expect(() =>
      straightened(
        picture,
        [
          [0, 0],
          [9, 9],
          [9, 0],
          [0, 9],
        ],
        { width: 8, height: 8 },
      ),
    ).toThrow(expect.objectContaining({ path: 'corners' }))
    expect(() =>
      projection(
        [
          [0, 0],
          [1, 1],
          [2, 2],
          [0, 5],
        ],
        [
          [0, 0],
          [1, 0],
          [1, 1],
          [0, 1],
        ],
      ),
    ).toThrow()
  })
})

describe('measures on a photo', () => {
  it('give the bend from three points: exact for made ones', () => {
    for (const degrees of [0, 12.5, 45, 90, 133, 180]) {
      const turn = (degrees * Math.PI) / 180
      const found = bendAngle([
        [0, 0],
        [100, 0],
        [100 + 80 * Math.cos(turn), 80 * Math.sin(turn)],
      ])
      expect(Math.abs(found - degrees)).toBeLessThan(1e-4)
    }
    expect(() =>
      bendAngle([
        [5, 5],
        [5, 5],
        [9, 9],
      ]),
    ).toThrow(expect.objectContaining({ code: 'out-of-range' }))
  })

  /** A dark line of a thickness and a direction on a light ground, its rims drawn by how much of a pixel they cover. */
  function lined(thick: number, turn: number, noise: number): Picture {
    const [width, height] = [320, 240]
    const random = seededRandom(3)
    const data = new Uint8Array(width * height * 3)
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++) {
        const off = Math.abs((x + 0.5 - 160) * -Math.sin(turn) + (y + 0.5 - 120) * Math.cos(turn)) - thick / 2
        const cover = Math.min(1, Math.max(0, 0.5 - off))
        const code = 210 - 150 * cover + noise * (random() + random() + random() - 1.5) * 2
        data.fill(Math.round(code), (y * width + x) * 3, (y * width + x) * 3 + 3)
      }
    return { width, height, data, bytes: 3 }
  }
  it('give the thickness of a line to three in a hundred, though the finger is some pixels off', () => {
    for (const [thick, turn, noise] of [
      [14, 0, 0],
      [14, 0.3, 4],
      [30, -0.2, 6],
      [60, 1.2, 3],
    ] as const) {
      const picture = lined(thick, turn, noise)
      const at = (along: number, off: number): Point => [
        160 + along * Math.cos(turn) - off * Math.sin(turn),
        120 + along * Math.sin(turn) + off * Math.cos(turn),
      ]
      // Tapped three pixels off the rim, and a little askew.
      const upper = edgeNear(picture, at(-80, -thick / 2 - 2), at(80, -thick / 2 + 1.5))
      const lower = edgeNear(picture, at(-80, thick / 2 + 2), at(80, thick / 2 + 1))
      expect(Math.abs(apart(upper, lower) / thick - 1)).toBeLessThan(0.03)
      // 100 px are 8 mm.
      const scale = mmPerPx([20, 20], [100, 80], 8)
      expect(scale).toBeCloseTo(0.08, 9)
      expect(thicknessMm(upper, lower, scale)).toBeCloseTo(apart(upper, lower) * 0.08, 9)
    }
  })

  it('ask for a known length that says something', () => {
    expect(() => mmPerPx([5, 5], [5, 6], 20)).toThrow(expect.objectContaining({ code: 'out-of-range' }))
    expect(() => mmPerPx([5, 5], [50, 6], 0)).toThrow(expect.objectContaining({ path: 'known' }))
  })
})

describe('a colour by a grey patch', () => {
  const toCode = (linear: number) =>
    Math.round(255 * (linear <= 0.0031308 ? 12.92 * linear : 1.055 * linear ** (1 / 2.4) - 0.055))
  /** Left a grey card of 18 %, right something, both in the light of a lamp. */
  function photo(lamp: readonly number[], of: readonly number[]): Picture {
    const data = new Uint8Array(100 * 40 * 3)
    for (let i = 0; i < 4000; i++)
      for (let c = 0; c < 3; c++) data[3 * i + c] = toCode(lamp[c]! * (i % 100 < 50 ? 0.18 : of[c]!))
    return { width: 100, height: 40, data, bytes: 3 }
  }
  it('is the same under a yellow lamp and a dim blue one', () => {
    const glue = [0.5, 0.45, 0.3]
    const [warm, cold] = [photo([1, 0.8, 0.5], glue), photo([0.35, 0.4, 0.6], glue)]
    const [one, other] = [warm, cold].map((picture) => byGrey(picture, [25, 20], [75, 20]))
    expect(changed(one!, other!).distance).toBeLessThan(1.5)
  })

  it('says how much yellower and lighter it has become', () => {
    const lamp = [0.9, 0.9, 0.9]
    const before = byGrey(photo(lamp, [0.5, 0.5, 0.5]), [25, 20], [75, 20])
    const after = byGrey(photo(lamp, [0.55, 0.52, 0.35]), [25, 20], [75, 20])
    const found = changed(before, after)
    expect(found.yellower).toBeGreaterThan(8)
    expect(found.lighter).toBeGreaterThan(0)
    expect(() => byGrey(photo([0.001, 0.001, 0.001], [1, 1, 1]), [25, 20], [75, 20])).toThrow(
      expect.objectContaining({ path: 'patch' }),
    )
  })
})

describe('small systems of equations', () => {
  it('are solved, with the rows in any order, or not at all', () => {
    expect(
      solve([
        [0, 2, 4],
        [1, 1, 5],
      ]),
    ).toEqual([3, 2])
    expect(
      solve([
        [1, 2, 3],
        [2, 4, 6],
      ]),
    ).toBeNull()
  })
})
