import { CodedError } from '../errors'
import { seededRandom, type Random } from '../planning/random'
import { farthest, kMeans, nearest, settle, type Groups } from './kmeans'
import { labInto, linearOf, luminance, type Lab } from './lab'
import { EVEN_LIGHT, guessLight, lightRows, placeOf, type Light } from './light'
import { farFrom, fitMixture, formOf, type Cloud } from './mixture'
import { checkPicture, insideOf, type Picture, type Point } from './picture'
import { coloursOf, inLab, sampled, type Sample } from './sample'
import { solve } from './solve'

/** One colour of a photo: its middle, in even light, and its share of the outlined area. */
export interface ColourGroup {
  lab: Lab
  /** 0…1 */
  share: number
}

export interface ColourShares {
  /** the largest first */
  groups: ColourGroup[]
  /** of each pixel the group that it belongs to, or OUTSIDE */
  labels: Uint8Array
  light: Light
}

export interface SharesOptions {
  seed?: number
  /** told 0…1; may be left out */
  onProgress?: (done: number) => void
}

export const OUTSIDE = 255
const MOST_GROUPS = 8
/** Rounds of light and groups in turn. */
const TURNS = 6
/** A pixel further from its group than this, against the usual distance, says nothing of the light. */
const FAR = 3
/** Labels beside a pixel that agree with it where colours lie in patches; below it each pixel stands for itself. */
const IN_PATCHES = 0.75
const ROWS_A_TURN = 64
/** Of a picture with more pixels than this each second one is looked at, across and down; its neighbours follow it. */
const LARGE = 500_000
/** Linear light below and above which a pixel says nothing of how light falls. */
const TOO_DARK = 0.005
const BURNT_OUT = 0.99

/**
 * The colours of a broken face and their shares of the outlined area (methods.md 11): k-means in CIELAB, in light that
 * may fall off across it. Same input and seed, same answer.
 * @throws CodedError wrong-shape, out-of-range
 */
export function colourShares(
  picture: Picture,
  outline: readonly Point[],
  k: number,
  { seed = 1, onProgress }: SharesOptions = {},
): ColourShares {
  checkPicture(picture)
  if (!Number.isInteger(k) || k < 1 || k > MOST_GROUPS)
    throw new CodedError('out-of-range', 'k', { field: 'The number of colours', low: 1, high: MOST_GROUPS, got: k })
  const { width, height } = picture
  const inside = insideOf(outline, width, height)
  onProgress?.(0.05)
  const { clouds, light } = bestClouds(picture, inside, k, seed)
  onProgress?.(0.4)
  const labels = labelled(picture, inside, clouds, light, (done) => onProgress?.(0.4 + 0.5 * done))
  const smooth = patched(labels, width, height)
  onProgress?.(0.95)
  const counts = clouds.map(() => 0)
  for (const label of smooth) if (label !== OUTSIDE) counts[label]! += 1
  const all = counts.reduce((sum, one) => sum + one, 0)
  const order = counts.map((_, i) => i).sort((x, y) => counts[y]! - counts[x]!)
  const rank = new Uint8Array(256).fill(OUTSIDE)
  order.forEach((group, place) => (rank[group] = place))
  for (let i = 0; i < smooth.length; i++) smooth[i] = rank[smooth[i]!]!
  onProgress?.(1)
  return {
    groups: order.map((group) => ({ lab: clouds[group]!.centre, share: counts[group]! / all })),
    labels: smooth,
    light,
  }
}

/** Groups and light in turn: each group’s pixels say how light falls, and even light makes the groups tight. */
function inEvenLight(picture: Picture, sample: Sample, first: Light, k: number, random: Random) {
  let light = first
  let groups = kMeans(inLab(sample, picture, light), k, random)
  for (let turn = 0; turn < TURNS; turn++) {
    const next = fittedLight(picture, sample, groups, light)
    const points = inLab(sample, picture, next)
    // Every other turn looks afresh: groups that were halves of one colour find another.
    const kept = settle(points, groups.centres)
    const again = turn % 2 ? kept : kMeans(points, k, random)
    const better = again.spread < kept.spread ? again : kept
    if (turn > 0 && better.spread > groups.spread * 0.999) {
      if (better.spread < groups.spread) [light, groups] = [next, better]
      break
    }
    ;[light, groups] = [next, better]
  }
  return { light, groups }
}

/** Of several beginnings, with calmed colours and without, the clouds that tell the pixels best. */
function bestClouds(picture: Picture, inside: Uint8Array, k: number, seed: number): { clouds: Cloud[]; light: Light } {
  const random = seededRandom(seed)
  const { raw, calm } = coloursOf(picture, inside, sampled(inside))
  const lights = [guessLight(picture, inside), EVEN_LIGHT]
  const begun = [raw, ...(calm ? [calm] : [])].flatMap((sample) =>
    lights.map((first) => inEvenLight(picture, sample, first, k, random)),
  )
  // Colours as far apart as there are: of a group too small for the rounds to find, where noise is low enough.
  const apart = begun
    .slice(calm ? 2 : 0)
    .map(({ light }) => ({ light, groups: { centres: farthest(inLab(calm ?? raw, picture, light), k) } }))
  const found = [...begun, ...apart].map(({ light, groups }) => ({
    light,
    mixture: fitMixture(inLab(raw, picture, light), groups.centres),
  }))
  const best = found.reduce((one, other) => (other.mixture.logLikelihood > one.mixture.logLikelihood ? other : one))
  return { clouds: best.mixture.clouds, light: best.light }
}

