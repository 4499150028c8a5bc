import { describe, expect, it } from 'vitest'
import type { Item } from '../../../core/choice/criteria'
import { directed } from '../../../core/choice/item'
import { prepareRound, judge, standingOf, type WeighResult } from '../../../core/choice/weighRound'
import { whySchool } from './whyWeighed'

/** Full cure of two procedures with a must of 24 h and 8 h as plenty. */
const item = (values: Record<string, number>): Item => ({
  criterion: directed('cure', 'less', 'log', 24, 8),
  of: 'cure',
  name: 'full cure',
  unit: 'h',
  said: true,
  open: [],
  basis: { A: 'known', B: 'known' },
  from: { kind: 'fixed', values },
})

function linesOf(values: Record<string, number>, procedure: string, school: 'weakest-link' | 'knock-out' | 'points') {
  const items = [item(values)]
  const prepared = prepareRound({ items, procedures: ['A', 'B'], draws: 50, seed: 1 })
  const result = { ...judge(prepared, [1]), ...standingOf(prepared), needed: [] } as WeighResult
  return { result, lines: whySchool(school, { id: procedure, name: procedure }, result, items, [1]).lines.join(' ') }
}

describe('a must that is just met', () => {
  it('is met by every school: in by knocking out, and said to count nothing by the weakest link', () => {
    const { result, lines } = linesOf({ A: 24, B: 30 }, 'A', 'weakest-link')
    expect(lines).toMatch(/just meets what must be in full cure/)
    expect(result.winners['knock-out']).toBe('A')
    expect(linesOf({ A: 24, B: 30 }, 'A', 'knock-out').lines).not.toMatch(/just meets/)
  })

  it('is not said of a must that is missed, or met with some to spare', () => {
    expect(linesOf({ A: 24, B: 30 }, 'B', 'weakest-link').lines).not.toMatch(/just meets/)
    expect(linesOf({ A: 23.9, B: 30 }, 'A', 'weakest-link').lines).not.toMatch(/just meets/)
  })
})
