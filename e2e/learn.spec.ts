import { execFile } from 'node:child_process'
import { readFileSync, writeFileSync } from 'node:fs'
import { promisify } from 'node:util'
import AxeBuilder from '@axe-core/playwright'
import type { Page, TestInfo } from '@playwright/test'
import type { Tables } from '../core/records/tables'
import { demoServer, expect, openBench, test } from './maker'

async function saveBenchFile(page: Page, info: TestInfo, name: string): Promise<string> {
  await page.getByRole('button', { name: 'Menu' }).click()
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save a bench file' }).click()
  const path = info.outputPath(name)
  await (await download).saveAs(path)
  return path
}
const tablesOf = (path: string) => JSON.parse(readFileSync(path, 'utf8')) as { tables: Tables; savedAt: number }
const noAxe = async (page: Page) => {
  const { violations } = await new AxeBuilder({ page }).analyze()
  expect(violations.map(({ id, nodes }) => `${id} ${nodes[0]?.target.join(' ')}`)).toEqual([])
}

test('evidence: pulls by pair with what stands behind them, a note of what was said, by keys and on a phone', async ({
  page,
}) => {
  await openBench(page, demoServer)
  await page.getByRole('link', { name: 'Evidence' }).click()
  await expect(page.locator('[data-pulled]').first()).toBeVisible()
  await page.getByLabel('Only what has').fill('textile')
  await expect(page.locator('[data-pulled]')).toHaveCount(1)
  await page.locator('[data-pulled] .ask-why').focus()
  await page.keyboard.press('Enter')
  await expect(page.locator('#why tbody tr')).toHaveCount(4)
  await page.getByLabel('Only what has').fill('')
  const score = page.locator('#how-good .ask-why').first()
  await score.click()
  await expect(page.locator('#why')).toContainText('mean of')
  await noAxe(page)
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(`${demoServer}/evidence`)
  await expect(page.locator('[data-pulled]').first()).toBeVisible()
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  await page.getByRole('button', { name: 'Note what somebody said' }).click()
  await page.getByLabel('What was said').fill('Low-melt sticks hold in the cold')
  await page.getByLabel('By whom, or where it stands').fill('a friend')
  await page.getByRole('button', { name: 'Note it' }).click()
  await expect(page.getByText('“Low-melt sticks hold in the cold”')).toBeVisible()
  await page.locator('[data-pulled] .ask-why').first().click()
  await expect(page.locator('#why')).toBeInViewport()
  await page.keyboard.press('Escape')
  await noAxe(page)
})

test('two tabs and a file: another copy is put to this one, seen in both, and taken back whole', async ({
  page,
  context,
}, info) => {
  await openBench(page, demoServer)
  const before = tablesOf(await saveBenchFile(page, info, 'before.json'))
  // The same bench went its own way in another browser: a joint more, a word changed, a reading noted.
  const theirs = structuredClone(before)
  const tables = theirs.tables
  tables.joint.push({
    ...structuredClone(tables.joint[0]!),
    id: 'new',
    code: 'H6',
    name: 'Tail to spine',
    createdAt: 1,
  })
  tables.joint[0]!.brief.heatC = 55
  tables.reading[0]!.note = 'read again by daylight'
  const path = info.outputPath('theirs.json')
  writeFileSync(path, JSON.stringify(theirs))
  const other = await context.newPage()
  await other.goto(demoServer)
  await expect(other.locator('.lines li')).toHaveCount(5)

  await page.goto(`${demoServer}/merge`)
  await page.setInputFiles('input[type="file"]', path)
  await expect(page.locator('[data-preview]')).toContainText('1 joint')
  await expect(page.getByRole('heading', { name: '2 differences to decide' })).toBeVisible()
  await noAxe(page)
  await page
    .getByRole('group', { name: /heat/ })
    .getByLabel(/^there: 55/)
    .check()
  await page
    .getByRole('group', { name: /note/ })
    .getByLabel(/^there/)
    .check()
  await page.getByRole('button', { name: 'Put the two together' }).click()
  await expect(page.getByText('Undo takes all of it back')).toBeVisible()
  // The other tab has it without a reload.
  await expect(other.locator('.lines li')).toHaveCount(6)
  await expect(other.locator('.lines')).toContainText('Tail to spine')
  // The same file again has nothing new.
  await page.setInputFiles('input[type="file"]', path)
  await expect(page.getByText('Nothing is new: this bench has it all.')).toBeVisible()
  // Taken back in the other tab, all of it, to the byte.
  await other.getByRole('button', { name: 'Undo' }).click()
  await expect(other.locator('.lines li')).toHaveCount(5)
  const after = tablesOf(await saveBenchFile(other, info, 'after.json'))
  expect(JSON.stringify(after.tables)).toBe(JSON.stringify(before.tables))
  await other.close()
})