/** Least squares of ln brightness over each group’s own level: the four terms of the light. */
function fittedLight(picture: Picture, sample: Sample, { centres, spread }: Groups, light: Light): Light {
  const points = inLab(sample, picture, light)
  const { u, v } = placeOf(picture)
  const k = centres.length
  const size = k + 4
  const rows = Array.from({ length: size }, () => new Array<number>(size + 1).fill(0))
  const far = FAR * FAR * Math.max(spread, 1)
  let used = 0
  sample.pixels.forEach((i, n) => {
    const { group, d2 } = nearest(points, 3 * n, centres)
    if (d2 > far) return
    const rgb = sample.rgb.subarray(3 * n, 3 * n + 3)
    const bright = luminance(rgb[0]!, rgb[1]!, rgb[2]!)
    // Too dark or burnt out: it follows the light no more.
    if (bright < TOO_DARK || Math.max(rgb[0]!, rgb[1]!, rgb[2]!) > BURNT_OUT) return
    used += 1
    const [x, y] = [u(i % picture.width), v(Math.floor(i / picture.width))]
    const terms: [number, number][] = [
      [group, 1],
      [k, x],
      [k + 1, y],
      [k + 2, x * x],
      [k + 3, y * y],
    ]
    // The error of ln brightness is the smaller the brighter it is.
    for (const [row, p] of terms) {
      for (const [column, q] of terms) rows[row]![column]! += bright * p * q
      rows[row]![size]! += bright * p * Math.log(bright)
    }
  })
  // A ridge keeps what the outline does not tell (a narrow strip has no width) at no fall of light.
  for (let i = 0; i < k; i++) rows[i]![i]! += 1e-6 * Math.max(1, used)
  for (let i = k; i < size; i++) rows[i]![i]! += 1e-4 * Math.max(1, used)
  const found = solve(rows)
  if (!found) return light
  const [px, py, qx, qy] = found.slice(k).map((one) => Math.min(2, Math.max(-2, one)))
  return { px: px!, py: py!, qx: qx!, qy: qy! }
}

function labelled(
  picture: Picture,
  inside: Uint8Array,
  clouds: readonly Cloud[],
  light: Light,
  onProgress: (done: number) => void,
): Uint8Array {
  const { width, height, data, bytes } = picture
  const rows = lightRows(light, picture)
  const labels = new Uint8Array(width * height).fill(OUTSIDE)
  const one = new Float32Array(3)
  const forms = clouds.map(formOf)
  const groupAt = (x: number, y: number): number => {
    const at = (y * width + x) * bytes
    const by = rows.x[x]! * rows.y[y]!
    labInto(one, 0, linearOf[data[at]!]! * by, linearOf[data[at + 1]!]! * by, linearOf[data[at + 2]!]! * by)
    let [group, least] = [0, Infinity]
    for (let k = 0; k < forms.length; k++) {
      const off = farFrom(forms[k]!, one[0]!, one[1]!, one[2]!)
      if (off < least) {
        least = off
        group = k
      }
    }
    return group
  }
  const step = width * height > LARGE ? 2 : 1
  for (let y = 0; y < height; y += step) {
    for (let x = 0; x < width; x += step) if (inside[y * width + x]) labels[y * width + x] = groupAt(x, y)
    if (y % ROWS_A_TURN === 0) onProgress(y / height)
  }
  if (step === 1) return labels
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const i = y * width + x
      if (!inside[i] || labels[i] !== OUTSIDE) continue
      const beside = labels[(y & ~1) * width + (x & ~1)]!
      labels[i] = beside === OUTSIDE ? groupAt(x, y) : beside
    }
  return labels
}

/** Where colours lie in patches, a pixel that differs from what is round it is noise, and takes their label. */
function patched(labels: Uint8Array, width: number, height: number): Uint8Array {
  let [alike, pairs] = [0, 0]
  for (let i = 0; i + width < labels.length; i += 3)
    if (labels[i] !== OUTSIDE && labels[i + width] !== OUTSIDE) {
      pairs += 1
      if (labels[i] === labels[i + width]) alike += 1
    }
  if (!pairs || alike / pairs < IN_PATCHES) return labels
  const out = new Uint8Array(labels)
  const votes = new Uint8Array(256)
  for (let y = 1; y < height - 1; y++)
    for (let x = 1; x < width - 1; x++) {
      const i = y * width + x
      const own = labels[i]!
      if (own === OUTSIDE) continue
      if (labels[i - 1] === own && labels[i + 1] === own && labels[i - width] === own && labels[i + width] === own)
        continue
      votes.fill(0)
      let best = own
      for (let dy = -1; dy <= 1; dy++)
        for (let dx = -1; dx <= 1; dx++) {
          const label = labels[i + dy * width + dx]!
          if (label !== OUTSIDE) votes[label]! += 1
        }
      for (let label = 0; label < MOST_GROUPS; label++) if (votes[label]! > votes[best]!) best = label
      out[i] = best
    }
  return out
}
