import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { emptyBench } from './emptyBench'
import { insert, remove, reversed, sameRecord, undoStacks, update, type Change, type Entry } from './entry'
import { isTwin } from './twins'

const heron = { id: 'b1', name: 'Heron', inServiceBy: null, budget: null, what: '' }
const entry = (id: string, kind: Entry['kind'], of: string | null = null, changes: Change[] = [], at = 0): Entry => ({
  id,
  at,
  label: id,
  kind,
  of,
  changes,
})
const ids = (entries: readonly Entry[]) => entries.map(({ id }) => id)

describe('changes', () => {
  it('hold a record before and after, and never give it another id', () => {
    expect(insert('build', heron)).toEqual({ table: 'build', id: 'b1', before: null, after: heron })
    expect(remove('build', heron)).toEqual({ table: 'build', id: 'b1', before: heron, after: null })
    expect(update('build', heron, { name: 'Owl', id: 'other' })).toEqual({
      table: 'build',
      id: 'b1',
      before: heron,
      after: { ...heron, name: 'Owl' },
    })
  })

  it('are taken back last first, before and after swapped', () => {
    const changes = [insert('build', heron), update('build', heron, { name: 'Owl' })]
    expect(reversed(changes)).toEqual([
      { table: 'build', id: 'b1', before: { ...heron, name: 'Owl' }, after: heron },
      { table: 'build', id: 'b1', before: heron, after: null },
    ])
    expect(changes[0]!.after).toEqual(heron)
    expect(reversed(reversed(changes))).toEqual(changes)
  })
})

describe('equality of records', () => {
  it('follows neither the order of keys nor keys without a value', () => {
    expect(sameRecord({ a: 1, b: { c: [1, 2] } }, { b: { c: [1, 2] }, a: 1 })).toBe(true)
    expect(sameRecord({ a: 1, b: undefined }, { a: 1 })).toBe(true)
    expect(sameRecord({ a: undefined }, { b: undefined })).toBe(true)
  })

  it.each([
    [{ a: 1 }, { a: 2 }],
    [{ a: 1 }, { b: 1 }],
    [{ a: 1 }, { a: 1, b: 2 }],
    [{ a: 1, b: 2 }, { a: 1 }],
    [{ a: null }, { a: 0 }],
    [{}, []],
    [[], {}],
    [
      [1, 2],
      [2, 1],
    ],
    [null, {}],
    [{}, null],
    ['1', 1],
    [{ a: 1 }, 'a'],
    [1, { a: 1 }],
    [undefined, null],
  ])('tells %j from %j', (one, two) => {
    expect(sameRecord(one, two)).toBe(false)
    expect(sameRecord(two, one)).toBe(false)
  })

  it('agrees with a comparison of sorted text', () => {
    const sorted = (value: unknown): string =>
      JSON.stringify(value, (_, one: unknown) =>
        typeof one === 'object' && one !== null && !Array.isArray(one)
          ? Object.fromEntries(Object.entries(one).sort(([x], [y]) => (x < y ? -1 : 1)))
          : one,
      )
    const plain = fc.jsonValue({ maxDepth: 3, noUnicodeString: true } as never)
    fc.assert(
      fc.property(plain, plain, (one, two) => {
        expect(sameRecord(one, structuredClone(one))).toBe(true)
        expect(sameRecord(one, two)).toBe(sorted(one) === sorted(two))
      }),
    )
  })
})

describe('undo and redo', () => {
  const some: Change[] = [{ table: 'joint', id: 'j', before: null, after: null }]
  const edit = (id: string) => entry(id, 'edit', null, some)
  const [a, b, c] = [edit('a'), edit('b'), edit('c')]

  it('move an edit over and back', () => {
    expect(ids(undoStacks([a, b]).undo)).toEqual(['a', 'b'])
    const undone = undoStacks([a, b, entry('u', 'undo', 'b')])
    expect([ids(undone.undo), ids(undone.redo)]).toEqual([['a'], ['b']])
    const redone = undoStacks([a, b, entry('u', 'undo', 'b'), entry('r', 'redo', 'b')])
    expect([ids(redone.undo), ids(redone.redo)]).toEqual([['a', 'b'], []])
  })

  it('take an older edit out of the middle, as another tab may have written since', () => {
    const { undo, redo } = undoStacks([a, b, c, entry('u', 'undo', 'b')])
    expect([ids(undo), ids(redo)]).toEqual([['a', 'c'], ['b']])
  })

  it('forget what could be redone at the next edit', () => {
    const { undo, redo } = undoStacks([a, entry('u', 'undo', 'a'), b, entry('r', 'redo', 'a')])
    expect([ids(undo), ids(redo)]).toEqual([['b'], []])
  })

  it('pass over a note in the history, which changed nothing and ends no redo', () => {
    const { undo, redo } = undoStacks([a, b, entry('u', 'undo', 'b'), entry('note', 'edit')])
    expect([ids(undo), ids(redo)]).toEqual([['a'], ['b']])
  })

  it('of an entry that is not there change nothing', () => {
    const { undo, redo } = undoStacks([a, entry('u', 'undo', 'gone'), entry('r', 'redo', 'a'), entry('v', 'undo')])
    expect([ids(undo), ids(redo)]).toEqual([['a'], []])
  })
})

describe('the same press twice', () => {
  const made = (id: string, at: number, name = 'Heron') =>
    entry(id, 'edit', null, [insert('build', { ...heron, id: `build-${id}`, name })], at)

  it('is known by its changes, whatever ids, moments and running numbers it gave out', () => {
    expect(isTwin(made('x', 1), made('y', 2))).toBe(true)
    expect(isTwin(made('x', 1), made('y', 2, 'Owl'))).toBe(false)
    const bench = (at: number) => insert('bench', { ...emptyBench('me', 'Bench', at) })
    expect(isTwin(entry('x', 'edit', null, [bench(1)]), entry('y', 'edit', null, [bench(2)]))).toBe(true)
    const numbered = (number: number, seed: number) =>
      entry('x', 'edit', null, [insert('round', { id: 'r', number, seed, blocks: 3 } as never)])
    expect(isTwin(numbered(1, 5), numbered(2, 6))).toBe(true)
  })

  it('follows fresh ids to what points to them, and leaves old ids as they are', () => {
    const both = (id: string, to: string) =>
      entry(id, 'edit', null, [
        insert('build', { ...heron, id: `b-${id}` }),
        insert('procedure', { id: `p-${id}`, joint: to, steps: [{ text: to }] } as never),
      ])
    expect(isTwin(both('x', 'b-x'), both('y', 'b-y'))).toBe(true)
    expect(isTwin(both('x', 'old'), both('y', 'old'))).toBe(true)
    expect(isTwin(both('x', 'old'), both('y', 'older'))).toBe(false)
    const renamed = (id: string) => entry('e', 'edit', null, [update('build', { ...heron, id }, { name: 'Owl' })])
    expect(isTwin(renamed('b1'), renamed('b1'))).toBe(true)
    expect(isTwin(renamed('b1'), renamed('b2'))).toBe(false)
  })

  it('is none when another number of changes, another kind or another edit is meant', () => {
    expect(isTwin(made('x', 1), { ...made('y', 2), kind: 'undo' })).toBe(false)
    expect(isTwin(made('x', 1), { ...made('y', 2), of: 'x' })).toBe(false)
    const more = { ...made('y', 2), changes: [...made('y', 2).changes, ...made('z', 2).changes] }
    expect(isTwin(made('x', 1), more)).toBe(false)
    expect(isTwin(more, made('x', 1))).toBe(false)
  })
})
