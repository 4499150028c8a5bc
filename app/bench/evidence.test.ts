// @vitest-environment happy-dom
import { flushPromises } from '@vue/test-utils'
import { effectScope } from 'vue'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { gatheredEvidence } from '../../core/evidence/pairEvidence'
import { aYear, yearBench } from '../../demo/year'
import type { EvidenceInput } from '../workers/protocol'
import { loadCheck } from './checking'
import { useEvidence } from './evidence'
import { useBench } from './store'
import { eventually } from '../testing/eventually'

const { asked } = vi.hoisted(() => ({ asked: [] as EvidenceInput[] }))
vi.mock('../workers/client', () => ({
  benchWorker: () => ({
    evidence: async (input: EvidenceInput) => {
      asked.push(input)
      await new Promise((done) => setTimeout(done, 20))
      return gatheredEvidence(input.tables, (id) => input.classes[id] ?? null)
    },
  }),
}))

const tables = yearBench(Date.parse('2026-11-24T18:00:00'), { ...aYear, joints: 12, readings: 2600, photos: 10 })
/** As a page does: its own scope, ended when it is left. */
function opened() {
  const scope = effectScope()
  return { ...scope.run(useEvidence)!, leave: () => scope.stop() }
}
/** On a machine with other work too, which takes its time. */
const counted = ({ counting }: ReturnType<typeof useEvidence>) => eventually(() => expect(counting.value).toBe(false))
const roundsAsked = () => asked.flatMap((input) => input.tables.round.map(({ id }) => id))

describe('the pulls of a large bench', () => {
  beforeEach(async () => {
    asked.length = 0
    setActivePinia(createPinia())
    await useBench().openInMemory(null, structuredClone(tables))
    await loadCheck()
  })

  it('go to the worker a thousand at a time, each round once, and come to what all at once come to', async () => {
    const page = opened()
    expect(page.counting.value).toBe(true)
    await counted(page)
    expect(asked.length).toBeGreaterThan(2)
    for (const input of asked) expect(input.tables.round.length === 1 || input.tables.reading.length <= 1000).toBe(true)
    expect(new Set(roundsAsked()).size).toBe(roundsAsked().length)
    expect(asked.reduce((sum, input) => sum + input.tables.reading.length, 0)).toBe(useBench().tables().reading.length)
    const classes = Object.assign({}, ...asked.map((input) => input.classes)) as Record<string, string | null>
    const order = (list: readonly object[]) => list.map((one) => JSON.stringify(one)).sort()
    expect(order(page.evidence.value)).toEqual(order(gatheredEvidence(tables, (id) => classes[id] ?? null)))
    page.leave()
  })

  it('are counted once where two parts of a page ask for them', async () => {
    const [one, two] = [opened(), opened()]
    await counted(two)
    expect(one.counting.value).toBe(false)
    expect(new Set(roundsAsked()).size).toBe(roundsAsked().length)
    one.leave()
    two.leave()
  })

  it('are counted on where a page that was left stopped, and a new pull counts its own round', async () => {
    const first = opened()
    await flushPromises()
    expect(asked.length).toBe(1)
    first.leave()
    await flushPromises()
    const second = opened()
    await counted(second)
    expect(new Set(roundsAsked()).size).toBe(roundsAsked().length)
    const pull = tables.reading.at(-1)!
    const before = asked.length
    const after = { ...pull, raw: { way: 'gauge', value: 31, unit: 'N' } as const }
    expect(await useBench().write('Read anew', [{ table: 'reading', id: pull.id, before: pull, after }])).toBe(true)
    await counted(second)
    const round = tables.coupon.find(({ id }) => id === pull.coupon)!.round
    expect(asked.slice(before).flatMap((input) => input.tables.round.map(({ id }) => id))).toEqual([round])
    second.leave()
  })
})
