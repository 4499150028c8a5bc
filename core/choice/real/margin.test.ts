import { describe, expect, it } from 'vitest'
import { families, familyOf } from '../../knowledge/families'
import type { Brief } from '../../records/joint'
import { openBrief } from '../../records/openBrief'
import type { Exposure } from '../../records/round'
import type { Procedure } from '../../records/procedure'
import { factorsOf } from './factors'
import type { KeptShare } from './keptShares'
import { keptAsked, keptShares } from './keptShares'
import { typicalKept } from './knockDown'
import { marginOf } from './margin'
import { marginInWords, winWords } from './marginWords'
import { winsOf } from './win'

const brief = (patch: Partial<Brief>): Brief => ({ ...openBrief(), ...patch })
const epoxy = familyOf('epoxy-slow')
const wash: Exposure = { kind: 'wash', amount: 3, hours: 6 }
const kept = (patch: Partial<KeptShare>): KeptShare => ({
  procedure: 'p',
  family: 'epoxy-slow',
  exposure: wash,
  share: 0.5,
  low90: 0.4,
  high90: 0.6,
  where: 'H4, round 1',
  ...patch,
})

describe('what a glue typically keeps', () => {
  it('never gains by more heat, more cold or more water, and stays between nothing and all', () => {
    for (const family of families) {
      const at = (patch: Partial<Brief>, id: 'heat' | 'cold' | 'water') => typicalKept(id, brief(patch), family)
      const runs = [
        [23, 31, 40, 60, 80, 120, 200].map((heatC) => at({ heatC }, 'heat')),
        [4, 0, -5, -15, -30, -80].map((coldC) => at({ coldC }, 'cold')),
        (['splash', 'wash', 'soak'] as const).map((water) => at({ water }, 'water')),
      ]
      for (const run of runs) {
        run.forEach((share, i) => expect(share, family.id).toBeLessThanOrEqual(i ? run[i - 1]! : 1))
        for (const share of run) expect(share).toBeGreaterThan(0)
      }
    }
  })
  it('is half at the hottest that a family bears, and seven tenths at its coldest', () => {
    expect(typicalKept('heat', brief({ heatC: epoxy.serviceMaxC }), epoxy)).toBeCloseTo(0.5, 12)
    expect(typicalKept('cold', brief({ coldC: epoxy.serviceMinC }), epoxy)).toBeCloseTo(0.7, 12)
    expect(typicalKept('cold', brief({ coldC: epoxy.serviceMinC - 1 }), epoxy)).toBe(0.3)
  })
  it('is little of what dries out within years, or creeps under a load that stays', () => {
    expect(typicalKept('hanging', brief({}), familyOf('pva-white'))).toBeCloseTo(0.1, 12)
    expect(typicalKept('hanging', brief({}), epoxy)).toBeCloseTo(1 / 3, 12)
    expect(typicalKept('years', brief({}), epoxy)).toBe(0.7)
  })
})

describe('what the surroundings leave', () => {
  const asked = brief({ water: 'wash', heatC: 40 })
  it('is measured on the procedure, else borrowed from its family, else typical', () => {
    const of = (list: KeptShare[]) =>
      factorsOf(asked, epoxy, { kept: list, procedure: 'p' }).find((f) => f.id === 'water')!
    expect(of([kept({}), kept({ procedure: 'q', share: 0.1 })])).toMatchObject({ share: 0.5, basis: 'measured' })
    const others = [kept({ procedure: 'q', share: 0.4 }), kept({ procedure: 'r', share: 0.9, where: 'H2, round 1' })]
    expect(of(others)).toMatchObject({ basis: 'borrowed', share: expect.closeTo(0.6, 12) as number })
    expect(of(others).from).toContain('H4, round 1; H2, round 1')
    expect(of([kept({ procedure: 'q', family: 'pva-white' })]).basis).toBe('typical')
    expect(of([kept({ exposure: { kind: 'sun', amount: 3, hours: 6 } })]).basis).toBe('typical')
  })
  it('takes the worst of what was pulled, counts no gain, and asks as much heat as is named', () => {
    const list = [
      kept({}),
      kept({ share: 0.3 }),
      kept({ share: 1.4, exposure: { kind: 'heat', amount: 39, hours: 2 } }),
    ]
    const found = factorsOf(asked, epoxy, { kept: list, procedure: 'p' })
    expect(found.map(({ id, share, basis }) => [id, share, basis])).toEqual([
      ['heat', expect.closeTo(1 - (0.5 * 17) / (70 - 23), 9), 'typical'],
      ['water', 0.3, 'measured'],
    ])
    const hot = kept({ share: 1.4, exposure: { kind: 'heat', amount: 40, hours: 2 } })
    expect(factorsOf(asked, epoxy, { kept: [hot], procedure: 'p' })[0]).toMatchObject({ share: 1, basis: 'measured' })
  })
  it('is in the readings already where the pieces were pulled after it', () => {
    expect(factorsOf(asked, epoxy, { own: wash })[1]).toMatchObject({ share: 1, basis: 'measured' })
  })
  it('counts a load that hangs, for however long it must last', () => {
    const ids = (patch: Partial<Brief>) =>
      factorsOf(brief({ weightKg: 1, motion: 'still', ...patch }), epoxy).map((f) => f.id)
    for (const life of [null, 'temporary', 'mend', 'show'] as const) expect(ids({ life })).toEqual(['hanging'])
    expect(ids({ life: 'years' })).toEqual(['years', 'hanging'])
    expect(ids({ motion: null })).toEqual(['hanging'])
    expect(ids({ motion: 'walked' })).toEqual([])
    expect(ids({ weightKg: null })).toEqual([])
  })
})

