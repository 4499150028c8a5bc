import { expect, it } from 'vitest'
import { familyOf, type Family } from '../knowledge/families'
import type { Procedure } from '../records/procedure'
import { coverS } from '../screening/rules/cover'
import { batchWords, nextBatch } from './batch'

const glue: Family = { ...familyOf('epoxy-fast'), spreadGm2: 200, potLifeS: 300 }
const procedure = {
  coats: 1,
  spreadGm2: null,
  dilution: null,
  blend: null,
  steps: [{ kind: 'mix' }],
} as unknown as Procedure
const arms = [{ id: 'a1', test: 'lap-shear' as const, size: { widthMm: 25, overlapMm: 40 } }]
const left = (n: number) => Array.from({ length: n }, () => ({ arm: 'a1' }))

it('mixes for as many pieces as the pot life allows: 10 cm² at 200 g/m² and a tenth more is 0.22 g each', () => {
  const each = coverS(10, glue) + 30
  const allowed = Math.floor((0.7 * 300) / each)
  const batch = nextBatch(procedure, glue, left(40), arms)!
  expect(batch.pieces).toBe(allowed)
  expect(batch.grams).toBeCloseTo(Math.max(5, allowed * 0.22), 9)
  expect(nextBatch(procedure, { ...glue, spreadGm2: 20_000 }, left(2), arms)!.grams).toBeCloseTo(2 * 22, 9)
  expect(nextBatch(procedure, glue, left(2), arms)!.pieces).toBe(2)
  // One piece is mixed for, however short the pot life.
  expect(nextBatch(procedure, { ...glue, potLifeS: 1 }, left(2), arms)!.pieces).toBe(1)
})
it('says nothing where nothing is mixed or left', () => {
  expect(nextBatch({ ...procedure, steps: [] }, glue, left(3), arms)).toBeNull()
  expect(nextBatch(procedure, glue, [], arms)).toBeNull()
  expect(batchWords({ pieces: 4, grams: 5, potS: 720 })).toBe('Mix 5.00 g for the next 4 pieces; use it within 12 min.')
})
