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

/** A desk, a tablet, a phone; then 200 % and 400 % zoom, where only what overflows is looked for. */
const widths = [
  [1280, 800],
  [768, 1024],
  [390, 844],
] as const
const zoomed = [
  [640, 400],
  // 1280 × 1024 at 400 %
  [320, 256],
] as const

// A page looked at by its own means needs no film of it.
test.use({ trace: 'off' })

const all = Object.entries(views)
const thirds = [0, 1, 2].map((n) => all.filter((_, i) => i % 3 === n))
for (const [third, some] of thirds.entries())
  for (const scheme of ['light', 'dark'] as const)
    test(`axe finds nothing and nothing overflows on any view at any width, ${scheme}, part ${third + 1}`, async ({
      page,
    }) => {
      await page.emulateMedia({ colorScheme: scheme, reducedMotion: 'reduce' })
      await openBench(page, demoServer)
      for (const [name, path] of some) {
        await page.setViewportSize({ width: 1280, height: 800 })
        await page.goto(demoServer + path)
        await expect(page.locator('h1').first()).toBeAttached()
        if (name === 'choose' || name === 'decided') await expect(page.locator('svg.chart').first()).toBeVisible()
        for (const [width, height] of [...widths, ...zoomed]) {
          await page.setViewportSize({ width, height })
          const over = await page.evaluate(
            () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
          )
          expect(over, `${name} at ${width}`).toBeLessThanOrEqual(0)
          if (!widths.some((one) => one[0] === width)) continue
          // A theme changes colours and nothing else: at the other widths the dark one is asked for its contrast.
          const axe = new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'] })
          const only = scheme === 'dark' && width !== 1280 ? axe.withRules(['color-contrast']) : axe
          const { violations } = await only.analyze()
          const found = violations.map(({ id, nodes }) => {
            const where = nodes.slice(0, 3).map((node) => node.target.join(' '))
            return `${name} at ${width}: ${id} ${where.join(' | ')}`
          })
          expect.soft(found).toEqual([])
        }
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

test.describe('with a finger', () => {
  test.use({ hasTouch: true, isMobile: true, viewport: { width: 390, height: 844 } })

  test('what is pressed is 44 px high and wide, but for words in a sentence', async ({ page }) => {
    await openBench(page, demoServer)
    for (const [name, path] of all) {
      await page.goto(demoServer + path)
      await expect(page.locator('h1').first()).toBeAttached()
      if (name === 'choose' || name === 'decided') await expect(page.locator('svg.chart').first()).toBeVisible()
      const small = await page.evaluate(() => {
        const kinds = 'a, button, input, select, textarea, summary, [role=button], [role=radio], [role=checkbox]'
        const reach = (element: Element) => {
          // A label is its field's target, too; what a figure in a line is reached by lies around it.
          const boxes = [element, element.closest('label')].flatMap((one) => one?.getBoundingClientRect() ?? [])
          const around = getComputedStyle(element, '::after')
          const more = around.position === 'absolute' ? -parseFloat(around.top) - parseFloat(around.bottom) || 0 : 0
          return {
            width: Math.max(...boxes.map(({ width }) => width)) + more,
            height: Math.max(...boxes.map(({ height }) => height)) + more,
          }
        }
        return [...document.querySelectorAll<HTMLElement>(kinds)]
          .filter((one) => one.checkVisibility({ opacityProperty: true, visibilityProperty: true }))
          .filter((one) => !one.closest('[aria-hidden=true], .skip, .visually-hidden, .sentence'))
          .filter((one) => one.offsetWidth > 1 && getComputedStyle(one).display !== 'inline')
          .filter((one) => reach(one).width < 43.5 || reach(one).height < 43.5)
          .map((one) => `${one.tagName} ${one.className} ${one.textContent?.trim().slice(0, 40)}`)
      })
      expect.soft(small, name).toEqual([])
    }
  })
})
