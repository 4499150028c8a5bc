// Draws the app's icons from its sign, public/favicon.svg, with the browser that the checks drive.
//   node scripts/icons.mjs        writes public/icon-*.png
import { readFileSync } from 'node:fs'
import { chromium } from '@playwright/test'

const sign = readFileSync('public/favicon.svg', 'utf8')
const browser = await chromium.launch({
  executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu'],
})
/** share of the side that the sign takes: a mask may cut a fifth off each side */
for (const [name, side, share] of [
  ['icon-192', 192, 1],
  ['icon-512', 512, 1],
  ['icon-mask-512', 512, 0.7],
]) {
  const page = await browser.newPage({ viewport: { width: side, height: side } })
  const inner = side * share
  const ground = share < 1 ? '#0E4D45' : 'transparent'
  await page.setContent(
    `<body style="margin:0;display:grid;place-items:center;height:100vh;background:${ground}">` +
      sign.replace('<svg ', `<svg width="${inner}" height="${inner}" `),
  )
  await page.screenshot({ path: `public/${name}.png`, omitBackground: share === 1 })
  await page.close()
}
await browser.close()
