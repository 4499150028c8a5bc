/** What the browser hands over when a file is opened with the installed app; not every browser knows it. */
interface LaunchQueue {
  setConsumer(take: (params: { files?: readonly FileSystemFileHandle[] }) => void): void
}
const WAIT_MS = 1500

/** The file that another app shared with this one, kept by the service worker; taken once. */
async function shared(): Promise<File | null> {
  if (typeof caches === 'undefined') return null
  const cache = await caches.open('paste-incoming')
  const found = await cache.match('/incoming-file')
  if (!found) return null
  await cache.delete('/incoming-file')
  const name = decodeURIComponent(found.headers.get('X-Name') ?? 'bench file')
  return new File([await found.blob()], name)
}

/** The file that was opened with the installed app; null where there is none. */
function launched(): Promise<File | null> {
  const queue = (window as { launchQueue?: LaunchQueue }).launchQueue
  if (!queue) return Promise.resolve(null)
  return new Promise((resolve) => {
    setTimeout(() => resolve(null), WAIT_MS)
    queue.setConsumer(({ files }) => void files?.[0]?.getFile().then(resolve, () => resolve(null)))
  })
}

/** A file that came from outside of the app; null where none did. */
export const incomingFile = async (): Promise<File | null> => (await shared().catch(() => null)) ?? (await launched())
