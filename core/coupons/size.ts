import { familyOf } from '../knowledge/families'
import { materialClassOf, type MaterialClass } from '../knowledge/materials'
import { typicalStrength } from '../knowledge/strengths'
import { positive } from '../quantities/require'
import { figureOf } from '../quantities/figure'

export const couponTests = ['lap-shear', 'peel', 'tension'] as const
export type CouponTest = (typeof couponTests)[number]

export interface CouponQuestion {
  test: CouponTest
  a: string
  aThicknessMm?: number | null
  b: string
  bThicknessMm?: number | null
  adhesive: string
  /** what the force is read with */
  gauge: { limitN: number; resolutionN: number }
  /** the width wished for; a narrower or wider one is taken where it alone works */
  widthMm?: number | null
}

export interface CouponAnswer {
  /** a size exists at which the bond is expected to fail first, at a load that the gauge reads well */
  possible: boolean
  /** of the strip, or of the square block for a straight pull; null where no size is worth cutting */
  widthMm: number | null
  /** lap: length of the overlap; straight pull: side of the square bonded spot; peel: none */
  overlapMm: number | null
  /** load expected, N, from a weak to a strong piece */
  expectedN: [low: number, high: number] | null
  /** what is expected to give way first at this size */
  weakest: 'bond' | 'a' | 'b'
  advice: string[]
}

/**
 * Bond strength from a weak to a strong piece: ± 1.645 σ, σ the coefficient of variation taken as that of ln strength
 * (90 %).
 */
export const SPREAD = 1.645
/**
 * The part must carry at least this much more than the strongest bond: load ≤ 0.7 × what the part carries (methods.md
 * 5).
 */
export const PART_SHARE = 0.7
/** The gauge reads well from 20 times its step to 0.8 of its limit (methods.md 5). */
export const STEPS_AT_LEAST = 20
export const LIMIT_SHARE = 0.8
/** What hands can place, and what a lap needs no more than. */
const OVERLAP = { least: 3, most: 25 }
const WIDTHS = [25, 20, 15, 12, 10, 30, 40, 50]
const GRID_MM = 0.5

interface Side {
  name: 'a' | 'b'
  material: MaterialClass
  thicknessMm: number
}
/**
 * Bond of the pair from weak to strong, MPa or N/mm, and what the material right beside the bond carries on each side.
 */
interface Bond {
  low: number
  high: number
  cap: Record<'a' | 'b', number>
}

function bondOf(sides: readonly [Side, Side], family: string, peel: boolean): Bond {
  const rows = sides.map(({ material }) => typicalStrength(material.id, family)!)
  const of = (row: (typeof rows)[number]) => (peel ? row.peelNPerMm : row.bondMPa)
  const shown = (row: (typeof rows)[number]) => (peel ? row.observedPeelNPerMm : row.observedMPa)
  // The lower of the two faces counts; its spread with it.
  const weaker = of(rows[0]!) <= of(rows[1]!) ? rows[0]! : rows[1]!
  const cap = (row: (typeof rows)[number]) => (shown(row) < of(row) ? shown(row) : Infinity)
  return {
    low: of(weaker) * Math.exp(-SPREAD * weaker.cv),
    high: of(weaker) * Math.exp(SPREAD * weaker.cv),
    cap: { a: cap(rows[0]!), b: cap(rows[1]!) },
  }
}

/**
 * What a pair is expected to show, from a weak to a strong piece: MPa, for peel N/mm. Where the material beside the
 * bond gives way first, no more than it carries.
 * @throws CodedError not-one-of
 */
export function expectedBond(a: string, b: string, family: string, test: CouponTest): [low: number, high: number] {
  const side = (name: 'a' | 'b', id: string): Side => ({ name, material: materialClassOf(id, name), thicknessMm: 1 })
  const { low, high, cap } = bondOf([side('a', a), side('b', b)], familyOf(family).id, test === 'peel')
  const most = Math.min(cap.a, cap.b)
  return [Math.min(low, most), Math.min(high, most)]
}

const down = (mm: number) => Math.floor(mm / GRID_MM + 1e-9) * GRID_MM
const unique = (numbers: readonly number[]) => [...new Set(numbers)]

/**
 * Size of a coupon so that the bond is the weak link and the load suits the gauge (methods.md 5). Where none exists the
 * answer says what would fail or what the gauge cannot read, and what to do instead.
 * @throws CodedError not-one-of, not-positive, with the field's path
 */
