import { execFile } from 'node:child_process'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { promisify } from 'node:util'
import { emptyServer, expect, openBench, test } from './maker'

// `npm run spoilt` opens three hundred.
const FILES = Number(process.env['SPOILT_FILES'] ?? 8)
const SEED = process.env['SPOILT_SEED'] ?? '77'
const stations = ['ask', 'shortlist', 'plan', 'glue', 'break', 'choose', 'card', 'print']

test.use({ baseURL: emptyServer })
test.setTimeout(60_000 + FILES * 20_000)

test(`${FILES} bench files that went wrong and were taken: every page of each opens`, async ({
  page,
  consoleErrors,
}) => {
  const folder = mkdtempSync(join(tmpdir(), 'spoilt-'))
  const made = promisify(execFile)('npx', ['tsx', 'scripts/spoiltFiles.ts', folder, String(FILES), SEED], {
    maxBuffer: 1e8,
  })
  const lines = (await made).stdout.trim().split('\n')
  const files = lines.map((line) => JSON.parse(line) as { why: string; joint: string })
  expect(files).toHaveLength(FILES)
  await openBench(page)
  const found: string[] = []
  for (const [n, { why, joint }] of files.entries()) {
    await page.goto('/benches')
    await page.setInputFiles('input[type="file"]', join(folder, `${n}.json`))
    await expect(page.getByText(/^Read in “/).first()).toBeVisible({ timeout: 20_000 })
    await page
      .getByRole('button', { name: /^Open / })
      .first()
      .click()
    await expect(page).toHaveURL(/\/$/)
    const at = (path: string) => (stations.includes(path) ? `/joint/${encodeURIComponent(joint)}/${path}` : `/${path}`)
    for (const path of ['', 'shelf', 'evidence', 'build', 'files', 'history', ...stations]) {
      // The way that a link goes: the app stays, its page changes.
      await page.evaluate((to) => {
        history.pushState({}, '', to)
        dispatchEvent(new PopStateEvent('popstate', { state: {} }))
      }, at(path))
      await page.waitForFunction(() => !document.querySelector('[role="progressbar"], [aria-busy="true"]'), null, {
        timeout: 30_000,
      })
      const text = await page.locator('#app').innerText()
      const odd = /.{0,50}(cannot be shown|\bNaN\b|undefined|\bInfinity\b|\[object|\d(\.\d+)?e[+-]?\d).{0,50}/.exec(
        text.split('oops').join(''),
      )
      if (odd && !why.includes('"NaN"')) found.push(`${n} ${why} → ${path}: …${odd[0]}…`)
      if (consoleErrors.length) found.push(`${n} ${why} → ${path}: ${consoleErrors.splice(0).join(' | ')}`)
    }
  }
  expect(found).toEqual([])
})
