import type { Page } from '@playwright/test'

/** The log of the open bench as it stands in the browser's database, read without the app. */
export const logOf = (page: Page): Promise<{ seq: number; id: string; label: string; kind: string }[]> =>
  page.evaluate(
    () =>
      new Promise((resolve, reject) => {
        const open = indexedDB.open(`paste-bench-${sessionStorage.getItem('paste-bench-open')}`)
        open.onerror = () => reject(open.error)
        open.onsuccess = () => {
          const store = open.result.transaction('ledger').objectStore('ledger')
          const span = IDBKeyRange.bound('entry:', 'entry:~')
          const [keys, rows] = [store.getAllKeys(span), store.getAll(span)]
          rows.onsuccess = () => {
            open.result.close()
            const entries = rows.result as { id: string; label: string; kind: string }[]
            resolve(
              entries.map(({ id, label, kind }, i) => ({
                seq: Number(String(keys.result[i]).slice(6)),
                id,
                label,
                kind,
              })),
            )
          }
        }
      }),
  )
