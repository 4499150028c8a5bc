import { describe, expect, it } from 'vitest'
import { seededRandom } from '../planning/random'
import { borrow, type Cell, type PulledCell } from './borrow'

/**
 * The same model solved the long way, sharing no code: normal equations of the parameters m, a, b, c with their priors,
 * by Gauss-Jordan elimination; a cell's shift is the sum of its parameters, its variance from the inverse.
 */
function longWay(pulled: readonly PulledCell[], cell: Cell): { shift: number; sd: number } {
  const key = ({ pair }: Cell) => pair.split('|').sort().join('|')
  const names = new Set<string>()
  const of = (one: Cell) => [`m ${one.maker ?? ''}`, `a ${key(one)}`, `b ${one.family}`, `c ${key(one)} ${one.family}`]
  for (const one of [...pulled, cell]) for (const name of of(one)) names.add(name)
  const list = [...names]
  const n = list.length
  const precision = list.map((name, i) => list.map((_, j) => (i === j ? 1 / (name.startsWith('m ') ? 0.25 : 0.16) : 0)))
  const right = list.map(() => 0)
  for (const one of pulled) {
    const at = of(one).map((name) => list.indexOf(name))
    for (const i of at) {
      right[i]! += (one.mean - one.table) / one.sd ** 2
      for (const j of at) precision[i]![j]! += 1 / one.sd ** 2
    }
  }
  const rows = precision.map((row, i) => [...row, ...list.map((_, j) => (i === j ? 1 : 0))])
  for (let i = 0; i < n; i++) {
    const pivot = rows[i]![i]!
    rows[i] = rows[i]!.map((value) => value / pivot)
    for (let k = 0; k < n; k++)
      if (k !== i) {
        const factor = rows[k]![i]!
        rows[k] = rows[k]!.map((value, j) => value - factor * rows[i]![j]!)
      }
  }
  const covariance = rows.map((row) => row.slice(n))
  const mean = covariance.map((row) => row.reduce((sum, value, j) => sum + value * right[j]!, 0))
  const at = of(cell).map((name) => list.indexOf(name))
  return {
    shift: at.reduce((sum, i) => sum + mean[i]!, 0),
    sd: Math.sqrt(at.reduce((sum, i) => sum + at.reduce((part, j) => part + covariance[i]![j]!, 0), 0)),
  }
}

const cell = (pair: string, family: string, table = 0): Cell => ({ pair, family, table })
const pull = (pair: string, family: string, table: number, mean: number, sd: number): PulledCell => ({
  pair,
  family,
  table,
  mean,
  sd,
})

describe('the tables corrected by own pulls', () => {
  it('agree with a linear solve of the whole model to 0.1 %', () => {
    const random = seededRandom(10)
    const pick = (list: string[]) => list[Math.floor(random() * list.length)]!
    const [pairs, families] = [
      ['x|y', 'y|x', 'x|z', 'z|w'],
      ['f', 'g', 'h'],
    ]
    for (let run = 0; run < 200; run++) {
      const pulled = Array.from({ length: Math.floor(random() * 7) }, () => ({
        ...pull(pick(pairs), pick(families), random() * 2 - 1, random() * 3 - 1.5, 0.05 + random()),
        ...(random() < 0.3 && { maker: 'another' }),
      }))
      const asked = cell(pick(pairs), pick(families), random())
      const [got] = borrow(pulled, [asked])
      const { shift, sd } = longWay(pulled, asked)
      expect(got!.correction / Math.exp(shift)).toBeCloseTo(1, 6)
      expect(got!.median / Math.exp(asked.table + shift)).toBeCloseTo(1, 6)
      expect(got!.high90 / got!.low90 / Math.exp(2 * 1.6448536 * sd)).toBeCloseTo(1, 5)
    }
  })

  it('without pulls are the tables, as wide as the priors', () => {
    const [one] = borrow([], [cell('x|y', 'f', Math.log(2))])
    expect(one).toMatchObject({ pair: 'x|y', family: 'f', correction: 1 })
    expect(one!.median).toBeCloseTo(2, 9)
    // sd = √(0.25 + 3 · 0.16)
    expect(one!.high90).toBeCloseTo(2 * Math.exp(1.6448536 * Math.sqrt(0.73)), 5)
  })

  it('move the pulled cell most, then what shares its pair or family, then the rest, and by hand for one pull', () => {
    const pulled = [pull('x|y', 'f', 0, 1, 0.5)]
    const [own, pair, family, other] = borrow(pulled, [
      cell('y|x', 'f'),
      cell('x|y', 'g'),
      cell('z|w', 'f'),
      cell('z|w', 'g'),
    ]).map(({ correction }) => Math.log(correction))
    // covariance ÷ (0.73 + 0.25)
    expect(own).toBeCloseTo(0.73 / 0.98, 9)
    expect(pair).toBeCloseTo(0.41 / 0.98, 9)
    expect(family).toBeCloseTo(0.41 / 0.98, 9)
    expect(other).toBeCloseTo(0.25 / 0.98, 9)
  })

  it('take another maker’s pulls with an offset of their own: they tell less of one’s own joints', () => {
    const pulled = (maker?: string) => [{ ...pull('x|y', 'f', 0, 1, 0.5), ...(maker && { maker }) }]
    const [own] = borrow(pulled(), [cell('x|y', 'f')])
    const [others] = borrow(pulled('m2'), [cell('x|y', 'f')])
    // covariance without the maker’s part: 0.48 ÷ 0.98
    expect(Math.log(others!.correction)).toBeCloseTo(0.48 / 0.98, 9)
    expect(Math.log(own!.correction)).toBeCloseTo(0.73 / 0.98, 9)
    // Two benches that are off the same way: the offset of one says nothing of the other.
    const both = borrow([...pulled(), ...pulled('m2')], [cell('z|w', 'g')])
    expect(both[0]!.correction).toBeLessThan(borrow(pulled(), [cell('z|w', 'g')])[0]!.correction)
  })

  it('narrow with every pull, and count a sure one for more', () => {
    const width = (pulled: PulledCell[]) => {
      const [one] = borrow(pulled, [cell('x|y', 'f')])
      return Math.log(one!.high90 / one!.low90)
    }
    const sure = pull('x|y', 'f', 0, 0.5, 0.1)
    const vague = pull('x|y', 'f', 0, 0.5, 1)
    expect(width([vague])).toBeLessThan(width([]))
    expect(width([sure])).toBeLessThan(width([vague]))
    expect(width([sure, pull('x|z', 'f', 0, 0.2, 0.1)])).toBeLessThan(width([sure]))
  })
})
