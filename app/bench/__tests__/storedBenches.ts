import { readdirSync, readFileSync } from 'node:fs'
import { gunzipSync } from 'node:zlib'

/** A bench as a build of the app's own history laid it down in the browser, and as that build exported it then. */
export interface StoredBench {
  name: string
  /** the commit whose build laid it down */
  laidDownBy: string
  version: number
  /** of the bench; its database is called after it */
  id: string
  databases: Record<string, { version: number; stores: Record<string, [string, unknown][]> }>
  /** the bench file that the build wrote of it */
  file: unknown
}

/** from the root of the project, where every test and script runs */
export const STORED = 'app/bench/__tests__/stored'
/** All of them, the oldest first; `npm run lay-down` adds today's. */
export const storedBenches: StoredBench[] = readdirSync(STORED)
  .sort()
  .map((name) => ({
    ...(JSON.parse(gunzipSync(readFileSync(`${STORED}/${name}`)).toString()) as StoredBench),
    name: name.replace('.json.gz', ''),
  }))

/** Puts its databases into the browser, as they lay there. */
export async function layDown({ databases }: StoredBench): Promise<void> {
  for (const [name, { version, stores }] of Object.entries(databases))
    await new Promise<void>((done, fail) => {
      const asked = indexedDB.open(name, version)
      asked.onupgradeneeded = () => Object.keys(stores).forEach((store) => asked.result.createObjectStore(store))
      asked.onerror = () => fail(asked.error!)
      asked.onsuccess = () => {
        const transaction = asked.result.transaction(Object.keys(stores), 'readwrite')
        for (const [store, cells] of Object.entries(stores))
          for (const [key, value] of cells) transaction.objectStore(store).put(value, key)
        transaction.oncomplete = () => (asked.result.close(), done())
        transaction.onabort = () => fail(transaction.error!)
      }
    })
}

/** All cells of a database as they lie there now. */
export const cellsOf = (name: string, store = 'ledger'): Promise<[string, unknown][]> =>
  new Promise((done) => {
    const asked = indexedDB.open(name)
    asked.onsuccess = () => {
      const cells = asked.result.transaction(store).objectStore(store)
      const [keys, values] = [cells.getAllKeys(), cells.getAll()]
      values.onsuccess = () => {
        asked.result.close()
        done(keys.result.map((key, i) => [String(key), values.result[i] as unknown]))
      }
    }
  })
