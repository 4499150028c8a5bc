import { readBenchFile } from '../../core/formats/benchFile'
import { sayError } from '../../core/messages'
import { now } from '../bench/clock'
import { addBench, listAgain, listBenches, unlistedBenches } from '../bench/library'
import { copies } from '../bench/secondCopy'
import { plural } from '../look/figures'
import { momentName } from '../look/times'
import { lookInto } from './lookInto'

/**
 * With an empty list: benches that are here all the same, and second copies of those that are not.
 * @returns what to say
 */
export async function listWhatIsHere(): Promise<string[]> {
  const said: string[] = []
  for (const id of await unlistedBenches()) {
    const found = await lookInto(id)
    if (!found.bench) continue
    await listAgain(id, found.bench)
    said.push(`“${found.bench.name}” was here, but on no list: it is listed again.`)
  }
  if ((await listBenches()).length === 0)
    for (const copy of await copies())
      said.push(...(await bringBack(copy.bench, 'The browser had lost its store.')).said)
  return said
}

/** A bench from its second copy. @returns its new id, or null when there is no copy of use */
export async function bringBack(benchId: string, why: string): Promise<{ id: string | null; said: string[] }> {
  const copy = (await copies()).find((one) => one.bench === benchId)
  if (!copy) return { id: null, said: [] }
  try {
    const { tables, aside } = readBenchFile(copy.text)
    const id = await addBench(tables)
    const lost = aside.length ? ` ${plural(aside.length, 'row')} of it could not be read.` : ''
    const name = tables.bench[0]!.name
    const at = momentName(copy.savedAt, now())
    return { id, said: [`${why} “${name}” was brought back from its second copy of ${at}.${lost}`] }
  } catch (error) {
    return { id: null, said: [`${why} Its second copy cannot be read either: ${sayError(error)}`] }
  }
}
