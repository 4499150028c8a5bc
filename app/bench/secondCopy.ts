import { COPIES } from './anyCopy'

/**
 * A second copy of each bench, in the browser's private file system, which stands apart from its databases: when the
 * browser throws a database away, the bench comes back from here. Two files take turns, so that one of them is always
 * whole.
 */
export interface Copy {
  bench: string
  savedAt: number
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
/** When a copy was made stands near the start of its text; the rest need not be parsed to tell. */
const savedAtOf = (text: string): number => Number(/"savedAt":\s*(\d+)/.exec(text.slice(0, 200))?.[1] ?? 0)

async function readText(place: FileSystemDirectoryHandle, name: string): Promise<string> {
  try {
    return await (await (await place.getFileHandle(name)).getFile()).text()
  } catch {
    return ''
  }
}

/** Whole: a file that was cut off ends in the middle. */
const whole = (text: string) => text.trimEnd().endsWith('}') && savedAtOf(text) > 0

/** Writes the copy over the older of the two. @returns whether the browser took it */
export async function writeCopy(bench: string, text: string): Promise<boolean> {
  const place = await folder()
  if (!place) return false
  const [one, two] = await Promise.all([1, 2].map((turn) => readText(place, nameOf(bench, turn))))
  const turn = savedAtOf(one!) <= savedAtOf(two!) || !whole(one!) ? 1 : 2
  try {
    const file = await (await place.getFileHandle(nameOf(bench, turn), { create: true })).createWritable()
    await file.write(text)
    await file.close()
    return true
  } catch {
    return false
  }
}

/** The newest whole copy of each bench. */
export async function copies(): Promise<Copy[]> {
  const place = await folder()
  if (!place) return []
  const newest = new Map<string, Copy>()
  for await (const name of place.keys()) {
    const bench = name.split('.')[0]!
    const text = await readText(place, name)
    const savedAt = savedAtOf(text)
    if (whole(text) && savedAt > (newest.get(bench)?.savedAt ?? 0)) newest.set(bench, { bench, savedAt, text })
  }
  return [...newest.values()]
}

/** Benches of which there is a copy, whole or not. */
export async function copiedBenches(): Promise<Set<string>> {
  const place = await folder()
  const found = new Set<string>()
  if (place) for await (const name of place.keys()) found.add(name.split('.')[0]!)
  return found
}

export async function dropCopies(bench: string): Promise<void> {
  const place = await folder()
  for (const turn of [1, 2]) await place?.removeEntry(nameOf(bench, turn)).catch(() => {})
}
