// What the two scripts of a year share: the bench as a package, read in by hand, its pages, and the heap.
import { mkdirSync, writeFileSync } from 'node:fs'
import type { CDPSession, Page } from '@playwright/test'
import { packageBytes } from '../app/bench/packageFile'
import type { Tables } from '../core/records/tables'

const PHOTO_BYTES = 20_000
const FILE = '.cache/year'

/** A bench as a package on disk, each photo of it 20 kB; returns the file's name. */
export async function packageAs(name: string, tables: Tables, now: number): Promise<string> {
  mkdirSync('.cache', { recursive: true })
  const photo = new Blob([new Uint8Array(PHOTO_BYTES).fill(7)], { type: 'image/jpeg' })
  writeFileSync(`${FILE}-${name}.zip`, await packageBytes(tables, now, async () => photo))
  return `${FILE}-${name}.zip`
}

/** Reads a package in as a bench and opens it. */
export async function readIn(page: Page, file: string): Promise<void> {
  await page.goto('/benches')
  await page.setInputFiles('input[type="file"]', file)
  await page.getByText(/^Read in “/).waitFor({ timeout: 300_000 })
  await page
    .getByRole('button', { name: /^Open / })
    .first()
    .click()
  await page.waitForURL(/\/$/)
  await page.waitForTimeout(4000)
}

/** From the start of loading to the list of joints, ms. */
export async function opening(page: Page): Promise<number> {
  await page.goto('/')
  await page.locator('main li').first().waitFor({ timeout: 60_000 })
  return page.evaluate(() => Math.round(performance.now()))
}

/** To another page, as a link of the app would go. */
export const changeTo = (page: Page, path: string): Promise<void> =>
  page.evaluate((to) => {
    history.pushState({}, '', to)
    dispatchEvent(new PopStateEvent('popstate', { state: {} }))
  }, path)

/** What is in use after garbage was collected, MB. */
export const heap = async (session: CDPSession): Promise<number> => {
  await session.send('HeapProfiler.collectGarbage')
  const { usedSize } = (await session.send('Runtime.getHeapUsage')) as { usedSize: number }
  return usedSize / 1e6
}

/** The pages of the bench and of one joint. */
export const pagesOf = (joint: string) =>
  ['', 'shelf', 'evidence', 'build', 'history', 'files']
    .map((path) => `/${path}`)
    .concat(['ask', 'shortlist', 'plan', 'glue', 'break', 'choose', 'card'].map((path) => `/joint/${joint}/${path}`))
