import { describe, expect, it } from 'vitest'
import { pullOrder, pullOrderByTrust, trustOf } from './order'

describe('the least trusted first', () => {
  it('trusts the control most, then the hunch, and all others alike', () => {
    const trust = (one: string) => trustOf(one, 'C', ['B', 'A', 'D'])
    expect(['D', 'A', 'B', 'C'].map(trust)).toEqual([1, 2, 3, Infinity])
    expect([trustOf('A', null, null), trustOf('B', null, null)]).toEqual([0, 0])
    expect(trustOf('X', null, ['A'])).toBe(0)
  })

  it('pulls in that order, each kind shuffled in itself as the seed has it', () => {
    const coupons = ['A', 'B', 'C'].flatMap((letter) => [1, 2, 3, 4].map((block) => ({ letter, block })))
    const trust = ({ letter }: { letter: string }) => trustOf(letter, 'A', ['B', 'C'])
    for (let seed = 0; seed < 200; seed++) {
      const pulls = pullOrderByTrust(coupons, trust, seed)
      expect(pulls.map(({ letter }) => letter).join('')).toBe('CCCCBBBBAAAA')
      // Within one kind the order is the one of the shuffle.
      const shuffled = pullOrder(coupons, seed).filter(({ letter }) => letter === 'C')
      expect(pulls.slice(0, 4)).toEqual(shuffled)
    }
    const first = new Set(Array.from({ length: 40 }, (_, seed) => pullOrderByTrust(coupons, trust, seed)[0]!.block))
    expect(first.size).toBe(4)
  })
})
