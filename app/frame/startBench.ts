import { addBench, addEmptyBench, demoWasRemoved, listBenches, rememberBench, rememberedBench } from '../bench/library'
import { now } from '../bench/clock'
import type { useBench } from '../bench/store'

const wantsDemo = () => document.querySelector<HTMLMetaElement>('meta[name="paste-bench-start"]')?.content === 'demo'

/** The demo builder is its own piece of code, loaded when it is needed. */
export async function addDemoBench(): Promise<string> {
  const { buildDemoBench } = await import('../../demo/bench')
  return addBench(buildDemoBench(now()))
}

/**
 * Opens the bench this tab had open; else the newest; else, at the first visit, the demo bench (`npm run demo`) or an empty
 * one. Where the browser keeps nothing, a bench in memory that says so.
 */
export async function openSomeBench(bench: ReturnType<typeof useBench>): Promise<void> {
  try {
    let benches = await listBenches()
    let fresh: string | null = null
    if (wantsDemo() && !benches.some(({ kind }) => kind === 'demo') && !(await demoWasRemoved()))
      fresh = await addDemoBench()
    else if (benches.length === 0) fresh = await addEmptyBench('My bench')
    benches = await listBenches()
    const remembered = rememberedBench()
    const id = fresh ?? (benches.some((one) => one.id === remembered) ? remembered! : benches[0]!.id)
    await bench.open(id)
    await rememberBench(id)
  } catch (error) {
    await bench.openInMemory(
      `the browser refuses to keep data (${error instanceof Error ? error.message || error.name : String(error)})`,
    )
  }
}
