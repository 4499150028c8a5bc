import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { mergeEdit, withMine } from './merge'

const glue = {
  name: 'Tin',
  packPrice: 9,
  label: { holdS: 60 },
  steps: [
    { id: 's1', text: 'a' },
    { id: 's2', text: 'b' },
  ],
  tags: ['x'],
}

describe('an edit on what was changed meanwhile', () => {
  it('keeps what each side changed where the other did not', () => {
    const mine = {
      ...glue,
      name: 'Tin, old',
      steps: [
        { id: 's1', text: 'mine' },
        { id: 's2', text: 'b' },
      ],
    }
    const theirs = {
      ...glue,
      packPrice: 12,
      label: { holdS: 60, fullS: 9 },
      steps: [
        { id: 's1', text: 'a' },
        { id: 's2', text: 'theirs' },
      ],
    }
    const { merged, clashes } = mergeEdit(glue, mine, theirs)
    expect(clashes).toEqual([])
    expect(merged).toEqual({
      ...glue,
      name: 'Tin, old',
      packPrice: 12,
      label: { holdS: 60, fullS: 9 },
      steps: [
        { id: 's1', text: 'mine' },
        { id: 's2', text: 'theirs' },
      ],
    })
  })

  it('shows both values where both changed the same, and keeps theirs until it is said', () => {
    const { merged, clashes } = mergeEdit(
      glue,
      { ...glue, packPrice: 10, tags: ['x', 'm'] },
      { ...glue, packPrice: 12, tags: ['x', 't'] },
    )
    expect(clashes).toEqual([
      { path: ['packPrice'], opened: 9, mine: 10, theirs: 12 },
      { path: ['tags'], opened: ['x'], mine: ['x', 'm'], theirs: ['x', 't'] },
    ])
    expect(merged.packPrice).toBe(12)
    expect(withMine(merged, clashes)).toEqual({ ...glue, packPrice: 10, tags: ['x', 'm'] })
  })

  it('finds no clash where both did the same, and finds a field taken away', () => {
    expect(mergeEdit(glue, { ...glue, packPrice: 10 }, { ...glue, packPrice: 10 }).clashes).toEqual([])
    const { packPrice, label, steps, tags } = glue
    const nameless = { packPrice, label, steps, tags }
    const { merged } = mergeEdit<Partial<typeof glue>>(glue, nameless, { ...glue, packPrice: 1 })
    expect(merged).toEqual({ ...nameless, packPrice: 1 })
  })

  it('reaches into a list of things with ids when it writes over a clash', () => {
    const step = (text: string) => ({ ...glue, steps: [glue.steps[0]!, { id: 's2', text }] })
    const { merged, clashes } = mergeEdit(glue, step('mine'), step('theirs'))
    expect(clashes[0]!.path).toEqual(['steps', 's2', 'text'])
    expect(withMine(merged, clashes)).toEqual(step('mine'))
  })

  it('takes a list of which only some things have ids as one value', () => {
    const list = (...rest: unknown[]) => ({ list: [{ id: 's1', text: 'a' }, ...rest] })
    const { clashes } = mergeEdit(list('x'), list('mine'), list('theirs'))
    expect(clashes.map(({ path, mine, theirs }) => [path, mine, theirs])).toEqual([
      [['list'], list('mine').list, list('theirs').list],
    ])
  })
  it('holds for any record: alone, an edit comes through whole; with mine put in, no clash is lost', () => {
    const record = fc.record({
      a: fc.integer(),
      b: fc.array(fc.integer(), { maxLength: 3 }),
      c: fc.record({ d: fc.boolean(), e: fc.string() }),
    })
    fc.assert(
      fc.property(record, record, record, (opened, mine, theirs) => {
        expect(mergeEdit(opened, mine, opened).merged).toEqual(mine)
        expect(mergeEdit(opened, opened, theirs).merged).toEqual(theirs)
        const { merged, clashes } = mergeEdit(opened, mine, theirs)
        const over = withMine(merged, clashes)
        // Whatever the form touched is as the form wants it.
        if (mine.a !== opened.a) expect(over.a).toBe(mine.a)
        else expect(over.a).toBe(theirs.a)
        if (mine.c.e !== opened.c.e) expect(over.c.e).toBe(mine.c.e)
      }),
    )
  })
})
