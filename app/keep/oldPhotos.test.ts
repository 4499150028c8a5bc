// @vitest-environment happy-dom
import { Blob as PlainBlob, File as PlainFile } from 'node:buffer'
import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { buildDemoBench } from '../../demo/bench'
import { keepPhoto, photoOf } from '../bench/photos'
import { mountAt, press } from '../testing/mountAt'
import { eventually } from '../testing/eventually'

vi.mock('../workers/client', async () => (await import('../testing/noWorker')).workerHere())

// Those of the test’s browser cannot be kept: they lose their bytes when they are cloned.
vi.stubGlobal('Blob', PlainBlob)
vi.stubGlobal('File', PlainFile)

const NOW = Date.parse('2026-11-24T18:00:00')
const DAY = 86_400_000
const saved: { name: string; blob: Blob }[] = []
vi.mock('../frame/saveFile', async (whole) => ({
  ...(await whole<typeof import('../frame/saveFile')>()),
  saveBlob: (name: string, blob: Blob) => saved.push({ name, blob }),
}))

/** The Files page of a bench with a photo of last year, one of four months ago, one of today. */
async function filesPage() {
  vi.useFakeTimers({ now: NOW, toFake: ['Date'] })
  const tables = buildDemoBench(NOW)
  const [coupon] = tables.coupon
  coupon!.photos = [400, 120, 0].map((days, n) => ({ id: `photo${n}`, at: NOW - days * DAY, width: 8, height: 6 }))
  const mounted = await mountAt(tables, '/history')
  const { id } = mounted.bench
  const pixels = (n: number) => new Blob([`pixels of ${n}`], { type: 'image/jpeg' })
  for (const n of [0, 1, 2]) await keepPhoto(id, `photo${n}`, pixels(n), NOW)
  await mounted.go('/files')
  const section = () => mounted.wrapper.find('[aria-labelledby="photos"]')
  await eventually(() => expect(section().text()).toMatch(/3 photos in this browser/))
  const choose = async (button: RegExp, file: File) => {
    const label = section()
      .findAll('label.file')
      .find((one) => button.test(one.text()))!
    const input = label.find('input').element
    Object.defineProperty(input, 'files', { value: [file], configurable: true })
    input.dispatchEvent(new Event('change'))
    await flushPromises()
  }
  return { mounted, section, choose, id }
}

describe('old photos', () => {
  afterEach(() => {
    vi.useRealTimers()
    saved.length = 0
  })

  it('go to a file, leave the browser when it is shown, and come back from it', async () => {
    const { mounted, section, choose, id } = await filesPage()
    expect(section().find('[data-old]').text()).toMatch(/^2 photos, 1 kB/)
    await section().find('select').setValue('365')
    expect(section().find('[data-old]').text()).toMatch(/^1 photo, /)
    await section().find('select').setValue('90')
    await press(mounted, /^Save them to a file$/)
    await eventually(() => expect(saved).toHaveLength(1))
    await eventually(() => expect(section().text()).toMatch(/Show it below, and its photos leave this browser/))
    // Nothing has gone yet.
    expect(await photoOf(id, 'photo0')).not.toBeNull()
    const file = new File([saved[0]!.blob], 'old.zip')
    await choose(/take them out/, file)
    await eventually(() => expect(section().text()).toMatch(/2 photos went out of this browser; old.zip holds them\./))
    expect(await photoOf(id, 'photo0')).toBeNull()
    expect(await (await photoOf(id, 'photo2'))!.text()).toBe('pixels of 2')
    expect(section().text()).toMatch(/1 photo in this browser, 1 kB; 2 others in old.zip/)
    expect(section().find('[data-old]').text()).toBe('none')
    await choose(/^Bring photos back/, file)
    await eventually(() => expect(section().text()).toMatch(/2 photos came back from old.zip/))
    expect(await (await photoOf(id, 'photo0'))!.text()).toBe('pixels of 0')
    mounted.wrapper.unmount()
  })

  it('stay when the file holds others, or is none', async () => {
    const { mounted, section, choose, id } = await filesPage()
    await press(mounted, /^Save them to a file$/)
    await eventually(() => expect(saved).toHaveLength(1))
    // Taken again since: another picture under the same record.
    for (const n of [0, 1]) await keepPhoto(id, `photo${n}`, new Blob([`Pixels of ${n}`]), NOW)
    await choose(/take them out/, new File([saved[0]!.blob], 'old.zip'))
    await eventually(() => expect(section().text()).toMatch(/old.zip holds none of these photos as they are here/))
    await choose(/take them out/, new File(['no zip'], 'letter.zip'))
    await eventually(() => expect(section().find('.problem').text()).toMatch(/not a Paste Bench bench file|not a JSON/))
    for (const n of [0, 1, 2]) expect(await photoOf(id, `photo${n}`)).not.toBeNull()
    mounted.wrapper.unmount()
  })
})
