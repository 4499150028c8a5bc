import { readFileSync, writeFileSync } from 'node:fs'
import { expect, test as base, type Locator, type Page, type TestInfo } from '@playwright/test'

/** Where the two servers stand: with an empty bench, and with the demo bench. */
const port = Number(process.env['E2E_PORT'] ?? 4870)
export const emptyServer = `http://localhost:${port}`
export const demoServer = `http://localhost:${port + 1}`

/** Every test fails on an error in the console: a page can look right to assertions and be broken to the eye. */
export const test = base.extend<{ consoleErrors: string[]; faultsMade: boolean }>({
  /** the test itself makes requests fail: what the browser writes of them is no finding, what nobody caught still is */
  faultsMade: [false, { option: true }],
  consoleErrors: [
    async ({ page, faultsMade }, use) => {
      const errors: string[] = []
      page.on('console', (message) => message.type() === 'error' && !faultsMade && errors.push(message.text()))
      page.on('pageerror', (error) => errors.push(error.message))
      await use(errors)
      expect(errors, 'errors in the console').toEqual([])
    },
    { auto: true },
  ],
})
export { expect }

export const word = (page: Page, label: string): Locator => page.getByRole('button', { name: new RegExp(`^${label}:`) })
const popover = (page: Page, label: string): Locator => page.getByRole('group', { name: label, exact: true })

/** The lines of the sentence that are folded are opened: what is folded cannot be pressed. */
export async function unfoldSentence(page: Page): Promise<void> {
  await expect(page.locator('.sentence')).toBeVisible()
  const folded = page.locator('.sentence details:not([open]) > summary')
  while ((await folded.count()) > 0) await folded.first().click()
}

/** Opens a word of the sentence, and the lines that it may be folded into. */
async function open(page: Page, label: string): Promise<void> {
  await expect(page.locator('.sentence')).toBeVisible()
  if (!(await word(page, label).isVisible())) await unfoldSentence(page)
  await word(page, label).click()
}

/** Opens a word of the sentence and takes one of its answers. */
export async function pick(page: Page, label: string, ...choices: string[]): Promise<void> {
  await open(page, label)
  for (const choice of choices)
    await popover(page, label)
      .getByRole('button', { name: new RegExp(`^${choice.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}`) })
      .first()
      .click()
  const done = popover(page, label).getByRole('button', { name: 'Done' })
  if (await done.isVisible()) await done.click()
  await expect(popover(page, label)).toBeHidden()
}

/** Opens a word and types its number. */
export async function type(page: Page, label: string, text: string): Promise<void> {
  await open(page, label)
  await popover(page, label).getByRole('textbox').fill(text)
  await popover(page, label).getByRole('button', { name: 'Set' }).click()
  await expect(popover(page, label)).toBeHidden()
}

export async function openBench(page: Page, server = emptyServer): Promise<void> {
  await page.goto(server)
  await expect(page.locator('.saved')).toHaveText('saved')
}

export async function askAbout(page: Page, name: string): Promise<void> {
  await page.getByLabel(/what do you call/i).fill(name)
  await page.getByRole('button', { name: 'Ask about this joint' }).click()
  await expect(page.getByLabel('Name of the joint')).toHaveValue(name)
}

export const station = (page: Page, name: string) =>
  page
    .getByRole('navigation', { name: 'Stations' })
    .getByRole('link', { name: new RegExp(name) })
    .click()

/**
 * Those that are ruled out lie folded below; the others are shown in part. The page is waited for: what is
 * not drawn yet cannot be unfolded.
 */
export async function unfold(page: Page): Promise<void> {
  await expect(page.locator('#group-fit, #record')).toBeAttached()
  for (const others of [/that suit$/, /that want care$/]) {
    const more = page.getByRole('button', { name: others })
    if (await more.isVisible()) await more.click()
  }
  const out = page.locator('details.out:not([open]) summary')
  if (await out.isVisible()) await out.click()
}

export async function testGlue(page: Page, family: string): Promise<void> {
  await unfold(page)
  await page.locator(`li[data-family="${family}"]`).getByRole('button', { name: /^Test/ }).click()
}

