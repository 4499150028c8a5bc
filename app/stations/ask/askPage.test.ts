// @vitest-environment happy-dom
import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { buildDemoBench } from '../../../demo/bench'
import { briefWordKeys } from '../../../core/records/briefWords'
import type { Brief } from '../../../core/records/joint'
import type { Tables } from '../../../core/records/tables'
import { mountAt, type Mounted } from '../../testing/mountAt'
import { eventually } from '../../testing/eventually'
import { words } from './words'

vi.mock('../../workers/client', async () => (await import('../../testing/noWorker')).workerHere())

const NOW = Date.parse('2026-11-24T18:00:00')
/** Open words are counted a moment after the sentence rests. */
async function rested({ wrapper }: Mounted): Promise<void> {
  await eventually(() => expect(wrapper.find('summary .worth').exists()).toBe(true))
  await flushPromises()
}

/** The bench with words of the half-pulled joint open again. */
function opened(words: Partial<Brief>): Tables {
  const tables = buildDemoBench(NOW)
  return {
    ...tables,
    joint: tables.joint.map((one) => (one.id === 'h2' ? { ...one, brief: { ...one.brief, ...words } } : one)),
  }
}

describe('the brief as a sentence', () => {
  beforeEach(() => void vi.useFakeTimers({ now: NOW, toFake: ['Date'] }))
  const next = ({ wrapper }: Mounted) => wrapper.find('[aria-label="Next open word"]')
  const line = ({ wrapper }: Mounted, begins: string) =>
    wrapper.findAll('details.line').find((one) => one.text().startsWith(begins))!

  it('folds what not every answer needs, and says there what was said and what is worth saying', async () => {
    const mounted = await mountAt(buildDemoBench(NOW), '/joint/h2/ask')
    await rested(mounted)
    const meets = line(mounted, 'It meets')
    expect(meets.attributes('open')).toBeUndefined()
    expect(meets.find('summary').text()).toMatch(/^It meets ?45 °C · -5 °C · splashes · no sun · a run of shows/)
    // Lines are counted one after the other.
    await eventually(() =>
      expect(line(mounted, 'It must').find('summary').text()).toMatch(/\d open words? would change the list$/),
    )
    mounted.wrapper.unmount()
  })

  it('holds every word that the brief has, each in its place', async () => {
    const asked: Partial<Brief> = { loads: ['torsion', 'flex'], count: 3, air: 'window', geometry: 'lap' }
    const { wrapper } = await mountAt(opened(asked), '/joint/h2/ask')
    const sentence = wrapper.find('.sentence').html()
    for (const key of briefWordKeys) expect(sentence, key).toContain(words[key].label)
    wrapper.unmount()
  })

  it('asks one open word at a time: what every answer needs first, then what moves most', async () => {
    const mounted = await mountAt(opened({ share: null, motion: null }), '/joint/h2/ask')
    await rested(mounted)
    expect(next(mounted).text()).toMatch(/^What share each\?/)
    const asked: string[] = []
    for (let i = 0; i < 40 && next(mounted).exists(); i++) {
      asked.push(next(mounted).find('b').text())
      await next(mounted)
        .findAll('button')
        .find((one) => one.text() === 'Ask me another')!
        .trigger('click')
    }
    expect(new Set(asked).size).toBe(asked.length)
    const base = mounted.wrapper.findAll('.sentence > p .word.open').map((one) => one.text())
    expect(asked.slice(0, base.length).map((one) => one.toLowerCase())).toEqual(base.map((one) => one.toLowerCase()))
    expect(asked.length).toBeGreaterThan(base.length)
    mounted.wrapper.unmount()
  })

  it('leaves a word that was answered out of what is asked', async () => {
    const mounted = await mountAt(opened({ motion: null }), '/joint/h2/ask')
    await rested(mounted)
    expect(next(mounted).find('b').text()).toBe('Moving how?')
    mounted.wrapper.unmount()
  })
})
