// @vitest-environment happy-dom
import 'fake-indexeddb/auto'
import { flushPromises } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { writeBenchFile } from '../../core/formats/writeBenchFile'
import { buildDemoBench } from '../../demo/bench'
import { mountAt, shown } from '../testing/mountAt'

vi.mock('../workers/client', async () => (await import('../testing/noWorker')).workerHere())

const NOW = Date.parse('2026-11-24T18:00:00')

it('the same damaged file stays out by the same list, wherever it is read in', async () => {
  const tables = buildDemoBench(NOW)
  tables.bench[0]!.name = 'Damaged'
  const file = JSON.parse(writeBenchFile(tables, NOW)) as { tables: Record<string, Record<string, unknown>[]> }
  file.tables['reading']![0]!['raw'] = { way: 'gauge', value: -4 }
  file.tables['joint']![1]!['brief'] = { ...(file.tables['joint']![1]!['brief'] as object), heatC: 'hot' }
  file.tables['coupon']![3]!['round'] = 'nowhere'
  const text = JSON.stringify(file)
  const mounted = await mountAt(buildDemoBench(NOW), '/history')
  const lists: Record<string, string> = {}
  for (const page of ['benches', 'merge', 'incoming']) {
    await mounted.go(`/${page}`)
    await shown(mounted, 'input[type="file"]')
    const input = mounted.wrapper.find<HTMLInputElement>('input[type="file"]').element
    Object.defineProperty(input, 'files', { value: [new File([text], 'damaged.json')], configurable: true })
    input.dispatchEvent(new Event('change'))
    await flushPromises()
    lists[page] = (await shown(mounted, '[data-stays-out]')).text()
  }
  expect(lists['benches']).toMatch(/\d+ things in the file could not be taken and stays? out/)
  expect(lists['benches']).toMatch(/tables\.joint\.1\.brief\.heatC/)
  expect(lists['merge']).toBe(lists['benches'])
  expect(lists['incoming']).toBe(lists['benches'])
})
