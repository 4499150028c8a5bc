import { describe, expect, it } from 'vitest'
import { families, familyOf } from '../knowledge/families'
import { materialClassOf } from '../knowledge/materials'
import { openBrief, type Brief } from '../records/joint'
import { openWordsByEffect } from './openWords'
import { ranked, rules, screen } from './screen'
import { situationOf } from './situation'

const judge = (a: string, b: string, family: string, patch: Partial<Brief> = {}) =>
  screen(situationOf({ ...openBrief(), ...patch }, materialClassOf(a), materialClassOf(b), familyOf(family)))

describe('the block rules', () => {
  // Rule, what fires it, and what just misses it: a pair, a family, and words of the brief.
  type Case = [string, string, string, Partial<Brief>?]
  const cases: [rule: string, verdict: 'block' | 'caution', fires: Case, misses: Case][] = [
    ['styrene-foam-attacked', 'block', ['foam-xps', 'card', 'ca-gel'], ['foam-xps', 'card', 'ca-foam-safe']],
    ['hot-glue-melts-styrene-foam', 'block', ['foam-eps', 'card', 'hotmelt-high'], ['foam-eps', 'card', 'hotmelt-low']],
    [
      'vinyl-plasticiser',
      'block',
      ['vinyl-soft', 'wood', 'tape-double', { life: 'years' }],
      ['vinyl-soft', 'wood', 'pu-clear', { life: 'years' }],
    ],
    [
      'weld-needs-soluble-plastic',
      'block',
      ['sheet-styrene', 'wood', 'solvent-weld-thin'],
      ['sheet-styrene', 'sheet-styrene', 'solvent-weld-thin'],
    ],
    [
      'heat-weld-like-only',
      'block',
      ['polyolefin', 'print-pla', 'weld-hot-tool'],
      ['polyolefin', 'polyolefin', 'weld-hot-tool'],
    ],
    [
      'cotton-and-cyanoacrylate',
      'block',
      ['fabric-cotton', 'wood', 'ca-medium'],
      ['fabric-synthetic', 'wood', 'ca-medium'],
    ],
    ['cotton-and-cyanoacrylate', 'caution', ['leather', 'wood', 'ca-gel'], ['print-pla', 'wood', 'ca-gel']],
    [
      'solvent-in-clear-view',
      'caution',
      ['sheet-acrylic', 'wood', 'ca-gel', { look: 'clear' }],
      ['sheet-acrylic', 'wood', 'ca-gel', { look: 'hidden' }],
    ],
    [
      'like-plastics-only-by-solvent',
      'caution',
      ['sheet-styrene', 'sheet-acrylic', 'solvent-weld-gel'],
      ['sheet-styrene', 'sheet-styrene', 'solvent-weld-gel'],
    ],
    [
      'water-trapped',
      'block',
      ['foam-eva', 'sheet-pvc', 'acrylic-paste', { widthMm: 60, lengthMm: 60 }],
      ['foam-eva', 'card', 'acrylic-paste', { widthMm: 60, lengthMm: 60 }],
    ],
    [
      'water-trapped',
      'caution',
      ['foam-eva', 'sheet-pvc', 'acrylic-paste', { widthMm: 30, lengthMm: 90 }],
      ['foam-eva', 'sheet-pvc', 'contact-water', { widthMm: 30, lengthMm: 90 }],
    ],
    ['light-path-missing', 'block', ['print-pla', 'wood', 'uv-acrylic'], ['sheet-acrylic', 'metal', 'uv-acrylic']],
    [
      'gap-too-wide',
      'block',
      ['wood', 'wood', 'pva-wood', { gapMm: 1 }],
      ['wood', 'wood', 'pva-wood', { gapMm: 0.15 }],
    ],
    ['gap-too-wide', 'caution', ['wood', 'wood', 'ca-gel', { gapMm: 0.7 }], ['wood', 'wood', 'ca-gel', { gapMm: 0.5 }]],
    [
      'open-time-vs-area',
      'block',
      ['wood', 'wood', 'ca-medium', { widthMm: 200, lengthMm: 200 }],
      ['wood', 'wood', 'ca-medium', { widthMm: 100, lengthMm: 100 }],
    ],
    ['non-stick-surface', 'block', ['fluoropolymer', 'wood', 'epoxy-slow'], ['sheet-pvc', 'wood', 'epoxy-slow']],
    ['low-energy-plain', 'block', ['polyolefin', 'wood', 'epoxy-slow'], ['sheet-pvc', 'wood', 'epoxy-slow']],
    ['low-energy-plain', 'caution', ['foam-pe', 'card', 'contact-solvent'], ['foam-eva', 'card', 'contact-solvent']],
    ['water-glue-on-sealed-faces', 'block', ['foam-eva', 'print-pla', 'pva-tacky'], ['foam-eva', 'card', 'pva-tacky']],
    [
      'paint-is-weak-layer',
      'caution',
      [
        'wood',
        'wood',
        'epoxy-slow',
        { loads: ['shear'], a: { material: 'wood', thicknessMm: null, state: 'painted-acrylic' } },
      ],
      ['wood', 'wood', 'epoxy-slow', { loads: ['shear'] }],
    ],
    [
      'dirty-face',
      'caution',
      ['metal', 'wood', 'epoxy-slow', { b: { material: 'wood', thicknessMm: null, state: 'dusty' } }],
      ['metal', 'wood', 'epoxy-slow'],
    ],
    [
      'glazed-skin',
      'caution',
      ['rubber-sole', 'leather', 'contact-solvent'],
      ['rubber-sole', 'leather', 'contact-solvent', { a: { material: null, thicknessMm: null, state: 'sanded' } }],
    ],
    [
      'too-hot-for-glue',
      'block',
      ['wood', 'card', 'hotmelt-low', { heatC: 56 }],
      ['wood', 'card', 'hotmelt-low', { heatC: 40 }],
    ],
    [
      'too-hot-for-glue',
      'caution',
      ['wood', 'card', 'hotmelt-low', { heatC: 41 }],
      ['wood', 'card', 'silicone', { heatC: 56 }],
    ],
    [
      'too-cold',
      'caution',
      ['wood', 'card', 'hotmelt-low', { coldC: -5 }],
      ['wood', 'card', 'hotmelt-low', { coldC: 0 }],
    ],
    [
      'water-too-much',
      'block',
      ['wood', 'card', 'pva-white', { water: 'splash' }],
      ['wood', 'card', 'pva-white', { water: 'no' }],
    ],
    [
      'rigid-on-flexing',
      'caution',
      ['foam-eva', 'wood', 'epoxy-slow', { loads: ['flex'] }],
      ['mdf', 'wood', 'epoxy-slow', { loads: ['flex'] }],
    ],
    [
      'rigid-in-peel-or-cleavage',
      'caution',
      ['mdf', 'wood', 'epoxy-slow', { loads: ['impact'] }],
      ['mdf', 'wood', 'epoxy-slow', { loads: ['shear'] }],
    ],
    [
      'hot-wire-through-line',
      'block',
      ['foam-xps', 'foam-xps', 'ca-foam-safe', { later: ['hot-wire'] }],
      ['foam-xps', 'foam-xps', 'ca-foam-safe', { later: ['sand'] }],
    ],
    [
      'hot-wire-through-line',
      'caution',
      ['foam-xps', 'foam-xps', 'contact-water', { later: ['hot-wire'] }],
      ['foam-xps', 'foam-xps', 'contact-water', { later: [] }],
    ],
    [
      'paint-will-not-hold',
      'caution',
      ['wood', 'metal', 'silicone', { later: ['paint'] }],
      ['wood', 'metal', 'epoxy-slow', { later: ['paint'] }],
    ],
    [
      'line-shows',
      'caution',
      ['wood', 'metal', 'pu-foaming', { look: 'neat' }],
      ['wood', 'metal', 'pu-foaming', { look: 'hidden' }],
    ],
    [
      'isocyanate-users',
      'block',
      ['wood', 'metal', 'pu-clear', { users: ['sensitised'] }],
      ['wood', 'metal', 'pu-clear', { users: [] }],
    ],
    [
      'sensitiser-users',
      'block',
      ['wood', 'metal', 'epoxy-slow', { users: ['sensitised'] }],
      ['wood', 'metal', 'epoxy-slow', { users: [] }],
    ],
    [
      'no-ventilation',
      'block',
      ['wood', 'leather', 'contact-solvent', { air: 'closed' }],
      ['wood', 'leather', 'contact-solvent', { air: 'window' }],
    ],
    [
      'heat-near-flammable',
      'caution',
      ['foam-eva', 'leather', 'contact-solvent', { later: ['heat-form'] }],
      ['foam-eva', 'leather', 'contact-solvent', { later: ['paint'] }],
    ],
    [
      'child-use',
      'block',
      ['card', 'wood', 'ca-gel', { users: ['child'] }],
      ['card', 'wood', 'pva-tacky', { users: ['child'] }],
    ],
    [
      'worn-on-skin',
      'caution',
      ['leather', 'felt', 'contact-solvent', { skin: true }],
      ['leather', 'felt', 'contact-solvent', { skin: false }],
    ],
  ]
  it.each(cases)('%s (%s)', (rule, verdict, fires, misses) => {
    const found = ([a, b, family, patch]: Case) =>
      judge(a, b, family, patch).reasons.find((reason) => reason.rule === rule)
    expect(found(fires)?.verdict).toBe(verdict)
    expect(found(misses)).toBeUndefined()
  })
  it('are all fired by a case above', () => {
    expect(new Set(cases.map(([rule]) => rule))).toEqual(new Set(rules.map(({ id }) => id)))
  })
  it('put the numbers of the brief into the reason', () => {
    const trapped = judge('foam-eva', 'sheet-pvc', 'acrylic-paste', { widthMm: 60, lengthMm: 80 }).reasons.find(
      ({ rule }) => rule === 'water-trapped',
    )!
    expect(trapped.text).toMatch(/30 mm from the rim, about 144 days/)
    const area = judge('wood', 'wood', 'ca-medium', { widthMm: 200, lengthMm: 200 }).reasons.find(
      ({ rule }) => rule === 'open-time-vs-area',
    )!
    expect(area.text).toMatch(/400 cm² takes about 40 s to cover; this one skins or chills in 20 s/)
  })
})

describe('the shortlist', () => {
  it('blocks nothing for a brief with every word open and no material said', () => {
    for (const family of families) expect(screen(situationOf(openBrief(), null, null, family)).verdict).toBe('fit')
  })
  it('orders by verdict, then by what is on the shelf', () => {
    const all = families.map((family) =>
      screen(situationOf(openBrief(), materialClassOf('foam-xps'), materialClassOf('card'), family)),
    )
    const order = ranked(all, (id) => id === 'contact-water')
    expect(order[0]!.family.id).toBe('contact-water')
    const verdicts = order.map(({ verdict }) => ['fit', 'caution', 'block'].indexOf(verdict))
    expect([...verdicts].sort((x, y) => x - y)).toEqual(verdicts)
  })
  it('names the open words that move most glues, and none that is said', () => {
    const words = openWordsByEffect({ ...openBrief(), water: 'no' }, materialClassOf('card'), materialClassOf('wood'))
    expect(words.map(({ key }) => key)).not.toContain('water')
    expect(words.length).toBeGreaterThan(2)
    expect(words.map(({ families: n }) => n)).toEqual([...words.map(({ families: n }) => n)].sort((x, y) => y - x))
  })
})
