import AxeBuilder from '@axe-core/playwright'
import { demoServer, expect, openBench, test } from './maker'

const views: Record<string, string> = {
  start: '/',
  ask: '/joint/h4/ask',
  shortlist: '/joint/h5/shortlist',
  plan: '/joint/h5/plan',
  planned: '/joint/h2/plan',
  glue: '/joint/h3/glue',
  break: '/joint/h2/break',
  choose: '/joint/h2/choose',
  decided: '/joint/h1/choose',
  card: '/joint/h1/card',
  print: '/joint/h2/print',
  shelf: '/shelf',
  benches: '/benches',
  history: '/history',
  evidence: '/evidence',
  build: '/build',
  files: '/files',
  merge: '/merge',
  incoming: '/incoming',
  past: '/past',
  lost: '/nowhere',
}

const all = Object.entries(views)
const halves = [all.slice(0, all.length / 2), all.slice(all.length / 2)]
for (const [half, some] of halves.entries())
  for (const scheme of ['light', 'dark'] as const)
    test(`axe finds nothing on any view, ${scheme}, part ${half + 1}`, async ({ page }) => {
      await page.emulateMedia({ colorScheme: scheme, reducedMotion: 'reduce' })
      await openBench(page, demoServer)
      for (const [name, path] of some) {
        await page.goto(demoServer + path)
        await expect(page.locator('h1').first()).toBeAttached()
        if (name === 'choose' || name === 'decided') await expect(page.locator('svg.chart').first()).toBeVisible()
        const { violations } = await new AxeBuilder({ page }).analyze()
        expect(
          violations.map(
            ({ id, nodes }) =>
              `${name}: ${id} ${nodes
                .map((node) => node.target.join(' '))
                .slice(0, 3)
                .join(' | ')}`,
          ),
        ).toEqual([])
      }
    })

test('axe finds nothing in open words, menus and the Why sheet', async ({ page }) => {
  await openBench(page, demoServer)
  const check = async (name: string) => {
    const { violations } = await new AxeBuilder({ page }).analyze()
    expect(violations.map(({ id, nodes }) => `${name}: ${id} ${nodes[0]?.target.join(' ')}`)).toEqual([])
  }
  await page.goto(`${demoServer}/joint/h4/ask`)
  await page.getByRole('button', { name: /^Material of side A/ }).click()
  await expect(page.getByLabel('Find a material')).toBeFocused()
  await check('material word')
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Menu' }).click()
  await check('menu')
  await page.keyboard.press('Escape')
  await page.keyboard.press('/')
  await check('find')
  await page.keyboard.press('Escape')
  await page.setViewportSize({ width: 390, height: 844 })
  await page.locator('.ask-why').first().click()
  await expect(page.locator('#why')).toBeVisible()
  await check('why sheet')
})

test('nothing overflows at 390 × 844, nor at 200 or 400 % zoom', async ({ page }) => {
  await openBench(page, demoServer)
  for (const [width, height] of [
    [390, 844],
    [640, 400],
    // 1280 × 1024 at 400 %
    [320, 256],
  ] as const) {
    await page.setViewportSize({ width, height })
    for (const [name, path] of Object.entries(views)) {
      await page.goto(demoServer + path)
      await expect(page.locator('h1').first()).toBeAttached()
      if (name === 'choose' || name === 'decided') await expect(page.locator('svg.chart').first()).toBeVisible()
      const over = await page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      )
      expect(over, `${name} at ${width}`).toBeLessThanOrEqual(0)
    }
  }
})

test('a button keeps its words under the pointer', async ({ page }) => {
  await openBench(page, demoServer)
  await page.goto(`${demoServer}/joint/h5/shortlist`)
  for (const kind of ['go', 'alt', 'quiet']) {
    const button = page.locator(`.v-btn.${kind}`).first()
    await button.hover()
    await page.waitForTimeout(300)
    // Nothing that paints lies over the words: the parts' hover layer is not drawn.
    const drawn = await button.evaluate(
      (element) => getComputedStyle(element.querySelector('.v-btn__overlay')!).display,
    )
    expect(drawn, kind).toBe('none')
  }
})
