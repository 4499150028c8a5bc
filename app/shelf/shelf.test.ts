import { describe, expect, it } from 'vitest'
import type { Adhesive } from '../../core/records/shelf'
import { keepRule, ruleForm } from './houseRuleWork'
import { checkFrom, emptyInstrument, instrumentFrom } from './instrumentWork'
import { sameGlues } from './sameGlue'
import { glueForm, keepGlue } from './shelfWork'

const product = (id: string, name: string, aliases: string[] = []): Adhesive => ({
  id,
  name,
  family: 'contact-solvent',
  aliases,
  packSize: 1,
  packUnit: 'g',
  packPrice: 1,
  label: {},
  note: '',
})

/** The one thing these need of the store: the write, kept. */
function store() {
  const written: { label: string; changes: { table: string; after: Record<string, unknown> | null }[] }[] = []
  const edit = (label: string, edits: { table: string; mine: never }[], also: never[] = []) => {
    written.push({ label, changes: [...edits.map(({ table, mine }) => ({ table, after: mine })), ...also] })
    return Promise.resolve(true)
  }
  return { written, bench: { edit } as never }
}

describe('one product under two names', () => {
  const shelf = [product('tin', 'Tin contact, solvent', ['Cobbler’s tin']), product('milk', 'Milky contact')]
  const same = (name: string, aliases = '', except: string | null = null) =>
    sameGlues({ name, aliases }, shelf, except).map(({ id }) => id)
  it('is found by either name, whatever the case and the signs between', () => {
    expect(same('cobbler’s TIN')).toEqual(['tin'])
    expect(same('The yellow one', 'x, tin contact  solvent')).toEqual(['tin'])
    expect(same('Milky')).toEqual([])
    expect(same('', '')).toEqual([])
  })
  it('is not found in itself', () => expect(same('Milky contact', '', 'milk')).toEqual([]))
})

describe('a product as it is typed', () => {
  const typed = {
    ...glueForm(null, null),
    name: ' Tin ',
    family: 'contact-solvent',
    packSize: '250',
    packPrice: '9,20',
    aliases: 'a, b ,a, Tin',
    heat: '158 °F',
    limit: '300',
    volatile: '75',
    facts: { ...glueForm(null, null).facts, foamSafe: 'yes' as const, animalFree: 'no' as const },
    left: '50',
  }
  it('is kept in SI with its pack', async () => {
    const { written, bench } = store()
    await keepGlue(bench, typed, null, null)
    const [glue, pack] = written[0]!.changes.map(({ after }) => after!)
    expect(glue).toMatchObject({
      name: 'Tin',
      aliases: ['a', 'b'],
      packPrice: 9.2,
      label: { limitMgM3: 300, volatileShare: 0.75, facts: { foamSafe: true, animalFree: false } },
    })
    // 158 °F = 70 °C
    expect((glue!['label'] as Adhesive['label']).serviceMaxC).toBeCloseTo(70, 6)
    expect(pack).toMatchObject({ left: 0.5, openedOn: null })
  })
  it('needs a name and nothing else: size and price of a pack may be unknown, and stay so', async () => {
    const { written, bench } = store()
    await keepGlue(bench, { ...glueForm(null, null), name: 'Found in the drawer' }, null, null)
    const [glue] = written[0]!.changes.map(({ after }) => after!)
    expect(glue).toMatchObject({ name: 'Found in the drawer', packSize: null, packPrice: null })
    expect(glueForm(glue as unknown as Adhesive, null)).toMatchObject({ packSize: '', packPrice: '' })
  })
  it.each([
    ['no name', { name: ' ' }, 'name'],
    ['a pack of nothing', { packSize: '0' }, 'pack size'],
    ['more than is there', { left: '120' }, 'What is left, in percent,'],
    ['a limit below zero', { limit: '-3' }, 'limit'],
  ])('is refused with %s, its field named', async (_, patch, path) => {
    const { written, bench } = store()
    await expect(keepGlue(bench, { ...typed, ...patch }, null, null)).rejects.toMatchObject({ path })
    expect(written).toEqual([])
  })
  it('comes back into its fields as it was', () => {
    const label = {
      serviceMaxC: 90,
      gapMaxMm: 0.5,
      hazards: [] as never[],
      limitMgM3: 12,
      volatileShare: 0.1,
      facts: { neutral: true },
    }
    expect(glueForm({ ...product('x', 'X'), label }, null)).toMatchObject({
      heat: '90 °C',
      gap: '0.5 mm',
      hazards: [],
      limit: '12',
      volatile: '10',
      facts: { neutral: 'yes', foamSafe: '' },
    })
  })
})

