import { sameRecord, type Entry } from '../../core/records/entry'
import type { Check } from './checking'
import type { BenchRecords } from './records'
import type { Placed } from './stored'

/** What was put in order in the log of an older bench. */
export interface Mending {
  /** labels of entries that stood behind a hole and were brought back */
  broughtBack: string[]
  /** labels of entries that no longer fit what stands there: kept aside, not applied */
  aside: string[]
}

/**
 * Applies the entries that are not folded in yet. Older versions could leave a hole in the log, where their replay
 * stopped, and could fill it later, which brought old edits back over newer ones: what stands behind a hole comes back
 * as far as it fits, and what an older state expects is kept aside.
 * @param loadCheck the check of an entry, which only a log with a hole needs
 * @returns the entries that stand, in order, and what had to be mended (null: nothing)
 */
export async function replay(
  records: BenchRecords,
  through: number,
  pending: readonly Placed[],
  loadCheck: () => Promise<Check>,
): Promise<{ fitting: Entry[]; aside: Placed[]; mending: Mending | null }> {
  const fitting: Entry[] = []
  const aside: Placed[] = []
  const broughtBack: string[] = []
  const firstHole = pending.findIndex(({ seq }, i) => seq !== through + 1 + i)
  const check = firstHole < 0 ? null : await loadCheck()
  const hole = check !== null
  pending.forEach((one, i) => {
    const behind = check !== null && i >= firstHole
    if (behind ? fitsNow(records, one.entry, check) : standsOn(records, one.entry)) {
      records.apply(one.entry.changes)
      fitting.push(one.entry)
      if (behind) broughtBack.push(one.entry.label)
    } else aside.push(one)
  })
  const mending = hole || aside.length ? { broughtBack, aside: aside.map(({ entry }) => entry.label) } : null
  return { fitting, aside, mending }
}

/** Whether what an entry found before it is what stands there. */
const standsOn = (records: BenchRecords, entry: Entry): boolean => {
  const before = new Map<string, unknown>()
  return entry.changes.every(({ table, id, before: expected, after }) => {
    const key = `${table} ${id}`
    const current = before.has(key) ? before.get(key) : records.get(table, id)
    before.set(key, after)
    return sameRecord(current, expected)
  })
}

function fitsNow(records: BenchRecords, entry: Entry, check: Check): boolean {
  try {
    check(entry, records)
    return true
  } catch {
    return false
  }
}
