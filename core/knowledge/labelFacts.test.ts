import { describe, expect, it } from 'vitest'
import type { Adhesive } from '../records/shelf'
import { productFamily } from '../situation/label'
import { families, familyOf } from './families'
import { labelFactIds } from './labelFactIds'
import { factOf, labelFacts, withFacts } from './labelFacts'

describe('what a label declares', () => {
  it.each(labelFactIds)('%s: the family that is said to be so is so, and not when it is denied', (fact) => {
    for (const family of families) {
      const told = labelFacts[fact].usual
      const [yes, no] = [told(withFacts(family, { [fact]: true })), told(withFacts(family, { [fact]: false }))]
      if (['comesOffWater', 'healthWarning', 'animalFree'].includes(fact)) continue
      expect(yes, family.id).toBe(true)
      expect(no, family.id).toBe(fact === 'neutral' ? null : false)
    }
  })
  it('goes before what the family usually is, and says nothing where neither says', () => {
    const ca = familyOf('ca-gel')
    expect(factOf('foamSafe', ca, {})).toBe(false)
    expect(factOf('foamSafe', ca, { foamSafe: true })).toBe(true)
    expect(factOf('animalFree', ca, {})).toBeNull()
    expect(factOf('neutral', familyOf('pva-bookbinding'), {})).toBe(true)
    expect(factOf('neutral', ca, {})).toBeNull()
  })
  it('leaves alone what it does not speak of', () => {
    const pva = familyOf('pva-wood')
    expect(withFacts(pva, {})).toEqual(pva)
    expect(withFacts(pva, { animalFree: false, healthWarning: true })).toEqual(pva)
  })
  it('yields to a number or class that the label names itself', () => {
    const product: Adhesive = {
      id: 'p',
      name: 'p',
      family: 'pva-white',
      aliases: [],
      packSize: null,
      packUnit: 'ml',
      packPrice: null,
      label: { water: 'splash', facts: { washable: true, flexible: true } },
      note: '',
    }
    expect(productFamily(product)).toMatchObject({ water: 'splash', flex: 'flexible' })
    expect('facts' in productFamily(product)).toBe(false)
  })
})
