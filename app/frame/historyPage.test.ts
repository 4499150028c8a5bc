// @vitest-environment happy-dom
import { flushPromises } from '@vue/test-utils'
import Papa from 'papaparse'
import { describe, expect, it, vi } from 'vitest'
import { insert } from '../../core/records/entry'
import { emptyBench } from '../../core/records/emptyBench'
import { noTables } from '../../core/records/tables'
import { UNDO_DEPTH } from '../bench/recent'
import { mountAt, press } from '../testing/mountAt'
import { eventually } from '../testing/eventually'

const { saved } = vi.hoisted(() => ({ saved: [] as { name: string; text: string }[] }))
vi.mock('./saveFile', async (original) => ({
  ...(await original<typeof import('./saveFile')>()),
  saveFile: (name: string, text: string) => void saved.push({ name, text }),
}))

describe('the history', () => {
  it('shows what came before the newest changes, and goes out as a table that runs no formula', async () => {
    const tables = { ...noTables(), bench: [emptyBench('b', 'Owl mask', 1)] }
    const mounted = await mountAt(tables, '/history')
    const { wrapper, bench } = mounted
    const many = 2 * UNDO_DEPTH + 30
    for (let n = 0; n < many; n++) {
      const build = { id: `b${n}`, name: `Build ${n}`, inServiceBy: null, budget: null, what: '' }
      await bench.write(n ? `Start build ${n}` : '=HYPERLINK("http://x")', [insert('build', build)])
    }
    await flushPromises()
    expect(wrapper.findAll('li').length).toBeLessThan(many)
    await press(mounted, /Show what came before/)
    expect(wrapper.findAll('li')).toHaveLength(many)
    expect(wrapper.findAll('li').at(-1)!.text()).toContain('HYPERLINK')

    await press(mounted, /Save all of it as CSV/)
    await eventually(() => expect(saved).toHaveLength(1))
    expect(saved[0]!.name).toMatch(/^owl-mask-\d{4}-\d\d-\d\d-history\.csv$/)
    const { data } = Papa.parse<string[]>(saved[0]!.text.slice(1).trim())
    expect(data[0]).toEqual(['id', 'when', 'change', 'records'])
    expect(data).toHaveLength(many + 1)
    expect(data[1]!.slice(2)).toEqual([`Start build ${many - 1}`, '1'])
    expect(Date.parse(data[1]![1]!)).toBeGreaterThan(0)
    // A spreadsheet would run what begins like this.
    expect(data.flat().filter((cell) => /^[=+@]/.test(cell))).toEqual([])
  })
})
