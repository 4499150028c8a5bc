import { demoServer, expect, test } from './maker'

/**
 * What the app stands on fails: its worker, its pieces, the browser's database. Faults are what these tests make, so
 * errors in the console are theirs; what counts is what the maker sees.
 */
test.use({ baseURL: demoServer, faultsMade: true })
const ready = (page: import('@playwright/test').Page) =>
  expect(page.getByRole('link', { name: /H2/ }).first()).toBeVisible()

test('a worker that never answers is noticed, tried again, said on the page, and works when it is asked anew', async ({
  page,
}) => {
  await page.goto('/')
  await ready(page)
  await page.route('**/assets/worker-*.js', (route) =>
    route.fulfill({ contentType: 'text/javascript', body: 'onmessage = () => {}' }),
  )
  await page.goto('/joint/h2/choose')
  const said = page.getByRole('alert').filter({ hasText: 'The computation stopped answering' })
  await expect(said).toBeVisible({ timeout: 16_000 })
  await page.unroute('**/assets/worker-*.js')
  await said.getByRole('button', { name: 'Work it out again' }).click()
  await expect(said).toBeHidden()
  await expect(page.getByText(/weakest link/i).first()).toBeVisible()
})

test('a worker that hangs in a loop, or is not there at all, blocks no page for ever', async ({ page }) => {
  await page.goto('/')
  await ready(page)
  for (const answer of [
    { contentType: 'text/javascript', body: 'onmessage = () => { for (;;); }' },
    { status: 404, body: 'gone' },
  ]) {
    await page.unroute('**/assets/worker-*.js')
    await page.route('**/assets/worker-*.js', (route) => route.fulfill(answer))
    await page.goto('/evidence')
    await expect(page.getByRole('alert').filter({ hasText: 'stopped answering' })).toBeVisible({ timeout: 16_000 })
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  }
})

test('a station whose piece is missing says so, and opens when it is there again', async ({ page }) => {
  await page.goto('/joint/h2/ask')
  await expect(page.locator('.sentence')).toBeVisible()
  await page.route('**/assets/GluePage-*', (route) => route.abort())
  await page.getByRole('link', { name: /Glue/ }).first().click()
  const said = page.getByRole('alert').filter({ hasText: '“Glue” could not be opened' })
  await expect(said).toBeVisible({ timeout: 16_000 })
  await expect(page.locator('.sentence')).toBeVisible()
  await page.unroute('**/assets/GluePage-*')
  await said.getByRole('button', { name: 'Try again' }).click()
  await expect(page).toHaveURL(/\/glue/)
  await expect(page.getByRole('main').first()).toContainText(/coupon/i)
})

test('a piece that hangs is said within seconds, and the app can be opened anew', async ({ page }) => {
  await page.goto('/')
  await ready(page)
  let hang = true
  await page.route('**/assets/ShelfPage-*.js', (route) => (hang ? undefined : route.continue()))
  await page.getByRole('link', { name: 'Shelf' }).click()
  await expect(page.getByRole('status').filter({ hasText: 'is being fetched again' })).toBeVisible({ timeout: 8000 })
  const said = page.getByRole('alert').filter({ hasText: '“Shelf” could not be opened' })
  await expect(said).toBeVisible({ timeout: 8000 })
  hang = false
  await said.getByRole('button', { name: 'Open the app anew' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Shelf' })).toBeVisible()
})

test('a storage that does not answer is said, with a way to wait and a way on', async ({ page }) => {
  await page.addInitScript(() => {
    const open = indexedDB.open.bind(indexedDB)
    const hang = window as unknown as { hangs: boolean }
    hang.hangs = sessionStorage.getItem('hangs') === 'yes'
    indexedDB.open = (...args) => {
      const request = open(...args)
      if (!hang.hangs) return request
      // The answer never comes.
      for (const type of ['success', 'error', 'upgradeneeded', 'blocked'])
        request.addEventListener(type, (event) => event.stopImmediatePropagation(), true)
      return request
    }
  })
  await page.goto('/')
  await ready(page)
  await page.evaluate(() => sessionStorage.setItem('hangs', 'yes'))
  await page.reload()
  const said = page.getByRole('alert').filter({ hasText: 'storage does not answer' })
  await expect(said).toBeVisible({ timeout: 16_000 })
  await page.evaluate(() => ((window as unknown as { hangs: boolean }).hangs = false))
  await said.getByRole('button', { name: 'Try again' }).click()
  await ready(page)
})

test('what happened can be copied, without what was written', async ({ page, context }) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  await page.goto('/joint/h2/ask')
  await page.getByRole('button', { name: 'Menu' }).click()
  await page.getByRole('link', { name: 'Copy what happened' }).click()
  const text = page.locator('pre')
  await expect(text).toContainText('page “ask”')
  await page.getByRole('button', { name: 'Copy this text' }).click()
  await expect(page.getByText('Copied.')).toBeVisible()
  const copied = await page.evaluate(() => navigator.clipboard.readText())
  expect(copied).toMatch(/^Paste Bench: what happened\nversion \d+\.\d+\.\d+, page “ask”/)
  expect(copied).not.toMatch(/heron|loft/i)
})
