import { describe, expect, it } from 'vitest'
import { materialClassOf } from '../../core/knowledge/materials'
import { openBrief } from '../../core/records/openBrief'
import type { Procedure } from '../../core/records/procedure'
import { careOf, dabOf } from './careOf'
import type { JointView } from './jointView'
import { otherGlues } from './otherGlues'
import type { useBench } from './store'

const milky = {
  id: 'g1',
  name: 'Milky contact',
  aliases: ['the blue tin'],
  family: 'contact-water',
  label: { holdS: 9 },
}
const pack = { id: 's1', adhesive: 'g1', left: 0.25, openedOn: null, expiresOn: null, batch: '' }
const bench = {
  all: () => [milky],
  of: (_: string, id: string) => (id === 'g1' ? [pack] : []),
} as unknown as ReturnType<typeof useBench>
const blend = (...names: string[]) =>
  ({ helpers: [], blend: { parts: names.map((name) => ({ name, parts: 1 })), batch: '' } }) as unknown as Procedure
const on = (id: string) =>
  ({ joint: { brief: openBrief() }, a: { cls: materialClassOf(id) }, b: null }) as unknown as JointView
const wood = on('wood')

describe('what a blend is stirred from', () => {
  it('is found on the shelf by name or other name, else among the families, whatever its capitals', () => {
    const found = otherGlues(bench, wood, blend('own', ' milky CONTACT', 'The blue tin', 'white craft pva', 'x'), 0)
    expect(found.map(({ known }) => known && [known.product?.id ?? null, known.family.id, known.left])).toEqual([
      ['g1', 'contact-water', 0.25],
      ['g1', 'contact-water', 0.25],
      [null, 'pva-white', null],
      null,
    ])
    expect(found[0]!.known!.family.holdS).toBe(9)
    expect(found.map(({ share }) => share)).toEqual([0.2, 0.2, 0.2, 0.2])
    expect(otherGlues(bench, wood, blend('own', 'milky contact'), null)[0]!.known!.left).toBeNull()
    expect(otherGlues(bench, wood, { blend: null, helpers: [] as Procedure['helpers'] } as Procedure, 0)).toEqual([])
  })
})

describe('the dabs of a slow glue', () => {
  const dabbed = {
    helpers: ['tack-and-cure'],
    family: 'epoxy-slow',
    adhesive: null,
    blend: null,
  } as unknown as Procedure
  const shelf = { ...bench, get: () => null } as unknown as ReturnType<typeof useBench>
  it('are of the fast glue that the faces bear: not of instant glue on styrene foam', () => {
    expect([dabOf(shelf, wood, dabbed), dabOf(shelf, on('foam-xps'), dabbed)]).toEqual(['ca-gel', 'hotmelt-low'])
    expect(dabOf(shelf, wood, { ...dabbed, helpers: [] })).toBeNull()
  })
  it('are bought and paid for: eight parts in a hundred of what is laid on', () => {
    const [found] = otherGlues(shelf, wood, dabbed, 0)
    expect(found).toMatchObject({ share: 0.08, known: { family: { id: 'ca-gel' }, product: null } })
  })
  it('bring their own hazards', () => {
    const codes = (view: JointView) => careOf(shelf, view, dabbed).hazards.map(({ id }) => id)
    expect(codes(wood)).not.toEqual(codes(on('foam-xps')))
  })
})
