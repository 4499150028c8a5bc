import { dayOf } from '../../core/quantities/days'
/** Hands a text to the browser as a file to save. */
export const saveFile = (name: string, text: string, type = 'application/json'): void =>
  saveBlob(name, new Blob([text], { type }))

/** Hands bytes to the browser as a file to save. */
export function saveBlob(name: string, blob: Blob): void {
  const url = URL.createObjectURL(blob)
  const link = Object.assign(document.createElement('a'), { href: url, download: name })
  link.click()
  // The download has its own copy once it began.
  setTimeout(() => URL.revokeObjectURL(url), 10_000)
}

/** "heron-2026-11-24.bench.json" */
export const benchFileName = (benchName: string, at: number): string =>
  `${
    benchName
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '') || 'bench'
  }-${dayOf(at)}.bench.json`