test('the build: shopping list, evenings, repair kit; copied as a template without its readings', async ({ page }) => {
  await openBench(page, demoServer)
  await page.getByRole('link', { name: /The build as a whole/ }).click()
  await expect(page.locator('[data-buy]')).toContainText('1 pack of Milky contact')
  await expect(page.locator('[data-kit]').first()).toContainText('mends')
  await expect(page.locator('.days li').first()).toBeVisible()
  await noAxe(page)
  await page.setViewportSize({ width: 390, height: 844 })
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  await noAxe(page)
  await page.getByRole('button', { name: 'Copy it as a template' }).click()
  await page.getByLabel('Name of the new bench').fill('Second heron')
  await page.getByRole('button', { name: 'Copy it and open the copy' }).click()
  await expect(page.locator('.lines li')).toHaveCount(5)
  await expect(page.locator('.head .bench')).toHaveText('Second heron')
  await page.goto(`${demoServer}/evidence`)
  await expect(page.getByText('Nothing was pulled yet')).toBeVisible()
  // Its first round can be glued at once.
  await page.goto(demoServer)
  await page.getByRole('link', { name: /Rib to wing cloth/ }).click()
  await expect(page.locator('#work')).toBeVisible()
})

const large = (...args: string[]) =>
  promisify(execFile)('npx', ['tsx', 'scripts/largeBench.ts', ...args], { maxBuffer: 1e7 })

test('10,000 readings and 200 photos go out and come in with progress; cancelled, nothing is half', async ({
  page,
}, info) => {
  const path = info.outputPath('large.zip')
  await large('make', path, '10000', '200')
  await openBench(page, demoServer)
  await page.goto(`${demoServer}/benches`)
  // Cancelled while it reads: no bench is listed, and none of its stores is left.
  await page.setInputFiles('input[type="file"]', path)
  await page.getByRole('button', { name: 'Cancel' }).click()
  await expect(page.locator('main > ul > li')).toHaveCount(1)
  const stores = () => page.evaluate(async () => (await indexedDB.databases()).map(({ name }) => name).sort())
  const kept = await stores()
  await page.setInputFiles('input[type="file"]', path)
  await expect(page.getByText(/Read in “Large bench” with 5 joints and 1[0-9]{4} readings, 200 photos/)).toBeVisible({
    timeout: 120_000,
  })
  expect((await stores()).length).toBeGreaterThan(kept.length)
  await page.getByRole('listitem').filter({ hasText: 'Large bench' }).getByRole('button', { name: /^Open/ }).click()
  await expect(page.locator('.head .bench')).toHaveText('Large bench')
  await page.goto(`${demoServer}/files`)
  await page.getByRole('button', { name: 'Save the data package' }).click()
  await page.getByRole('button', { name: 'Cancel' }).click()
  await expect(page.getByLabel('making the package')).toBeHidden()
  const download = page.waitForEvent('download', { timeout: 120_000 })
  await page.getByRole('button', { name: 'Save the data package' }).click()
  const out = info.outputPath('out.zip')
  await (await download).saveAs(out)
  const { stdout } = await large('same', path, out)
  expect(stdout.trim()).toBe('the same')
})
