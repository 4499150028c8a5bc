import { describe, expect, it } from 'vitest'
import type { Change, Entry } from './entry'
import { isTwin } from './twins'

/** A press that plans a coupon and a reading of it, with ids, moments and numbers of its own. */
function press(by: { id: string; at: number; code: string }, changed: Partial<Entry> = {}, note = ''): Entry {
  const coupon = { id: `${by.id} coupon`, code: by.code, plannedAt: by.at, note }
  const reading = { id: `${by.id} reading`, coupon: coupon.id, at: by.at, steps: [{ step: 'old', at: by.at }] }
  const changes = [
    { table: 'coupon', id: coupon.id, before: null, after: coupon },
    { table: 'reading', id: reading.id, before: null, after: reading },
    { table: 'joint', id: 'j1', before: { id: 'j1', name: 'Rib' }, after: { id: 'j1', name: 'Ribs' } },
  ] as unknown as Change[]
  return { kind: 'do', of: null, changes, at: by.at, label: 'Log', seq: 1, ...changed } as unknown as Entry
}
const first = { id: 'a', at: 1, code: 'H1' }
const second = { id: 'b', at: 2, code: 'H2' }

describe('the same press twice', () => {
  it('is the same but for its ids, its moments and its running numbers', () => {
    expect(isTwin(press(first), press(second))).toBe(true)
  })
  it('is another one where anything else differs', () => {
    expect(isTwin(press(first), press(second, {}, 'a twist'))).toBe(false)
    expect(isTwin(press(first), press(second, { kind: 'undo' } as Partial<Entry>))).toBe(false)
    expect(isTwin(press(first), press(second, { of: 3 } as unknown as Partial<Entry>))).toBe(false)
    const shorter = press(second)
    expect(isTwin(press(first), { ...shorter, changes: shorter.changes.slice(0, 2) })).toBe(false)
  })
  it('is another one where it points to another thing that was there before', () => {
    const elsewhere = press(second)
    const [coupon, reading, joint] = elsewhere.changes
    const moved = { ...reading!, after: { ...reading!.after!, coupon: 'old one' } } as unknown as Change
    expect(isTwin(press(first), { ...elsewhere, changes: [coupon!, moved, joint!] })).toBe(false)
  })
})