describe('the share kept of all rounds', () => {
  it('is the ratio of exposed to dry of each procedure that was pulled both ways', () => {
    const arms = [
      { id: 'dry', test: 'tension', exposure: null },
      { id: 'wet', test: 'tension', exposure: wash },
    ] as never
    const coupons = ['dry', 'wet'].flatMap((arm) =>
      [1, 2, 3].map((n) => ({ id: `${arm}${n}`, arm, procedure: 'p', size: {}, label: `H1-A${n}` })),
    ) as never
    const size = { areaMm2: 100 }
    const readings = [10, 11, 12, 5, 5.5, 6].map((value, i) => ({
      id: `r${i}`,
      coupon: `${i < 3 ? 'dry' : 'wet'}${(i % 3) + 1}`,
      at: i,
      raw: { way: 'gauge', value, unit: 'N', tareKg: 0 },
      outcome: { end: 'broke', places: { glue: 100, offA: 0, offB: 0, tornA: 0, tornB: 0 } },
      size,
      setAside: null,
      corrected: [],
      early: null,
    })) as never
    const asked = keptAsked({ arms, number: 2 }, coupons, readings, [{ id: 'p', family: 'ca-gel' }], 'H7')
    const [share] = keptShares(asked)
    expect(share).toMatchObject({ procedure: 'p', family: 'ca-gel', exposure: wash, where: 'H7, round 2' })
    expect(share!.share).toBeGreaterThan(0.45)
    expect(share!.share).toBeLessThan(0.55)
    expect(share!.low90).toBeLessThan(share!.share)
    expect(keptAsked({ arms: [arms[0]], number: 1 } as never, coupons, readings, [], 'H7')).toEqual([])
  })
})

describe('light handling in the margin', () => {
  // 8 mm that flex: 0.3 N/mm × 8 mm = 2.4 N, and 2 g that are danced weigh 0.059 N.
  const stone = brief({
    geometry: 'point',
    widthMm: 8,
    lengthMm: 8,
    weightKg: 0.002,
    motion: 'danced',
    loads: ['peel'],
  })
  const flexes = { ...stone, flex: 'must-flex' as const }
  const soft = familyOf('contact-water')
  const at = (of: Brief, weak: number) => marginOf(of, 'peel-90', weak, { widthMm: 50 }, soft, [])!

  it('is asked of a peel as the limit asks it: who misses the limit has no margin', () => {
    const few = at(flexes, 0.031)
    expect(few.requiredN).toBeCloseTo(2.4, 9)
    expect(few.loadN).toBeCloseTo(0.002 * 9.80665 * 3, 9)
    expect(few.times).toBeCloseTo(0.031 / 0.3, 9)
    expect(at(flexes, 0.3).times).toBeCloseTo(1, 9)
    expect(marginInWords(few, flexes)).toMatch(/yours asks 2.g.*; light handling asks more of it, 240.g\.$/)
  })

  it('says nothing of handling where the said load is more, or nothing is peeled', () => {
    const heavy = at({ ...flexes, weightKg: 2 }, 1)
    expect(heavy.requiredN).toBe(heavy.loadN)
    expect(marginInWords(heavy, { ...flexes, weightKg: 2 })).not.toMatch(/handling/)
    const pulled = marginOf(stone, 'tension', 1, { areaMm2: 64 }, soft, [])!
    expect(pulled.requiredN).toBe(pulled.loadN)
  })

  it('grows with the size, so that a size is found for the load and holds the handling', () => {
    const input = { test: 'peel-90' as const, tested: { widthMm: 50 }, family: soft, factors: [] }
    const wins = winsOf({ ...input, brief: flexes, weakLow: 0.6 }, {} as Procedure, [], {})!
    // 0.6 N/mm hold 0.3 N/mm at any width: three times 0.059 N takes 0.3 mm, the narrowest is 1 mm.
    expect(wins.sized).toMatchObject({ side: 'width', mm: 1, held: true })
    // 0.2 N/mm hold it at none.
    expect(winsOf({ ...input, brief: flexes, weakLow: 0.2 }, {} as Procedure, [], {})!.sized).toBeNull()
  })
})

