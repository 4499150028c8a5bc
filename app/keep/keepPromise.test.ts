// @vitest-environment happy-dom
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { vuetify } from '../look/vuetify'
import KeepPromise from './KeepPromise.vue'

async function shown(storage: Partial<StorageManager> | undefined) {
  vi.stubGlobal('navigator', { ...navigator, storage })
  const page = mount(KeepPromise, { global: { plugins: [vuetify] } })
  await flushPromises()
  return page
}
afterEach(() => vi.unstubAllGlobals())

describe('whether the browser keeps the benches', () => {
  it('is said where it promised, and nothing is asked', async () => {
    const page = await shown({ persisted: () => Promise.resolve(true) })
    expect(page.text()).toMatch(/has promised/)
    expect(page.find('button').exists()).toBe(false)
  })
  it('is not spoken of by a browser that cannot say', async () => {
    expect((await shown(undefined)).text()).toBe('')
    expect((await shown({ persisted: () => Promise.reject(new Error('denied')) })).text()).toBe('')
  })
  it.each([
    [true, /has promised/, false],
    [false, /did not promise it\. Keep a file/, true],
  ])('is asked for: it answers %s', async (answer, says, stays) => {
    const persist = vi.fn(() => Promise.resolve(answer))
    const page = await shown({ persisted: () => Promise.resolve(false), persist })
    expect(page.text()).toMatch(/may clear/)
    await page.find('button').trigger('click')
    await flushPromises()
    expect(persist).toHaveBeenCalledOnce()
    expect(page.text()).toMatch(says)
    expect(page.find('button').exists()).toBe(stays)
  })
})
