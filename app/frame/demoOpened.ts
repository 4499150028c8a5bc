import { listBenches, rememberBench } from '../bench/library'
import type { useBench } from '../bench/store'
import { addDemoBench } from './startBench'

/** Opens the demo bench, made anew where there is none. */
export async function demoOpened(bench: ReturnType<typeof useBench>): Promise<void> {
  const id = (await listBenches()).find(({ kind }) => kind === 'demo')?.id ?? (await addDemoBench())
  await bench.open(id)
  await rememberBench(id)
}
