import { describe, expect, it } from 'vitest'
import type { AnyRecord } from '../../core/records/tables'
import { editOf, meet } from './edits'

const record = (patch: object) => ({ id: 'g', name: 'Milky', coats: 1, spread: 100, ...patch }) as unknown as AnyRecord
const wanted = (patch: object) => editOf('adhesive', record({}) as never, patch as never)
const there = (patch: object) => () => record(patch)

describe('an edit that meets what stands there now', () => {
  it('changes only what its form changed', () => {
    const { clashes, changes } = meet([wanted({ coats: 2 })], there({ spread: 120 }))!
    expect(clashes).toEqual([])
    expect(changes('theirs')).toEqual([
      { table: 'adhesive', id: 'g', before: record({ spread: 120 }), after: record({ spread: 120, coats: 2 }) },
    ])
  })
  it('takes the one or the other where both changed the same', () => {
    const { clashes, changes } = meet([wanted({ coats: 2, spread: 90 })], there({ coats: 3 }))!
    expect(clashes).toEqual([{ path: ['coats'], opened: 1, mine: 2, theirs: 3 }])
    expect(changes('mine').map(({ after }) => after)).toEqual([record({ coats: 2, spread: 90 })])
    expect(changes('theirs').map(({ after }) => after)).toEqual([record({ coats: 3, spread: 90 })])
  })
  it('writes nothing where nothing is left to change', () => {
    expect(meet([wanted({ coats: 2 })], there({ coats: 2 }))!.changes('mine')).toEqual([])
    expect(meet([wanted({ coats: 2 })], there({ coats: 3 }))!.changes('theirs')).toEqual([])
  })
  it('is none where one of its records is gone, whatever became of the others', () => {
    const get = (_: string, id: string) => (id === 'g' ? record({}) : null)
    expect(meet([wanted({ coats: 2 }), { ...wanted({}), opened: { ...record({}), id: 'x' } }], get)).toBeNull()
  })
  it('keeps the record’s own id', () => {
    expect(editOf('adhesive', record({}) as never, { id: 'other' } as never).mine.id).toBe('g')
  })
})
