import type { Page } from '@playwright/test'
import { demoServer, expect, openBench, test } from './maker'
import { logOf } from './log'

/** Views with buttons that write; the joints of the demo stand in different states. */
const views = [
  '/',
  '/joint/h4/ask',
  '/joint/h5/shortlist',
  '/joint/h5/plan',
  '/joint/h2/plan',
  '/joint/h3/glue',
  '/joint/h2/break',
  '/joint/h2/choose',
  '/joint/h2/print',
  '/shelf',
  '/evidence',
]

/**
 * Every button of the work surface that can be pressed, by its place and words; of a kind that recurs, the first.
 */
const buttonsOf = async (page: Page) => {
  const all = await page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('#work button, #work .v-btn')]
      .map((one, at) => ({ at, one }))
      .filter(({ one }) => one.offsetParent !== null && !one.matches(':disabled, a'))
      .map(({ at, one }) => ({
        at,
        words: one.textContent?.trim().slice(0, 40) ?? '',
        // Figures that open in Why differ in their number alone.
        why: one.matches('.ask-why'),
      })),
  )
  const kinds = new Map<string, number>()
  return all.filter(({ words, why }) => {
    const kind = why ? 'why' : words.split(' ')[0]!
    kinds.set(kind, (kinds.get(kind) ?? 0) + 1)
    return kinds.get(kind)! <= 1
  })
}
const nth = (page: Page, at: number) => page.locator('#work button, #work .v-btn').nth(at)

/** @returns whether the presses came as meant; a machine that stood still in between says nothing about the app */
type Press = (page: Page, other: Page, at: number, words: string) => Promise<boolean>
const presses: Record<string, Press> = {
  'a double click': async (page, _, at) => {
    await nth(page, at).dblclick({ timeout: 3000, force: true })
    return true
  },
  'a held key': async (page, _, at) => {
    await nth(page, at).focus()
    for (let i = 0; i < 6; i++) await page.keyboard.down('Enter')
    await page.keyboard.up('Enter')
    return true
  },
  // What stands in the same place with the same words, at the same moment or just after the first tab's write came in.
  'two tabs at once': async (page, other, at, words) => {
    const when = Date.now() + 100
    const press = (of: Page, after: number) =>
      of.evaluate(
        async ([at, words, when]) => {
          await new Promise((done) => setTimeout(done, when - Date.now()))
          const button = [...document.querySelectorAll<HTMLElement>('#work button, #work .v-btn')][at]
          const pressed = Date.now()
          if (button?.textContent?.trim().slice(0, 40) === words) button.click()
          return pressed
        },
        [at, words, when + after] as const,
      )
    const [first, second] = await Promise.all([press(page, 0), press(other, at % 2 ? JUST_AFTER : 0)])
    return Math.abs(second - first) < 2 * JUST_AFTER
  },
}
/** ms; less than a person's reaction time, more than a write takes */
const JUST_AFTER = 150

for (const [how, press] of Object.entries(presses))
  for (const half of [0, 1])
    test(`${how} on any button writes once, part ${half + 1}`, async ({ page, context }) => {
      test.setTimeout(600_000)
      await openBench(page, demoServer)
      const other = await context.newPage()
      const tabs = how === 'two tabs at once' ? [page, other] : [page]
      const calm = async () => {
        for (const tab of tabs) await tab.waitForFunction(() => !document.querySelector('[aria-busy="true"]'))
        await page.waitForTimeout(60)
      }
      let [writing, missed] = [0, 0]
      for (const path of views.filter((_, i) => i % 2 === half)) {
        const show = async () => {
          for (const tab of tabs) {
            await tab.goto(demoServer + path)
            await expect(tab.locator('#work h1, #work h2').first()).toBeAttached()
          }
          await calm()
          // What stands below the first screen comes after it.
          const count = () => page.locator('#work button, #work .v-btn').count()
          for (let seen = -1; seen !== (await count()); await page.waitForTimeout(120)) seen = await count()
        }
        await show()
        const total = await page.locator('#work button, #work .v-btn').count()
        for (const { at, words } of await buttonsOf(page)) {
          const before = (await logOf(page)).length
          const meant = await press(page, other, at, words).catch(() => true)
          await calm()
          const log = await logOf(page)
          const added = log.slice(before).map(({ label }) => label)
          if (meant) expect(added.length, `${path}, “${words}”: ${added.join(' | ')}`).toBeLessThanOrEqual(1)
          else missed++
          writing += added.length
          if (added.length) {
            await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur())
            await page.keyboard.press('Control+z')
            await expect.poll(async () => (await logOf(page)).length).toBe(log.length + 1)
          }
          // What only opened something is closed again; what wrote or led elsewhere starts afresh.
          const elsewhere = tabs.some((tab) => new URL(tab.url()).pathname !== path)
          const fewer = (await page.locator('#work button, #work .v-btn').count()) !== total
          if (added.length || elsewhere || fewer) await show()
        }
      }
      expect(writing, 'buttons that wrote').toBeGreaterThan(5)
      expect(missed, 'presses that came too late').toBeLessThan(writing / 2)
    })

test('a form sent twice by Enter writes once, and so does a bench that is started twice', async ({ page }) => {
  await openBench(page, demoServer)
  const before = (await logOf(page)).length
  await page.getByLabel(/what do you call/i).fill('Twice')
  await page.evaluate(() => {
    const button = [...document.querySelectorAll<HTMLElement>('.v-btn')].find((one) =>
      one.textContent?.includes('Ask about'),
    )!
    button.click()
    button.click()
  })
  await expect(page.getByLabel('Name of the joint')).toHaveValue('Twice')
  expect((await logOf(page)).length).toBe(before + 1)
  await page.goto(`${demoServer}/benches`)
  await page.getByLabel('A new, empty bench').fill('Started once')
  await page.getByRole('button', { name: 'Start this bench' }).dblclick()
  await expect(page.getByRole('heading', { name: 'Start with one joint' })).toBeVisible()
  await page.goto(`${demoServer}/benches`)
  await expect(page.locator('main > ul > li')).toHaveCount(2)
})
