import { zipSync, type Zippable } from 'fflate'
import Papa from 'papaparse'
import { csvPath, DESCRIPTOR, describePackage, photoPath, type PhotoFile } from '../../core/formats/dataPackage'
import type { Sheet } from '../../core/formats/tabular'
import { namedPhotos } from '../../core/records/photosNamed'
import { tableNames, type Tables } from '../../core/records/tables'

export const ZIP_TYPE = 'application/zip'

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
