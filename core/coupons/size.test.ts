import { readFileSync } from 'node:fs'
import { couponTests } from './bond'
import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'
import { families } from '../knowledge/families'
import { materialClasses } from '../knowledge/materials'
import { seededRandom, type Random } from '../planning/random'
import { armCarries } from './peelSize'
import { couponSize } from './size'
import { type CouponQuestion } from './plan'

const pick = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random() * list.length)]!
const question = (patch: Partial<CouponQuestion>): CouponQuestion => ({
  test: 'lap-shear',
  a: 'print-pla',
  aThicknessMm: 4,
  b: 'print-pla',
  bThicknessMm: 4,
  adhesive: 'ca-gel',
  gauge: { limitN: 2000, resolutionN: 1 },
  widthMm: 25,
  ...patch,
})

/**
 * The tables read anew, without the code under test: the bond of a pair with its spread, and what each material carries
 * beside it.
 */
const csv = readFileSync(new URL('../knowledge/tables/strengths.csv', import.meta.url), 'utf8')
const rows = new Map(
  Papa.parse<Record<string, string>>(csv, { header: true, skipEmptyLines: true }).data.map((row) => [
    `${row['scope'] === 'group' ? 'group:' : ''}${row['target']} ${row['family']}`,
    row,
  ]),
)
function fromTables(a: string, b: string, family: string, peel: boolean) {
  const row = (id: string) => {
    const group = materialClasses.find((m) => m.id === id)!.group
    const found = (rows.get(`${id} ${family}`) ?? rows.get(`group:${group} ${family}`))!
    return {
      value: Number(found[peel ? 'peelNPerMm' : 'bondMPa']),
      seen: Number(found[peel ? 'observedPeelNPerMm' : 'observedMPa']),
      cv: Number(found['cv']),
    }
  }
  const [x, y] = [row(a), row(b)]
  const weak = x.value <= y.value ? x : y
  return {
    low: weak.value * Math.exp(-1.645 * weak.cv),
    high: weak.value * Math.exp(1.645 * weak.cv),
    capA: x.seen < x.value ? x.seen : Infinity,
    capB: y.seen < y.value ? y.seen : Infinity,
  }
}

describe('10,000 random coupons', () => {
  const random = seededRandom(5150)
  const asked = Array.from({ length: 10_000 }, () =>
    question({
      test: pick(random, couponTests),
      a: pick(random, materialClasses).id,
      aThicknessMm: pick(random, [null, 0.2, 1, 3, 6, 12, 25]),
      b: pick(random, materialClasses).id,
      bThicknessMm: pick(random, [null, 0.2, 1, 3, 6, 12, 25]),
      adhesive: pick(random, families).id,
      widthMm: pick(random, [10, 20, 25, 40]),
      gauge: pick(random, [
        { limitN: 490, resolutionN: 0.5 },
        { limitN: 50, resolutionN: 0.05 },
        { limitN: 2000, resolutionN: 1 },
      ]),
    }),
  )
  const answered = asked.map((one) => ({ one, answer: couponSize(one) }))
  const proposed = answered.filter(({ answer }) => answer.possible)

  it('find a size for a good part of them', () => expect(proposed.length).toBeGreaterThan(1500))

  it('never propose one whose material is expected to fail before the bond', () => {
    for (const { one, answer } of proposed) {
      const bond = fromTables(one.a, one.b, one.adhesive, one.test === 'peel')
      const [width, overlap] = [answer.widthMm!, answer.overlapMm]
      expect(answer.weakest).toBe('bond')
      expect(bond.high, JSON.stringify(one)).toBeLessThanOrEqual(Math.min(bond.capA, bond.capB))
      for (const name of ['a', 'b'] as const) {
        const material = materialClasses.find(({ id }) => id === one[name])!
        const thick = one[`${name}ThicknessMm`] ?? material.typicalThicknessMm
        const strip = material.tensileMPa * thick * width
        if (one.test === 'lap-shear')
          expect(bond.high * width * overlap!, JSON.stringify(one)).toBeLessThanOrEqual(0.7 * strip + 1e-9)
        if (one.test === 'peel' && material.flexible) {
          expect(bond.high * width).toBeLessThanOrEqual(0.7 * strip + 1e-9)
          if (material.tearNPerMm !== null)
            expect(bond.high * width).toBeLessThanOrEqual(0.7 * material.tearNPerMm * thick + 1e-9)
          if (material.seamSlipNPerMm !== null)
            expect(bond.high).toBeLessThanOrEqual(0.7 * material.seamSlipNPerMm + 1e-9)
        }
        if (one.test === 'tension')
          expect(bond.high * overlap! ** 2).toBeLessThanOrEqual(0.7 * material.tensileMPa * width ** 2 + 1e-9)
      }
    }
  })

  it('nor one whose load falls outside the gauge', () => {
    for (const { one, answer } of proposed) {
      const bond = fromTables(one.a, one.b, one.adhesive, one.test === 'peel')
      const size =
        one.test === 'peel'
          ? answer.widthMm!
          : one.test === 'tension'
            ? answer.overlapMm! ** 2
            : answer.widthMm! * answer.overlapMm!
      expect(answer.expectedN![0]).toBeCloseTo(bond.low * size, 6)
      expect(answer.expectedN![1]).toBeCloseTo(bond.high * size, 6)
      expect(answer.expectedN![0]).toBeGreaterThanOrEqual(20 * one.gauge.resolutionN - 1e-9)
      expect(answer.expectedN![1]).toBeLessThanOrEqual(0.8 * one.gauge.limitN + 1e-9)
    }
  })

  it('say so where there is none, with the next best', () => {
    for (const { answer } of answered.filter(({ answer: one }) => !one.possible)) {
      expect(answer.advice.length).toBeGreaterThan(0)
      expect(answer.advice.join(' ')).toMatch(/proof load|backing strip|cleavage|take|peel|narrower|finer|lever/)
    }
  })
})