export function couponSize(question: CouponQuestion): CouponAnswer {
  const side = (name: 'a' | 'b'): Side => {
    const material = materialClassOf(question[name], name)
    const given = question[`${name}ThicknessMm`]
    const thicknessMm =
      given == null ? material.typicalThicknessMm : positive(given, `${name}ThicknessMm`, 'The thickness', 'the coupon')
    return { name, material, thicknessMm }
  }
  const sides: [Side, Side] = [side('a'), side('b')]
  const family = familyOf(question.adhesive, 'adhesive').id
  const limitN = positive(question.gauge.limitN, 'gauge.limitN', 'The limit of the gauge', 'the coupon')
  const stepN = positive(question.gauge.resolutionN, 'gauge.resolutionN', 'The step of the gauge', 'the coupon')
  const wished = question.widthMm == null ? 25 : positive(question.widthMm, 'widthMm', 'The width', 'the coupon')
  const bond = bondOf(sides, family, question.test === 'peel')
  const span: [number, number] = [STEPS_AT_LEAST * stepN, LIMIT_SHARE * limitN]
  const widths = unique([wished, ...WIDTHS])
  const plan = { 'lap-shear': lap, peel, tension }[question.test]
  const tries = widths.map((widthMm) => plan(sides, bond, widthMm, span))
  const first = tries.find(({ possible }) => possible)
  if (first)
    return first.widthMm === wished
      ? first
      : { ...first, advice: [`Cut it ${first.widthMm} mm wide instead of ${wished} mm.`, ...first.advice] }
  return tries[0]!
}

type Plan = (sides: readonly [Side, Side], bond: Bond, widthMm: number, span: readonly [number, number]) => CouponAnswer

const no = (weakest: CouponAnswer['weakest'], advice: string[], rest: Partial<CouponAnswer> = {}): CouponAnswer => ({
  possible: false,
  widthMm: null,
  overlapMm: null,
  expectedN: null,
  weakest,
  advice,
  ...rest,
})
const called = ({ name, material }: Side) => `side ${name.toUpperCase()}, ${material.name},`

/** The material right beside the bond gives way before a strong bond does, whatever the size. */
function tornAtTheBond(sides: readonly [Side, Side], bond: Bond): Side | null {
  const soft = sides.filter(({ name }) => bond.cap[name] < bond.high)
  return soft.sort((x, y) => bond.cap[x.name] - bond.cap[y.name])[0] ?? null
}
const tearsFirst = (side: Side, unit: string, cap: number, instead: string): string[] => [
  `The material will tear first: ${called(side)} carries about ${figureOf(cap)} ${unit} beside the bond, less ` +
    'than this glue gives.',
  'That is itself the answer: the joint is as good as its part. Stop at a proof load, required load times a ' +
    'factor, held for a time.',
  instead,
]

function gaugeTrouble(low: number, high: number, span: readonly [number, number]): string[] {
  const out: string[] = []
  if (high > span[1])
    out.push(
      `The gauge ends at ${figureOf(span[1] / LIMIT_SHARE)} N and up to ${figureOf(high)} N are expected: take ` +
        `one to ${figureOf(high / LIMIT_SHARE)} N, a lever, or hung weights.`,
    )
  if (low < span[0])
    out.push(
      `Weak pieces let go near ${figureOf(low)} N and the gauge reads well from ${figureOf(span[0])} N only: ` +
        'take a finer one, such as a kitchen scale or water in a bucket.',
    )
  return out
}

const lap: Plan = (sides, bond, widthMm, span) => {
  const torn = tornAtTheBond(sides, bond)
  if (torn)
    return no(
      torn.name,
      tearsFirst(torn, 'MPa', bond.cap[torn.name], 'Or glue a stiff backing strip on it and test the other face.'),
    )
  // Load per mm of width: τ·L against what a strip carries, σ·t.
  const longest = sides.map((one) => ({
    one,
    mm: (PART_SHARE * one.material.tensileMPa * one.thicknessMm) / bond.high,
  }))
  const tightest = longest.reduce((x, y) => (y.mm < x.mm ? y : x))
  const most = down(Math.min(OVERLAP.most, tightest.mm))
  const fits = (mm: number): CouponAnswer => {
    const expectedN: [number, number] = [widthMm * mm * bond.low, widthMm * mm * bond.high]
    return { possible: true, widthMm, overlapMm: mm, expectedN, weakest: 'bond', advice: [] }
  }
  if (most < OVERLAP.least)
    return no(
      tightest.one.name,
      [
        `The material will tear first: ${called(tightest.one)} ${figureOf(tightest.one.thicknessMm)} mm thick, ` +
          `allows an overlap of ${figureOf(tightest.mm)} mm, too short to place by hand.`,
        `Take ${figureOf((OVERLAP.least * bond.high) / (PART_SHARE * tightest.one.material.tensileMPa))} mm or ` +
          'more, or glue a backing strip on it; else stop at a proof load.',
        'A peel or a straight pull on a small spot may do instead.',
      ],
      { widthMm, overlapMm: OVERLAP.least, expectedN: fits(OVERLAP.least).expectedN },
    )
  // As long as the parts and the gauge allow: longer laps are easier to place and measure.
  const byGauge = down(span[1] / (widthMm * bond.high))
  const overlapMm = Math.min(most, byGauge)
  const least = span[0] / (widthMm * bond.low)
  if (overlapMm < OVERLAP.least || overlapMm < least) {
    const tried = fits(Math.max(OVERLAP.least, Math.min(most, byGauge)))
    return { ...tried, possible: false, advice: gaugeTrouble(...tried.expectedN!, span) }
  }
  return fits(overlapMm)
}

