import { describe, expect, it } from 'vitest'
import type { Change } from './entry'
import type { RecordReader } from './integrity'
import { takenBack } from './takeBack'

const joint = (changed: object = {}) => ({ id: 'j1', name: 'Rib', code: 'H1', note: '', ...changed })
const standing = (now: object | null) => ({ get: () => now }) as unknown as RecordReader
const change = (before: object | null, after: object | null): Change =>
  ({ table: 'joint', id: 'j1', before, after }) as unknown as Change

describe('a change that is laid around what came in between', () => {
  const back = change(joint({ name: 'Ribs' }), joint())
  it('sets only the field that it is about', () => {
    const out = takenBack([back], standing(joint({ name: 'Ribs', note: 'by another tab' })))
    expect(out).toEqual([change(joint({ name: 'Ribs', note: 'by another tab' }), joint({ note: 'by another tab' }))])
  })
  it('is refused where that field was changed since', () => {
    expect(takenBack([back], standing(joint({ name: 'Spar' })))).toBeNull()
  })
  it('is refused where the record was taken away, and where a record to be taken away or made stands there', () => {
    expect(takenBack([back], standing(null))).toBeNull()
    expect(takenBack([change(joint(), null)], standing(joint({ note: 'kept' })))).toBeNull()
    expect(takenBack([change(null, joint())], standing(joint()))).toBeNull()
  })
  it('makes again what was taken away, where nothing stands in its place', () => {
    expect(takenBack([change(null, joint())], standing(null))).toEqual([change(null, joint())])
  })
  it('is all of it or nothing', () => {
    expect(takenBack([back, change(null, joint())], standing(joint({ name: 'Ribs' })))).toBeNull()
  })
})
