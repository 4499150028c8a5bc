import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { update } from '../../core/records/entry'
import { buildDemoBench } from '../../demo/bench'
import { copyBench } from '../bench/copyBench'
import { Ledger } from '../bench/ledger'
import { addBench, benchStorage, listBenches, removeBench } from '../bench/library'
import { photoOf, photoPlaces } from '../bench/photos'
import { copies } from '../bench/secondCopy'
import { browserCells } from '../storage/browserCells'
import { databaseNames, dropDatabase } from '../storage/databases'
import { privateFiles } from '../testing/privateFiles'
import { bringBack, bringBackFrom, listWhatIsHere } from './recovery'

const NOW = Date.parse('2026-11-24T18:00:00')
const YEAR = 365 * 86_400_000
let place: ReturnType<typeof privateFiles>
beforeEach(async () => {
  place = privateFiles()
  vi.stubGlobal('navigator', { storage: place.storage })
  for (const { id } of await listBenches()) await removeBench(id)
})

let ids = 0
async function opened(id: string) {
  const storage = benchStorage(id)
  const ledger = new Ledger(storage, { now: () => NOW, newId: () => `r${++ids}`, announce: () => {} })
  await ledger.open()
  const rename = async (name: string) =>
    void (await ledger.commit(name, [update('joint', ledger.records.all('joint')[0]!, { name })]))
  return { ledger, rename, close: () => storage.close() }
}
const nameIn = async (id: string) => {
  const { ledger, close } = await opened(id)
  close()
  return ledger.records.all('joint')[0]!.name
}
const everything = (id: string) =>
  browserCells(`paste-bench-${id}`, 'ledger', false).run('read', (turn) => turn.range('', '~'))
async function putBack(id: string, cells: [string, unknown][]) {
  const now = await everything(id)
  await browserCells(`paste-bench-${id}`, 'ledger', false).run('write', async (turn) => {
    for (const [key] of now) await turn.remove(key)
    for (const [key, value] of cells) await turn.put(key, value)
  })
}

describe('a bench brought back', () => {
  it('is the one that goes furthest, whatever the clocks said', async () => {
    const id = await addBench(buildDemoBench(NOW))
    const { rename, close } = await opened(id)
    await rename('First')
    // A clock a year ahead, then one 400 days back.
    await copyBench({ bench: id, now: NOW + YEAR })
    await rename('Second')
    await copyBench({ bench: id, now: NOW })
    await rename('Third')
    await copyBench({ bench: id, now: NOW - 400 * 86_400_000 })
    close()
    expect([...place.files.keys()].sort()).toEqual([`${id}.1.json`, `${id}.2.json`])
    expect(await copies()).toHaveLength(1)
    await dropDatabase(`paste-bench-${id}`)
    const back = await bringBack(id, 'It was gone.')
    expect(await nameIn(back.id!)).toBe('Third')
    expect(back.said).toHaveLength(1)
  })

  it('stands in both forms where its copies part: the browser had brought an older state back', async () => {
    const id = await addBench(buildDemoBench(NOW))
    const first = await opened(id)
    await first.rename('Before')
    first.close()
    const older = await everything(id)
    const ahead = await opened(id)
    await ahead.rename('Ahead one')
    await ahead.rename('Ahead two')
    ahead.close()
    await copyBench({ bench: id, now: NOW })
    await putBack(id, older)
    const behind = await opened(id)
    for (const n of [1, 2, 3, 4]) {
      await behind.rename(`Another way ${n}`)
      await copyBench({ bench: id, now: NOW + n })
    }
    behind.close()
    const found = await copies()
    expect(found.map(({ order }) => order!.entries)).toEqual([5, 3])
    const back = await bringBack(id, '')
    expect(await nameIn(back.id!)).toBe('Another way 4')
    expect(back.said[1]).toMatch(/Another copy of it.*Benches offers it too/)
    const other = await bringBackFrom(found[1]!, '')
    expect(await nameIn(other.id!)).toBe('Ahead two')
  })

  it('takes its photos along, names those that are missing, and makes no store for what never had one', async () => {
    const tables = buildDemoBench(NOW)
    tables.coupon[0]!.photos = ['p1', 'p2', 'away'].map((photo) => ({ id: photo, at: NOW, width: 2, height: 2 }))
    const id = await addBench(tables, [{ id: 'p1', blob: new Blob(['pixels']) }])
    await browserCells(`paste-photos-${id}`, 'photos', true).run('write', (turn) =>
      turn.put('away', { blob: null, at: NOW, file: 'old.zip' }),
    )
    await copyBench({ bench: id, now: NOW })
    await dropDatabase(`paste-bench-${id}`)
    const back = await bringBack(id, 'It was gone.')
    expect(back.said[0]).toMatch(/2 photos came along\. 1 photo could not be found in this browser\./)
    expect(await (await photoOf(back.id!, 'p1'))!.text()).toBe('pixels')
    expect((await photoPlaces(back.id!)).get('away')).toEqual({ file: 'old.zip' })

    await dropDatabase(`paste-photos-${id}`)
    const again = await bringBack(id, '')
    expect(again.said[0]).toMatch(/3 photos could not be found/)
    expect(await databaseNames()).not.toContain(`paste-photos-${id}`)
  })

  it('comes back from copies where the list and all stores are gone; half a copy is passed over', async () => {
    const id = await addBench(buildDemoBench(NOW))
    const { rename, close } = await opened(id)
    await copyBench({ bench: id, now: NOW })
    await rename('Whole')
    await copyBench({ bench: id, now: NOW })
    close()
    const best = [...place.files].find(([, text]) => text.includes('"Whole"'))!
    place.files.set('other.1.json', best[1].slice(0, 5000))
    await removeFromList(id)
    await dropDatabase(`paste-bench-${id}`)
    const said = await listWhatIsHere()
    expect(said).toEqual([expect.stringMatching(/^The browser had lost its store\. “Lantern heron” was brought back/)])
    const [listed] = await listBenches()
    expect(await nameIn(listed!.id)).toBe('Whole')
  })
})

async function removeFromList(id: string) {
  const { changeIndex } = await import('../bench/library')
  await changeIndex((index) => (index.benches = index.benches.filter((one) => one.id !== id)))
}

describe('a store that did not come back whole', () => {
  it('is told: empty, without its first page, or without a table', async () => {
    const id = await addBench(buildDemoBench(NOW))
    const { rename, close } = await opened(id)
    await rename('Once')
    close()
    const cells = await everything(id)
    const without = (out: (key: string) => boolean) =>
      putBack(
        id,
        cells.filter(([key]) => !out(key)),
      )
    await without((key) => key === 'head')
    await expect(opened(id)).rejects.toMatchObject({
      code: 'bench-damaged',
      facts: {
        detail: expect.stringMatching(/first page is missing; 1 of its changes and \d+ of its tables/) as string,
      },
    })
    await without((key) => key.startsWith('table:joint'))
    await expect(opened(id)).rejects.toMatchObject({
      code: 'bench-damaged',
      facts: { detail: 'its table “joint” is missing' },
    })
    await without(() => true)
    await expect(opened(id)).rejects.toMatchObject({
      code: 'bench-gone',
      facts: { detail: 'its store came back empty' },
    })
  })
})
