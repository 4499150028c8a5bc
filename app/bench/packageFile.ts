import { unzipSync, zipSync, type Zippable } from 'fflate'
import Papa from 'papaparse'
import { CodedError } from '../../core/errors'
import { readBenchFile, type BenchFileRead } from '../../core/formats/benchFile'
import {
  csvPath,
  DESCRIPTOR,
  describePackage,
  photoPath,
  readPackage,
  type PhotoFile,
} from '../../core/formats/dataPackage'
import type { Sheet } from '../../core/formats/tabular'
import { namedPhotos } from '../../core/records/photosNamed'
import { tableNames, type Tables } from '../../core/records/tables'

export const ZIP_TYPE = 'application/zip'
/** What a package may hold in all once it is unpacked: a small file that grows beyond measure is no bench. */
const MOST_BYTES = 2e9

/** A sheet as the text of a CSV file, with the mark that tells a spreadsheet its encoding. */
export const csvText = ({ columns, rows }: Sheet): string =>
  `\ufeff${Papa.unparse([columns.map(({ name }) => name), ...rows], { newline: '\r\n' })}\r\n`

/**
 * The data package of a bench.
 * @param photoOf the pixels of a photo; null where this browser has them not: the package then goes without
 * @param onProgress told 0…1 after each file
 */
export async function packageBytes(
  tables: Tables,
  savedAt: number,
  photoOf: (id: string) => Promise<Blob | null>,
  onProgress: (done: number) => void = () => {},
): Promise<Uint8Array<ArrayBuffer>> {
  const ids = namedPhotos(tables)
  const photos: PhotoFile[] = []
  const files: Zippable = {}
  const steps = ids.length + tableNames.length + 1
  let step = 0
  for (const id of ids) {
    const blob = await photoOf(id)
    if (blob) {
      const path = photoPath(id, blob.type)
      photos.push({ id, path, mediatype: blob.type || 'image/jpeg', bytes: blob.size })
      // Photos are packed already.
      files[path] = [new Uint8Array(await blob.arrayBuffer()), { level: 0 }]
    }
    onProgress(++step / steps)
  }
  const { descriptor, sheets } = describePackage(tables, savedAt, photos)
  const encoder = new TextEncoder()
  for (const table of tableNames) {
    files[csvPath(table)] = encoder.encode(csvText(sheets[table]))
    onProgress(++step / steps)
  }
  files[DESCRIPTOR] = encoder.encode(JSON.stringify(descriptor, null, 1))
  return zipSync(files, { level: 6 }) as Uint8Array<ArrayBuffer>
}

/** What a file of a bench held. */
export interface AnyBenchRead extends BenchFileRead {
  photos: { id: string; blob: Blob }[]
}

/**
 * Reads a bench file or a data package, whichever it is.
 * @throws CodedError not-a-bench-file, newer-version, damaged
 */
export async function readAnyBench(file: Blob, onProgress: (done: number) => void = () => {}): Promise<AnyBenchRead> {
  const bytes = new Uint8Array(await file.arrayBuffer())
  onProgress(0.1)
  const isZip = bytes[0] === 0x50 && bytes[1] === 0x4b
  if (!isZip) return { ...readBenchFile(new TextDecoder().decode(bytes)), photos: [] }
  const files = unpacked(bytes)
  onProgress(0.4)
  const decoder = new TextDecoder()
  const under = folderOf(files)
  const text = (path: string) => {
    const found = files[under + path]
    return found ? decoder.decode(found).replace(/^\ufeff/, '') : null
  }
  const descriptor = text(DESCRIPTOR)
  if (descriptor === null) throw new CodedError('not-a-bench-file', DESCRIPTOR, { detail: `it has no ${DESCRIPTOR}` })
  let done = 0.4
  const read = readPackage(descriptor, (path) => {
    onProgress((done = Math.min(0.95, done + 0.5 / tableNames.length)))
    const csv = text(path)
    return csv === null ? null : Papa.parse<string[]>(csv, { skipEmptyLines: true }).data
  })
  const named = new Set(namedPhotos(read.tables))
  const photos = read.photos.flatMap(({ id, path, mediatype }) => {
    const found = files[under + path]
    const type = mediatype === 'image/png' ? mediatype : 'image/jpeg'
    return found && named.has(id) ? [{ id, blob: new Blob([found as Uint8Array<ArrayBuffer>], { type }) }] : []
  })
  return { ...read, photos }
}

/** A package that was packed again by hand may lie in a folder of its own. */
const folderOf = (files: Record<string, Uint8Array>): string =>
  Object.keys(files)
    .find((path) => path === DESCRIPTOR || path.endsWith(`/${DESCRIPTOR}`))
    ?.slice(0, -DESCRIPTOR.length) ?? ''

function unpacked(bytes: Uint8Array): Record<string, Uint8Array> {
  let total = 0
  const bad = (detail: string) => new CodedError('damaged', 'zip', { field: 'the package', detail })
  try {
    const files = unzipSync(bytes, { filter: ({ originalSize }) => (total += originalSize) <= MOST_BYTES })
    if (total > MOST_BYTES) throw bad('it grows too large')
    return files
  } catch (error) {
    throw error instanceof CodedError ? error : bad((error as Error).message)
  }
}
