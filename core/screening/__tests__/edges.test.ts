import { describe, expect, it } from 'vitest'
import { families, familyOf } from '../../knowledge/families'
import { materialClassOf, materialClasses } from '../../knowledge/materials'
import { stiffnessOf } from '../../knowledge/practice'
import { typicalPairStrength } from '../../knowledge/strengths'
import type { Brief } from '../../records/joint'
import { openBrief } from '../../records/openBrief'
import { situationOf, type Around } from '../../situation/situation'
import { partFirst } from '../rules/partFirst'
import { supplenessOf } from '../rules/suppleness'
import { screen } from '../screen'
import { seededRandom } from '../../planning/random'
import { pick, randomBrief } from './randomBrief'
import { usableDab } from '../rules/help'
import { harmOfUndoing, undoing, undoWords } from '../undoing'

type Sides = { aMm?: number; bMm?: number; aState?: Brief['a']['state'] }
function on(a: string, b: string, family: string, patch: Partial<Brief> & Sides = {}, around: Around = {}) {
  const { aMm = null, bMm = null, aState = null, ...rest } = patch
  const open = openBrief()
  const brief = {
    ...open,
    ...rest,
    a: { ...open.a, material: a, thicknessMm: aMm, state: aState },
    b: { ...open.b, material: b, thicknessMm: bMm },
  }
  return situationOf(brief, materialClassOf(a), materialClassOf(b), familyOf(family), around)
}
const reason = (s: ReturnType<typeof on>, rule: string) => screen(s).reasons.find((one) => one.rule === rule)

describe('rules at their edges', () => {
  it('a thin edge is named by the thinner part', () => {
    const s = on('wood', 'card', 'pva-wood', { geometry: 'butt-edge', loads: ['bend'], aMm: 2.5, bMm: 1 })
    expect(reason(s, 'butt-edge-small')?.text).toMatch(/^An edge of 1 mm/)
    const turned = on('card', 'wood', 'pva-wood', { geometry: 'butt-edge', loads: ['bend'], aMm: 1, bMm: 2.5 })
    expect(reason(turned, 'butt-edge-small')?.text).toMatch(/^An edge of 1 mm/)
  })
  it('a curve springs back from a strain of one in a hundred on: t ÷ (2R + t)', () => {
    const bent = (curveMm: number) =>
      reason(on('sheet-styrene', 'sheet-styrene', 'contact-solvent', { curveMm, aMm: 2, bMm: 2 }), 'curve-springs-back')
    expect(2 / (2 * 98 + 2)).toBeGreaterThan(0.01)
    expect(bent(98)?.verdict).toBe('caution')
    expect(2 / (2 * 100 + 2)).toBeLessThan(0.01)
    expect(bent(100)?.verdict).not.toBe('caution')
  })
  it('a print pulled across is told to say which way it is printed', () => {
    for (const loads of [['tension' as const], ['bend' as const, 'shear' as const]])
      expect(reason(on('print-pla', 'metal', 'epoxy-slow', { loads }), 'print-layers-split')?.text ?? '').toMatch(
        /say which way it is printed/,
      )
    expect(reason(on('print-pla', 'metal', 'epoxy-slow', { loads: ['shear'] }), 'print-layers-split')).toBeUndefined()
  })
  it('years of drying are said as such, and days as days', () => {
    const wide = on('sheet-acrylic', 'metal', 'acrylic-paste', { widthMm: 120, lengthMm: 120 })
    expect(
      screen(wide)
        .reasons.map(({ text }) => text)
        .join(' '),
    ).toMatch(/1\.6 years/)
    const narrow = on('sheet-acrylic', 'metal', 'acrylic-paste', { widthMm: 20, lengthMm: 200 })
    expect(
      screen(narrow)
        .reasons.map(({ text }) => text)
        .join(' '),
    ).toMatch(/: 16 days/)
  })
  it('a hot wire among other later work is heat enough for what catches fire', () => {
    const s = on('foam-xps', 'foam-xps', 'spray-contact', { later: ['paint', 'hot-wire'] })
    expect(reason(s, 'flammable-near-heat')).toMatchObject({ db: -3 })
    expect(
      reason(on('foam-xps', 'foam-xps', 'spray-contact', { later: ['paint'] }), 'flammable-near-heat')?.db ?? 0,
    ).toBe(0)
  })
  it('lamp glue in view turns amber with years or sun, and hardly before', () => {
    const seen = (patch: Partial<Brief>) =>
      reason(on('sheet-acrylic', 'sheet-acrylic', 'uv-acrylic', { look: 'clear', ...patch }), 'yellows-in-view')
    expect(seen({})).toMatchObject({ verdict: 'note', db: 0 })
    expect(seen({ life: 'years' })).toMatchObject({ db: -6 })
    expect(seen({ sun: true })).toMatchObject({ db: -6 })
    expect(reason(on('sheet-acrylic', 'sheet-acrylic', 'epoxy-slow', { look: 'clear' }), 'yellows-in-view')?.db).toBe(
      -3,
    )
  })
  it('a soft line round a rod wobbles when it is pulled, bent or twisted', () => {
    const rod = (loads: Brief['loads'], geometry: Brief['geometry'] = 'rod') =>
      reason(on('metal', 'wood', 'sealant-pu', { geometry, loads }), 'elastic-where-stiff')?.verdict
    expect([rod(['tension']), rod(['torsion']), rod(['shear'])]).toEqual(['caution', 'caution', undefined])
    expect(rod(['tension'], 'lap')).toBeUndefined()
    expect(rod(['tension'], 'butt-edge')).toBe('caution')
  })
  it('peeling tears paper and foam, not cloth, and nothing where it peels gently', () => {
    const way = { by: 'peel' as const, how: 'x', sideEffect: 'y' }
    const harm = (a: string, gentle = false) =>
      harmOfUndoing({ ...way, ...(gentle && { gentle }) }, on(a, 'metal', 'dots'))
    expect(harm('paper')).toMatch(/^peeling tears/)
    expect(harm('foam-eva')).toMatch(/^peeling tears/)
    expect(harm('fabric-cotton')).toBeNull()
    expect(harm('paper', true)).toBeNull()
  })
})

