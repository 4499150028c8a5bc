import type { Page } from '@playwright/test'
import { askAbout, expect, openBench, pick, station, test, testGlue, type } from './maker'

interface Wanted {
  a: string
  b: string
  shape: string
  loads: string[]
  width?: string
  length?: string
  glues: string[]
}

/** A joint asked and three glues picked; then presses are counted as a maker makes them. */
async function picked(
  page: Page,
  { a, b, shape, loads, width, length, glues }: Wanted,
): Promise<() => Promise<number>> {
  await openBench(page)
  await askAbout(page, 'Whole round')
  await pick(page, 'Material of side A', a)
  await pick(page, 'Material of side B', b)
  await pick(page, 'Shape of the joint', shape)
  await pick(page, 'How it is loaded', ...loads)
  if (width) await type(page, 'Width of the glued face', width)
  if (length) await type(page, 'Length of the glued face, along the pull', length)
  await station(page, 'Shortlist')
  for (const glue of glues) await testGlue(page, glue)
  await page.evaluate(() => {
    const counted = window as unknown as { presses: number }
    counted.presses = 0
    addEventListener('click', () => counted.presses++, true)
  })
  await page.getByRole('link', { name: 'Plan their coupons' }).click()
  await expect(page.getByText('nothing unfair found')).toBeVisible()
  return () => page.evaluate(() => (window as unknown as { presses: number }).presses)
}

/** Plans what is drafted and opens its sheets. */
async function printed(page: Page, presses: () => Promise<number>): Promise<void> {
  await page.getByRole('button', { name: /^Plan \d+ coupons/ }).click()
  await page.getByRole('link', { name: 'Print labels, cut list and bench sheet' }).click()
  await expect(page.getByRole('heading', { name: /^For the bench/ })).toBeVisible({ timeout: 20_000 })
  expect(await presses()).toBeLessThanOrEqual(6)
}
const foam = 'Closed-cell EVA foam sheet'
const stacked = { a: foam, b: foam, shape: 'large faces', loads: ['pulled straight'] }

test('stacked foam, deep: beads with air lanes, a coupon as deep; a shallow one is called unfair and mended', async ({
  page,
}) => {
  const presses = await picked(page, {
    ...stacked,
    width: '100 mm',
    length: '300 mm',
    glues: ['silicone', 'contact-solvent', 'hotmelt-low'],
  })
  const silicone = page.locator('[data-letter="A"]')
  await silicone.getByText(/^All steps, to change/).click()
  await expect(silicone).toContainText('Lay beads no wider than 31 mm with air lanes between them')
  await expect(silicone).toContainText('Damp air enters only at the rim, and the middle lies 50 mm in')
  const area = page.getByLabel('Bonded area, mm²')
  const deep = await area.inputValue()
  await area.fill('100')
  await area.press('Tab')
  const fault = page.locator('[data-fault="not-as-deep"]')
  await expect(fault).toContainText('it would acquit a glue that stays wet in the joint')
  await fault.getByRole('button', { name: /^Make it as deep/ }).click()
  await expect(fault).toBeHidden()
  await expect(area).toHaveValue(deep)
  await printed(page, presses)
})

test('stacked foam, shallow: nothing of depth to say', async ({ page }) => {
  const presses = await picked(page, {
    ...stacked,
    width: '12 mm',
    length: '300 mm',
    glues: ['silicone', 'contact-solvent', 'hotmelt-low'],
  })
  await expect(page.locator('[data-letter="A"]')).not.toContainText('beads')
  await expect(page.locator('[data-fault="not-as-deep"]')).toHaveCount(0)
  await printed(page, presses)
})

test('a book block: a page is pulled from it, and it is opened flat', async ({ page }) => {
  const presses = await picked(page, {
    a: 'Uncoated paper',
    b: 'Uncoated paper',
    shape: 'an edge strip',
    loads: ['peeled'],
    glues: ['pva-bookbinding', 'hotmelt-pur', 'pva-white'],
  })
  await expect(page.getByRole('heading', { name: 'page pull', exact: true })).toBeVisible()
  await expect(page.getByRole('heading', { name: 'lay-flat angle', exact: true })).toBeVisible()
  // Paper tears before a good spine lets go: such pulls say “at least”.
  await expect(page.locator('[data-arm="a1"]')).toContainText('may tear first')
  await printed(page, presses)
})

test('printed halves, twisted and snapped: a load is foretold, a limit set, and what tears first is named', async ({
  page,
}) => {
  const presses = await picked(page, {
    a: 'Printed PLA',
    b: 'Printed PLA',
    shape: 'an edge',
    loads: ['twisted', 'snapped'],
    glues: ['epoxy-fast', 'ca-medium', 'mma'],
  })
  for (const arm of ['a1', 'a2']) {
    await expect(page.locator(`[data-arm="${arm}"]`)).toContainText(/N\s+expected/)
    await expect(page.locator(`[data-arm="${arm}"]`)).toContainText(/on this coupon the scale says/i)
  }
  await expect(page.getByRole('heading', { name: 'twist, rectangle' })).toBeVisible()
  await expect(page.getByRole('heading', { name: 'snap', exact: true })).toBeVisible()
  // A stronger glue needs more than the scale reads: a lever, drawn with its arms.
  await expect(page.getByText(/read by the gauge|on a lever of \d to 1/).first()).toBeVisible()
  await printed(page, presses)
})
