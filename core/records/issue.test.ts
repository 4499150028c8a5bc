import { describe, expect, it } from 'vitest'
import * as z from 'zod/mini'
import { issueWords } from './issue'

const said = (schema: z.ZodMiniType, value: unknown) => issueWords(schema.safeParse(value).error!.issues[0]!)

describe('what a schema found wrong, in words', () => {
  it('says what was expected', () => {
    expect(said(z.number(), 'x')).toBe('number expected')
    expect(said(z.enum(['wet', 'dry']), 'damp')).toBe('one of wet, dry expected')
    expect(said(z.number().check(z.gte(1)), 0)).toBe('at least 1 expected')
    expect(said(z.number().check(z.gt(1)), 1)).toBe('at least 1 expected, and more than it')
    expect(said(z.number().check(z.lte(9)), 10)).toBe('at most 9 expected')
    expect(said(z.string().check(z.regex(/^a+$/)), 'b')).toBe('another form of text expected (/^a+$/)')
    expect(said(z.union([z.number(), z.boolean()]), 'x')).toBe('none of the known shapes fits')
    expect(said(z.number().check(z.refine((n) => n > 3, 'more than three')), 1)).toBe('more than three')
  })
})
