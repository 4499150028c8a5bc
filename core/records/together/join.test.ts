import { describe, expect, it } from 'vitest'
import { joined } from './join'

/** Both ways round: what came of it, and the fields that are asked about, from the side of the first. */
function both(here: object, there: object) {
  const [one, other] = [joined(here, there), joined(there, here)]
  return { record: one.record, swapped: other.record, asked: one.clashes.map(({ path }) => path.join('.')) }
}

describe('two copies of one record', () => {
  it('are one where only one of them says something', () => {
    const { record, swapped, asked } = both({ name: 'Rib', note: null }, { name: 'Rib', note: 'thin', batch: 'B2' })
    expect(record).toEqual({ name: 'Rib', note: 'thin', batch: 'B2' })
    expect(swapped).toEqual(record)
    expect(asked).toEqual([])
  })

  it('keep the later of two moments, and ask about anything else that differs', () => {
    const { record, swapped, asked } = both(
      { setAt: 5, brief: { heatC: 40, coldC: 1 } },
      { setAt: 9, brief: { heatC: 60, coldC: 1 } },
    )
    expect(record).toEqual({ setAt: 9, brief: { heatC: 40, coldC: 1 } })
    expect(swapped).toEqual({ setAt: 9, brief: { heatC: 60, coldC: 1 } })
    expect(asked).toEqual(['brief.heatC'])
  })

  it('are asked about as a whole where a part alone says nothing', () => {
    const { record, asked } = both({ raw: { value: 3, unit: 'kg' } }, { raw: { value: 3, unit: 'N' } })
    expect(record).toEqual({ raw: { value: 3, unit: 'kg' } })
    expect(asked).toEqual(['raw'])
  })
})

describe('two lists', () => {
  it('of words that nobody confirmed keep what neither side confirmed', () => {
    const { record, swapped } = both({ proposed: ['heatC', 'water', 'sun'] }, { proposed: ['sun', 'heatC'] })
    expect(record).toEqual({ proposed: ['heatC', 'sun'] })
    expect((swapped as { proposed: string[] }).proposed.sort()).toEqual(['heatC', 'sun'])
  })

  it('of names have what either side added, in the order that both know', () => {
    const { record, swapped, asked } = both({ aliases: ['tin', 'red'] }, { aliases: ['tin', 'cobbler', 'red'] })
    expect(record).toEqual({ aliases: ['tin', 'cobbler', 'red'] })
    expect(swapped).toEqual(record)
    expect(asked).toEqual([])
    expect(both({ aliases: ['tin', 'red'] }, { aliases: ['red', 'tin'] }).asked).toEqual(['aliases'])
  })

  it('of things with ids are joined thing by thing', () => {
    const { record, asked } = both(
      { arms: [{ id: 'dry', limit: 1 }, { id: 'wet' }] },
      { arms: [{ id: 'dry', limit: 2 }, { id: 'hot' }] },
    )
    const { arms } = record as { arms: { id: string; limit?: number }[] }
    expect(arms[0]).toEqual({ id: 'dry', limit: 1 })
    expect(arms.map(({ id }) => id).sort()).toEqual(['dry', 'hot', 'wet'])
    expect(asked).toEqual(['arms.dry.limit'])
  })

  it('of notes have all of them, in the order of time, and the same ones once', () => {
    const late = { at: 9, text: 'a' }
    const { record, swapped, asked } = both(
      { log: [{ at: 3, text: 'b' }, late] },
      { log: [{ at: 1, text: 'c' }, { at: 3, text: 'a' }, late] },
    )
    expect(record).toEqual({ log: [{ at: 1, text: 'c' }, { at: 3, text: 'a' }, { at: 3, text: 'b' }, late] })
    expect(swapped).toEqual(record)
    expect(asked).toEqual([])
  })

  it('of anything else are asked about', () => {
    expect(both({ spans: [1, 2] }, { spans: [2, 3] }).asked).toEqual(['spans'])
    // A moment that is no number is none, and what is no thing has none.
    expect(both({ log: [{ at: 'noon' }] }, { log: [{ at: 'night' }] }).asked).toEqual(['log'])
    expect(both({ log: ['x', { at: 1 }] }, { log: [{ at: 2 }] }).asked).toEqual(['log'])
  })
})