describe('a rule of the house as it is typed', () => {
  const typed = {
    ...ruleForm(null),
    name: 'No melt',
    reason: 'It let go.',
    glue: 'mechanism:melt',
    lookAgain: '2027-05-01',
  }
  it('knows what it is about: a mechanism, a family, a product, a hazard, a fact of the label', async () => {
    const { written, bench } = store()
    for (const glue of ['mechanism:melt', 'family:ca-gel', 'product:p7', 'hazard:isocyanate', 'fact:not animalFree'])
      await keepRule(bench, { ...typed, glue }, null)
    const about = written
      .map(({ changes }) => changes[0]!.after)
      .map((rule) => [rule!['mechanism'], rule!['family'], rule!['adhesive'], rule!['hazard'], rule!['fact']])
    expect(about).toEqual([
      ['melt', null, null, null, null],
      [null, 'ca-gel', null, null, null],
      [null, null, 'p7', null, null],
      [null, null, null, 'isocyanate', null],
      [null, null, null, null, 'not animalFree'],
    ])
    const again = written.map(({ changes }) => ruleForm(changes[0]!.after as never).glue)
    expect(again).toEqual(['mechanism:melt', 'family:ca-gel', 'product:p7', 'hazard:isocyanate', 'fact:not animalFree'])
  })
  it.each([
    ['name', { name: '' }],
    ['reason', { reason: ' ' }],
    ['about', { glue: '', material: '' }],
  ])('is refused without its %s', (path, patch) => {
    expect(() => keepRule(store().bench, { ...typed, ...patch }, null)).toThrow(expect.objectContaining({ path }))
  })
})

describe('a gauge that is read over a line', () => {
  const typed = { ...emptyInstrument(), name: 'Stand gauge', limit: '50 kg', step: '10 g' }
  it('is kept in newtons with the description of its lines', () => {
    const one = instrumentFrom({ ...typed, travelColumn: '3', unit: 'kgf', turned: true }, 'N')
    expect(one).toMatchObject({ name: 'Stand gauge', connection: 'serial', checks: [] })
    expect(one.limitN).toBeCloseTo(50 * 9.80665, 6)
    expect(one.resolutionN).toBeCloseTo(0.01 * 9.80665, 9)
    expect(one.lines).toMatchObject({ baud: 9600, column: 1, secondColumn: 3, unit: 'kgf', sign: -1 })
  })

  it.each([
    [{ name: ' ' }, 'missing'],
    [{ limit: '5 g' }, 'out-of-order'],
    [{ unit: 'furlong' }, 'not-one-of'],
    [{ baud: '9600.5' }, 'wrong-shape'],
    [{ column: '0' }, 'out-of-range'],
  ])('asks again for %j', (bad, code) =>
    expect(() => instrumentFrom({ ...typed, ...bad }, 'N')).toThrow(expect.objectContaining({ code })),
  )

  it('is checked by a weight, or by water in a bottle', () => {
    const nothing = { weight: '', litres: '', bottle: '', read: '15 N' }
    expect(checkFrom({ ...nothing, weight: '2 kg' }, 'N', 7)).toEqual({
      at: 7,
      trueN: expect.closeTo(19.6133, 6),
      readN: 15,
      how: '2 kg',
    })
    const water = checkFrom({ ...nothing, litres: '1.5 l', bottle: '40 g' }, 'N', 7)
    expect(water.trueN).toBeCloseTo(1.537 * 9.80665, 6)
    expect(water.how).toBe('1.5 l of water')
    expect(() => checkFrom({ ...nothing, weight: '0' }, 'N', 7)).toThrow(expect.objectContaining({ code: 'no-load' }))
  })
})
