import { describe, expect, it } from 'vitest'
import { familyOf } from '../knowledge/families'
import { materialClassOf } from '../knowledge/materials'
import { withStep } from '../planning/steps'
import { usualSteps } from '../planning/draft/usual'
import { openBrief } from '../records/openBrief'
import type { Step } from '../records/procedure'
import { situationOf } from '../situation/situation'
import { careFor } from './care'
import { bringsHeat, flammableWet, heatOnWetFilm, placeToWarm, NO_HEAT_ON_WET, HEAT_CAUTIONS } from './heat'
import { stepCautions } from './steps'

const foam = materialClassOf('foam-eva')
const steps = (family: string) => usualSteps(familyOf(family), foam, foam)
const glue = (family: string) => familyOf(family)
const kinds = (list: readonly Step[]) => list.map(({ kind }) => kind).join(' ')
const withWarm = (family: string) => {
  const list = steps(family)
  const at = placeToWarm(list, glue(family))
  return at === null ? null : withStep(list, 'warm', 'w', at)
}

describe('heat and wet, flammable glue', () => {
  it('is offered only once the film is dry', () => {
    expect(kinds(withWarm('contact-solvent')!)).toMatch(/^prepare-a prepare-b fit apply wait warm close/)
    // Closed wet, it never is: a solvent cement.
    expect(withWarm('solvent-weld-thin')).toBeNull()
    // Nothing flammable in it: as soon as it is on.
    expect(kinds(withWarm('contact-water')!)).toMatch(/apply warm/)
  })

  it('stands wet from applying until its least open time is over, again after another coat', () => {
    const list = steps('contact-solvent')
    const wet = (of: readonly Step[]) => of.map((_, at) => flammableWet(of, at, glue('contact-solvent')))
    expect(wet(list).map(Number).join('')).toBe('0000100000')
    const short = list.map((step) => (step.kind === 'wait' ? { ...step, minS: 30 } : step))
    expect(wet(short).map(Number).join('')).toBe('0000111111')
    const coated = withStep(list, 'coat', 'c')
    expect(wet(coated)[coated.findIndex(({ kind }) => kind === 'close')]).toBe(false)
    expect(flammableWet(coated, coated.findIndex(({ kind }) => kind === 'coat') + 1, glue('contact-solvent'))).toBe(
      true,
    )
  })

  it('is found in a step of any kind, by its words', () => {
    expect(bringsHeat({ kind: 'wait', text: 'Dry it with a hair dryer' })).toBe(true)
    expect(bringsHeat({ kind: 'wait', text: 'Leave open, keep away from heat' })).toBe(false)
    expect(bringsHeat({ kind: 'apply', text: 'Spread a thin even film' })).toBe(false)
    // What a face is made of is no work on it.
    const sheet = 'Side A, iron-on, heat-formable clear copolyester sheet: '
    expect(bringsHeat({ kind: 'prepare-a', text: `${sheet}wash with mild soap` })).toBe(false)
    expect(bringsHeat({ kind: 'prepare-a', text: `${sheet}warm it with a heat gun` })).toBe(true)
    expect(bringsHeat({ kind: 'apply', text: 'Spread a film on side B (heat-formable sheet)' })).toBe(false)
    expect(bringsHeat({ kind: 'apply', text: 'Wave a (lit) torch over it' })).toBe(true)
    const own = steps('contact-solvent').map((step) =>
      step.kind === 'wait' ? { ...step, text: 'Hot air until dry' } : step,
    )
    expect(heatOnWetFilm(own, glue('contact-solvent')).map(({ kind }) => kind)).toEqual(['wait'])
  })

  it('has its cautions on the card of every step that brings it, and says no while the film is wet', () => {
    const care = careFor(situationOf(openBrief(), foam, foam, glue('contact-solvent'), {}))
    const list = steps('contact-solvent')
    const early = withStep(list, 'warm', 'w', list.findIndex(({ kind }) => kind === 'apply') + 1)
    const said = (of: Step[], id: string) =>
      stepCautions(
        { steps: of },
        of.find((step) => step.id === id)!,
        care,
        glue('contact-solvent'),
      )
    expect(said(early, 'w')[0]).toBe(NO_HEAT_ON_WET)
    expect(said(withWarm('contact-solvent')!, 'w')).not.toContain(NO_HEAT_ON_WET)
    expect(said(withWarm('contact-solvent')!, 'w')).toEqual(expect.arrayContaining([...HEAT_CAUTIONS]))
    const wait = list.find(({ kind }) => kind === 'wait')!
    expect(said(list, wait.id).join(' ')).toMatch(/flammable/i)
    expect(said(list, list.at(-1)!.id)).toEqual([])
    expect([NO_HEAT_ON_WET, ...HEAT_CAUTIONS].join(' ')).not.toMatch(/\bsafe\b/)
  })
})
