import { shallowReactive } from 'vue'
import { newInstance } from './instances'

/** Small things that this browser keeps beside the benches. */
interface Settings {
  /** the bench that was opened last, in whichever tab */
  openBench: string
  appearance: 'light' | 'dark' | 'as the system'
  alarms: boolean
  /** when each bench was last kept in a file outside the browser, ms */
  lastFile: Record<string, number>
}

/** Where earlier builds kept them, in the browser's local storage. */
const earlier: { [K in keyof Settings]: [key: string, read: (text: string) => Settings[K] | undefined] } = {
  openBench: ['paste-bench-open', (text) => text],
  appearance: ['paste-bench-look', (text) => (text === 'light' || text === 'dark' ? text : undefined)],
  alarms: ['paste-bench alarms', (text) => text === 'on'],
  lastFile: ['paste-bench-last-file', (text) => JSON.parse(text) as Record<string, number>],
}

const values = shallowReactive<Partial<Settings>>({})
let instance: LocalForage | null = null
const settings = () => (instance ??= newInstance('paste-settings', 'settings'))

function adopt<K extends keyof Settings>(name: K): void {
  const [key, read] = earlier[name]
  try {
    const text = localStorage.getItem(key)
    if (text === null) return
    const value = read(text)
    if (value !== undefined && values[name] === undefined) keepSetting(name, value)
    localStorage.removeItem(key)
  } catch {
    // Blocked, or no such text as was written there: nothing to take over.
  }
}

/** Reads all of them, once, before the first page; what an earlier build kept elsewhere is taken over. */
export async function readSettings(): Promise<void> {
  await settings().iterate((value, key) => void ((values as Record<string, unknown>)[key] ??= value))
  for (const name of Object.keys(earlier) as (keyof Settings)[]) adopt(name)
}

/** Followed by what shows it: it may come after the page. undefined: never chosen. */
export const setting = <K extends keyof Settings>(name: K): Settings[K] | undefined =>
  values[name] as Settings[K] | undefined

/** Kept at once for this visit, and in the browser as soon as it can; a browser that keeps nothing asks again. */
export function keepSetting<K extends keyof Settings>(name: K, value: Settings[K]): void {
  values[name] = value
  void settings()
    .setItem(name, value)
    .catch(() => {})
}
