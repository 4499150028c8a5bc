// An hour of use by the clock on the bench of a year: every three seconds another page and something done there, as a
// maker would; the heap every ten minutes. By hand: npm run build && npx tsx scripts/hour.ts [MINUTES]
import { chromium, type Page } from '@playwright/test'
import { yearBench } from '../demo/year'
import { browserOptions, serveBuilt } from './served'
import { changeTo, heap, opening, packageAs, pagesOf, readIn } from './yearUse'

const MINUTE_MS = 60_000
const MINUTES = Number(process.argv[2] ?? 60)
/** The heap is taken so often. */
const EVERY_MS = (MINUTES / 6) * MINUTE_MS
const PAUSE_MS = 2400
const port = 4894
const joints = Array.from({ length: 8 }, (_, n) => `year-${n}`)

/** What is done on a page once it stands there; the others are read only. */
const works: Record<string, (page: Page, n: number) => Promise<unknown>> = {
  /** A new name, and every second time the name before it again. */
  async ask(page, n) {
    const field = page.locator('#joint-name')
    await field.fill(`Joint of turn ${n}`)
    await field.blur()
    if (n % 2) await page.locator('h1').first().press('Control+z')
  },
  async evidence(page, n) {
    const field = page.locator('input[type=search]')
    await field.fill(n % 2 ? 'foam' : 'contact')
    await page.waitForTimeout(600)
    await field.fill('')
  },
  choose: async (page, n) => {
    const weight = page.locator('[data-weights] input[type=range]').first()
    await weight.fill(String(n % 6))
  },
  shortlist: (page) => page.keyboard.press('?').then(() => page.keyboard.press('Escape')),
  plan: (page) => page.mouse.wheel(0, 4000),
  break: (page) => page.mouse.wheel(0, 4000),
}

const endServer = serveBuilt(port)
try {
  const now = Date.now()
  const file = await packageAs('all', yearBench(now), now)
  await new Promise((done) => setTimeout(done, 2500))
  const browser = await chromium.launch(browserOptions)
  const context = await browser.newContext({ baseURL: `http://localhost:${port}`, serviceWorkers: 'block' })
  const page = await context.newPage()
  let errors = 0
  page.on('pageerror', (error) => {
    errors++
    console.error(error)
  })
  await readIn(page, file)
  await opening(page)
  const session = await context.newCDPSession(page)
  const begun = Date.now()
  const sizes: number[] = []
  let done = 0
  let worked = 0
  for (let n = 0; sizes.length < 6; n++) {
    const all = pagesOf(joints[Math.floor(n / 13) % joints.length]!)
    const path = all[n % all.length]!
    await changeTo(page, path)
    await page.waitForTimeout(PAUSE_MS / 2)
    const work = works[path.split('/').at(-1)!]
    if (work) {
      await work(page, n).then(
        () => worked++,
        (error: unknown) => console.error(`${path}: ${String(error).split('\n')[0]}`),
      )
    }
    await page.waitForTimeout(PAUSE_MS / 2)
    done++
    if (Date.now() - begun < EVERY_MS * (sizes.length + 1)) continue
    await changeTo(page, '/')
    await page.waitForTimeout(2000)
    sizes.push(await heap(session))
    const minutes = ((Date.now() - begun) / MINUTE_MS).toFixed(0)
    console.log(`after ${minutes} min: ${done} pages, ${worked} works, ${sizes.at(-1)!.toFixed(1)} MB`)
  }
  await browser.close()
  console.log(`at the end ${(sizes.at(-1)! / sizes[0]!).toFixed(3)} times the first; ${errors} errors`)
} finally {
  endServer()
}
