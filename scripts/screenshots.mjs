// npm run screenshots: the main views of the demo bench as PNG in docs/screenshots/. The app's clock is set, so that
// they change only with the views.
import { spawn } from 'node:child_process'
import { mkdirSync, readFileSync } from 'node:fs'
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
/** A face drawn on the spot, torn foam beside glue, lit from one side: named and taken as a maker would. */
async function photograph(page) {
  const drawn = await page.evaluate(() => {
    const canvas = document.createElement('canvas')
    ;[canvas.width, canvas.height] = [900, 560]
    const pen = canvas.getContext('2d')
    pen.fillStyle = '#cfd3ce'
    pen.fillRect(0, 0, 900, 560)
    pen.setTransform(0.86, 0.05, -0.06, 0.84, 80, 30)
    pen.fillStyle = '#dcd6c6'
    pen.fillRect(0, 0, 900, 560)
    pen.fillStyle = '#46566e'
    for (const [x, y, w, h] of [
      [300, 220, 260, 170],
      [700, 400, 170, 130],
      [560, 90, 120, 80],
    ]) {
      pen.beginPath()
      pen.ellipse(x, y, w, h, 0.3, 0, 7)
      pen.save()
      pen.clip()
      pen.fillRect(0, 0, 900, 560)
      pen.restore()
    }
    pen.fillStyle = '#b98a52'
    pen.fillRect(0, 470, 420, 90)
    pen.setTransform(1, 0, 0, 1, 0, 0)
    const light = pen.createLinearGradient(0, 0, 900, 0)
    light.addColorStop(0, 'rgba(0,0,0,0)')
    light.addColorStop(1, 'rgba(0,0,0,0.22)')
    pen.fillStyle = light
    pen.fillRect(0, 0, 900, 560)
    return canvas.toDataURL('image/png').split(',')[1]
  })
  await page.locator('#reading-text').fill('16.6 kgf')
  await page.locator('.photo summary').click()
  await page.locator('.photo input[type=file]').setInputFiles({
    name: 'face.png',
    mimeType: 'image/png',
    buffer: Buffer.from(drawn, 'base64'),
  })
  const canvas = page.locator('.photo canvas')
  await canvas.scrollIntoViewIfNeeded()
  await page.waitForTimeout(500)
  const box = await canvas.boundingBox()
  for (const [x, y] of [
    [84, 34],
    [852, 76],
    [818, 540],
    [50, 500],
  ])
    await page.mouse.click(box.x + (x / 900) * box.width, box.y + (y / 560) * box.height)
  await page.getByRole('button', { name: 'Find the colours' }).click()
  await page.locator('.photo li').first().waitFor({ timeout: 30_000 })
  await page.getByLabel('Colour 1 is').selectOption('offA')
  await page.getByLabel('Colour 2 is').selectOption('glue')
  await page.getByLabel('Colour 3 is').selectOption('tornA')
  await page.getByRole('button', { name: 'Take these shares' }).click()
  await page.locator('.photo').evaluate((part) => window.scrollTo(0, part.getBoundingClientRect().top + scrollY - 380))
  await page.waitForTimeout(300)
}
/** Both faces painted as a maker would: most of it in the glue, some torn out of A, a corner off B, a void. */
async function paintFaces(page) {
  await page.locator('#reading-text').fill('14.2 kgf')
  await page.locator('.paint summary').click()
  const choose = (name) => page.getByRole('radio', { name }).check()
  await choose(/^in the glue/)
  await page.getByRole('button', { name: 'All of it in the glue' }).click()
  const draw = async (part, brush, points) => {
    await choose(part)
    await choose(brush)
    const box = await page.locator('.paint svg').first().boundingBox()
    const at = ([x, y]) => [box.x + x * box.width, box.y + y * box.height]
    await page.mouse.move(...at(points[0]))
    await page.mouse.down()
    for (const point of points) await page.mouse.move(...at(point), { steps: 6 })
    await page.mouse.up()
  }
  const [broad, middle] = [/^broad$/, /^middle$/]
  await draw(/^torn in A/, broad, [
    [0.05, 0.8],
    [0.3, 0.9],
    [0.42, 0.95],
  ])
  await draw(/^off B/, broad, [
    [0.9, 0.05],
    [0.97, 0.3],
  ])
  await draw(/^off B/, middle, [
    [0.8, 0.1],
    [0.9, 0.5],
  ])
  await draw(/^void/, middle, [
    [0.55, 0.45],
    [0.6, 0.5],
  ])
  await page.locator('.paint').evaluate((part) => window.scrollTo(0, part.getBoundingClientRect().top + scrollY - 330))
  await page.mouse.move(0, 0)
  await page.evaluate(() => document.activeElement?.blur())
  await page.waitForTimeout(300)
}
/** The same bench as another browser might have it: a joint more, a word and a note changed. */
async function putTogether(page) {
  await page.getByRole('button', { name: 'Menu' }).click()
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save a bench file' }).click()
  const file = JSON.parse(readFileSync(await (await download).path(), 'utf8'))
  await page.keyboard.press('Escape')
  const { joint, reading, adhesive } = file.tables
  joint.push({ ...structuredClone(joint[0]), id: 'tail', code: 'H6', name: 'Tail to spine' })
  joint[0].brief.heatC = 40
  reading[0].note = 'read again by daylight'
  adhesive.push({ ...adhesive[0], id: 'paste', name: 'Wheat paste, jar', family: 'starch-paste' })
  file.tables.bench[0].name = 'Lantern heron, laptop'
  await page.locator('input[type=file]').setInputFiles({
    name: 'laptop.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(file)),
  })
  await page.locator('[data-preview]').waitFor()
  await page.mouse.move(0, 0)
  await page.evaluate(() => document.activeElement?.blur())
  await page.waitForTimeout(300)
}
const views = [
  ['start', '/'],
  ['ask', '/joint/h2/ask'],
  ['shortlist', '/joint/h1/shortlist'],
  ['plan', '/joint/h5/plan'],
  ['glue', '/joint/h3/glue'],
  ['timetable', '/joint/h3/glue'],
  ['break', '/joint/h2/break'],
  ['break-live', '/joint/h2/break'],
  ['break-photo', '/joint/h2/break'],
  ['break-painted', '/joint/h2/break'],
  ['choose', '/joint/h2/choose'],
  ['choose-ways', '/joint/h2/choose'],
  ['card', '/joint/h1/card'],
  ['print', '/joint/h2/print'],
  ['shelf', '/shelf'],
  ['evidence', '/evidence'],
  ['build', '/build'],
  ['merge', '/merge'],
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
      // A busy machine takes longer to open the bench.
      await page.waitForTimeout(1800)
      await page.getByText('Opening the bench…').waitFor({ state: 'hidden', timeout: 30_000 })
      // What the worker answers comes after the page.
      if (name === 'ask') await page.locator('.next').waitFor({ timeout: 30_000 })
      if (name === 'evidence') await page.locator('[data-pulled]').first().waitFor({ timeout: 30_000 })
      if (name === 'choose') await page.locator('svg.chart').first().waitFor()
      if (name === 'choose-ways') {
        await page.locator('[data-school]').first().waitFor({ timeout: 30_000 })
        await page.waitForTimeout(3000)
        await page
          .locator('#weighed')
          .evaluate((head) => window.scrollTo(0, head.getBoundingClientRect().top + scrollY - 20))
        await page.waitForTimeout(300)
      }
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
      if (name === 'break-live') {
        await page.getByLabel('Read by').selectOption('trace')
        await page.getByRole('button', { name: 'Pull with the simulated gauge' }).click()
        await page.getByRole('button', { name: 'Pull with the simulated gauge' }).waitFor({ timeout: 60_000 })
        await page.waitForTimeout(8000)
        await page.evaluate(() => document.activeElement?.blur())
      }
      if (name === 'break-photo') await photograph(page)
      if (name === 'break-painted') await paintFaces(page)
      if (name === 'merge') await putTogether(page)
      await page.screenshot({ path: `${root}docs/screenshots/${name}${suffix}.png` })
    }
    await page.close()
  }
  await shoot({ viewport: { width: 1280, height: 800 } }, views)
  await shoot(
    { viewport: { width: 390, height: 844 } },
    views.filter(([name]) => name === 'ask'),
    '-phone',
  )
  await browser.close()
} finally {
  process.kill(-server.pid)
}
