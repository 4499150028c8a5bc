import { describe, expect, it } from 'vitest'
import { materialClassOf } from '../../knowledge/materials'
import { families } from '../../knowledge/families'
import type { PairEvidence } from '../../evidence/pairEvidence'
import type { Brief } from '../../records/joint'
import { openBrief } from '../../records/openBrief'
import type { Scrap } from '../../records/scrap'
import type { Adhesive, HouseRule, StockItem } from '../../records/shelf'
import { changesThatHelp } from '../changes'
import { compare } from '../compare'
import { openWordsByEffect } from '../openWords'
import { packAge, packInUse } from '../../situation/packs'
import { helpersThatHelp, shortlist, type Setting } from '../shortlist'

const NOW = Date.parse('2026-11-24T12:00:00Z')
const classOf = (id: string) => id
function setting(a: string, b: string, patch: Partial<Brief> = {}, more: Partial<Setting> = {}): Setting {
  const open = openBrief()
  const brief = {
    ...open,
    ...patch,
    a: { ...open.a, ...patch.a, material: a },
    b: { ...open.b, ...patch.b, material: b },
  }
  return {
    brief,
    a: materialClassOf(a),
    b: materialClassOf(b),
    room: null,
    currency: 'EUR',
    now: NOW,
    adhesives: [],
    stock: [],
    houseRules: [],
    evidence: [],
    scraps: [],
    classOf,
    ...more,
  }
}
const product = (id: string, family: string, label: Adhesive['label'] = {}): Adhesive => ({
  id,
  name: id,
  family,
  aliases: [],
  packSize: 100,
  packUnit: 'g',
  packPrice: 5,
  label,
  note: '',
})
const pack = (id: string, patch: Partial<StockItem> = {}): StockItem => ({
  id,
  adhesive: 'p',
  batch: '',
  boughtOn: null,
  openedOn: null,
  expiresOn: null,
  left: 1,
  ...patch,
})
const rule = (patch: Partial<HouseRule>): HouseRule => ({
  id: 'h',
  name: 'No solvent glue indoors',
  verdict: 'block',
  family: null,
  adhesive: null,
  mechanism: null,
  material: null,
  where: null,
  reason: 'Headaches.',
  grade: 'own test',
  evidence: 'January',
  since: 0,
  lookAgainOn: null,
  ...patch,
})
const evidence = (patch: Partial<PairEvidence> = {}): PairEvidence => ({
  family: 'pva-wood',
  adhesive: null,
  sides: [
    { material: 'wood', state: 'sanded' },
    { material: 'metal', state: 'sanded' },
  ],
  test: 'lap-shear',
  exposure: null,
  owner: null,
  joint: 'j',
  round: 'r',
  procedure: 'p',
  arm: 'a1',
  between: null,
  weakJoint: null,
  points: [],
  pulls: 4,
  valid: 4,
  typical: 1.2,
  posterior: { mean: Math.log(1.2), sd: 0.125 },
  atLeast: false,
  unit: 'MPa',
  limit: 0.5,
  from: ['H9-A1'],
  ...patch,
})
const sanded = { a: { state: 'sanded' }, b: { state: 'sanded' } } as unknown as Partial<Brief>
const of = (s: Setting, key: string) => shortlist(s).find((one) => one.key === key)!

