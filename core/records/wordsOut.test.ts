import { describe, expect, it } from 'vitest'
import { withoutWords, writtenTexts } from './wordsOut'

describe('a label without what a maker wrote', () => {
  const bench = {
    joint: [{ id: 'h2', code: 'H2', name: 'Wing rib', brief: { water: 'wash', heatC: null }, note: 'x' }],
    reading: [
      { id: 'x', coupon: 'c1', note: 'my neighbour Ann helped', setAside: 'slipped', corrected: [{ was: '41 N' }] },
    ],
    adhesive: [{ name: 'Tin contact', aliases: ['the red tin'], packUnit: 'ml' }],
  }
  const texts = writtenTexts(bench)

  it('finds what was written, and neither ids nor states', () => {
    expect([...texts].sort()).toEqual(
      ['41 N', 'Tin contact', 'Wing rib', 'my neighbour Ann helped', 'slipped', 'the red tin'].sort(),
    )
  })

  it.each([
    ['Reading H2-B3 set aside: slipped', 'Reading H2-B3 set aside: …'],
    ['Ask about H2 Wing rib', 'Ask about H2 …'],
    ['Put “Ann’s bench” to this bench', 'Put “… ” to this bench'],
    ['H2: decided for Tin contact, both faces', 'H2: decided for … , both faces'],
    ['Room: 19 °C, 55 % humidity', 'Room: 19 °C, 55 % humidity'],
  ])('%s', (label, bare) => {
    expect(withoutWords(label, texts)).toBe(bare)
  })
  it('leaves nothing of a longer text in which a shorter one stands', () => {
    for (const texts of [
      ['Ann', 'Ann of the mill'],
      ['Ann of the mill', 'Ann'],
    ])
      expect(withoutWords('Read by Ann of the mill', new Set(texts))).toBe('Read by …')
  })
})
