import { databaseNames, dropDatabase } from '../storage/databases'
import { addingLock, changeIndex, INDEX, PREFIX, readIndex } from './library'
import { dropPhotos, PHOTOS } from './photos'
import { copiedBenches, dropCopies } from './secondCopy'

/** Without locks a bench that has been stored for so long was cut off, ms. */
const CUT_OFF_MS = 600_000

/** Whether nobody is storing this bench any more. */
async function isCutOff(id: string, at: number, now: number): Promise<boolean> {
  if (typeof navigator === 'undefined' || !navigator.locks) return now - at > CUT_OFF_MS
  return navigator.locks.request(addingLock(id), { ifAvailable: true }, (lock) => lock !== null)
}

/**
 * Finishes what was cut off when a tab or the browser ended: benches that were half stored, and what is left of those
 * that were taken away. A bench that is on the list is never touched, and nor is anything of an unknown one: its list
 * may have been lost.
 * @returns how many databases and copies were cleared away
 */
export async function clearLeftovers(now: number): Promise<number> {
  const { adding, benches, departed } = await readIndex()
  const listed = new Set(benches.map(({ id }) => id))
  const halves: string[] = []
  for (const { id, at } of adding) if (!listed.has(id) && (await isCutOff(id, at, now))) halves.push(id)
  const names = new Set(await databaseNames())
  const copied = await copiedBenches()
  let count = 0
  for (const id of [...halves, ...departed.map((one) => one.id).filter((id) => !listed.has(id))]) {
    if (names.has(PREFIX + id) && PREFIX + id !== INDEX) {
      await dropDatabase(PREFIX + id)
      count++
    }
    if (names.has(PHOTOS + id)) {
      await dropPhotos(id)
      count++
    }
    if (copied.has(id)) {
      await dropCopies(id)
      count++
    }
  }
  if (adding.length)
    await changeIndex(
      (index) => (index.adding = index.adding.filter(({ id }) => !listed.has(id) && !halves.includes(id))),
    )
  return count
}
