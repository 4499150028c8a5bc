import { describe, expect, it } from 'vitest'
import type { Procedure } from '../../core/records/round'
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
  ({ blend: { parts: names.map((name) => ({ name, parts: 1 })), batch: '' } }) as unknown as Procedure

describe('what a blend is stirred from', () => {
  it('is found on the shelf by name or other name, else among the families, whatever its capitals', () => {
    const found = otherGlues(bench, blend('own', ' milky CONTACT', 'The blue tin', 'white craft pva', 'x'), 0)
    expect(found.map(({ known }) => known && [known.product?.id ?? null, known.family.id, known.left])).toEqual([
      ['g1', 'contact-water', 0.25],
      ['g1', 'contact-water', 0.25],
      [null, 'pva-white', null],
      null,
    ])
    expect(found[0]!.known!.family.holdS).toBe(9)
    expect(found.map(({ share }) => share)).toEqual([0.2, 0.2, 0.2, 0.2])
    expect(otherGlues(bench, blend('own', 'milky contact'), null)[0]!.known!.left).toBeNull()
    expect(otherGlues(bench, { blend: null } as Procedure, 0)).toEqual([])
  })
})
