import type { Page } from '@playwright/test'
import { demoServer, expect, openBench, plannedJoint, station, test } from './maker'

const START = new Date('2026-11-24T18:00:00')
const MINUTE = 60_000
const SECOND = 1000

/** What the page calls out, each with the time at which it was shown: read off the page, not from the app. */
async function listen(page: Page) {
  await page.evaluate(() => {
    const heard: { at: number; text: string }[] = []
    const seen = new WeakSet<Element>()
    Object.assign(window, { heard })
    new MutationObserver(() => {
      for (const one of document.querySelectorAll('[aria-label="Due now"] b')) {
        if (seen.has(one)) continue
        seen.add(one)
        heard.push({ at: Date.now(), text: one.textContent ?? '' })
      }
    }).observe(document.body, { childList: true, subtree: true })
  })
}
const heard = (page: Page) => page.evaluate(() => (window as never as { heard: { at: number; text: string }[] }).heard)
const shown = (page: Page) =>
  page.evaluate(
    () => `${document.querySelector('.task .tape')?.textContent} ${document.querySelector('.task h2')?.textContent}`,
  )
/** The wait of the piece on show, read in one go: whose it is, and when it ends by the countdown; null without one. */
const wait = (page: Page) =>
  page.evaluate(() => {
    const task = document.querySelector('.task')
    if (!task?.textContent?.includes('until it may be')) return null
    const [minutes, seconds] = task.querySelector('[role=timer]')!.textContent!.split(':').map(Number)
    const shownAt = Date.now()
    const due = shownAt + ((minutes ?? 0) * 60 + (seconds ?? 0)) * 1000
    return { label: task.querySelector('.tape')!.textContent.trim(), due, shownAt }
  })
/** Whose piece on show is to be closed within some minutes; null without such a limit. */
const left = (page: Page) =>
  page.evaluate(() => {
    const task = document.querySelector('.task')
    if (!task?.textContent?.includes('left to do it')) return null
    const minutes = Number(task.querySelector('[role=timer]')!.textContent!.split(':')[0])
    return minutes >= 3 ? task.querySelector('.tape')!.textContent.trim() : null
  })
/** The page's clock stands still while the test looks, however slow the machine is: each look lets a moment go by. */
const aMoment = (page: Page) => page.clock.runFor(100)

test('an evening of twelve coupons and four glues: called out in time, through a reload and a sleep', async ({
  page,
}) => {
  test.setTimeout(400_000)
  await page.clock.install({ time: START })
  await openBench(page)
  await plannedJoint(page, ['contact-solvent', 'pva-tacky', 'pva-white', 'epoxy-fast'], 3)
  await station(page, 'Glue')
  await expect(page.getByRole('heading', { name: 'The timetable' })).toBeVisible()
  await expect(page.locator('[data-evenings] > li').first()).toContainText(/glue /, { timeout: 30_000 })
  await expect(page.locator('[data-evenings] > li').last()).toContainText('pull all 12')

  await page.getByRole('button', { name: 'Sound when a step is due' }).click()
  await expect(page.getByRole('button', { name: 'Keep quiet' })).toBeVisible()
  await listen(page)
  const done = page.getByRole('heading', { name: 'All 12 coupons are glued' })
  await page.clock.pauseAt((await page.evaluate(() => Date.now())) + 1000)
  let [reloaded, slept] = [false, false]
  const called: { due: number; at: number }[] = []
  for (let i = 0; i < 400 && !(await done.isVisible()); i++) {
    // The laptop sleeps once, through the end of the time in which an open piece is to be closed.
    const open = slept ? null : await left(page)
    if (open) {
      await page.clock.fastForward(60 * MINUTE)
      slept = true
      await expect.poll(async () => (await aMoment(page), left(page)), `${open} is too late`).toBeNull()
      continue
    }
    const waiting = await wait(page)
    if (waiting) {
      const { label, due, shownAt } = waiting
      await page.clock.runFor(due - shownAt + 1500)
      // The countdown goes by seconds, the call by the moment: a wait that shows its last second may be called already.
      const calls = async () =>
        (await heard(page)).filter(({ at, text }) => at > shownAt - SECOND && text.startsWith(label))
      await expect.poll(async () => (await calls()).length, `${label} is called out`).toBeGreaterThan(0)
      called.push({ due, at: (await calls()).at(-1)!.at })
      continue
    }
    const before = await shown(page)
    await page.locator('.task .v-btn.go').click()
    await expect.poll(async () => (await aMoment(page), shown(page))).not.toBe(before)
    if (i >= 30 && !reloaded) {
      // What is done stands as it stood; what is next is the timetable's to say, which is searched for anew.
      const closed = () =>
        page
          .getByRole('link', { name: /Glue.*closed/ })
          .first()
          .textContent()
      const stands = await closed()
      await page.reload()
      await expect.poll(async () => (await aMoment(page), page.locator('.task').isVisible())).toBe(true)
      expect(await closed()).toBe(stands)
      await listen(page)
      reloaded = true
    }
  }
  await expect(done).toBeVisible()
  expect(reloaded && slept).toBe(true)
  expect(called.length).toBeGreaterThan(0)
  for (const { due, at } of called) expect(Math.abs(at - due)).toBeLessThanOrEqual(2000)
  // What was late after the sleep is written on the piece.
  await expect(page.getByRole('region', { name: 'What was really done' })).toContainText('late')
})

