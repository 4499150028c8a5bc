import { realpathSync, statSync } from 'node:fs'
import { join, sep } from 'node:path'

/**
 * The built file that a path asks for.
 * @param path of the request, as it came
 * @returns its place on the disk; 'page' for what has the form of a page's address; null for what is not there: hidden
 * files, folders, and what leads out of the built app, by dots or by a link
 */
export function builtFile(dist: string, path: string): string | 'page' | null {
  let plain: string
  try {
    plain = decodeURIComponent(path)
  } catch {
    return null
  }
  const parts = plain.split('/').filter(Boolean)
  if (/[\0\\]/.test(plain) || parts.some((part) => part.startsWith('.'))) return null
  const root = realpathSync(dist)
  try {
    const place = realpathSync(join(root, ...parts))
    if (place.startsWith(root + sep) && statSync(place).isFile()) return place
  } catch {
    // Nothing of that name.
  }
  // Addresses of pages have no ending; a folder of the built app is none of them.
  return parts[0] === 'assets' || /\.[a-z0-9]{1,8}$/i.test(parts.at(-1) ?? '') ? null : 'page'
}