describe('products and families', () => {
  it('judges a product by its label: a higher heat limit changes the verdict, and the reason is the label’s', () => {
    const hot = { heatC: 65, loads: ['shear' as const] }
    expect(of(setting('wood', 'card', hot), 'hotmelt-low').screening.verdict).toBe('block')
    const labelled = of(
      setting('wood', 'card', hot, { adhesives: [product('p', 'hotmelt-low', { serviceMaxC: 90 })] }),
      'p',
    )
    expect(labelled.screening.verdict).toBe('fit')
    const low = of(setting('wood', 'card', hot, { adhesives: [product('p', 'epoxy-slow', { serviceMaxC: 50 })] }), 'p')
    expect(low.screening.reasons.find((reason) => reason.rule === 'too-hot-for-glue')).toMatchObject({
      grade: 'label',
      verdict: 'block',
    })
  })
  it('takes a product of unknown family by what its label says, and no more', () => {
    const wild = of(
      setting('foam-xps', 'wood', { heatC: 60 }, { adhesives: [product('p', 'unknown', { serviceMaxC: 40 })] }),
      'p',
    )
    expect(wild.screening.reasons.map((reason) => reason.rule)).toEqual(['too-hot-for-glue', 'family-unknown'])
  })
  it('shows a family by its products where some stand on the shelf, else by itself', () => {
    const keys = shortlist(
      setting('wood', 'wood', {}, { adhesives: [product('p', 'ca-gel'), product('q', 'ca-gel')] }),
    ).map(({ key }) => key)
    expect(keys).toEqual(expect.arrayContaining(['p', 'q', 'ca-thin']))
    expect(keys).not.toContain('ca-gel')
    expect(keys).toHaveLength(families.length + 1)
  })
  it('orders by fit and chance, which own evidence moves; what is on the shelf comes after', () => {
    const list = shortlist(
      setting(
        'wood',
        'wood',
        { loads: ['shear'] },
        {
          adhesives: [product('p', 'epoxy-slow'), product('q', 'pva-white')],
          evidence: [
            evidence({
              family: 'pva-white',
              adhesive: 'q',
              sides: [
                { material: 'wood', state: null },
                { material: 'wood', state: null },
              ],
              typical: 3,
              posterior: { mean: Math.log(3), sd: 0.125 },
            }),
            evidence({
              family: 'pva-wood',
              sides: [
                { material: 'wood', state: null },
                { material: 'wood', state: null },
              ],
              typical: 6,
              posterior: { mean: Math.log(6), sd: 0.125 },
            }),
          ],
        },
      ),
    )
    expect(new Set(list.slice(0, 2).map(({ key }) => key))).toEqual(new Set(['q', 'pva-wood']))
    const chances = list.filter(({ screening }) => screening.verdict === 'fit').map(({ screening }) => screening.chance)
    expect(chances).toEqual([...chances].sort((x, y) => y - x))
    const ranks = list.map(({ screening }) => ({ fit: 0, caution: 1, block: 2 })[screening.verdict])
    expect(ranks).toEqual([...ranks].sort())
  })
})

describe('packs', () => {
  it('reaches for the opened pack first, not for an empty or expired one', () => {
    const packs = [
      pack('new'),
      pack('old', { openedOn: '2026-08-01' }),
      pack('empty', { openedOn: '2026-01-01', left: 0 }),
      pack('gone', { openedOn: '2026-02-01', expiresOn: '2026-11-01' }),
    ]
    expect(packInUse(packs, NOW)?.id).toBe('old')
    expect(packInUse([packs[2]!, packs[3]!], NOW)?.id).toBe('gone')
    expect(packInUse([], NOW)).toBeNull()
  })
  it('counts days and months by the calendar', () => {
    expect(packAge(pack('x', { openedOn: '2026-11-14', boughtOn: '2025-11-24' }), NOW)).toEqual({
      daysOpen: 10,
      monthsOld: 11,
      expired: false,
    })
    expect(packAge(pack('x', { expiresOn: '2026-11-24' }), NOW).expired).toBe(false)
    expect(packAge(pack('x', { expiresOn: '2026-11-23' }), NOW).expired).toBe(true)
  })
  it('says in the screening that a pack is old', () => {
    const s = setting(
      'wood',
      'wood',
      {},
      { adhesives: [product('p', 'ca-thin')], stock: [pack('x', { openedOn: '2026-01-01' })] },
    )
    expect(of(s, 'p').screening.reasons.map((reason) => reason.rule)).toContain('shelf-old')
  })
})

