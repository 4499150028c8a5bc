import { COPIES } from './anyCopy'
import { foremost, givesWay, type CopyOrder, type Mark } from './copyOrder'

/**
 * A second copy of each bench, in the browser's private file system, which stands apart from its databases: when the
 * browser throws a database away, the bench comes back from here. Two files take turns, so that one of them is always
 * whole; a copy that parts from what stands now (the browser brought an older database back) is kept beside them.
 */
export interface Copy {
  bench: string
  /** ms, by the clock of that moment: shown, and nothing else */
  savedAt: number
  order: CopyOrder | null
  /** a bench file */
  text: string
}

async function folder(): Promise<FileSystemDirectoryHandle | null> {
  try {
    return await (await navigator.storage.getDirectory()).getDirectoryHandle(COPIES, { create: true })
  } catch {
    return null // The browser has none, or refuses: the database is all there is.
  }
}

const nameOf = (bench: string, turn: number) => `${bench}.${turn}.json`
const benchOf = (name: string) => name.split('.')[0]!
/** Order and moment stand at the start of its text: the rest need not be read to tell. */
const HEAD_BYTES = 4000

interface Look extends Omit<Copy, 'text'> {
  name: string
  whole: boolean
  file: File | null
}

async function lookAt(place: FileSystemDirectoryHandle, name: string): Promise<Look> {
  const nothing = { name, bench: benchOf(name), savedAt: 0, order: null, whole: false, file: null }
  try {
    const file = await (await place.getFileHandle(name)).getFile()
    const [head, tail] = [await file.slice(0, HEAD_BYTES).text(), await file.slice(-20).text()]
    const savedAt = Number(/"savedAt":\s*(\d+)/.exec(head)?.[1] ?? NaN)
    const order = /^\{"order":(\{.*\}),\n/.exec(head)?.[1]
    return {
      ...nothing,
      savedAt: savedAt || 0,
      order: order === undefined ? null : (JSON.parse(order) as CopyOrder),
      // A file that was cut off ends in the middle.
      whole: Number.isFinite(savedAt) && tail.trimEnd().endsWith('}'),
      file,
    }
  } catch {
    return nothing
  }
}

async function namesIn(place: FileSystemDirectoryHandle, bench?: string): Promise<string[]> {
  const names: string[] = []
  for await (const name of place.keys()) if (bench === undefined || benchOf(name) === bench) names.push(name)
  return names.sort()
}

/**
 * Writes a copy of a bench.
 * @param text the bench file
 * @param mark how far it goes
 * @param has whether the entries of the bench go through another copy's mark
 * @returns whether the browser took it
 */
export async function writeCopy(
  bench: string,
  text: string,
  mark: Mark,
  has: (mark: Mark) => Promise<boolean>,
): Promise<boolean> {
  const place = await folder()
  if (!place) return false
  const there = await Promise.all((await namesIn(place, bench)).map((name) => lookAt(place, name)))
  const looked = await Promise.all(
    there.map(async (one) => ({ ...one, continued: one.order ? await has(one.order) : true })),
  )
  const at = givesWay(looked)
  const taken = new Set(there.map(({ name }) => name))
  const free = () => [1, 2, 3, 4].map((turn) => nameOf(bench, turn)).find((name) => !taken.has(name))!
  const continues = looked.flatMap(({ order, continued }) =>
    order && continued ? [{ entries: order.entries, last: order.last }] : [],
  )
  const order: CopyOrder = { ...mark, continues }
  try {
    const handle = await place.getFileHandle(at === null ? free() : there[at]!.name, { create: true })
    const file = await handle.createWritable()
    await file.write(`{"order":${JSON.stringify(order)},\n${text.slice(text.indexOf('{') + 1)}`)
    await file.close()
    return true
  } catch {
    return false
  }
}

/** The copies of each bench that nothing continues: one, or those that part, that with the most entries first. */
export async function copies(): Promise<Copy[]> {
  const place = await folder()
  if (!place) return []
  const looked = await Promise.all((await namesIn(place)).map((name) => lookAt(place, name)))
  const whole = looked.filter((one) => one.whole)
  const benches = [...new Set(whole.map(({ bench }) => bench))]
  const best = benches.flatMap((bench) => foremost(whole.filter((one) => one.bench === bench)))
  return Promise.all(
    best.map(async ({ bench, savedAt, order, file }) => ({ bench, savedAt, order, text: await file!.text() })),
  )
}

/** Benches of which there is a copy, whole or not. */
export async function copiedBenches(): Promise<Set<string>> {
  const place = await folder()
  return new Set(place ? (await namesIn(place)).map(benchOf) : [])
}

export async function dropCopies(bench: string): Promise<void> {
  const place = await folder()
  if (place) for (const name of await namesIn(place, bench)) await place.removeEntry(name).catch(() => {})
}
