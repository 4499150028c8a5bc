// @vitest-environment happy-dom
import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { writeBenchFile } from '../../core/formats/writeBenchFile'
import type { Tables } from '../../core/records/tables'
import { buildDemoBench } from '../../demo/bench'
import { packageBytes } from '../bench/packageFile'
import { readAnyBench } from '../bench/readAnyBench'
import { mountAt, press, shown, type Mounted } from '../testing/mountAt'
import { handOver, takeHanded } from './handed'
import { EVENING_OVER, wantsFile } from './lastFile'
import { eventually } from '../testing/eventually'

vi.mock('../workers/client', async () => (await import('../testing/noWorker')).workerHere())

const NOW = Date.parse('2026-11-24T18:00:00')
const fileOf = (tables: Tables) => new File([writeBenchFile(tables, NOW)], 'other.json', { type: 'application/json' })
/** The same bench, gone its own way in another browser. */
function copy(change: (tables: Tables) => void): Tables {
  const tables = buildDemoBench(NOW)
  tables.bench = [{ ...tables.bench[0]!, id: 'elsewhere', maker: 'demo' }]
  change(tables)
  return tables
}
async function withFile(tables: Tables): Promise<Mounted> {
  handOver(fileOf(tables))
  const mounted = await mountAt(buildDemoBench(NOW), '/merge')
  await shown(mounted, '[data-preview]')
  return mounted
}

describe('putting another bench to this one', () => {
  beforeEach(() => void vi.useFakeTimers({ now: NOW, toFake: ['Date'] }))

  it('shows what is new and what differs, asks one by one, is one entry, and Undo takes it back', async () => {
    const mounted = await withFile(
      copy((tables) => {
        tables.joint[0]!.brief.heatC = 55
        tables.joint[0]!.name = 'Rib to cloth'
        tables.reading[0]!.note = 'read again'
        tables.adhesive.push({ ...tables.adhesive[0]!, id: 'paste', name: 'Wheat paste', family: 'starch-paste' })
      }),
    )
    const { wrapper, bench } = mounted
    const text = wrapper.text()
    expect(text).toMatch(/New1 glue/)
    expect(text).toMatch(/3 differences to decide/)
    const before = JSON.stringify(bench.tables())
    const clash = (words: RegExp) => wrapper.findAll('fieldset').find((one) => words.test(one.text()))!
    expect(clash(/heat/).text()).toMatch(/here: 30.*there: 55/)
    await clash(/name/).find('input[value="here"]').setValue(true)
    await clash(/heat/).find('input[value="there"]').setValue(true)
    await clash(/note/).find('input[value="there"]').setValue(true)
    await press(mounted, /^Put the two together$/)
    await eventually(() => expect(wrapper.text()).toMatch(/Undo takes all of it back/))
    const joint = bench.get('joint', 'h1')!
    expect(joint.name).toBe('Rib to wing cloth')
    expect(joint.brief.heatC).toBe(55)
    expect(bench.get('adhesive', 'paste')!.name).toBe('Wheat paste')
    expect(bench.history()).toHaveLength(1)
    await bench.undo()
    expect(JSON.stringify(bench.tables())).toBe(before)
    wrapper.unmount()
  })

  it('decides all by a rule, and finds nothing new the second time', async () => {
    const other = copy((tables) => (tables.joint[1]!.name = 'Beak to boss'))
    const mounted = await withFile(other)
    await press(mounted, /^all as there$/)
    await press(mounted, /^Put the two together$/)
    await eventually(() => expect(mounted.bench.get('joint', 'h2')!.name).toBe('Beak to boss'))
    handOver(fileOf(other))
    await mounted.go('/files')
    await mounted.go('/merge')
    await shown(mounted, '[data-preview]')
    expect(mounted.wrapper.text()).toMatch(/Nothing is new: this bench has it all/)
    mounted.wrapper.unmount()
  })

  it('keeps another maker’s joints, glues and readings apart, under their name', async () => {
    const theirs = buildDemoBench(NOW)
    const id = (one: string) => `x-${one}`
    const renamed = JSON.parse(
      JSON.stringify(theirs).replace(
        /"(h\d[^"]*|pull-h\d[^"]*|heron|milky|tin|textile|low)"/g,
        (_, one: string) => `"${id(one)}"`,
      ),
    ) as Tables
    renamed.bench = [{ ...renamed.bench[0]!, id: 'loft', maker: 'loft', name: 'River loft' }]
    const mounted = await withFile(renamed)
    expect(mounted.wrapper.text()).toMatch(/Their readings stay theirs/)
    await press(mounted, /^Put the two together$/)
    await eventually(() => expect(mounted.bench.everything('maker').map(({ name }) => name)).toContain('River loft'))
    expect(mounted.bench.all('joint')).toHaveLength(5)
    expect(mounted.bench.everything('joint').length).toBeGreaterThan(9)
    const theirReadings = mounted.bench.everything('reading').filter(({ owner }) => owner === 'loft')
    expect(theirReadings.length).toBe(19)
    mounted.wrapper.unmount()
  })

  it('refuses what is no bench, with the reason, and nothing is changed', async () => {
    handOver(new File(['hello'], 'x.json'))
    const mounted = await mountAt(buildDemoBench(NOW), '/merge')
    await shown(mounted, '.problem')
    expect(mounted.bench.history()).toHaveLength(0)
    mounted.wrapper.unmount()
  })
})

