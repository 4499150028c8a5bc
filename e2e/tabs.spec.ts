import type { BrowserContext, Page } from '@playwright/test'
import { demoServer, expect, openBench, test } from './maker'
import { logOf } from './log'

const modes = {
  'as the browser is': () => {},
  'without Web Locks': () => Object.defineProperty(Navigator.prototype, 'locks', { get: () => undefined }),
  'without BroadcastChannel': () => Object.defineProperty(window, 'BroadcastChannel', { value: undefined }),
}
const RUNS = 20

async function tab(context: BrowserContext): Promise<Page> {
  const page = await context.newPage()
  await page.goto(`${demoServer}/joint/h3/glue`)
  await expect(page.locator('.taps button').first()).toBeVisible()
  return page
}
/** Taps that look at the cure, as a maker with two tabs might: in bursts, with pauses, one tab busy in between. */
const tapping = (page: Page, seed: number, busyMs: number) =>
  page.evaluate(
    async ([seed, busyMs]) => {
      let state = seed
      const random = () => (state = (state * 1103515245 + 12345) % 2147483648) / 2147483648
      const buttons = [...document.querySelectorAll<HTMLButtonElement>('.taps button')]
      if (busyMs) for (const until = performance.now() + busyMs; performance.now() < until;);
      for (let i = 0; i < 6; i++) {
        buttons[Math.floor(random() * buttons.length)]!.click()
        await new Promise((done) => setTimeout(done, random() * 25))
      }
    },
    [seed, busyMs] as const,
  )
const stored = (page: Page) => page.locator('.saved').getAttribute('data-stored').then(Number)

for (const [mode, cripple] of Object.entries(modes))
  test(`two tabs on Glue lose nothing that was shown as saved, ${mode}`, async ({ page, context }, info) => {
    await context.addInitScript(cripple)
    await openBench(page, demoServer)
    const [one, two] = [await tab(context), await tab(context)]
    const start = (await logOf(one)).length
    for (let run = 1; run <= RUNS; run++) {
      await Promise.all([tapping(one, run * 7, 0), tapping(two, run * 13, run % 5 === 0 ? 800 : run * 3)])
      await expect(one.locator('.saved')).toHaveText('saved')
      await expect(two.locator('.saved')).toHaveText('saved')
    }
    await one.waitForTimeout(300)
    const log = await logOf(one)
    // In order, no hole, none twice; and as many as the two tabs have shown as saved.
    expect(log.map(({ seq }) => seq)).toEqual(log.map((_, i) => i + 1))
    expect(new Set(log.map(({ id }) => id)).size).toBe(log.length)
    expect((await stored(one)) + (await stored(two))).toBe(log.length - start)
    expect(log.length - start).toBeGreaterThan(RUNS * 3)
    // After a reload both show all of it.
    const shown = async (of: Page) => {
      await of.reload()
      await expect(of.locator('[data-checks]')).toBeVisible()
      return of.locator('[data-checks]').textContent()
    }
    expect(await shown(one)).toBe(await shown(two))
    // The maker's own export is taken back whole.
    await one.getByRole('button', { name: 'Menu' }).click()
    const download = one.waitForEvent('download')
    await one.getByRole('button', { name: 'Save a bench file' }).click()
    const file = info.outputPath('bench.json')
    await (await download).saveAs(file)
    await one.goto(`${demoServer}/benches`)
    await one.setInputFiles('input[type="file"]', file)
    await expect(one.getByText(/Read in “Lantern heron” with 5 joints/)).toBeVisible()
    await expect(one.getByText(/could not be taken/)).toBeHidden()
  })

