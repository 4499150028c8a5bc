import { describe, expect, it } from 'vitest'
import * as z from 'zod/mini'
import { benchSchema } from './bench'
import { emptyBench } from './emptyBench'
import { amount, count, day, id, LARGEST, moment, positive, share, SMALLEST, within, words } from './fields'
import { issueWords } from './issue'
import { briefSchema } from './joint'
import { nextJointCode, openBrief } from './openBrief'

const takes = (schema: z.core.$ZodType, value: unknown) => z.safeParse(schema as z.ZodMiniType, value).success
const fault = (schema: z.core.$ZodType, value: unknown) => {
  const { error } = z.safeParse(schema as z.ZodMiniType, value)
  return error ? issueWords(error.issues[0]!) : ''
}

describe('the parts of records', () => {
  it.each<[string, z.core.$ZodType, unknown[], unknown[]]>([
    [
      'a number',
      within,
      [0, -0, SMALLEST, -SMALLEST, LARGEST, -LARGEST],
      [9e-7, -9e-7, 1e9 + 1, -1e9 - 1, NaN, Infinity],
    ],
    ['an amount', amount, [0, SMALLEST, LARGEST], [9e-7, -1, LARGEST * 1.01]],
    ['what is above zero', positive, [SMALLEST, LARGEST], [0, 9e-7, -1, LARGEST * 1.01]],
    ['a count', count, [1, 1_000_000], [0, 1.5, 1_000_001]],
    ['a share', share, [0, 1], [-0.01, 1.01]],
    ['an id', id, ['a', 'a'.repeat(64)], ['', 'a'.repeat(65)]],
    ['words', words, ['a', 'a'.repeat(4000)], ['', 'a'.repeat(4001)]],
    [
      'a day',
      day,
      ['2026-12-31', '2026-01-09'],
      ['2026-13-01', '2026-00-10', '2026-1-1', '2026-12-32', '2026-12-00', 'x2026-12-12', '2026-12-12x'],
    ],
    ['a moment', moment, [0, Date.UTC(9999, 11, 31)], [-1, 0.5, Date.UTC(9999, 11, 31) + 1]],
  ])('%s keeps its bounds', (_, schema, good, bad) => {
    for (const value of good) expect(takes(schema, value), String(value)).toBe(true)
    for (const value of bad) expect(takes(schema, value), String(value)).toBe(false)
  })

  it('an empty bench and an open brief are whole records that claim nothing', () => {
    const bench = emptyBench('b', 'Bench', 5)
    expect(takes(benchSchema, bench)).toBe(true)
    expect(bench).toMatchObject({ kind: 'own', room: null, ratePerHour: 0, gauge: { limitN: 490, resolutionN: 0.5 } })
    expect(Object.values(bench.hands)).toEqual([[], [], [], []])
    expect(takes(briefSchema, openBrief())).toBe(true)
    const { a, b, ...rest } = openBrief()
    for (const side of [a, b]) expect(Object.values(side).every((value) => value === null)).toBe(true)
    expect(Object.entries(rest).filter(([, value]) => value !== null && value !== '')).toEqual([])
  })

  it('the next joint’s code follows the highest, with the first one’s letter', () => {
    expect(nextJointCode([])).toBe('J1')
    expect(nextJointCode([], 'H')).toBe('H1')
    expect(nextJointCode(['H1', 'H12', 'H3'])).toBe('H13')
    expect(nextJointCode(['Hx'], 'K')).toBe('H1')
  })
})

describe('what a schema found wrong', () => {
  it('is said in words, with what was expected', () => {
    expect(fault(z.number(), 'x')).toBe('number expected')
    expect(fault(z.enum(['own', 'demo']), 'x')).toBe('one of own, demo expected')
    expect(fault(amount, -1)).toBe('at least 0 expected')
    expect(fault(z.number().check(z.gt(2)), 2)).toBe('at least 2 expected, and more than it')
    expect(fault(share, 2)).toBe('at most 1 expected')
    expect(fault(z.string().check(z.regex(/^a$/)), 'b')).toBe('another form of text expected (/^a$/)')
    expect(fault(z.union([z.number(), z.boolean()]), 'b')).toBe('none of the known shapes fits')
    expect(fault(within, 1e-9)).toBe('0, or at least 0.000001 expected')
  })
})
