import { fileSave, supported } from 'browser-fs-access'
import { newInstance } from '../storage/instances'

/** A file outside the browser that is kept up to date, where the browser can write to one again. */
export interface KeptFile {
  handle: FileSystemFileHandle
  name: string
  /** ms, when it was last written */
  at: number
}
/** not every browser can ask again, and the usual types do not know those that can */
type Asking = FileSystemFileHandle & { requestPermission?: (of: { mode: 'readwrite' }) => Promise<PermissionState> }

let instance: LocalForage | null = null
const handles = () => (instance ??= newInstance('paste-keep', 'handles'))
export const canKeepUp = supported

/** The file that was chosen for a bench; null where none was, or the browser has no such thing. */
export async function keptFile(bench: string): Promise<KeptFile | null> {
  if (!canKeepUp) return null
  return handles()
    .getItem<KeptFile>(bench)
    .catch(() => null)
}

/**
 * Writes a bench file to the place that the maker chose; the first time, and for another one, the browser asks where.
 * @param anew asks for another place
 * @returns the file that is kept up to date; null where the browser only downloads
 * @throws DOMException AbortError where the maker closed the question, NotAllowedError where the browser refuses
 */
export async function writeOut(
  bench: string,
  fileName: string,
  text: string,
  now: number,
  anew = false,
): Promise<KeptFile | null> {
  const before = anew ? null : await keptFile(bench)
  const existing = before?.handle as Asking | undefined
  if (existing?.requestPermission && (await existing.requestPermission({ mode: 'readwrite' })) !== 'granted')
    throw new DOMException('The browser was not allowed to write to the file.', 'NotAllowedError')
  const handle = await fileSave(
    new Blob([text], { type: 'application/json' }),
    { fileName, extensions: ['.json'], id: 'paste-bench' },
    existing ?? null,
  )
  if (!handle) return null
  const kept: KeptFile = { handle, name: handle.name, at: now }
  await handles()
    .setItem(bench, kept)
    .catch(() => {})
  return kept
}