test('a worker that says nothing, and another one after it, is told, and asked again by a press', async ({ page }) => {
  await page.addInitScript(() => {
    const Real = window.Worker
    let asked = 0
    window.Worker = class extends Real {
      override postMessage(message: unknown) {
        const { kind } = message as { kind: string }
        if (kind !== 'timetable' || asked++ > 1) super.postMessage(message)
      }
    }
  })
  await openBench(page, demoServer)
  await page.getByRole('link', { name: /H3/ }).first().click()
  await station(page, 'Glue')
  const evenings = page.locator('[data-evenings] > li')
  // It stays silent for five seconds, and so does a fresh one: that is said, and the page goes on.
  const fault = page.locator('.timetable [role=alert]')
  await expect(fault).toContainText('so did a second try', { timeout: 14_000 })
  await expect(page.locator('.task')).toBeVisible()
  await page.getByRole('button', { name: 'Search again' }).click()
  await expect(evenings.last()).toContainText('pull', { timeout: 30_000 })
  await expect(page.locator('.searching')).toBeHidden({ timeout: 30_000 })
})

test('hours, pulls and a pinned step are changed by hand; the calendar file is saved', async ({ page }) => {
  await page.clock.install({ time: START })
  await openBench(page)
  await plannedJoint(page, ['contact-solvent', 'pva-tacky'], 3)
  await station(page, 'Glue')
  const evenings = page.locator('[data-evenings] > li')
  await expect(evenings.last()).toContainText('pull all 6', { timeout: 30_000 })
  await page.getByText('When I work, and with what').click()
  await page.getByLabel('Tuesday').fill('18:00 to 18:30')
  await page.getByRole('button', { name: 'Keep these hours' }).click()
  await expect(page.getByText('Kept.', { exact: true })).toBeVisible()
  await expect(evenings.first()).toContainText(/to 18:[0-3]\d/, { timeout: 30_000 })
  await evenings.first().getByText('Step by step').click()
  await evenings
    .first()
    .getByRole('button', { name: /^Keep this time/ })
    .first()
    .click()
  await expect(page.getByRole('button', { name: /^Let it move/ }).first()).toBeVisible({ timeout: 30_000 })
  await page.getByText('Change it by hand').click()
  const before = await evenings.last().textContent()
  await page.locator('.by-hand select').last().selectOption({ index: 13 })
  await expect(evenings.last()).not.toHaveText(before!, { timeout: 30_000 })
  const file = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save as a calendar file' }).click()
  expect((await file).suggestedFilename()).toMatch(/-timetable\.ics$/)
})
