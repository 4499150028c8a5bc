import { normalDraw, type Random } from '../core/planning/random'
import { materialClassOf } from '../core/knowledge/materials'
import { typicalPairStrength } from '../core/knowledge/strengths'
import type { FailurePlaces } from '../core/readings/datum'
import { formulaOf, type CouponSize, type TestId, testKinds } from '../core/knowledge/testKinds'

/** What is pulled in the simulation: a pair, a family, a test. */
export interface SimulatedCoupon {
  a: string
  b: string
  family: string
  test: TestId
  size: CouponSize
  /** of the strips, mm: what a part carries in its own section; left out, only the table's cap counts */
  thicknessMm?: { a: number | null; b: number | null }
}

export interface SimulatedPull {
  forceN: number
  places: FailurePlaces
}

const none = (): FailurePlaces => ({ tornA: 0, offA: 0, glue: 0, offB: 0, tornB: 0 })
/** Scatter of a part's own strength, as σ of its logarithm. */
const PART_SCATTER = 0.1

/** Load at which a strip of its own section breaks, N; prints at half their strength, across the layers. */
function stripN(materialId: string, thicknessMm: number | null | undefined, widthMm: number): number {
  const material = materialClassOf(materialId)
  return thicknessMm ? material.tensileMPa * (material.group === 'print' ? 0.5 : 1) * thicknessMm * widthMm : Infinity
}

/** Shares in steps of ten that add up to 100: most of it in one place, some beside it. */
function shared(main: keyof FailurePlaces, beside: keyof FailurePlaces, random: Random): FailurePlaces {
  const part = random() < 0.5 ? 0 : 10 * (1 + Math.floor(random() * 3))
  return { ...none(), [main]: 100 - part, [beside]: part }
}

/**
 * One pull of a simulated coupon, from the typical strengths of the tables: the bond's strength scatters as its row
 * says; a part that carries less tears first. Stands in for a real pull; no more true than the tables.
 * @returns null for a pair the tables say nothing about, or a test without a force
 */
export function simulatePull(coupon: SimulatedCoupon, random: Random): SimulatedPull | null {
  const typical = typicalPairStrength(coupon.a, coupon.b, coupon.family)
  const formula = formulaOf(coupon.test)
  if (!typical || !formula) return null
  const peels = formula.unit === 'N/mm'
  const { strength, weaker } = typical
  const bond = (peels ? strength.peelNPerMm : strength.bondMPa) * Math.exp(strength.cv * normalDraw(random))
  const carries =
    (peels ? strength.observedPeelNPerMm : strength.observedMPa) * Math.exp(PART_SCATTER * normalDraw(random))
  const tears = strength.failure === 'substrate' && bond > carries
  const per = tears ? carries : bond
  const width = coupon.size.widthMm ?? 25
  // Strength is proportional to the load: the load that makes this strength.
  const forceN = per / formula.strength(1, { ...testKinds[coupon.test].sizes, ...coupon.size })
  const strips = peels
    ? []
    : ([
        ['tornA', stripN(coupon.a, coupon.thicknessMm?.a, width)],
        ['tornB', stripN(coupon.b, coupon.thicknessMm?.b, width)],
      ] as const)
  for (const [place, carriesN] of strips) {
    const breaks = carriesN * Math.exp(PART_SCATTER * normalDraw(random))
    if (forceN > breaks) return { forceN: breaks, places: { ...none(), [place]: 100 } }
  }
  const [torn, off] = weaker === 'a' ? (['tornA', 'offA'] as const) : (['tornB', 'offB'] as const)
  const places = tears
    ? shared(torn, 'glue', random)
    : strength.failure === 'cohesive'
      ? shared('glue', off, random)
      : shared(off, 'glue', random)
  return { forceN, places }
}
