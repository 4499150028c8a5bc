import { describe, expect, it } from 'vitest'
import { familyOf } from '../knowledge/families'
import type { Procedure, Step } from '../records/procedure'
import { benchSums, type SumsFor } from './benchSums'

const steps = (...kinds: Step['kind'][]): Step[] =>
  kinds.map((kind) => ({ id: kind, kind, text: kind, minS: 0, maxS: null }))
const procedure = (more: Partial<Procedure> = {}): Procedure => ({
  id: 'p',
  joint: 'j',
  letter: 'A',
  name: 'glue',
  family: 'x',
  adhesive: null,
  helpers: [],
  anyway: false,
  coats: 1,
  spreadGm2: 100,
  dilution: null,
  blend: null,
  steps: steps('apply', 'close', 'cure'),
  ...more,
})
const epoxy = { ...familyOf('epoxy-slow')!, potLifeS: 1800, faces: 'one' as const, form: 'paste' as const }
const pva = familyOf('pva-white')!
const sums = (more: Partial<SumsFor>) =>
  Object.fromEntries(
    benchSums({
      procedure: procedure(),
      family: pva,
      areaCm2: 20,
      pieces: 36,
      packG: null,
      eveningMin: 180,
      heatHarms: false,
      byTray: false,
      ...more,
    }).map(({ about, words }) => [about, words]),
  )

describe('sums at the bench', () => {
  it('tell how much is mixed for how many: by hand', () => {
    // 20 cm² at 10 cm² a second and 30 s to close: 32 s a piece; 0.7 · 1800 s hold 39 of them, more than the 36.
    // 20 cm² · 100 g/m² · 1.1 = 0.22 g a piece: 7.92 g for 36.
    const { mix } = sums({ family: epoxy, procedure: procedure({ steps: steps('mix', 'apply', 'close') }) })
    expect(mix).toMatch(/serves 39 pieces .*30 min.*7\.92 g a mix, 1 mix for all 36/)
    // A tenth of the pot life: 3 pieces, and no less than can be weighed.
    const short = { ...epoxy, potLifeS: 180 }
    const few = sums({ family: short, procedure: procedure({ steps: steps('mix', 'apply', 'close') }) }).mix
    expect(few).toMatch(/serves 3 pieces .*5\.00 g a mix, 12 mixes/)
  })

  it('tell what a dilution is stirred from, and what the pack is enough for', () => {
    const thinned = procedure({ dilution: { glue: 3, water: 1 } })
    const { dilution, coverage } = sums({ procedure: thinned, packG: 100 })
    // 36 · 0.22 g = 7.92 g, three quarters of it glue: 5.94 and 1.98.
    expect(dilution).toBe('For all 36: 5.94 g of glue and 1.98 g of water.')
    // 100 g / (0.22 g · 3/4) = 606 pieces.
    expect(coverage).toMatch(/1 g covers 90\.9 cm²; one piece takes 0\.22 g.*100 g, is enough for 606 pieces/)
  })

  it('tell how many are laid before the first skins, and how many an evening', () => {
    const skins = { ...pva, openS: 300, waitMinS: 0, faces: 'one' as const, form: 'medium' as const }
    // 300 s / 32 s
    expect(sums({ family: skins })['at-once']).toMatch(/no more than 9 pieces before closing the first.*5 min/)
    // A film that is ironed skins over nowhere.
    expect(sums({ family: familyOf('web-iron-on') })['at-once']).toBeUndefined()
    // A piece that takes longer than that to cover is not “one”.
    expect(sums({ family: skins, areaCm2: 4000 })['at-once']).toMatch(/before one piece is covered/)
    // 32 s by hand each: 337 in 180 min; 500 of them take two evenings.
    expect(sums({ family: skins }).evening).toMatch(
      /^About 337 pieces in an evening of 3 h: 32 s by hand each, most of it laying\.$/,
    )
    expect(sums({ family: skins, pieces: 500 }).evening).toMatch(/ All 500 take 2 evenings\.$/)
  })

  it('hurry only what may be hurried', () => {
    const solvent = familyOf('contact-solvent')!
    expect(sums({ family: solvent }).hurry).toMatch(/No dryer.*catch fire/)
    expect(sums({ family: pva }).hurry).toMatch(/hair dryer on its lowest/)
    expect(sums({ family: pva, heatHarms: true }).hurry).toMatch(/cool; a hair dryer may harm/)
    expect(sums({ family: familyOf('ca-thin')! }).hurry).toMatch(/No dryer/)
    expect(sums({ family: familyOf('hotmelt-high')! })).toMatchObject({ gun: expect.stringMatching(/warm up/) })
    expect(sums({ family: familyOf('hotmelt-high')! }).hurry).toBeUndefined()
  })

  it('mix only what is mixed and thickens, thin only what is thinned, and count a pack only where one is', () => {
    const mixed = procedure({ steps: steps('mix', 'apply', 'close') })
    expect(sums({ family: epoxy }).mix).toBeUndefined()
    expect(sums({ family: { ...epoxy, potLifeS: null }, procedure: mixed }).mix).toBeUndefined()
    expect(sums({}).dilution).toBeUndefined()
    expect(sums({}).coverage).not.toMatch(/pack at hand/)
    expect(sums({ packG: 0.23 }).coverage).toMatch(/0\.23 g, is enough for 1 piece\.$/)
    expect(sums({ areaCm2: 0 }).coverage).toBeUndefined()
  })

  it('hurry each kind in its own way, and nothing with heat where heat harms or may set fire', () => {
    const hurry = (id: string, more: Partial<SumsFor> = {}, hazards?: string[]) => {
      const family = familyOf(id)
      return sums({ family: { ...family, hazards: hazards ?? family.hazards }, ...more }).hurry
    }
    expect(hurry('contact-solvent', {}, [])).toMatch(/^To hurry it: moving air\. No dryer: a hot skin/)
    expect(hurry('epoxy-slow', {}, [])).toMatch(/^Warm both parts in the hand before mixing/)
    const cool = /^It may be warmed in the hand before it is mixed; what is mixed gets no heat here/
    expect(hurry('epoxy-slow', { heatHarms: true }, [])).toMatch(cool)
    expect(hurry('epoxy-slow', {}, familyOf('contact-solvent').hazards)).toMatch(cool)
    for (const id of ['ca-thin', 'ca-medium', 'ca-gel']) expect(hurry(id), id).toMatch(/breathe on a face/)
    expect(hurry('pu-foaming')).toMatch(/^To hurry it: damp air, or one face misted/)
    expect(hurry('tape-double')).toBeUndefined()
    expect(sums({ family: familyOf('ca-gel') }).gun).toBeUndefined()
  })
})
