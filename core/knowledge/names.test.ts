import { describe, expect, it } from 'vitest'
import { families } from './families'
import { materialClasses } from './materials'
import differing from './differs.json'
import { find, namesOf, oneLetterOff, type Findable, differsFrom } from './names'

const first = (what: Findable, text: string) => find(text, namesOf[what])[0]

/** What makers type, and what they mean: written down before it was tried. */
const searches: [what: Findable, text: string, id: string][] = [
  ['material', 'cardboard', 'card'],
  ['material', 'plywood', 'wood'],
  ['material', 'insulation board', 'foam-xps'],
  ['material', 'canvas', 'fabric-cotton'],
  ['material', 'tarpaulin', 'vinyl-soft'],
  ['material', 'tarp', 'vinyl-soft'],
  ['material', 'felt', 'felt'],
  ['material', 'cork', 'wood'],
  ['material', 'plaster', 'ceramic-stone'],
  ['material', 'magnet', 'metal'],
  ['material', 'hook and loop', 'hook-loop'],
  ['material', 'elastic', 'webbing'],
  ['material', 'acrylic glass', 'sheet-acrylic'],
  ['material', 'plastic pipe', 'sheet-pvc'],
  ['material', 'rock', 'ceramic-stone'],
  ['material', 'aluminum', 'metal'],
  ['material', 'aluminium', 'metal'],
  ['material', 'craft foam', 'foam-eva'],
  ['material', 'pool noodle', 'foam-pe'],
  ['material', 'greyboard', 'card'],
  ['material', 'grayboard', 'card'],
  ['material', 'denim', 'fabric-cotton'],
  ['material', 'spandex', 'fabric-stretch'],
  ['material', 'mirror', 'glass'],
  ['material', 'tile', 'ceramic-stone'],
  ['material', 'boot sole', 'rubber-sole'],
  ['material', 'tyre', 'rubber-sole'],
  ['material', 'dowel', 'wood'],
  ['material', 'balsa', 'balsa'],
  ['material', '3d print', 'print-pla'],
  ['material', 'mdf', 'mdf'],
  ['material', 'photo', 'paper-coated'],
  ['material', 'cushion foam', 'foam-pu-open'],
  ['material', 'bottle', 'pet-bottle'],
  ['material', 'model kit', 'sheet-styrene'],
  ['glue', 'glue gun', 'hotmelt-low'],
  ['glue', 'super glue', 'ca-medium'],
  ['glue', 'superglue', 'ca-medium'],
  ['glue', 'white glue', 'pva-white'],
  ['glue', 'wood glue', 'pva-wood'],
  ['glue', 'contact cement', 'contact-solvent'],
  ['glue', 'spray glue', 'spray-contact'],
  ['glue', 'school glue', 'pva-white'],
  ['glue', 'epoxy', 'epoxy-slow'],
  ['glue', 'five minute epoxy', 'epoxy-fast'],
  ['glue', 'expanding foam', 'foam-can'],
  ['glue', 'silicone', 'silicone'],
  ['glue', 'double sided tape', 'tape-double'],
  ['glue', 'mounting tape', 'tape-foam'],
  ['glue', 'model cement', 'solvent-weld-thin'],
  ['glue', 'pipe glue', 'solvent-weld-gel'],
  ['glue', 'wallpaper paste', 'starch-paste'],
  ['glue', 'fusible web', 'web-iron-on'],
  ['glue', 'uv resin', 'uv-acrylic'],
  ['glue', 'fabric glue', 'fabric-glue'],
  ['glue', 'shoe glue', 'contact-solvent'],
  // one letter wrong
  ['material', 'cardbord', 'card'],
  ['material', 'plywod', 'wood'],
  ['material', 'aluminuim', 'metal'],
  ['glue', 'epxoy', 'epoxy-slow'],
  ['glue', 'contct cement', 'contact-solvent'],
  ['glue', 'silicon', 'silicone'],
  ['glue', 'wod glue', 'pva-wood'],
]

