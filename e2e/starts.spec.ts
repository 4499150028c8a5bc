import type { Page } from '@playwright/test'
import { askAbout, expect, openBench, station, test, unfoldSentence, word } from './maker'

/** Counts presses as a maker makes them: every click that the page hears. */
async function counting(page: Page): Promise<() => Promise<number>> {
  await page.evaluate(() => {
    const counted = window as unknown as { presses: number }
    counted.presses = 0
    addEventListener('click', () => counted.presses++, true)
  })
  return () => page.evaluate(() => (window as unknown as { presses: number }).presses)
}
const screens = (page: Page, height: number) =>
  page.evaluate((height) => document.documentElement.scrollHeight / height, height)

for (const [start, usual] of [
  ['Book spine', /bookbinding/i],
  ['Stacked foam slabs, cut by hot wire', /contact/i],
  ['Styrene kit part', /solvent cement/i],
] as const)
  test(`from the usual joint “${start}” to three glues in at most eight presses`, async ({ page }) => {
    await openBench(page)
    await askAbout(page, 'Begun as usual')
    const presses = await counting(page)
    await page.getByRole('button', { name: start, exact: true }).click()
    await expect(page.getByRole('heading', { name: /words are proposals/ })).toBeVisible()
    await expect(word(page, 'Shape of the joint')).toHaveAccessibleName(/, proposed$/)
    await page.getByRole('button', { name: 'They are right' }).click()
    await expect(page.getByRole('heading', { name: /words are proposals/ })).toBeHidden()
    await expect(word(page, 'Shape of the joint')).not.toHaveAccessibleName(/, proposed$/)
    await station(page, 'Shortlist')
    const first = page.getByRole('region', { name: 'Test these first' })
    await expect(first).toContainText(usual)
    await expect(first.getByRole('listitem')).toHaveCount(3)
    expect(await screens(page, 800)).toBeLessThanOrEqual(2)
    await first.getByRole('button', { name: /^Take these 3/ }).click()
    await expect(page.locator('.picked li')).toHaveCount(3)
    expect(await presses()).toBeLessThanOrEqual(8)
    await page.setViewportSize({ width: 390, height: 844 })
    expect(await screens(page, 844)).toBeLessThanOrEqual(4)
  })

test('a proposed word that is said is one no more, and all proposals are taken back at once', async ({ page }) => {
  await openBench(page)
  await askAbout(page, 'Begun as usual')
  await page.getByRole('button', { name: 'Magnet in a pocket' }).click()
  const heading = page.getByRole('heading', { name: /words are proposals/ })
  const count = async () => Number.parseInt((await heading.textContent())!, 10)
  const all = await count()
  await unfoldSentence(page)
  await word(page, 'Highest temperature').click()
  const asked = page.getByRole('group', { name: 'Highest temperature', exact: true })
  await asked.getByRole('textbox').fill('45 °C')
  await asked.getByRole('button', { name: 'Set' }).click()
  await expect.poll(count).toBe(all - 1)
  await page.getByRole('button', { name: 'Take them back' }).click()
  await expect(heading).toBeHidden()
  await expect(word(page, 'Shape of the joint')).toHaveAccessibleName('Shape of the joint: open')
  await expect(word(page, 'Highest temperature')).toHaveAccessibleName(/45/)
})
