import { describe, expect, it } from 'vitest'
import { familyOf } from '../knowledge/families'
import type { Brief } from '../records/joint'
import { openBrief } from '../records/openBrief'
import type { CriteriaInput } from './item'
import { desirability } from './rank'
import { lineUpS, usableItems } from './usable'

const facts = ['epoxy-slow', 'hotmelt-low', 'contact-solvent'].map((family) => ({
  procedure: family,
  family,
  cureH: 1,
  handledH: 1,
  costPerJoint: null,
  handsOnMinutes: 1,
}))
const itemsOf = (patch: Partial<Brief>) =>
  usableItems({ brief: { ...openBrief(), ...patch }, facts } as unknown as CriteriaInput)
const valuesOf = (patch: Partial<Brief>) => {
  const [item] = itemsOf(patch)
  const { from } = item!
  return from.kind === 'fixed' ? { item: item!, values: from.values } : null!
}

describe('what the tables say of using a glue', () => {
  it('is asked only where the brief asks', () => {
    expect(itemsOf({})).toEqual([])
    expect(itemsOf({ repositionS: 0 })).toEqual([])
    expect(itemsOf({ flex: 'band', repositionS: 60 }).map(({ criterion }) => criterion.id)).toEqual([
      'bends',
      'line-up',
    ])
  })
  it('is a band where neither stiff nor floppy is good, and a slope where one of them is asked', () => {
    const rigid = familyOf('epoxy-slow')
    expect(rigid.flex).toBe('rigid')
    const d = (flex: NonNullable<Brief['flex']>, value: number) =>
      desirability(valuesOf({ flex }).item.criterion, value)
    expect([0, 1, 2, 3].map((one) => d('band', one) + 0)).toEqual([0, 1, 1, 0])
    expect([0, 1, 2, 3].map((one) => d('must-flex', one))).toEqual([0, expect.closeTo(1 / 3, 12), 1, 1])
    expect([0, 1, 2, 3].map((one) => d('must-be-stiff', one))).toEqual([1, expect.closeTo(1 / 3, 12), 0, 0])
    expect(valuesOf({ flex: 'band' }).values['epoxy-slow']).toBe(0)
  })
  it('takes a film that grabs at once for a second to line it up, and open time else', () => {
    expect(lineUpS(familyOf('contact-solvent'))).toBe(1)
    expect(lineUpS({ openS: 420, traits: [] })).toBe(420)
    expect(lineUpS({ openS: Infinity, traits: [] })).toBe(86_400)
    expect(valuesOf({ repositionS: 60 }).item.basis['epoxy-slow']).toBe('known')
  })
})