describe('rules of the house', () => {
  const joint = (patch: Partial<Brief>, houseRule: HouseRule) =>
    of(setting('foam-eva', 'foam-eva', patch, { houseRules: [houseRule] }), 'contact-solvent').screening
  it('act, and are marked as such', () => {
    const { verdict, reasons } = joint({ air: 'window' }, rule({ mechanism: 'evaporate-solvent', where: 'indoors' }))
    expect(verdict).toBe('block')
    expect(reasons[0]).toMatchObject({ house: true, grade: 'own test', rule: 'h' })
  })
  it.each([
    ['the place is open', {}, { where: 'indoors' }],
    ['it is done outdoors', { air: 'outdoors' }, { where: 'indoors' }],
    ['it is about another family', { air: 'window' }, { family: 'ca-gel' }],
    ['it is about another material', { air: 'window' }, { material: 'wood' }],
    ['it is about another product', { air: 'window' }, { adhesive: 'p9' }],
    ['it is about another mechanism', { air: 'window' }, { mechanism: 'melt' }],
  ])('keep quiet when %s', (_, patch, about) => {
    expect(joint(patch as Partial<Brief>, rule(about as Partial<HouseRule>)).reasons.some(({ house }) => house)).toBe(
      false,
    )
  })
  it('speak of a material, its group, and an own product', () => {
    const hits = (about: Partial<HouseRule>, key = 'contact-solvent', more: Partial<Setting> = {}) =>
      of(setting('foam-eva', 'wood', {}, { houseRules: [rule(about)], ...more }), key).screening.reasons.some(
        ({ house }) => house,
      )
    expect([hits({ material: 'foam-eva' }), hits({ material: 'wood' }), hits({ material: 'foam' })]).toEqual([
      true,
      true,
      true,
    ])
    expect(hits({ adhesive: 'p' }, 'p', { adhesives: [product('p', 'ca-gel')] })).toBe(true)
  })
  it('speak of a hazard, and of what a glue is known to be or not known to be', () => {
    const own = product('p', 'ca-gel')
    const hits = (about: Partial<HouseRule>, label: Adhesive['label'] = {}) =>
      of(
        setting('foam-eva', 'wood', {}, { houseRules: [rule(about)], adhesives: [{ ...own, label }] }),
        'p',
      ).screening.reasons.some(({ house }) => house)
    expect(hits({ hazard: 'skin-bond' })).toBe(true)
    expect(hits({ hazard: 'isocyanate' })).toBe(false)
    expect(hits({ hazard: 'skin-bond' }, { hazards: [] })).toBe(false)
    expect([hits({ fact: 'foamSafe' }), hits({ fact: 'not foamSafe' })]).toEqual([false, true])
    expect([hits({ fact: 'not animalFree' }), hits({ fact: 'animalFree' })]).toEqual([true, false])
    expect(hits({ fact: 'not animalFree' }, { facts: { animalFree: true } })).toBe(false)
    expect(hits({ fact: 'foamSafe' }, { facts: { foamSafe: true } })).toBe(true)
  })
})

