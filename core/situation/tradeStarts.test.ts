import { describe, expect, it } from 'vitest'
import { families } from '../knowledge/families'
import { materialClassOf } from '../knowledge/materials'
import { briefSchema } from '../records/joint'
import { openBrief } from '../records/openBrief'
import { stillProposed, tradeStarts, withStart, wordsOf } from './tradeStarts'

describe('usual joints to begin from', () => {
  it.each(tradeStarts.map((one) => [one.word, one] as const))('%s says a dozen words that a brief takes', (_, one) => {
    const { brief, proposed } = withStart(openBrief(), one)
    expect(briefSchema.safeParse(brief).success).toBe(true)
    expect(proposed).toEqual(wordsOf(one))
    expect(proposed.length).toBeGreaterThanOrEqual(11)
    for (const side of [brief.a, brief.b]) expect(() => materialClassOf(side.material!)).not.toThrow()
  })

  it('are some fifteen, each with its own name', () => {
    expect(tradeStarts.length).toBeGreaterThanOrEqual(15)
    expect(new Set(tradeStarts.map(({ word }) => word)).size).toBe(tradeStarts.length)
    expect(families.length).toBeGreaterThan(40)
  })

  it('fill what is open and leave what was said', () => {
    const spine = tradeStarts[0]!
    const said = { ...openBrief(), heatC: 60, a: { ...openBrief().a, material: 'card' } }
    const { brief, proposed } = withStart(said, spine)
    expect([brief.heatC, brief.a.material, brief.b.material]).toEqual([60, 'card', 'paper'])
    expect(proposed).not.toContain('heatC')
    expect(proposed).not.toContain('a.material')
    expect(proposed).toContain('geometry')
  })

  it('stay proposals until each is said', () => {
    const { brief, proposed } = withStart(openBrief(), tradeStarts[0]!)
    expect(stillProposed(proposed, brief, { heatC: 30 })).toEqual(proposed.filter((key) => key !== 'heatC'))
    const side = { a: { ...brief.a, material: 'card' } }
    expect(stillProposed(proposed, brief, side)).toEqual(proposed.filter((key) => key !== 'a.material'))
    expect(stillProposed(proposed, brief, { a: { ...brief.a } })).toEqual(proposed)
  })
})
