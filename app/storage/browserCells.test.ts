import 'fake-indexeddb/auto'
import { readFileSync, readdirSync } from 'node:fs'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { browserCells } from './browserCells'
import { CellsGone } from './cells'
import { databaseNames, dropDatabase, openDatabase } from './databases'
import { kept, SILENT_MS } from './instances'

afterEach(() => {
  vi.restoreAllMocks()
  vi.useRealTimers()
})
const read = (cells: ReturnType<typeof browserCells>, key = 'a') => cells.run('read', (turn) => turn.get(key))
const write = (cells: ReturnType<typeof browserCells>, value: unknown, key = 'a') =>
  cells.run('write', (turn) => turn.put(key, value))
/** A database as an earlier build of the app left it. */
const laidDown = (name: string, version: number, stores: string[], cells: Record<string, unknown>) =>
  new Promise<void>((done) => {
    const asked = indexedDB.open(name, version)
    asked.onupgradeneeded = () => stores.forEach((store) => asked.result.createObjectStore(store))
    asked.onsuccess = () => {
      const transaction = asked.result.transaction(stores[0]!, 'readwrite')
      for (const [key, value] of Object.entries(cells)) transaction.objectStore(stores[0]!).put(value, key)
      transaction.oncomplete = () => (asked.result.close(), done())
    }
  })
const layout = async (name: string) => {
  const database = (await openDatabase(name, null))!
  const is = { version: database.version, stores: [...database.objectStoreNames] }
  database.close()
  return is
}

