/** Whether a database exists, asked without making it: localForage makes one by opening it. */

/**
 * Opens a database as it stands.
 * @param store made with the database, in one step, where it is missing; null: a missing one stays missing
 * @returns null where there is none
 * @throws the browser's own error, which the package would hide behind "no storage method found"
 */
export function openDatabase(name: string, store: string | null): Promise<IDBDatabase | null> {
  return new Promise((resolve, reject) => {
    const asked = indexedDB.open(name)
    let missing = false
    asked.onupgradeneeded = () => {
      if (store !== null) return void asked.result.createObjectStore(store)
      missing = true
      asked.transaction!.abort()
    }
    asked.onsuccess = () => {
      asked.result.onversionchange = () => asked.result.close()
      resolve(asked.result)
    }
    asked.onerror = (event) => {
      event.preventDefault()
      if (missing) resolve(null)
      else reject(asked.error ?? new DOMException('The browser did not open its database.', 'UnknownError'))
    }
  })
}

/** Takes a database away; tabs that have it open let go of it and hear of it. */
export function dropDatabase(name: string): Promise<void> {
  if (!hasDatabases()) return Promise.resolve(dropPlain(name))
  return new Promise((resolve, reject) => {
    const asked = indexedDB.deleteDatabase(name)
    asked.onsuccess = () => resolve()
    asked.onerror = () => reject(asked.error ?? new DOMException(`${name} was not taken away`, 'UnknownError'))
  })
}

/** Names of the databases of this origin; none where the browser does not tell. */
export async function databaseNames(): Promise<string[]> {
  if (!hasDatabases()) return plainNames()
  if (typeof indexedDB.databases !== 'function') return []
  return (await indexedDB.databases()).flatMap(({ name }) => (name ? [name] : []))
}

/** Whether the browser has databases at all. Without them localForage keeps to its local storage. */
export const hasDatabases = (): boolean => typeof indexedDB !== 'undefined'
const hasPlainStorage = (): boolean => {
  try {
    return typeof localStorage !== 'undefined' && localStorage !== null
  } catch {
    return false // Blocked: even to look is refused.
  }
}

/** localForage writes its keys there as "name/store/key". */
const plainKeys = () => (hasPlainStorage() ? Object.keys(localStorage).filter((key) => /^[^/]+\/\w+\//.test(key)) : [])
const plainNames = () => [...new Set(plainKeys().map((key) => key.slice(0, key.indexOf('/'))))]
function dropPlain(name: string): void {
  for (const key of plainKeys()) if (key.startsWith(`${name}/`)) localStorage.removeItem(key)
}
