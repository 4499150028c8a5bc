import { describe, expect, it } from 'vitest'
import { words } from '../words'
import { saidWord } from './saidWord'

describe('a word as it stands in a folded line', () => {
  it.each([
    ['heatC', 45, '45 °C'],
    ['water', 'splash', 'splashes'],
    ['sun', true, 'sunlight'],
    ['sun', false, 'no sun'],
    ['later', [], 'no later work'],
    ['later', ['paint'], 'paint'],
    ['later', ['paint', 'sand', 'hot-wire'], 'paint, sanding and a hot wire'],
    ['roomM3', 45, 'a room of 45 m³'],
    ['readyH', 12, 'carries its load 12 h after gluing'],
    ['handledH', 0.5, 'can be taken up 30 min after gluing'],
    ['handledBy', '2026-12-14', 'Mon 14 Dec'],
    // 3 lb is 1.36077711 kg, 3/8 in is 9.525 mm as it stands.
    ['weightKg', 1.36077711, '1.361 kg'],
    ['weightKg', 0.1 + 0.2, '0.3 kg'],
    ['weightKg', 12.3456, '12.3456 kg'],
    ['widthMm', 9.525, '9.525 mm'],
    ['heatC', null, ''],
    ['handledH', undefined, ''],
  ] as const)('%s %s: “%s”', (key, value, said) => expect(saidWord(words[key], value)).toBe(said))
  it('says money in the bench’s own', () => expect(saidWord(words.maxCost, 1.5, (v) => `${v} €`)).toBe('1.5 €'))
})
