import { execFileSync } from 'node:child_process'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, type BrowserContext } from '@playwright/test'
import { emptyServer, expect, openBench, plannedJoint, test, glueAll } from './maker'

// A browser with a profile of its own on disk, so that it can be killed and started again.
test('killing the browser in the middle of 200 fast entries loses none that was shown as saved', async ({
  launchOptions,
}) => {
  const profile = mkdtempSync(join(tmpdir(), 'bench-'))
  const start = (): Promise<BrowserContext> =>
    chromium.launchPersistentContext(profile, {
      ...launchOptions,
      baseURL: emptyServer,
      serviceWorkers: 'block',
    })
  let context = await start()
  let page = context.pages()[0]!
  await page.clock.install()
  await openBench(page)
  await plannedJoint(page, ['contact-water', 'hotmelt-high'], 2)
  await page.getByRole('link', { name: 'Start gluing' }).click()
  await glueAll(page)
  const url = page.url()
  const stored = () => Number(/(\d+) check/.exec(document.querySelector('[data-checks]')?.textContent ?? '')?.[1] ?? 0)
  // 200 taps as fast as the page takes them; what the screen showed as kept is read until the moment of the kill.
  let shown = 0
  const watching = (async () => {
    for (;;) {
      const now = await page.evaluate(stored).catch(() => -1)
      if (now < 0) return
      shown = Math.max(shown, now)
    }
  })()
  const tapping = page
    .evaluate(async () => {
      const button = [...document.querySelectorAll<HTMLButtonElement>('.taps button')].find((one) =>
        one.textContent?.includes('firm'),
      )!
      for (let i = 0; i < 200; i++) {
        button.click()
        await new Promise((done) => setTimeout(done, 4))
      }
    })
    .catch(() => {})
  await expect.poll(() => shown, { timeout: 120_000, intervals: [5] }).toBeGreaterThan(60)
  execFileSync('pkill', ['-KILL', '-f', `user-data-dir=${profile}`])
  await Promise.all([watching, tapping])
  await context.close().catch(() => {})
  expect(shown).toBeLessThan(200)

  context = await start()
  page = context.pages()[0]!
  await page.goto(url)
  await expect(page.locator('[data-checks]')).toBeVisible()
  const found = await page.evaluate(stored)
  expect(found).toBeGreaterThanOrEqual(shown)
  await context.close()
})