describe('the data package as a file', () => {
  it('comes back as it went out, with its photos, and says how far it is', async () => {
    const tables = buildDemoBench(NOW)
    tables.coupon[0]!.photos = [{ id: 'ph1', at: NOW, width: 8, height: 6 }]
    tables.coupon[1]!.photos = [{ id: 'gone', at: NOW, width: 8, height: 6 }]
    const told: number[] = []
    const photo = new Blob([new Uint8Array([1, 2, 3])], { type: 'image/jpeg' })
    const bytes = await packageBytes(
      tables,
      NOW,
      async (id) => (id === 'ph1' ? photo : null),
      (done) => told.push(done),
    )
    expect(told.length).toBeGreaterThan(10)
    expect([...told].sort((x, y) => x - y)).toEqual(told)
    const read = await readAnyBench(new Blob([bytes]))
    expect(read.aside).toEqual([])
    expect(read.tables).toEqual(tables)
    expect(read.photos.map(({ id, blob }) => [id, blob.size, blob.type])).toEqual([['ph1', 3, 'image/jpeg']])
  })

  it('that is cut off or no package is refused', async () => {
    const bytes = await packageBytes(buildDemoBench(NOW), NOW, async () => null)
    await expect(readAnyBench(new Blob([bytes.slice(0, bytes.length / 2)]))).rejects.toMatchObject({ code: 'damaged' })
    await expect(readAnyBench(new Blob(['PK nothing']))).rejects.toMatchObject({ code: 'damaged' })
  })
})

describe('a file that was handed on, and when one is offered', () => {
  it('is taken once', () => {
    const file = new File([''], 'x')
    handOver(file)
    expect(takeHanded()).toBe(file)
    expect(takeHanded()).toBeNull()
  })
  it.each([
    ['after an evening with changes', 100, 0, false, 100 + EVENING_OVER, true],
    ['not while work goes on', 100, 0, false, 100 + EVENING_OVER - 1, false],
    ['not while a timer runs', 100, 0, true, 100 + EVENING_OVER, false],
    ['not where the file is newer', 100, 101, false, 1e9, false],
  ])('%s', (_, changed, file, runs, at, offered) => expect(wantsFile(changed, file, runs, at)).toBe(offered))
})

describe('files of a bench', () => {
  it('save one table as CSV that no spreadsheet runs', async () => {
    const tables = buildDemoBench(NOW)
    tables.joint[0]!.name = '=1+1'
    const mounted = await mountAt(tables, '/files')
    let saved: Blob | null = null
    const made = vi.spyOn(URL, 'createObjectURL').mockImplementation((blob) => ((saved = blob as Blob), 'blob:x'))
    await mounted.wrapper.find('select').setValue('joint')
    await mounted.wrapper.find('form').trigger('submit')
    await eventually(() => expect(saved).not.toBeNull())
    const text = await saved!.text()
    expect(text).toContain("'=1+1")
    expect(text.split('\r\n').filter(Boolean)).toHaveLength(1 + tables.joint.length)
    await flushPromises()
    expect(mounted.wrapper.text()).toMatch(/The browser has saved lantern-heron/)
    made.mockRestore()
    mounted.wrapper.unmount()
  })
})

describe('past tests from a spreadsheet', () => {
  it('are mapped, bad rows named, and looked at as another bench before they are taken in', async () => {
    const mounted = await mountAt(buildDemoBench(NOW), '/past')
    const sheet = [
      'Material A;Material B;Glue;Pull;Width;Overlap',
      'wood;felt;contact cement;90 N;25;12',
      'wood;felt;contact cement;120 N;25;12',
      'zzzz;felt;contact cement;120 N;25;12',
    ].join('\n')
    await mounted.wrapper.find('textarea').setValue(sheet)
    await shown(mounted, '[data-rows]')
    // “Pull” is no heading that says what it is: it is mapped by hand.
    expect(mounted.wrapper.find('[data-rows]').text()).toMatch(/^0 rows can be taken in, 3 cannot/)
    const load = mounted.wrapper.findAll('fieldset .field').find((one) => /^Load/.test(one.text()))!
    await load.find('select').setValue('3')
    await flushPromises()
    expect(mounted.wrapper.find('[data-rows]').text()).toMatch(/^2 rows can be taken in, 1 cannot/)
    expect(mounted.wrapper.text()).toMatch(/line 4 “zzzz” is no material/)
    await press(mounted, /^See what would change$/)
    await shown(mounted, '[data-preview]')
    expect(mounted.wrapper.text()).toMatch(/2 readings/)
    await press(mounted, /^Put the two together$/)
    await eventually(() => expect(mounted.bench.everything('maker').map(({ name }) => name)).toContain('Past tests'))
    expect(mounted.bench.all('joint')).toHaveLength(5)
    mounted.wrapper.unmount()
  })
})