test('a tab on a bench that was reset, and on one that was removed, says so and keeps what it shows', async ({
  page,
  context,
}) => {
  await openBench(page, demoServer)
  const other = await context.newPage()
  await other.goto(`${demoServer}/benches`)
  await page.goto(`${demoServer}/joint/h3/glue`)
  await expect(page.locator('.taps button').first()).toBeVisible()
  await other.getByRole('button', { name: 'Reset the demo' }).click()
  await expect(other.getByText('The demo bench is as it was')).toBeVisible()
  await expect(page.getByRole('alert')).toContainText('was reset in another tab')
  await expect(page.locator('.saved')).toHaveText('not saved')
  await page.locator('.taps button').first().click()
  await expect(page.getByRole('alert')).toContainText('1 change that nothing has kept')
  await page.getByRole('button', { name: 'Keep it as a bench of its own' }).click()
  await expect(page.locator('.saved')).toHaveText('saved')
  await expect(page.getByRole('alert')).toBeHidden()
  // Two benches now: the fresh demo, and what was kept.
  await other.reload()
  await expect(other.locator('main > ul > li')).toHaveCount(2)
  await other
    .getByRole('button', { name: /^Take away/ })
    .first()
    .click()
  await other.getByRole('button', { name: 'Take it away for good' }).click()
  await expect(other.getByText('was taken out of this browser')).toBeVisible()
})

test('the browser lost its store: the bench comes back from its second copy', async ({ page }) => {
  await openBench(page, demoServer)
  await page.goto(`${demoServer}/joint/h3/glue`)
  await page.locator('.taps button').first().click()
  await expect(page.locator('.saved')).toHaveAttribute('data-stored', '1')
  const checks = await page.locator('[data-checks]').textContent()
  const piece = await page.locator('#cure-check .tape').textContent()
  const copied = () =>
    page.evaluate(async () => {
      const root = await navigator.storage.getDirectory()
      const folder = await root.getDirectoryHandle('second-copies', { create: true })
      const names: string[] = []
      for await (const name of folder.keys()) names.push(name)
      return names.length
    })
  await expect.poll(copied, { timeout: 20_000 }).toBeGreaterThan(0)
  // All databases go, as when the browser finds its store broken.
  await page.goto(`${demoServer}/favicon.svg`)
  await page.evaluate(async () => {
    for (const { name } of await indexedDB.databases())
      await new Promise((done) => (indexedDB.deleteDatabase(name!).onsuccess = done))
  })
  await page.goto(demoServer)
  await expect(page.getByText(/“Lantern heron” was brought back from its second copy/)).toBeVisible()
  await page.goto(`${demoServer}/joint/h3/glue`)
  // Another piece may be due for a look by now.
  await page.locator('.pick select').selectOption({ label: piece!.trim() })
  await expect(page.locator('[data-checks]')).toHaveText(checks!)
})

test('a bench without its first page is not opened as a nameless one; one that is on no list is offered', async ({
  page,
}) => {
  await openBench(page, demoServer)
  const edit = (what: 'head' | 'list') =>
    page.evaluate(
      (what) =>
        new Promise<void>((resolve) => {
          const [name, store, key] =
            what === 'head'
              ? [`paste-bench-${sessionStorage.getItem('paste-bench-open')}`, 'ledger', 'head']
              : ['paste-bench-index', 'index', 'index']
          const open = indexedDB.open(name!)
          open.onsuccess = () => {
            const transaction = open.result.transaction(store!, 'readwrite')
            transaction.objectStore(store!).delete(key!)
            transaction.oncomplete = () => (open.result.close(), resolve())
          }
        }),
      what,
    )
  await page.goto(`${demoServer}/favicon.svg`)
  await edit('list')
  await page.goto(demoServer)
  await expect(page.getByText(/was here, but on no list: it is listed again/)).toBeVisible()
  await page.goto(`${demoServer}/favicon.svg`)
  await edit('head')
  await page.goto(`${demoServer}/benches`)
  await expect(
    page.getByText(/could not be opened: This bench cannot be read whole: its first page is missing/).first(),
  ).toBeVisible()
  await expect(page.locator('.bench')).not.toHaveText('')
})