describe('a drop on scrap of one’s own', () => {
  const DAY = 86_400_000
  const drop = (looks: Scrap['looks'], patch: Partial<Scrap> = {}): Scrap => ({
    id: 's',
    joint: 'j',
    family: 'ca-gel',
    adhesive: null,
    rule: 'styrene-foam-attacked',
    sides: [
      { material: 'foam-xps', state: null },
      { material: 'card', state: null },
    ],
    startedAt: 0,
    looks,
    ...patch,
  })
  const gel = (...scraps: Scrap[]) => of(setting('foam-xps', 'card', {}, { scraps }), 'ca-gel').screening
  const rests = (one: ReturnType<typeof gel>) => one.reasons.find(({ rule: id }) => id === 'styrene-foam-attacked')!
  it('that showed nothing after a day lifts the reason that it settles, and no other', () => {
    const plain = gel()
    const fine = gel(drop([{ at: DAY, saw: 'nothing' }]))
    expect(rests(plain)).toMatchObject({ verdict: 'block', db: -20 })
    expect(rests(fine)).toMatchObject({ verdict: 'note', db: 0, lifted: true, grade: 'own test' })
    expect(fine.db).toBeGreaterThan(plain.db)
    const others = (one: typeof plain) => one.reasons.filter(({ rule: id }) => id !== 'styrene-foam-attacked')
    expect(
      others(fine)
        .map(({ rule: id, db }) => [id, db])
        .sort(),
    ).toEqual(
      others(plain)
        .map(({ rule: id, db }) => [id, db])
        .sort(),
    )
  })
  it('changes nothing while it is watched, but is told', () => {
    expect(gel(drop([{ at: 600_000, saw: 'nothing' }])).db).toBe(gel().db)
    expect(rests(gel(drop([]))).text).toMatch(/is being watched\.$/)
  })
  it('that left a mark is a doubt, and one that was spoilt fails', () => {
    expect(rests(gel(drop([{ at: DAY, saw: 'mark' }])))).toMatchObject({ verdict: 'caution', db: -6 })
    expect(rests(gel(drop([{ at: 600_000, saw: 'spoilt' }])))).toMatchObject({ verdict: 'block', db: -20 })
  })
  it('of other faces says nothing, nor does it lift what may harm people', () => {
    const fine = [{ at: DAY, saw: 'nothing' as const }]
    const metal = { material: 'metal', state: null }
    expect(gel(drop(fine, { sides: [metal, metal] })).db).toBe(gel().db)
    const cotton = (scraps: Scrap[]) =>
      of(setting('fabric-cotton', 'card', {}, { scraps }), 'ca-gel').screening.reasons.find(
        ({ rule: id }) => id === 'cotton-and-cyanoacrylate',
      )!
    const sides = ['fabric-cotton', 'card'].map((material) => ({ material, state: null }))
    expect(cotton([drop(fine, { rule: 'cotton-and-cyanoacrylate', sides })])).toMatchObject({ verdict: 'block' })
  })
})

describe('own evidence', () => {
  const wood = (patch: Partial<PairEvidence>, brief: Partial<Brief> = {}) =>
    of(setting('metal', 'wood', { ...sanded, loads: ['shear'], ...brief }, { evidence: [evidence(patch)] }), 'pva-wood')
      .screening
  it('outranks a rule that a plain pull answers', () => {
    expect(of(setting('metal', 'wood', { ...sanded, loads: ['shear'] }), 'pva-wood').screening.verdict).toBe('block')
    const { verdict, reasons } = wood({})
    expect(verdict).toBe('fit')
    expect(reasons.find(({ rule: id }) => id === 'own-evidence')).toMatchObject({ grade: 'own test', verdict: 'fit' })
    expect(reasons.filter(({ lifted }) => lifted).length).toBeGreaterThan(0)
  })
  it('never a rule about harm, nor one about heat or water', () => {
    expect(wood({}, { heatC: 90 }).verdict).toBe('block')
    expect(wood({}, { water: 'soak' }).verdict).toBe('block')
    const child = of(
      setting(
        'wood',
        'wood',
        { users: ['child'], loads: ['shear'] },
        {
          evidence: [
            evidence({
              family: 'ca-gel',
              sides: [
                { material: 'wood', state: null },
                { material: 'wood', state: null },
              ],
            }),
          ],
        },
      ),
      'ca-gel',
    )
    expect(child.screening.verdict).toBe('block')
  })
  it('is told but settles nothing when it is too little, or the faces were in another state', () => {
    expect(wood({ valid: 2 })).toMatchObject({ verdict: 'block' })
    expect(
      wood({
        sides: [
          { material: 'wood', state: 'sanded' },
          { material: 'metal', state: 'greasy' },
        ],
      }).verdict,
    ).toBe('block')
  })
  it('speaks against a glue that the tables praise', () => {
    const { verdict, reasons } = of(
      setting(
        'wood',
        'wood',
        { loads: ['shear'] },
        {
          evidence: [
            evidence({
              sides: [
                { material: 'wood', state: null },
                { material: 'wood', state: null },
              ],
              typical: 0.1,
              posterior: { mean: Math.log(0.1), sd: 0.125 },
            }),
          ],
        },
      ),
      'pva-wood',
    ).screening
    expect(verdict).toBe('caution')
    expect(reasons[0]!.text).toMatch(/typically 0\.10 MPa, 0\.50 MPa wanted/)
  })
})

