import { readBenchFile } from '../../core/formats/benchFile'
import { sayError } from '../../core/messages'
import { now } from '../bench/clock'
import { addBench, listAgain, listBenches, unlistedBenches } from '../bench/library'
import { namedPhotos } from '../../core/records/photosNamed'
import { copyPhotos } from '../bench/photos'
import { copies, type Copy } from '../bench/secondCopy'
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
    for (const copy of await copies()) said.push(...(await bringBackFrom(copy, 'The browser had lost its store.')).said)
  return said
}

/**
 * A bench from its second copy, with its photos: those lie under the old bench's name.
 * @param benchId as it was called; of copies that part, the one that goes furthest
 * @returns its new id, or null when there is no copy of use
 */
export async function bringBack(benchId: string, why: string): Promise<{ id: string | null; said: string[] }> {
  const [copy, ...parted] = (await copies()).filter((one) => one.bench === benchId)
  if (!copy) return { id: null, said: [] }
  const back = await bringBackFrom(copy, why)
  const others = parted.map(
    ({ savedAt }) => `Another copy of it, of ${momentName(savedAt, now())}, goes its own way: Benches offers it too.`,
  )
  return { id: back.id, said: [...back.said, ...(back.id ? others : [])] }
}

/** The same from one copy. */
export async function bringBackFrom(copy: Copy, why: string): Promise<{ id: string | null; said: string[] }> {
  try {
    const { tables, aside } = readBenchFile(copy.text)
    const id = await addBench(tables)
    const lost = aside.length ? ` ${plural(aside.length, 'row')} of it could not be read.` : ''
    const name = tables.bench[0]!.name
    const at = momentName(copy.savedAt, now())
    const photos = await photosAlong(copy.bench, id, namedPhotos(tables))
    return {
      id,
      said: [`${why} “${name}” was brought back from its second copy of ${at}.${lost}${photos}`.trim()],
    }
  } catch (error) {
    return { id: null, said: [`${why} Its second copy cannot be read either: ${sayError(error)}`.trim()] }
  }
}

/** What is said of the photos of a bench that was brought back. */
async function photosAlong(from: string, to: string, named: readonly string[]): Promise<string> {
  if (!named.length) return ''
  const { came, missing } = await copyPhotos(from, to, named)
  const which = missing.length ? ` ${plural(missing.length, 'photo')} could not be found in this browser.` : ''
  return `${came ? ` ${plural(came, 'photo')} came along.` : ''}${which}`
}
