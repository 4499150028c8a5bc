import { describe, expect, it } from 'vitest'
import { familyOf } from '../knowledge/families'
import { materialClassOf } from '../knowledge/materials'
import { procedureSchema, type Procedure } from '../records/procedure'
import { isUntreated, onFriendlySurface, untreated } from './controls'
import { differences } from './difference'
import { usualSteps } from './draft/usual'
import { needsOf, PULL_MIN } from './needs'

const glued: Procedure = {
  ...untreated('j', 'p', 'A'),
  name: 'Milky',
  family: 'contact-water',
  anyway: false,
  steps: usualSteps(familyOf('contact-water'), materialClassOf('foam-eva'), materialClassOf('foam-eva')),
}

describe('what the others are held against', () => {
  it('is the same glue on a friendly surface, and only that side differs', () => {
    const friendly = onFriendlySurface(glued, 'q', 'B')
    expect(friendly).toMatchObject({ id: 'q', letter: 'B', name: 'Milky, on raw card', family: 'contact-water' })
    expect(differences(friendly, glued)).toEqual([expect.stringMatching(/^prepare B: take raw card/)])
    expect(procedureSchema.safeParse(friendly).success).toBe(true)
  })
  it('is a piece that nothing touched: no glue is bought for it', () => {
    const piece = untreated('j', 'u', 'C')
    expect(procedureSchema.safeParse(piece).success).toBe(true)
    expect([isUntreated(piece), isUntreated(glued)]).toEqual([true, false])
    const of = (procedure: Procedure) => ({ procedure, family: familyOf(procedure.family), product: null, left: null })
    const arms = [{ test: 'spot' as const, size: {} }]
    const needs = needsOf([of(glued), of(piece)], arms, 3)
    expect(needs.glues.map(({ letters }) => letters)).toEqual([['A']])
    expect(needs.handsOnMinutes - needsOf([of(glued)], arms, 3).handsOnMinutes).toBe(3 * PULL_MIN)
  })
})