const peel: Plan = (sides, bond, widthMm, span) => {
  const arms = sides.filter(({ material }) => material.flexible)
  if (!arms.length)
    return no('bond', ['Neither side bends, so nothing can be peeled: prise it open (cleavage) or take lap shear.'])
  const torn = tornAtTheBond(sides, bond)
  if (torn)
    return no(
      torn.name,
      tearsFirst(torn, 'N/mm', bond.cap[torn.name], 'Or line its back with cloth tape, so that it cannot tear.'),
    )
  const high = bond.high * widthMm
  const expectedN: [number, number] = [bond.low * widthMm, high]
  const carries = arms.map((one) => ({
    one,
    n:
      PART_SHARE *
      Math.min(
        one.material.tearNPerMm === null ? Infinity : one.material.tearNPerMm * one.thicknessMm,
        one.material.tensileMPa * widthMm * one.thicknessMm,
      ),
  }))
  const weak = carries.reduce((x, y) => (y.n < x.n ? y : x))
  const here = { widthMm, expectedN }
  if (high > weak.n)
    return no(
      weak.one.name,
      [
        `The arm will tear first: ${called(weak.one)} ${figureOf(weak.one.thicknessMm)} mm thick, carries ` +
          `about ${figureOf(weak.n)} N of the ${figureOf(high)} N expected.`,
        'Line its back with cloth tape or a glued strip, take a narrower strip, or stop at a proof load.',
      ],
      here,
    )
  const trouble = gaugeTrouble(...expectedN, span)
  return trouble.length
    ? { ...no('bond', trouble, here) }
    : { possible: true, widthMm, overlapMm: null, expectedN, weakest: 'bond', advice: [] }
}

const tension: Plan = (sides, bond, widthMm, span) => {
  const torn = tornAtTheBond(sides, bond)
  if (torn)
    return no(torn.name, tearsFirst(torn, 'MPa', bond.cap[torn.name], 'Or back it with board and take a peel instead.'))
  // A square spot on a square block: spot × σ of the bond against 0.7 of what the section carries.
  const shares = sides.map((one) => ({ one, share: (PART_SHARE * one.material.tensileMPa) / bond.high }))
  const tightest = shares.reduce((x, y) => (y.share < x.share ? y : x))
  const most = down(widthMm * Math.sqrt(Math.min(1, tightest.share)))
  const byGauge = down(Math.sqrt(span[1] / bond.high))
  const spot = Math.min(most, byGauge)
  const at = (mm: number): [number, number] => [mm * mm * bond.low, mm * mm * bond.high]
  if (most < OVERLAP.least)
    return no(
      tightest.one.name,
      [
        `The material will tear first: ${called(tightest.one)} allows a spot of ${figureOf(most)} mm on a ` +
          `block of ${widthMm} mm.`,
        'Take a wider block or a peel, or stop at a proof load.',
      ],
      { widthMm, overlapMm: OVERLAP.least, expectedN: at(OVERLAP.least) },
    )
  const expectedN = at(Math.max(OVERLAP.least, spot))
  if (spot < OVERLAP.least || expectedN[0] < span[0])
    return no('bond', gaugeTrouble(...expectedN, span), {
      widthMm,
      overlapMm: Math.max(OVERLAP.least, spot),
      expectedN,
    })
  return {
    possible: true,
    widthMm,
    overlapMm: spot,
    expectedN,
    weakest: 'bond',
    advice:
      spot < widthMm
        ? [
            `Glue a square spot of ${spot} mm on a block of ${widthMm} mm, masked round it, so that the foam ` +
              'or part does not tear.',
          ]
        : ['Back soft parts with board so that they pull flat.'],
  }
}
