import Papa from 'papaparse'
import { CodedError } from '../../core/errors'
import { readBenchFile, type BenchFileRead } from '../../core/formats/benchFile'
import { cellsFit } from '../../core/formats/cells'
import { csvPath, DESCRIPTOR, readPackage } from '../../core/formats/dataPackage'
import { namedPhotos } from '../../core/records/photosNamed'
import { tableNames } from '../../core/records/tables'
import { tooLarge, unpacked } from './unpack'

const MB = 1_000_000
/** What is read of each kind of file; ten years of pulls and their traces stay far below. */
export const MOST = { text: 200 * MB, table: 60 * MB, descriptor: 10 * MB, photo: 40 * MB } as const
/** Read in one go, so that progress is told in between. */
const SLICE = 4 * MB

/** What a file of a bench held. */
export interface AnyBenchRead extends BenchFileRead {
  photos: { id: string; blob: Blob }[]
}

/**
 * Reads a bench file or a data package, whichever it is.
 * @throws CodedError not-a-bench-file, newer-version, damaged, too-large
 */
export async function readAnyBench(file: Blob, onProgress: (done: number) => void = () => {}): Promise<AnyBenchRead> {
  try {
    const start = new Uint8Array(await file.slice(0, 2).arrayBuffer())
    const isZip = start[0] === 0x50 && start[1] === 0x4b
    if (isZip) return await readPackageFile(file, onProgress)
    if (file.size > MOST.text) throw tooLarge('The bench file', file.size, MOST.text)
    const text = await textOf(file, (done) => onProgress(0.5 * done))
    return { ...readBenchFile(text), photos: [] }
  } catch (error) {
    // The engine itself gives up: a text, a list or a buffer beyond what it can hold.
    if (error instanceof RangeError)
      throw new CodedError('too-large', '', { field: 'The file', detail: 'this browser cannot hold what is in it' })
    throw error
  }
}

async function textOf(file: Blob, onProgress: (done: number) => void): Promise<string> {
  const decoder = new TextDecoder()
  const pieces: string[] = []
  for (let at = 0; at < file.size; at += SLICE) {
    pieces.push(decoder.decode(await file.slice(at, at + SLICE).arrayBuffer(), { stream: true }))
    onProgress(Math.min(1, (at + SLICE) / file.size))
  }
  pieces.push(decoder.decode())
  return pieces.join('')
}

const isTable = (path: string) =>
  tableNames.some((table) => path === csvPath(table) || path.endsWith(`/${csvPath(table)}`))
const isDescriptor = (path: string) => path === DESCRIPTOR || path.endsWith(`/${DESCRIPTOR}`)
const isPhoto = (path: string) => /(^|\/)photos\/[^/]+$/.test(path)
/** How large a file of a package may be; null: it is none of a package's, and is passed over. */
const mostOf = (path: string): number | null =>
  isDescriptor(path) ? MOST.descriptor : isTable(path) ? MOST.table : isPhoto(path) ? MOST.photo : null

async function readPackageFile(file: Blob, onProgress: (done: number) => void): Promise<AnyBenchRead> {
  const files = await unpacked(file, mostOf, (done) => onProgress(0.5 * done))
  // A package that was packed again by hand may lie in a folder of its own.
  const under = [...files.keys()].find(isDescriptor)?.slice(0, -DESCRIPTOR.length)
  if (under === undefined) throw new CodedError('not-a-bench-file', DESCRIPTOR, { detail: `it has no ${DESCRIPTOR}` })
  const texts = new Map<string, string>()
  for (const path of [DESCRIPTOR, ...tableNames.map(csvPath)]) {
    const found = files.get(under + path)
    if (found) texts.set(path, (await textOf(found, () => {})).replace(/^\ufeff/, ''))
  }
  let done = 0.5
  const read = readPackage(texts.get(DESCRIPTOR)!, (path) => {
    onProgress((done = Math.min(0.95, done + 0.45 / tableNames.length)))
    const csv = texts.get(path)
    if (csv === undefined) return null
    cellsFit(csv, path)
    return Papa.parse<string[]>(csv, { skipEmptyLines: true }).data
  })
  const named = new Set(namedPhotos(read.tables))
  const photos = read.photos.flatMap(({ id, path, mediatype }) => {
    const found = files.get(under + path)
    const type = mediatype === 'image/png' ? mediatype : 'image/jpeg'
    return found && named.has(id) ? [{ id, blob: new Blob([found], { type }) }] : []
  })
  return { ...read, photos }
}
