import type { Page } from '@playwright/test'
import { expect, openBench, test } from './maker'

/** Tabs on until the focus stands on what is wanted; as a person does it, who sees where it stands. */
async function tabTo(page: Page, wanted: RegExp, most = 500): Promise<void> {
  for (let i = 0; i < most; i++) {
    const name = await page.evaluate(() => {
      const at = document.activeElement as HTMLElement | null
      if (!at || at === document.body) return ''
      const label = (at as HTMLInputElement).labels?.[0]?.textContent
      return (at.getAttribute('aria-label') ?? label ?? at.textContent ?? '').replace(/\s+/g, ' ').trim()
    })
    if (wanted.test(name)) return
    await page.keyboard.press('Tab')
  }
  throw new Error(`the focus never came to ${wanted}`)
}
const press = (page: Page, ...keys: string[]) =>
  keys.reduce((before, key) => before.then(() => page.keyboard.press(key)), Promise.resolve())

test('the whole walk by keyboard alone', async ({ page }) => {
  await page.clock.install({ time: new Date('2026-11-24T18:00:00') })
  await openBench(page)
  await tabTo(page, /what do you call/i)
  await page.keyboard.type('Strap')
  await press(page, 'Enter')
  await expect(page.getByLabel('Name of the joint')).toHaveValue('Strap')

  // The sentence: Enter opens a word, typing finds, Enter takes the first found.
  await tabTo(page, /^Material of side A/)
  await press(page, 'Enter')
  await expect(page.getByLabel('Find a material')).toBeFocused()
  await page.keyboard.type('felt')
  await press(page, 'Enter')
  await expect(page.getByRole('button', { name: 'Material of side A: felt' })).toBeVisible()
  await tabTo(page, /^Material of side B/)
  await press(page, 'Enter')
  await expect(page.getByLabel('Find a material')).toBeFocused()
  await page.keyboard.type('webbing')
  await press(page, 'Enter')
  await tabTo(page, /^How it is loaded/)
  await press(page, 'Enter')
  await expect(page.getByRole('button', { name: /^pulled sideways/ })).toBeFocused()
  await press(page, 'Enter')
  await tabTo(page, /^Done/)
  await press(page, 'Enter')
  await expect(page.getByRole('button', { name: 'How it is loaded: pulled sideways' })).toBeVisible()

  // Stations by their numbers, glues by Tab and Enter.
  await page.locator('#work').focus()
  await press(page, '2')
  await expect(page.getByRole('heading', { name: 'Glues for strap' })).toBeVisible()
  await tabTo(page, /^Show the other \d+ that suit/)
  await press(page, 'Enter')
  await expect(
    page
      .locator('.glue')
      .nth(5)
      .getByRole('button', { name: /^Test this glue/ }),
  ).toBeFocused()
  await tabTo(page, /^Test this glue: Water-borne contact glue/)
  await press(page, 'Enter')
  await expect(page.locator('.picked li')).toHaveCount(1)
  await press(page, '3')
  await tabTo(page, /^4 of each/)
  await press(page, 'ArrowLeft', 'ArrowLeft')
  await tabTo(page, /^Plan 2 coupons/)
  await press(page, 'Enter')
  await expect(page.getByRole('heading', { name: 'Glue in this order' })).toBeVisible()

  // Space does the step that is shown.
  await press(page, '4')
  await page.locator('#work').focus()
  const all = page.getByRole('heading', { name: /coupons are glued/ })
  for (let i = 0; i < 60 && !(await all.isVisible()); i++) {
    if (await page.getByText(/until it may be/).isVisible()) await page.clock.fastForward(10 * 60_000)
    else {
      const before = await page.locator('.task').textContent()
      if (before?.includes('coupons are glued')) break
      await press(page, 'Space')
      await expect(page.locator('.task')).not.toHaveText(before ?? '')
    }
  }
  await expect(all).toBeVisible()
  await page.clock.fastForward(5 * 24 * 3_600_000)

  // Log with L.
  await press(page, '5')
  for (const [typed, pulled] of [
    ['60 N', 1],
    ['7 kgf', 2],
  ] as const) {
    await tabTo(page, /^What it said/)
    await page.keyboard.type(typed)
    await tabTo(page, /^in the glue/)
    await press(page, 'Enter', 'l')
    await expect(page.locator('.far li')).toHaveCount(pulled)
  }
  await press(page, '6')
  await tabTo(page, /^Because/)
  await page.keyboard.type('the only one tested')
  await press(page, 'Enter')
  await tabTo(page, /^Print the procedure card/)
  await press(page, 'Enter')
  await expect(page.locator('.paper')).toContainText('the only one tested')
  await press(page, 'Control+z')
  await expect(page.getByText('Nothing is decided for this joint yet')).toBeVisible()
})
