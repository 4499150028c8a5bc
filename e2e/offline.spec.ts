import { cpSync, readFileSync, writeFileSync } from 'node:fs'
import { spawn } from 'node:child_process'
import type { Page } from '@playwright/test'
import { expect, test } from './maker'

test.use({ serviceWorkers: 'allow' })

/** The app served as it is to a maker, by a server that can be stopped. */
async function serve(dist: string, port: number): Promise<{ url: string; stop: () => Promise<void> }> {
  const server = spawn('npx', ['tsx', 'server/main.ts', '--demo'], {
    env: { ...process.env, PORT: String(port), DIST: dist },
    stdio: 'ignore',
    detached: true,
  })
  const url = `http://localhost:${port}`
  await expect
    .poll(
      () =>
        fetch(url).then(
          ({ ok }) => ok,
          () => false,
        ),
      { timeout: 60_000 },
    )
    .toBe(true)
  return {
    url,
    stop: async () => {
      process.kill(-server.pid!)
      await expect
        .poll(
          () =>
            fetch(url).then(
              () => false,
              () => true,
            ),
          { timeout: 20_000 },
        )
        .toBe(true)
    },
  }
}
const ready = (page: Page) =>
  page.evaluate(async () => {
    await navigator.serviceWorker.ready
    // All files are kept once the first worker is active.
    while ((await navigator.serviceWorker.getRegistration())?.active?.state !== 'activated')
      await new Promise((done) => setTimeout(done, 50))
  })

test('after the first visit the app opens and works without its server', async ({ page }) => {
  const server = await serve('dist', 4891)
  await page.goto(server.url)
  await expect(page.locator('.lines li')).toHaveCount(5)
  await ready(page)
  await page.reload()
  await server.stop()
  await page.reload()
  await expect(page.locator('.lines li')).toHaveCount(5)
  // A walk through what was never opened with a network: asked, planned, worked out in the worker, kept.
  await page.getByLabel(/Another joint/).fill('Crest to skull')
  await page.getByRole('button', { name: 'Ask about this joint' }).click()
  await expect(page.locator('.sentence')).toBeVisible()
  await page.goto(`${server.url}/joint/h5/shortlist`)
  await expect(page.getByRole('heading', { name: /Shortlist|glues/i }).first()).toBeVisible()
  await page.goto(`${server.url}/joint/h2/choose`)
  await expect(page.locator('svg.chart').first()).toBeVisible({ timeout: 30_000 })
  await page.goto(`${server.url}/evidence`)
  await expect(page.locator('[data-pulled]').first()).toBeVisible()
  await page.goto(`${server.url}/build`)
  await expect(page.locator('[data-kit]').first()).toBeVisible()
  await page.goto(server.url)
  await expect(page.locator('.lines')).toContainText('Crest to skull')
})

test('a newer version waits until no timer runs, and is opened when it is asked for', async ({ page }, info) => {
  const dist = info.outputPath('dist')
  cpSync('dist', dist, { recursive: true })
  const first = await serve(dist, 4895)
  await page.goto(first.url)
  await expect(page.locator('.lines li')).toHaveCount(5)
  await ready(page)
  await page.reload()
  // The same app, built anew: one of its files has another content.
  await first.stop()
  const worker = readFileSync(`${dist}/sw.js`, 'utf8')
  writeFileSync(`${dist}/sw.js`, worker.replace(/("?revision"?:\s*")[0-9a-f]+/, '$1' + '0'.repeat(32)))
  const second = await serve(dist, 4895)
  await page.evaluate(async () => (await navigator.serviceWorker.getRegistration())!.update())
  // A joint of the demo is being glued: the newer version waits.
  const note = page.getByRole('complementary', { name: 'A newer version' })
  await expect(note).toContainText('It waits until no timer runs')
  await expect(note.getByRole('button')).toHaveCount(0)
  // On a bench on which nothing runs it can be opened.
  await page.goto(`${second.url}/benches`)
  await page.getByLabel('A new, empty bench').fill('Quiet bench')
  await page.getByRole('button', { name: 'Start this bench' }).click()
  await expect(page.getByRole('heading', { name: 'Start with one joint' })).toBeVisible()
  const loaded = page.waitForEvent('load')
  await note.getByRole('button', { name: 'Open the newer version' }).click()
  await loaded
  await expect(page.getByRole('heading', { name: 'Start with one joint' })).toBeVisible()
  await expect(note).toBeHidden()
  await second.stop()
})

test('a bench file that is shared with the installed app is read in', async ({ page }) => {
  const server = await serve('dist', 4892)
  await page.goto(server.url)
  await expect(page.locator('.lines li')).toHaveCount(5)
  await ready(page)
  await page.reload()
  await page.evaluate(async () => {
    const bench = new FormData()
    const file = new File(['{"format":"paste-bench","version":99,"savedAt":1,"tables":{}}'], 'newer.json')
    bench.append('bench', file)
    await fetch('/incoming', { method: 'POST', body: bench, redirect: 'manual' })
  })
  await page.goto(`${server.url}/incoming`)
  await expect(page.getByRole('alert')).toContainText('has version 99')
  await server.stop()
})
