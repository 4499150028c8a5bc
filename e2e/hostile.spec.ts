import { readFileSync, writeFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { demoServer, expect, openBench, savedFile, test } from './maker'

/**
 * Script and markup through every text that a bench holds, shown on every page: nothing runs, nothing is loaded, the
 * page's policy has nothing to report, and what is written into a file cannot be run by a spreadsheet.
 */
const attack = `"><img src=x onerror="window.ran=1"><svg/onload=window.ran=2><script>window.ran=3</script>{{ran=4}}`
const formula = '=HYPERLINK("http://elsewhere.example","x")'
/** What the attack would have set. */
const ran = (page: Page) => page.evaluate(() => (window as unknown as { ran?: number }).ran ?? 0)
/** Texts that a maker writes; ids, units, codes and states are not. */
const written = new Set(['name', 'note', 'text', 'reason', 'who', 'what', 'evidence', 'batch', 'setAside', 'leftOut'])

function poisoned(value: unknown, n: { count: number }): unknown {
  if (Array.isArray(value)) return value.map((one) => poisoned(one, n))
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(
    Object.entries(value).map(([key, one]) =>
      written.has(key) && typeof one === 'string'
        ? [key, `${n.count++ % 2 ? attack : formula} ${n.count}`]
        : [key, poisoned(one, n)],
    ),
  )
}

test('markup, script and formulas in every text run nowhere', async ({ page, consoleErrors }, info) => {
  const asked: string[] = []
  page.on('request', (request) => {
    const url = new URL(request.url())
    if (!['blob:', 'data:'].includes(url.protocol) && (url.origin !== demoServer || /\/x$/.test(url.pathname)))
      asked.push(request.url())
  })
  await page.addInitScript(() => {
    document.addEventListener('securitypolicyviolation', (event) => console.error(`policy: ${event.blockedURI}`))
  })
  await openBench(page, demoServer)
  const path = await savedFile(page, info)
  const file = JSON.parse(readFileSync(path, 'utf8')) as { tables: object }
  writeFileSync(path, JSON.stringify({ ...file, tables: poisoned(file.tables, { count: 0 }) }))
  await page.goto(`${demoServer}/benches`)
  await page.setInputFiles('input[type="file"]', path)
  await expect(page.getByText(/^Read in “/).first()).toBeVisible()
  await page
    .getByRole('button', { name: /^Open / })
    .first()
    .click()
  await expect(page).toHaveURL(/\/$/)
  /** A page opened whole: nothing of what was written runs, on the screen or on paper. */
  const visit = async (place: string) => {
    await page.goto(`${demoServer}/${place}`)
    await expect(page.locator('#work').first()).toBeAttached()
    await expect(page.getByRole('heading', { level: 1 }).first()).toBeAttached()
    expect(await ran(page), place).toBe(0)
  }
  for (const joint of ['h1', 'h2', 'h3'])
    for (const station of ['ask', 'shortlist', 'plan', 'glue', 'break', 'choose', 'card', 'print'])
      await visit(`joint/${joint}/${station}`)
  for (const place of ['', 'shelf', 'evidence', 'build', 'files', 'merge', 'past', 'history', 'happened?from=<script>'])
    await visit(place)
  // Printed for real: the sheets, the card, the build's list, a page that is made for no paper.
  for (const place of ['joint/h2/print', 'joint/h1/card', 'joint/h3/glue', 'build', 'history']) {
    await visit(place)
    const sheet = (await page.pdf({ printBackground: true })).toString('latin1')
    expect(sheet.slice(0, 5), place).toBe('%PDF-')
    // What a reader of such a file could run or follow.
    expect(sheet, place).not.toMatch(/\/JavaScript|\/JS[ (]|\/Launch|elsewhere\.example/)
    expect(await ran(page), `${place}, printed`).toBe(0)
  }
  expect(consoleErrors).toEqual([])
  // Addresses that are none: answered with a page that says so, or with a plain sentence.
  for (const place of [
    'joint/<img src=x onerror=alert(1)>/ask',
    'joint/..%2f..%2fetc/ask',
    'shelf#<svg onload=ran=1>',
    'nowhere/<script>ran=1</script>',
  ]) {
    const answer = await page.goto(`${demoServer}/${place}`)
    expect([200, 404]).toContain(answer!.status())
    await expect(page.locator('body')).not.toBeEmpty()
  }
  consoleErrors.length = 0
  expect(await ran(page)).toBe(0)
  expect(asked, 'what was asked for elsewhere').toEqual([])

  await page.goto(`${demoServer}/files`)
  const saved = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save it as CSV' }).click()
  const table = await saved
  expect(table.suggestedFilename()).toMatch(/^[a-z0-9-]+(\.[a-z0-9-]+)*\.csv$/i)
  const csv = readFileSync(await table.path(), 'utf8')
  expect(csv).not.toMatch(/(^|[,\n]"?)[=+@]/m)
})
