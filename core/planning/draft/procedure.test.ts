import { describe, expect, it } from 'vitest'
import { familyOf } from '../../knowledge/families'
import { materialClassOf } from '../../knowledge/materials'
import { openBrief } from '../../records/openBrief'
import type { Adhesive } from '../../records/shelf'
import type { Setting } from '../../screening/shortlist'
import { adviceOn, adviceOnSecond, draftOf, secondOf } from './procedure'

const tin: Adhesive = {
  id: 'tin',
  name: 'Tin',
  family: 'contact-solvent',
  aliases: [],
  packSize: 100,
  packUnit: 'ml',
  packPrice: 5,
  label: { waitMinS: 1234 },
  note: '',
}
const setting: Setting = {
  brief: openBrief(),
  a: materialClassOf('wood'),
  b: materialClassOf('leather'),
  room: null,
  currency: '€',
  now: 0,
  adhesives: [tin],
  stock: [],
  houseRules: [],
  evidence: [],
  scraps: [],
  classOf: (id) => id,
}
const glued = (family: string, adhesive: string | null = null) => ({ family, adhesive, helpers: [] })
const second = (family: string, adhesive: string | null = null) => ({
  family,
  adhesive,
  role: 'rim' as const,
  share: 0.1,
  where: 'the hem',
})

describe('the glue of a procedure', () => {
  it('is the product on the shelf, with what its label says', () => {
    const advice = adviceOn(glued('contact-solvent', 'tin'), setting)!
    expect(advice.product).toEqual(tin)
    expect(advice.situation.family.waitMinS).toBe(1234)
    expect(draftOf(glued('contact-solvent', 'tin'), setting).find(({ kind }) => kind === 'wait')!.minS).toBe(1234)
  })

  it('is its family where the product is gone, or none was named', () => {
    for (const adhesive of [null, 'gone']) {
      const advice = adviceOn(glued('contact-solvent', adhesive), setting)!
      expect(advice.product).toBeNull()
      expect(advice.situation.family.waitMinS).toBe(familyOf('contact-solvent').waitMinS)
    }
  })

  it('is the product’s family, whatever the procedure says', () =>
    expect(adviceOn(glued('ca-gel', 'tin'), setting)!.situation.family.id).toBe('contact-solvent'))

  it('is nothing where nobody knows it: no advice, no steps', () => {
    expect(adviceOn(glued('moon-paste'), setting)).toBeNull()
    expect(draftOf(glued('moon-paste'), setting)).toEqual([])
    // A product of its own counts even so.
    expect(adviceOn(glued('moon-paste', 'tin'), setting)).not.toBeNull()
  })
})

describe('a second glue', () => {
  it('has the name of its product, else of its family, and its place', () => {
    expect(secondOf(second('contact-solvent', 'tin'), setting)).toMatchObject({
      name: 'Tin',
      role: 'rim',
      where: 'the hem',
      family: { id: 'contact-solvent', waitMinS: 1234 },
    })
    expect(secondOf(second('ca-thin'), setting)!.name).toBe(familyOf('ca-thin').name)
    expect(secondOf(second('moon-paste'), setting)).toBeNull()
  })

  it('is judged by itself on the same faces; none where there is none', () => {
    expect(adviceOnSecond(glued('pva-white'), setting)).toBeNull()
    const of = { ...glued('pva-white'), second: second('contact-solvent', 'tin') }
    const found = adviceOnSecond(of, setting)!
    expect(found.screening).toEqual(adviceOn(glued('contact-solvent', 'tin'), setting)!.screening)
    expect(adviceOnSecond({ ...of, second: second('moon-paste') }, setting)).toBeNull()
  })

  it('brings into the steps what its own advice wants before either is laid on', () => {
    const cold = { ...setting, room: { tempC: 8, rh: 50 } }
    const ready = (with_: ReturnType<typeof second> | undefined) =>
      draftOf({ ...glued('tape-double'), ...(with_ && { second: with_ }) }, cold)
        .filter(({ kind }) => kind === 'ready')
        .map(({ text }) => text)
        .join(' ')
    expect(ready(undefined)).not.toMatch(/Warm parts, glue and place, and keep them warm/)
    expect(ready(second('epoxy-slow'))).toMatch(/Warm parts, glue and place, and keep them warm/)
  })
})