describe('everyday names', () => {
  it.each(searches)('%s “%s” is found first as %s', (what, text, id) => {
    expect(first(what, text)).toBe(id)
  })

  it('are four hundred and more, for every material and family, no word twice in a row', () => {
    const all = [...namesOf.material, ...namesOf.glue]
    expect(all.reduce((sum, { names }) => sum + names.length, 0)).toBeGreaterThan(400)
    for (const { id, names } of all) {
      expect(names.length, id).toBeGreaterThan(1)
      expect(new Set(names.map((name) => name.toLowerCase())).size, id).toBeGreaterThanOrEqual(names.length - 1)
    }
    const ids = [...materialClasses, ...families].map(({ id }) => id)
    expect(all.map(({ id }) => id)).toEqual(ids)
  })

  it('find any part, at most ten, and nothing for nothing', () => {
    expect(find('foam', namesOf.material)).toEqual(expect.arrayContaining(['foam-eva', 'foam-xps', 'foam-pu-open']))
    expect(find('a', namesOf.glue).length).toBeLessThanOrEqual(10)
    expect(find('  ', namesOf.glue)).toEqual([])
    expect(find('zzzzqq', namesOf.glue)).toEqual([])
  })

  it('are what was asked for alone, where something is called so; and nothing where nothing is', () => {
    const all = (what: Findable, text: string) => find(text, namesOf[what], 99)
    expect(all('glue', 'super glue').every((id) => id.startsWith('ca-'))).toBe(true)
    expect(all('glue', 'school glue')).toEqual(['pva-white'])
    expect(all('material', 'pine')).toEqual(['wood'])
    expect(all('material', 'paper')).not.toContain('ceramic-stone')
    expect(all('material', 'frying pan')).toEqual(['fluoropolymer'])
    // “Glue” alone is no answer to another word.
    for (const text of ['hide glue', 'purple glue']) expect(all('glue', text), text).toEqual([])
    for (const text of ['fizzy', 'zebra']) expect([...all('material', text), ...all('glue', text)], text).toEqual([])
  })

  it('take what is no class of its own for the nearest, and say what differs', () => {
    expect(find('papier-mache', namesOf.material)[0]).toBe('ceramic-stone')
    expect(differsFrom('wood', 'Cork')).toMatchObject({ name: 'cork' })
    expect(differsFrom('wood', 'crok')!.differs).toMatch(/crumbles/)
    expect(differsFrom('sheet-acrylic', 'polycarb')!.differs).toMatch(/crack it sooner/)
    expect(differsFrom('wood', 'oak')).toBeNull()
    expect(differsFrom('metal', 'cork')).toBeNull()
    expect(differsFrom('wood', 'cor')).toBeNull()
    const classes = new Set(materialClasses.map(({ id }) => id))
    for (const [at, id] of differing.id.entries()) {
      expect(classes.has(id), id).toBe(true)
      expect(find(differing.name[at]!, namesOf.material).slice(0, 3), differing.name[at]).toContain(id)
      expect(differing.differs[at]).toMatch(/^[^A-Z].*[^.]$/)
    }
  })

  it('put own names first where they answer best', () => {
    const own = { id: 'mine', names: ['The grey tin'] }
    expect(find('grey tin', [own, ...namesOf.glue])[0]).toBe('mine')
  })

  it('know one letter left out, put in, changed or two in turn, and no more', () => {
    for (const [one, two] of [
      ['felt', 'fel'],
      ['felt', 'feltt'],
      ['felt', 'felr'],
      ['felt', 'fetl'],
      ['felt', 'elt'],
      ['felt', 'xfelt'],
    ] as const) {
      expect(oneLetterOff(one, two), two).toBe(true)
      expect(oneLetterOff(two, one), two).toBe(true)
    }
    for (const [one, two] of [
      ['felt', 'fe'],
      ['felt', 'tlef'],
      ['felt', 'fexx'],
      ['felt', 'felttt'],
    ] as const)
      expect(oneLetterOff(one, two), two).toBe(false)
  })
})
