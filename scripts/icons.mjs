// Draws the app's icons from its sign, public/favicon.svg, with the browser that the checks drive.
//   node scripts/icons.mjs        writes public/icon-*.png and public/favicon.ico
import { readFileSync, writeFileSync } from 'node:fs'
import { chromium } from '@playwright/test'

const sign = readFileSync('public/favicon.svg', 'utf8')
const browser = await chromium.launch({
  executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu'],
})
/** PNG of the sign, `side` pixels wide; share of the side that it takes: a mask may cut a fifth off each side */
async function draw(side, share) {
  const page = await browser.newPage({ viewport: { width: side, height: side } })
  const inner = side * share
  const ground = share < 1 ? '#0E4D45' : 'transparent'
  await page.setContent(
    `<body style="margin:0;display:grid;place-items:center;height:100vh;background:${ground}">` +
      sign.replace('<svg ', `<svg width="${inner}" height="${inner}" `),
  )
  const png = await page.screenshot({ omitBackground: share === 1 })
  await page.close()
  return png
}
for (const [name, side, share] of [
  ['icon-192', 192, 1],
  ['icon-512', 512, 1],
  ['icon-mask-512', 512, 0.7],
])
  writeFileSync(`public/${name}.png`, await draw(side, share))
/** One PNG in the older kind of icon file, which a browser asks for where a file is opened by its own address. */
const small = await draw(32, 1)
const head = Buffer.alloc(22)
head.writeUInt16LE(1, 2) // icons
head.writeUInt16LE(1, 4) // of which one
head[6] = head[7] = 32 // px wide and high
head.writeUInt16LE(1, 10) // planes
head.writeUInt16LE(32, 12) // bits a pixel
head.writeUInt32LE(small.length, 14)
head.writeUInt32LE(head.length, 18)
writeFileSync('public/favicon.ico', Buffer.concat([head, small]))
await browser.close()