describe('how supple a film is', () => {
  it('is what the tables say, unless the label says otherwise', () => {
    const of = (family: string, flexible?: boolean) =>
      supplenessOf({ family: familyOf(family), facts: flexible === undefined ? {} : { flexible } })!
    expect(of('epoxy-slow')).toEqual(stiffnessOf('epoxy-slow'))
    expect(of('epoxy-slow').elongationPct).toBeLessThan(30)
    expect(of('epoxy-slow', true)).toMatchObject({ elongationPct: 30, layFlat: 2 })
    expect(of('contact-solvent', false)).toMatchObject({ elongationPct: 5, layFlat: 1 })
    expect(of('contact-solvent', true)).toEqual(stiffnessOf('contact-solvent'))
    expect(of('epoxy-slow', false).elongationPct).toBeLessThanOrEqual(5)
  })
})

describe('where the part gives way first', () => {
  it('a stiff line counts by three tenths, to −3 at most, by six tenths where one crease is bent often', () => {
    const tearsFirst = ({ id }: { id: string }) => {
      const { peelNPerMm, observedPeelNPerMm } = typicalPairStrength(id, id, 'epoxy-slow')?.strength ?? {}
      return peelNPerMm !== undefined && peelNPerMm / observedPeelNPerMm! >= 1.15
    }
    const pair = materialClasses.find(tearsFirst)!.id
    const at = (loads: Brief['loads']) => partFirst(on(pair, pair, 'epoxy-slow', { loads }), -8)
    expect(at(['flex'])).toBeCloseTo(-4.8, 9)
    expect(at(['peel'])).toBeCloseTo(-2.4, 9)
    expect(partFirst(on(pair, pair, 'epoxy-slow', { loads: ['peel'] }), -20)).toBe(-3)
  })
})

