// npm run screenshots: the main views of the demo bench as PNG in docs/screenshots/. The app's clock is set, so that
// they change only with the views.
import { spawn } from 'node:child_process'
import { mkdirSync } from 'node:fs'
import { chromium as browserType } from '@playwright/test'
import { build, chromium, installChromium, installPackages, root } from './ready.mjs'

installPackages()
installChromium()
build()
const port = 4881
const server = spawn('npx', ['tsx', 'server/main.ts', '--demo'], {
  cwd: root,
  env: { ...process.env, PORT: String(port) },
  stdio: 'ignore',
  detached: true,
})
const views = [
  ['start', '/'],
  ['ask', '/joint/h2/ask'],
  ['shortlist', '/joint/h1/shortlist'],
  ['shortlist-opened', '/joint/h2/shortlist'],
  ['plan', '/joint/h5/plan'],
  ['glue', '/joint/h3/glue'],
  ['timetable', '/joint/h3/glue'],
  ['break', '/joint/h2/break'],
  ['choose', '/joint/h2/choose'],
  ['card', '/joint/h1/card'],
  ['print', '/joint/h2/print'],
  ['shelf', '/shelf'],
]
try {
  await new Promise((done) => setTimeout(done, 3000))
  const browser = await browserType.launch({
    executablePath: chromium,
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
    ],
  })
  mkdirSync(`${root}docs/screenshots`, { recursive: true })
  const shoot = async (options, list, suffix = '') => {
    const page = await browser.newPage(options)
    await page.clock.setFixedTime(new Date('2026-11-24T18:40:00'))
    await page.goto(`http://localhost:${port}/`)
    await page.waitForTimeout(1500)
    for (const [name, path] of list) {
      await page.goto(`http://localhost:${port}${path}`)
      await page.waitForTimeout(1800)
      // The chart comes when its package is loaded.
      if (name === 'choose') await page.locator('.chart .main-svg').first().waitFor()
      if (name === 'timetable') {
        await page.locator('.searching').waitFor({ state: 'hidden' })
        await page
          .locator('#timetable')
          .evaluate((head) => window.scrollTo(0, head.getBoundingClientRect().top + scrollY - 70))
        await page.waitForTimeout(300)
      }
      if (name === 'break') {
        await page.locator('#reading-text').fill('16.6 kgf')
        await page.getByRole('button', { name: /^in the glue/ }).click()
        await page.getByRole('button', { name: '10 % more off B' }).click()
        await page.getByRole('button', { name: '10 % more off B' }).click()
        await page.mouse.move(0, 0)
        await page.evaluate(() => document.activeElement?.blur())
      }
      if (name === 'shortlist-opened') {
        await page.getByLabel('Find a glue').fill('Rubbery')
        const line = page.locator('li.glue').filter({ hasText: 'Rubbery instant' })
        await line.getByRole('button', { name: /^All of it/ }).click()
        await line.scrollIntoViewIfNeeded()
        await page.evaluate(() => document.activeElement?.blur())
        await line.evaluate((element) => window.scrollTo(0, element.getBoundingClientRect().top + scrollY - 180))
        await page.waitForTimeout(300)
      }
      await page.screenshot({ path: `${root}docs/screenshots/${name}${suffix}.png` })
    }
    await page.close()
  }
  await shoot({ viewport: { width: 1280, height: 800 } }, views)
  await shoot(
    { viewport: { width: 390, height: 844 } },
    views.filter(([name]) => ['break', 'ask', 'shortlist', 'glue'].includes(name)),
    '-phone',
  )
  await shoot(
    { viewport: { width: 1280, height: 800 }, colorScheme: 'dark' },
    views.filter(([name]) => name === 'glue'),
    '-dark',
  )
  await browser.close()
} finally {
  process.kill(-server.pid)
}