describe('what would win margin', () => {
  const procedure = (patch: Partial<Procedure>) =>
    ({
      id: 'p',
      family: 'epoxy-slow',
      adhesive: null,
      coats: 1,
      spreadGm2: null,
      helpers: [],
      dilution: null,
      blend: null,
      ...patch,
    }) as Procedure
  const input = (patch: Partial<Brief>, tested = {}, family = epoxy, test: 'lap-shear' | 't-peel' = 'lap-shear') => ({
    brief: brief({ weightKg: 4, motion: 'walked', widthMm: 20, lengthMm: 12, ...patch }),
    test,
    weakLow: 0.5,
    tested,
    family,
    factors: [],
  })
  it('finds the smallest whole millimetre for a margin of three, as trying each one does', () => {
    for (const [patch, test] of [
      [{}, 'lap-shear'],
      [{ weightKg: 0.2, lengthMm: 90 }, 'lap-shear'],
      [{ lengthMm: 37.5 }, 'lap-shear'],
      [{ weightKg: 0.2 }, 't-peel'],
    ] as const) {
      const asked = input(patch, {}, familyOf('contact-water'), test)
      const { sized } = winsOf(asked, procedure({}), [], {})!
      const side = test === 't-peel' ? 'widthMm' : 'lengthMm'
      let mm = 1
      const times = (at: number) => marginOf({ ...asked.brief, [side]: at }, test, 0.5, {}, asked.family)!.times
      while (times(mm) < 3) mm += 1
      expect(sized).toMatchObject({ side: side === 'widthMm' ? 'width' : 'length', mm })
      expect(sized!.times).toBeCloseTo(times(mm), 12)
    }
  })
  it('widens a rigid lap where its cap lets no length do, and says what a fixing would have to carry', () => {
    // Capped at 36 mm: 20 × 36 × 0.5 = 360 N; 78.5 N are asked, three times are 235 N.
    const short = winsOf(input({}, { overlapMm: 12 }), procedure({}), [], {})!
    expect(short.sized).toMatchObject({ side: 'length', mm: 24 })
    const long = winsOf(input({ weightKg: 16 }, { overlapMm: 12 }), procedure({}), [], {})!
    expect(long.sized).toMatchObject({ side: 'width', mm: 157 })
    expect(long.fixingN).toBeCloseTo(3 * 16 * 9.80665 * 2 - 120, 6)
    expect(winsOf(input({ weightKg: 1 }), procedure({}), [], {})!.fixingN).toBe(0)
  })
  it('changes of a seam its length alone, makes it no shorter, and says when its coupons were glued otherwise', () => {
    const seam = { geometry: 'butt-edge', weightKg: 0.5, motion: 'still', widthMm: 5, lengthMm: 100 } as const
    const rich = winsOf(input(seam, {}, familyOf('contact-water'), 'lap-shear'), procedure({}), [], {})!
    expect(rich.sized).toMatchObject({ side: 'length', mm: 100 })
    const poor = winsOf(
      input({ ...seam, weightKg: 40 }, {}, familyOf('contact-water'), 'lap-shear'),
      procedure({}),
      [],
      {},
    )!
    // 5 mm thick, 0.5 MPa: 3 × 40 kg × 9.80665 / 2.5 N/mm = 470.7 mm.
    expect(poor.sized).toMatchObject({ side: 'length', mm: 471 })
    const at = (test: 'lap-shear' | 'edge-pull', geometry: Brief['geometry']) =>
      marginOf(brief({ ...seam, geometry }), test, 0.5, {}, epoxy)!.other
    expect(at('lap-shear', 'butt-edge')).toContain('meets at its edge')
    expect(at('edge-pull', 'butt-edge')).toBeNull()
    expect(at('lap-shear', 'lap')).toBeNull()
    expect(at('edge-pull', 'lap')).toContain('face on face')
    expect(at('lap-shear', null)).toBeNull()
  })
  it('knows of more coats only what was pulled', () => {
    const two = procedure({ id: 'q', coats: 2 })
    const at = (others: Procedure[], lows: Record<string, number>) =>
      winsOf(input({}), procedure({}), others, lows)!.coats
    expect(at([two], { q: 0.8 })).toEqual({ procedure: 'q', coats: 2, times: 1.6 })
    expect(at([two], {})).toBeNull()
    expect(at([procedure({ id: 'q', coats: 2, helpers: ['primer'] })], { q: 1 })).toBeNull()
  })
  it('is said in the maker’s words', () => {
    const asked = input({})
    const margin = marginOf(asked.brief, 'lap-shear', 0.5, {}, epoxy)!
    expect(marginInWords(margin, asked.brief).replaceAll('\u00a0', ' ')).toBe(
      'One joint holds about 12 kg hanging still; yours asks 4 kg, which counts as 8 kg as it is walked with.',
    )
    const wins = winsOf(asked, procedure({}), [], {})!
    const lines = winWords(wins, 3, () => 'x').map(({ words }) => words)
    expect(lines[0]).toBe('For 3 times the load: length 24 mm instead of 12 mm.')
    expect(lines.join(' ')).toContain('not tested here')
    expect(lines.at(-1)).toMatch(/would have to carry .* by itself for 3 times/)
  })
})