/** A joint with glues picked and coupons planned, ready to be glued. */
export async function plannedJoint(page: Page, families: string[], coupons: number): Promise<void> {
  await askAbout(page, 'Rib to cover')
  await pick(page, 'Material of side A', 'Closed-cell EVA foam sheet')
  await pick(page, 'Material of side B', 'Woven cotton')
  await pick(page, 'Shape of the joint', 'a lap')
  await pick(page, 'How it is loaded', 'pulled sideways')
  await station(page, 'Shortlist')
  for (const family of families) await testGlue(page, family)
  await page.getByRole('link', { name: 'Plan their coupons' }).click()
  await page.getByRole('radio', { name: new RegExp(`^${coupons} of each`) }).check({ force: true })
  await page.getByRole('button', { name: /^Plan \d+ coupons/ }).click()
  await expect(page.getByRole('heading', { name: 'Glue in this order' })).toBeVisible()
}

/** Works through all gluing steps, letting the clock run where a step has to wait. Needs page.clock. */
export async function glueAll(page: Page): Promise<void> {
  const done = page.getByRole('heading', { name: /coupons are glued/ })
  // What is shown, read in one go: coupon and step, but not its running clock.
  const shown = () =>
    page.evaluate(
      () => `${document.querySelector('.task .tape')?.textContent} ${document.querySelector('.task h2')?.textContent}`,
    )
  for (let i = 0; i < 500 && !(await done.isVisible()); i++) {
    if (await page.getByText(/until it may be/).isVisible()) {
      await page.clock.fastForward(5 * 60_000)
      continue
    }
    const before = await shown()
    await page.locator('.task .v-btn.go').click()
    await expect.poll(shown).not.toBe(before)
  }
  await expect(done).toBeVisible()
}

/** The open bench, saved as a file through the menu. @returns its path */
export async function savedFile(page: Page, info: TestInfo): Promise<string> {
  await page.getByRole('button', { name: 'Menu' }).click()
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save a bench file' }).click()
  const path = info.outputPath('bench.json')
  await (await download).saveAs(path)
  return path
}

/**
 * The demo bench as a file, without H2’s pulls and changed, read in as another bench and opened at H2.
 * @param change gets the tables, and the pulls as they were
 */
export async function openChanged(
  page: Page,
  info: TestInfo,
  change: (tables: FileTables, readings: FileTables['reading']) => void,
  where = 'Break',
): Promise<void> {
  await openBench(page, demoServer)
  const path = await savedFile(page, info)
  const file = JSON.parse(readFileSync(path, 'utf8')) as { tables: FileTables }
  const { id } = file.tables.round.find(({ joint }) => joint === 'h2')!
  const before = file.tables.reading.map((one) => ({ ...one }))
  const ids = new Set(file.tables.coupon.filter(({ round }) => round === id).map((one) => one.id))
  file.tables.reading = file.tables.reading.filter(({ coupon }) => !ids.has(coupon))
  change(file.tables, before)
  file.tables.bench[0]!.name = 'Twelve'
  writeFileSync(path, JSON.stringify(file))
  await page.goto(`${demoServer}/benches`)
  await page.setInputFiles('input[type="file"]', path)
  await expect(page.getByText(/Read in “Twelve”/)).toBeVisible()
  await page.getByRole('listitem').filter({ hasText: 'Twelve' }).getByRole('button', { name: /^Open/ }).click()
  await page.getByRole('link', { name: /H2/ }).first().click()
  await station(page, where)
}
export interface FileTables {
  bench: { name: string }[]
  joint: { id: string; brief: Record<string, unknown> }[]
  procedure: { id: string; letter: string }[]
  round: { id: string; joint: string; arms: Record<string, unknown>[] }[]
  coupon: {
    id: string
    round: string
    arm: string
    label: string
    procedure: string
    block: number
    glueAt: number
    pullAt: number
    stamps: unknown[]
  }[]
  reading: { id: string; coupon: string; at: number; raw: unknown; outcome: Record<string, unknown> }[]
}
