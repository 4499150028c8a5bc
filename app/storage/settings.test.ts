// @vitest-environment happy-dom
import 'fake-indexeddb/auto'
import { expect, it, vi } from 'vitest'

const fresh = async () => {
  vi.resetModules()
  return import('./settings')
}

it('what an earlier build kept elsewhere is taken over once, and what is chosen here stands', async () => {
  localStorage.setItem('paste-bench-look', 'dark')
  localStorage.setItem('paste-bench alarms', 'on')
  localStorage.setItem('paste-bench-last-file', '{"b1":5}')
  localStorage.setItem('paste-bench-open', 'b1')
  const first = await fresh()
  expect(first.setting('appearance')).toBeUndefined()
  await first.readSettings()
  expect(first.setting('appearance')).toBe('dark')
  expect(first.setting('alarms')).toBe(true)
  expect(first.setting('lastFile')).toEqual({ b1: 5 })
  expect(first.setting('openBench')).toBe('b1')
  expect(localStorage.length).toBe(0)
  first.keepSetting('appearance', 'light')
  await vi.waitFor(async () => {
    const second = await fresh()
    await second.readSettings()
    expect(second.setting('appearance')).toBe('light')
    expect(second.setting('lastFile')).toEqual({ b1: 5 })
  })
})

it('what an earlier build wrote, broken, stops nothing', async () => {
  localStorage.setItem('paste-bench-last-file', '{"b1":')
  localStorage.setItem('paste-bench-look', 'mauve')
  const settings = await fresh()
  await settings.readSettings()
  expect(settings.setting('appearance')).not.toBe('mauve')
})