describe('help', () => {
  it('finds the primer for a slippery plastic, powder for a gap, dabs for a long hold', () => {
    const help = (s: Setting, key: string) =>
      helpersThatHelp(of(s, key), s).map(({ helper, screening }) => `${helper} ${screening.verdict}`)
    expect(help(setting('polyolefin', 'wood', { loads: ['shear'] }), 'ca-medium')).toContain('primer fit')
    expect(help(setting('print-pla', 'print-pla', { gapMm: 1 }), 'ca-medium')).toContain('powder-filler fit')
    expect(help(setting('wood', 'metal', { canClamp: false }), 'epoxy-slow')).toContain('tack-and-cure fit')
    const pale = { ...openBrief().a, traits: ['pale' as const] }
    expect(help(setting('fabric-synthetic', 'foam-eva', { loads: ['peel'], a: pale }), 'contact-solvent')).toContain(
      'cloth-primer fit',
    )
    expect(help(setting('wood', 'wood'), 'pva-white')).not.toContain('primer fit')
  })
  it('says what to change in the joint where nothing suits', () => {
    const s = setting('sheet-styrene', 'sheet-styrene', { geometry: 'butt-edge', loads: ['bend'] })
    expect(shortlist(s).filter(({ screening }) => screening.verdict === 'fit')).toEqual([])
    const changes = changesThatHelp(s)
    expect(changes[0]).toMatchObject({ id: 'overlap' })
    expect(changes[0]!.gains.length).toBeGreaterThan(3)
    const closed = changesThatHelp(
      setting('foam-eva', 'foam-eva', { air: 'closed', loads: ['peel'], a: { state: 'greasy' } as Brief['a'] }),
    )
    expect(closed.map(({ id }) => id)).toContain('faces')
    expect(closed.find(({ id }) => id === 'faces')!.words).toMatch(/side A: degrease/)
  })
  it('asks the open words that move most first, with the glues that they move', () => {
    const words = openWordsByEffect(
      { ...openBrief(), loads: ['peel'] },
      materialClassOf('foam-eva'),
      materialClassOf('card'),
    )
    const counts = words.map((word) => word.families)
    expect(counts).toEqual([...counts].sort((x, y) => y - x))
    const skin = words.find(({ key }) => key === 'a.state')!
    expect(skin.moved).toContain('contact-solvent')
    expect(words.map(({ key }) => key)).not.toContain('loads')
  })
  it('sets glues side by side, the lines that differ first', () => {
    const s = setting('wood', 'wood', { widthMm: 50, lengthMm: 40 })
    const lines = compare([of(s, 'pva-wood'), of(s, 'epoxy-slow')], (money) => money.toFixed(3))
    const differ = lines.map((line) => line.differs)
    expect(differ).toEqual([...differ].sort((x, y) => Number(y) - Number(x)))
    const line = (what: string) => lines.find((one) => one.what === what)!.values
    expect(line('Full cure')).toEqual(['24 h', '2 days'])
    // By hand, a tenth lost: 20 cm² × 180 g/m² = 0.396 g of 275 g for 6.00; 20 × 220 = 0.484 g of 56 g for 12.00.
    expect(line('Glue for one joint')).toEqual(['0.009', '0.104'])
  })
})
