import { CodedError } from '../../core/errors'
import { sayError } from '../../core/messages'
import { hasCopies } from '../bench/anyCopy'
import {
  addBench,
  addEmptyBench,
  demoWasRemoved,
  departure,
  listBenches,
  rememberBench,
  rememberedBench,
  unlistedBenches,
} from '../bench/library'
import { now } from '../bench/clock'
import { saidByServer } from '../look/served'
import type { useBench } from '../bench/store'
import { piece } from '../look/piece'
import { dayWithYear } from '../look/times'
import { DAY_MS } from '../../core/quantities/days'

type Store = ReturnType<typeof useBench>

const wantsDemo = () => saidByServer()?.content === 'demo'

/** The demo builder is its own piece of code, loaded when it is needed. */
export async function addDemoBench(): Promise<string> {
  const { buildDemoBench } = await piece(() => import('../../demo/bench'))
  return addBench(buildDemoBench(now()))
}

const isBroken = (error: unknown): error is CodedError =>
  error instanceof CodedError && (error.code === 'bench-gone' || error.code === 'bench-damaged')

/** It is whole, and nothing is brought back in its place. */
const isNewer = (error: unknown): boolean => error instanceof CodedError && error.code === 'newer-bench'

/**
 * Opens the bench this tab had open; else the newest that can be opened; else, at the first visit, the demo bench
 * (`npm run demo`) or an empty one. What the browser lost is brought back from second copies, and said. Where the
 * browser keeps nothing, a bench in memory that says so.
 * @throws CodedError storage-silent
 */
export async function openSomeBench(bench: Store): Promise<void> {
  try {
    // What is only needed when something was lost is loaded then.
    const lost = !(await listBenches()).length && ((await unlistedBenches()).length > 0 || (await hasCopies()))
    const said = lost ? await (await piece(() => import('./recovery'))).listWhatIsHere() : []
    const id = await openFirst(bench, said)
    await rememberBench(id)
    const slow = clockWords(bench.history()[0]?.at ?? 0, now())
    if (slow) said.push(slow)
    if (said.length) bench.tell(said.join(' '), 'bad')
    setTimeout(() => void clearLater(), TIDY_AFTER_MS)
  } catch (error) {
    // A storage that hangs may still hold all: the maker says whether to wait for it.
    if (error instanceof CodedError && error.code === 'storage-silent') throw error
    await bench.openInMemory(
      `the browser refuses to keep data (${error instanceof Error ? error.message || error.name : String(error)})`,
    )
  }
}

/** A clock that stands so long before what was written by it was set back, ms. */
const SET_BACK_MS = DAY_MS

/** What is said of a clock that stands before the last change; null where it does not. */
export const clockWords = (last: number, at: number): string | null =>
  last - at < SET_BACK_MS
    ? null
    : `The clock of this machine says ${dayWithYear(at)}; your last change here was on ${dayWithYear(last)}. Set it ` +
      'right before you stamp a step: waits and cures are counted by it. Nothing is lost.'

/** What an earlier end cut off is cleared away a moment after the bench stands. */
const TIDY_AFTER_MS = 1500
const clearLater = () =>
  piece(() => import('../bench/leftovers'))
    .then(({ clearLeftovers }) => clearLeftovers(now()))
    .catch(() => {})

async function openFirst(bench: Store, said: string[]): Promise<string> {
  const benches = await listBenches()
  if (wantsDemo() && !benches.some(({ kind }) => kind === 'demo') && !(await demoWasRemoved())) {
    const id = await addDemoBench()
    await bench.open(id)
    return id
  }
  const remembered = rememberedBench()
  const replaced = remembered ? ((await departure(remembered))?.replacedBy ?? null) : null
  const wanted = [remembered, replaced].flatMap((id) => benches.find((one) => one.id === id) ?? [])
  for (const { id, name } of [...wanted, ...benches]) {
    try {
      await bench.open(id)
      return id
    } catch (error) {
      if (isNewer(error)) {
        said.push(`“${name}” was not opened: ${sayError(error)}`)
        continue
      }
      if (!isBroken(error)) throw error
      const { bringBack } = await piece(() => import('./recovery'))
      const back = await bringBack(id, `“${name}” could not be opened: ${sayError(error)}.`)
      said.push(...(back.said.length ? back.said : [`“${name}” could not be opened: ${sayError(error)}.`]))
      if (!back.id) continue
      await bench.open(back.id)
      return back.id
    }
  }
  const id = await addEmptyBench('My bench')
  await bench.open(id)
  return id
}
