import { Unzip, UnzipInflate } from 'fflate'
import { CodedError } from '../../core/errors'

/** What all files of a package may hold together once they are unpacked. */
const MOST_IN_ALL = 2_000_000_000
const MOST_FILES = 20_000
/** Unpacked at a time: what comes out of it is at most a thousand times as much. */
const SLICE = 16_384
/** Progress is told, and what waits may come in between, after so many slices. */
const SLICES_A_TURN = 64

const mb = (bytes: number) => `${Math.ceil(bytes / 1e6)} MB`
export const tooLarge = (field: string, got: number, most: number): CodedError =>
  new CodedError('too-large', '', { field, detail: `${mb(got)}, where up to ${mb(most)} are read` })
const damaged = (detail: string) => new CodedError('damaged', 'zip', { field: 'the package', detail })

/**
 * Unpacks files of a zip, with every size bounded while it grows: what its list of contents says of sizes is believed
 * by nobody.
 * @param mostOf how many bytes a file of this path may have; null: it is passed over
 * @param onProgress told 0…1 of the zip
 * @throws CodedError too-large, damaged (a broken zip, one path twice)
 */
export async function unpacked(
  zip: Blob,
  mostOf: (path: string) => number | null,
  onProgress: (done: number) => void = () => {},
): Promise<Map<string, Blob>> {
  const files = new Map<string, Blob>()
  const begun = new Set<string>()
  let seen = 0
  let inAll = 0
  const unzip = new Unzip((entry) => {
    if (++seen > MOST_FILES)
      throw new CodedError('too-large', '', { field: 'The package', detail: `more than ${MOST_FILES} files are in it` })
    const most = mostOf(entry.name)
    if (most === null) return
    if (begun.has(entry.name)) throw damaged(`“${entry.name}” is in it twice`)
    begun.add(entry.name)
    const pieces: Uint8Array<ArrayBuffer>[] = []
    let size = 0
    entry.ondata = (error, piece, last) => {
      if (error) throw error
      size += piece.length
      inAll += piece.length
      if (size > most) throw tooLarge(`“${entry.name}”`, size, most)
      if (inAll > MOST_IN_ALL) throw tooLarge('What is in the package', inAll, MOST_IN_ALL)
      pieces.push(piece as Uint8Array<ArrayBuffer>)
      if (last) files.set(entry.name, new Blob(pieces.splice(0)))
    }
    entry.start()
  })
  unzip.register(UnzipInflate)
  try {
    for (let from = 0; from < zip.size; from += SLICE * SLICES_A_TURN) {
      const turn = new Uint8Array(await zip.slice(from, from + SLICE * SLICES_A_TURN).arrayBuffer())
      for (let at = 0; at < turn.length; at += SLICE)
        unzip.push(turn.subarray(at, at + SLICE), from + at + SLICE >= zip.size)
      onProgress(Math.min(1, (from + turn.length) / zip.size))
    }
  } catch (error) {
    if (error instanceof CodedError || error instanceof RangeError) throw error
    throw damaged((error as Error).message)
  }
  if (!seen) throw damaged('it is no zip, or not all of one')
  const half = [...begun].find((path) => !files.has(path))
  if (half !== undefined) throw damaged(`“${half}” ends in the middle`)
  return files
}
