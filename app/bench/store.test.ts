// @vitest-environment happy-dom
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import { buildDemoBench } from '../../demo/bench'
import { openClash } from './clash'
import { useBench } from './store'
import { editOf } from './edits'
import { loadCheck } from './checking'

describe('a form and what is changed elsewhere meanwhile', () => {
  beforeEach(() => setActivePinia(createPinia()))
  async function glue() {
    const bench = useBench()
    await bench.openInMemory(null, buildDemoBench(0))
    await loadCheck()
    return { bench, opened: bench.all('adhesive')[0]! }
  }
  const now = (bench: ReturnType<typeof useBench>, id: string) => bench.get('adhesive', id)!

  it('keeps both where different fields were changed', async () => {
    const { bench, opened } = await glue()
    await bench.edit('elsewhere', [editOf('adhesive', opened, { packPrice: 99 })])
    expect(await bench.edit('form', [editOf('adhesive', opened, { note: 'mine' })])).toBe(true)
    expect(now(bench, opened.id)).toMatchObject({ packPrice: 99, note: 'mine' })
  })

  it.each([
    ['mine', 10, true],
    ['theirs', 99, true],
    ['back', 99, false],
  ] as const)('shows both values of one field, and %s leaves %d', async (answer, price, written) => {
    const { bench, opened } = await glue()
    await bench.edit('elsewhere', [editOf('adhesive', opened, { packPrice: 99 })])
    const form = bench.edit('form', [editOf('adhesive', opened, { packPrice: 10 })])
    await Promise.resolve()
    expect(openClash.value?.clashes).toEqual([{ path: ['packPrice'], opened: opened.packPrice, mine: 10, theirs: 99 }])
    openClash.value!.answer(answer)
    expect(await form).toBe(written)
    expect(now(bench, opened.id).packPrice).toBe(price)
    expect(openClash.value).toBeNull()
  })

  it('says when the record was taken away, and writes nothing', async () => {
    const bench = useBench()
    await bench.openInMemory(null, buildDemoBench(0))
    await loadCheck()
    const opened = bench.all('stock')[0]!
    await bench.write('gone', [{ table: 'stock', id: opened.id, before: opened, after: null }])
    expect(await bench.edit('form', [editOf('stock', opened, { left: 0.1 })])).toBe(false)
    expect(bench.notice?.text).toMatch(/taken away elsewhere/)
  })

  it('writes nothing where nothing was changed', async () => {
    const { bench, opened } = await glue()
    const before = bench.history().length
    expect(await bench.edit('form', [editOf('adhesive', opened, {})])).toBe(true)
    expect(bench.history()).toHaveLength(before)
  })

  it('keeps what could not be stored when another bench is opened, and comes back to it', async () => {
    const bench = useBench()
    await bench.openInMemory('no room', buildDemoBench(0))
    await loadCheck()
    const opened = bench.all('adhesive')[0]!
    const first = bench.id!
    await bench.write('in memory', [
      { table: 'adhesive', id: opened.id, before: opened, after: { ...opened, note: 'kept' } },
    ])
    expect(bench.unstored).toBe(1)
    const other = buildDemoBench(0)
    await bench.openInMemory(null, { ...other, bench: [{ ...other.bench[0]!, id: 'other' }] })
    await loadCheck()
    expect([...bench.left.keys()]).toEqual([first])
    expect(bench.unstored).toBe(1)
    await bench.open(first)
    expect(bench.get('adhesive', opened.id)!.note).toBe('kept')
  })
})