describe('a coupon by hand', () => {
  it('lap: the overlap is as long as parts and gauge allow', () => {
    // ca-gel on PLA: 7 MPa, cv from the table; τ_high = 7·e^(1.645 cv); L ≤ 0.7 · 40 · 4 / τ_high
    const bond = fromTables('print-pla', 'print-pla', 'ca-gel', false)
    const { overlapMm, possible } = couponSize(question({}))
    expect(possible).toBe(true)
    const allowed = Math.min((0.7 * 40 * 4) / bond.high, (0.8 * 2000) / (25 * bond.high), 25)
    expect(overlapMm).toBeGreaterThan(allowed - 0.5)
    expect(overlapMm).toBeLessThanOrEqual(allowed)
  })
  it('says that card splits, whatever the overlap', () => {
    const answer = couponSize(
      question({ a: 'card', aThicknessMm: 1.5, b: 'card', bThicknessMm: 1.5, adhesive: 'pva-wood' }),
    )
    expect(answer).toMatchObject({ possible: false, weakest: 'a' })
    expect(answer.advice.join(' ')).toMatch(/tear first.*proof load/)
  })
  it('takes another width where the wished one does not suit the gauge, and says so', () => {
    const answer = couponSize(
      question({
        test: 'peel',
        a: 'leather',
        aThicknessMm: 2,
        b: 'leather',
        bThicknessMm: 2,
        adhesive: 'rubber-cement',
        gauge: { limitN: 25, resolutionN: 0.02 },
      }),
    )
    expect(answer.possible).toBe(true)
    expect(answer.widthMm).toBeLessThan(25)
    expect(answer.advice[0]).toMatch(/instead of 25 mm/)
  })
  it('names what a gauge cannot read', () => {
    const strong = couponSize(
      question({
        a: 'metal',
        b: 'metal',
        aThicknessMm: 2,
        bThicknessMm: 2,
        adhesive: 'mma',
        gauge: { limitN: 100, resolutionN: 0.5 },
      }),
    )
    expect(strong).toMatchObject({ possible: false, weakest: 'bond' })
    expect(strong.advice[0]).toMatch(/The gauge ends at 100 N/)
  })
  it('peels nothing between two stiff parts', () =>
    expect(couponSize(question({ test: 'peel' })).advice[0]).toMatch(/cleavage/))
  it.each([
    [{ a: 'cheese' }, 'a'],
    [{ adhesive: 'jam' }, 'adhesive'],
    [{ gauge: { limitN: 0, resolutionN: 1 } }, 'gauge.limitN'],
    [{ bThicknessMm: -1 }, 'bThicknessMm'],
  ])('refuses %j, its field named', (patch, path) => {
    expect(() => couponSize(question(patch as Partial<CouponQuestion>))).toThrow(expect.objectContaining({ path }))
  })
})

describe('the free arm of a peel strip', () => {
  const arm = (id: string, thicknessMm: number, widthMm = 25) =>
    armCarries({ name: 'a', material: materialClasses.find((one) => one.id === id)!, thicknessMm }, widthMm)
  it('of cloth gives way across its width or by its weave, never by a trouser tear', () => {
    // 25 mm of 0.5 mm cotton: 25 MPa × 25 × 0.5 = 312 N in tension, 6 N/mm × 25 = 150 N by seam slip.
    expect(arm('fabric-cotton', 0.5)).toEqual({ by: 'slip', n: 150 })
    // Thin enough, the strip itself breaks first.
    expect(arm('fabric-cotton', 0.1)).toEqual({ by: 'tension', n: 62.5 })
    for (const id of ['leather', 'suede', 'leather-coated', 'vinyl-soft', 'felt', 'fabric-stretch'])
      expect(arm(id, 1).by, id).toBe('tension')
    // 20 MPa × 25 × 2.
    expect(arm('leather', 2).n).toBe(1000)
  })
  it('of foam, film and paper runs on from a nick', () => {
    expect(arm('foam-eva', 5)).toEqual({ by: 'tear', n: 25 })
    expect(arm('paper', 0.1)).toEqual({ by: 'tear', n: 0.5 })
    // A narrow strip has no room to tear: it breaks across.
    expect(arm('foam-eva', 5, 3)).toEqual({ by: 'tension', n: 18 })
  })
  it('lets most peels of cloth and leather on a firm part be tested', () => {
    const possible = ['fabric-cotton', 'fabric-synthetic', 'leather', 'vinyl-soft'].flatMap((a) =>
      ['contact-water', 'fabric-glue', 'contact-solvent'].map(
        (adhesive) => couponSize(question({ test: 'peel', a, b: 'wood', adhesive })).possible,
      ),
    )
    expect(possible.filter(Boolean).length).toBeGreaterThanOrEqual(10)
  })
})