describe('taking a joint apart', () => {
  const words = (a: string, b: string, family: string, patch: Partial<Brief> & Sides = {}) =>
    undoWords(undoing([on(a, b, family, patch)]))
  const paint = { aState: 'painted-acrylic' as const }
  it('is judged on both faces: no heat above what softens, no remover that eats one, no peeling that tears', () => {
    // EVA softens at 60 °C, contact glue lets go at 80; its solvent is one that EVA minds; foam tears when peeled.
    expect(words('foam-eva', 'foam-eva', 'contact-solvent')).toMatch(
      /^Not without harm: it lets go near 80 °C and closed-cell EVA foam sheet softens at 60 °C; its remover attacks/,
    )
    expect(words('metal', 'wood', 'contact-solvent')).toMatch(/^Warm to about 80 °C/)
    // An acetone-type remover and polystyrene.
    expect(words('foam-xps', 'wood', 'ca-foam-safe')).toMatch(/^Not without harm: its remover attacks/)
    expect(words('glass', 'metal', 'ca-gel')).toMatch(/^Acetone-type debonder/)
  })
  it('minds the coats that are there', () => {
    expect(words('metal', 'wood', 'contact-solvent', paint)).toMatch(/^Not without harm: the paint of/)
    expect(words('glass', 'metal', 'ca-gel', paint)).not.toMatch(/^Acetone/)
  })
  it('with one glue on several joints is a way that spares all of them', () => {
    const [hard, soft] = [on('metal', 'wood', 'contact-solvent'), on('foam-eva', 'wood', 'contact-solvent')]
    expect(undoing([hard, soft]).way).toBeNull()
    expect(undoing([hard, hard]).way).not.toBeNull()
  })
})

describe('dabs of a fast glue', () => {
  const dabs = (a: string, b: string, patch: Partial<Brief> & Sides = {}, dab: Around['dab'] = null) =>
    on(a, b, 'epoxy-slow', patch, { helpers: ['tack-and-cure'], dab })
  it('are judged as the glue is that they are: what it frosts, what it does not bridge, whom it harms', () => {
    expect(usableDab(dabs('wood', 'metal'))).toBe('ca-gel')
    // Instant glue frosts what is seen beside it.
    expect(usableDab(dabs('sheet-acrylic', 'metal', { look: 'clear' }))).not.toBe('ca-gel')
    // A gap of 2 mm is more than gel bridges.
    expect(familyOf('ca-gel').gapMaxMm).toBeLessThan(2)
    expect(usableDab(dabs('wood', 'metal', { gapMm: 2 }))).not.toBe('ca-gel')
    expect(usableDab(dabs('wood', 'metal', { users: ['sensitised'] }))).not.toBe('ca-gel')
    expect(usableDab(dabs('foam-xps', 'wood'))).not.toBe('ca-gel')
  })
  it('that were named and do not serve are told with their own reason', () => {
    expect(reason(dabs('wood', 'metal', { gapMm: 2 }, 'ca-gel'), 'tack-and-cure-pair')?.text).toMatch(
      /^The dabs do not serve here: cyanoacrylate, gel: The gap is 2 mm/,
    )
  })
})

describe('a weak joint that holds less than the joint meets', () => {
  it('does not suit, whatever else speaks for it; of light handling nobody said it is told how to lift it', () => {
    const strap = (weightKg: number | null) =>
      screen(on('leather', 'webbing', 'contact-solvent', { loads: ['peel'], widthMm: 25, weightKg, motion: 'danced' }))
    const heavy = strap(8)
    const weak = heavy.reasons.find(({ rule }) => rule === 'strength')!
    expect(weak.text).toMatch(/it may let go/)
    expect(weak.missed).toBe(true)
    expect(heavy.verdict).not.toBe('fit')
    const random = seededRandom(14)
    let missed = 0
    for (let i = 0; i < 4000; i++) {
      const [a, b, family] = [pick(random, materialClasses), pick(random, materialClasses), pick(random, families)]
      const { verdict, reasons } = screen(situationOf(randomBrief(random), a, b, family))
      if (!reasons.some(({ text }) => /it may let go/.test(text))) continue
      missed++
      expect(verdict, `${family.id} on ${a.id} and ${b.id}`).not.toBe('fit')
    }
    expect(missed).toBeGreaterThan(50)
  })
})