describe('a database behind localForage', () => {
  it('that is missing stays missing, unless it is to be made', async () => {
    await expect(read(browserCells('none', 'ledger', false))).rejects.toBeInstanceOf(CellsGone)
    expect(await databaseNames()).not.toContain('none')
    await write(browserCells('made', 'ledger', true), 1)
    expect(await databaseNames()).toContain('made')
    expect(await layout('made')).toEqual({ version: 1, stores: ['ledger'] })
  })

  it.each([
    ['one store', 1, ['ledger']],
    ['the package’s own two', 2, ['ledger', 'local-forage-detect-blob-support']],
  ])('of an earlier build with %s opens as it is', async (_, version, stores) => {
    const name = `earlier ${version}`
    await laidDown(name, version, stores, { head: { through: 3 } })
    const cells = browserCells(name, 'ledger', false)
    expect(await read(cells, 'head')).toEqual({ through: 3 })
    await write(cells, 'new')
    expect(await layout(name)).toEqual({ version, stores: [...stores].sort() })
  })

  it('without its store is gone, not filled in', async () => {
    await laidDown('other', 1, ['elsewhere'], {})
    await expect(read(browserCells('other', 'ledger', false))).rejects.toBeInstanceOf(CellsGone)
    expect((await layout('other')).stores).toEqual(['elsewhere'])
  })

  it('is read by the package’s plain calls too', async () => {
    const cells = browserCells('plain', 'ledger', true)
    await write(cells, { left: 2 })
    const instance = kept('plain', 'ledger').instance!
    expect(await instance.getItem('a')).toEqual({ left: 2 })
    await instance.setItem('b', 3)
    expect(await read(cells, 'b')).toBe(3)
  })

  it('changes several keys in one transaction, or none of them', async () => {
    const cells = browserCells('whole', 'ledger', true)
    await write(cells, 1)
    const failing = cells.run('write', async (turn) => {
      await turn.put('a', 2)
      await turn.put('b', 2)
      throw new Error('stop')
    })
    await expect(failing).rejects.toThrow('stop')
    expect(await cells.run('read', (turn) => turn.range('a', 'z'))).toEqual([['a', 1]])
    await expect(cells.run('write', (turn) => turn.add('a', 3))).rejects.toMatchObject({ name: 'ConstraintError' })
    expect(await read(cells)).toBe(1)
  })

  it('opens anew where the browser closed it, and is gone where another tab took it away', async () => {
    const told = vi.fn()
    const cells = browserCells('closed', 'ledger', true, told)
    await write(cells, 1)
    ;(await kept('closed', 'ledger').connection!).close()
    expect(await read(cells)).toBe(1)
    expect(await kept('closed', 'ledger').instance!.getItem('a')).toBe(1)
    await dropDatabase('closed')
    expect(told).toHaveBeenCalledTimes(1)
    await expect(read(cells)).rejects.toBeInstanceOf(CellsGone)
    await expect(read(browserCells('closed', 'ledger', false))).rejects.toBeInstanceOf(CellsGone)
    expect(await databaseNames()).not.toContain('closed')
    const again = browserCells('closed', 'ledger', true)
    expect(await read(again)).toBeNull()
  })

  it('that goes between the look and the package’s opening is not made again', async () => {
    await laidDown('between', 1, ['ledger'], { a: 1 })
    const open = indexedDB.open.bind(indexedDB)
    let opened = 0
    vi.spyOn(indexedDB, 'open').mockImplementation((name, version) => {
      // The second is the package's own.
      if (name === 'between' && ++opened === 2) void dropDatabase('between')
      return open(name, version)
    })
    await expect(read(browserCells('between', 'ledger', false))).rejects.toBeInstanceOf(CellsGone)
    vi.restoreAllMocks()
    expect(await databaseNames()).not.toContain('between')
  })

  it('works again after it could not be opened, for the browser’s own reason, and after it hung', async () => {
    for (const nth of [1, 2]) {
      const name = `refused ${nth}`
      const open = indexedDB.open.bind(indexedDB)
      let count = 0
      vi.spyOn(indexedDB, 'open').mockImplementation((...of) => {
        if (++count === nth) throw new DOMException('no room', 'QuotaExceededError')
        return open(...of)
      })
      await expect(write(browserCells(name, 'ledger', true), 1)).rejects.toThrow(nth === 1 ? 'no room' : /storage/)
      vi.restoreAllMocks()
      const cells = browserCells(name, 'ledger', true)
      await write(cells, 1)
      expect(await read(cells)).toBe(1)
    }
    for (const nth of [1, 2]) {
      const cells = browserCells(`hung ${nth}`, 'ledger', true)
      const open = indexedDB.open.bind(indexedDB)
      let count = 0
      vi.spyOn(indexedDB, 'open').mockImplementation((...of) =>
        ++count === nth ? new (IDBOpenDBRequest as new () => IDBOpenDBRequest)() : open(...of),
      )
      vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
      const hung = expect(write(cells, 1)).rejects.toMatchObject({ code: 'storage-silent' })
      // The first opening answers by itself before the second hangs.
      for (let turns = 0; turns < 50; turns++) await new Promise((done) => setImmediate(done))
      await vi.advanceTimersByTimeAsync(SILENT_MS + 10)
      await hung
      vi.useRealTimers()
      vi.restoreAllMocks()
      await write(cells, 2)
      expect(await read(cells)).toBe(2)
    }
  })

  it('stays open for others when one of its users closes', async () => {
    const [one, two] = [browserCells('shared', 'ledger', true), browserCells('shared', 'ledger', true)]
    await write(one, 1)
    one.close()
    await expect(read(one)).rejects.toBeInstanceOf(CellsGone)
    expect(await read(two)).toBe(1)
  })
})

describe('the package', () => {
  it('is the version whose insides the extension uses', () => {
    const { version } = JSON.parse(readFileSync('node_modules/localforage/package.json', 'utf8')) as { version: string }
    const { dependencies } = JSON.parse(readFileSync('package.json', 'utf8')) as {
      dependencies: Record<string, string>
    }
    expect([version, dependencies['localforage']]).toEqual(['1.10.0', '1.10.0'])
    const source = readFileSync('node_modules/localforage/dist/localforage.js', 'utf8')
    for (const used of ['self._dbInfo = dbInfo', 'forage._dbInfo.db = dbInfo.db', 'forage._initReady()'])
      expect(source).toContain(used)
  })

  it('is the only way to the browser’s databases: nobody else in app/ speaks to them', () => {
    const speaks = readdirSync('app', { recursive: true, encoding: 'utf8' })
      .filter((path) => /\.(ts|vue)$/.test(path) && !/\.test\.ts$|__tests__/.test(path))
      .filter((path) => /indexedDB|IDB[A-Z]|from 'idb'/.test(readFileSync(`app/${path}`, 'utf8')))
    expect(speaks.sort()).toEqual(['storage/browserCells.ts', 'storage/databases.ts', 'storage/instances.ts'])
  })
})
