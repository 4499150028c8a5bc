// A year of use in the browser: how long the start and each page take, what blocks the main thread, whether the heap
// grows. Part of `npm run benchmark`; alone: npm run build && npx tsx scripts/year.ts
import { chromium, type Page } from '@playwright/test'
import { aYear, yearBench } from '../demo/year'
import { buildDemoBench } from '../demo/bench'
import { browserOptions, serveBuilt } from './served'
import { changeTo, heap, opening, packageAs, pagesOf, readIn } from './yearUse'

const now = Date.now()
/** Pages changed in ten minutes and in an hour of work, one every three seconds. */
const CHANGES = process.env['YEAR_SHORT'] ? ([30, 120] as const) : ([200, 1200] as const)
const port = 4893

interface Change {
  first: number
  tasks: number[]
}
/** Each page is changed to so often, and the middle of it counts: other work of the machine is not the app's. */
const ROUNDS = 3
function middleOf(all: Change[]): Change {
  const middle = <T>(of: T[], by: (one: T) => number) => [...of].sort((x, y) => by(x) - by(y))[(of.length - 1) / 2]!
  const longest = ({ tasks }: Change) => Math.max(0, ...tasks)
  return { first: middle(all, ({ first }) => first).first, tasks: middle(all, longest).tasks }
}

/** Times from a change of page to its first content, and the longest tasks after that, ms. */
async function change(page: Page, path: string): Promise<Change> {
  return page.evaluate(async (to) => {
    const tasks: PerformanceEntry[] = []
    const observer = new PerformanceObserver((list) => tasks.push(...list.getEntries()))
    observer.observe({ type: 'longtask', buffered: false })
    const begun = performance.now()
    // Drawn: something new stands on the page, and the next frame has come.
    const drawn = new Promise<void>((done) => {
      const seen = new MutationObserver((all) => {
        if (!all.some(({ addedNodes }) => [...addedNodes].some((node) => node instanceof HTMLElement))) return
        seen.disconnect()
        requestAnimationFrame(() => done())
      })
      seen.observe(document.querySelector('#app')!, { childList: true, subtree: true })
      setTimeout(done, 20_000)
    })
    history.pushState({}, '', to)
    dispatchEvent(new PopStateEvent('popstate', { state: {} }))
    await drawn
    const first = performance.now()
    Object.assign(window, { answered: first })
    await new Promise((done) => setTimeout(done, 1500))
    observer.disconnect()
    return {
      first: first - begun,
      tasks: tasks.filter(({ startTime }) => startTime > first).map(({ duration }) => Math.round(duration)),
    }
  }, path)
}

/** The first count of all pulls after a start: how long it takes, and what blocks the page meanwhile, ms. */
async function firstCount(page: Page): Promise<string> {
  await page.evaluate(() => {
    const long: PerformanceEntry[] = []
    Object.assign(window, { long })
    new PerformanceObserver((list) => long.push(...list.getEntries())).observe({ type: 'longtask' })
  })
  const { first } = await change(page, '/evidence')
  const begun = Date.now()
  await page.getByText('Counting the pulls').waitFor({ state: 'detached', timeout: 60_000 })
  const took = Date.now() - begun + 1500
  const long = await page.evaluate(() => {
    const { long, answered } = window as unknown as { long: PerformanceEntry[]; answered: number }
    return long.filter(({ startTime }) => startTime > answered).map(({ duration }) => Math.round(duration))
  })
  const tasks = long.join(', ') || 'none'
  return `first answer ${first.toFixed(0)} ms, at most ${took} ms to the last, tasks over 50 ms after it: ${tasks}`
}

const endServer = serveBuilt(port)
try {
  const files = {
    demo: await packageAs('demo', buildDemoBench(now), now),
    year: await packageAs('all', yearBench(now), now),
  }
  console.log(`A year: ${JSON.stringify(aYear)}`)
  await new Promise((done) => setTimeout(done, 2500))
  const browser = await chromium.launch(browserOptions)
  const found: Record<string, { opening: number; pages: Map<string, Change> }> = {}
  for (const [name, joint] of [
    ['demo', 'h2'],
    ['year', 'year-1'],
  ] as const) {
    const context = await browser.newContext({ baseURL: `http://localhost:${port}`, serviceWorkers: 'block' })
    const page = await context.newPage()
    page.on('pageerror', (error) => console.error(error))
    await readIn(page, files[name])
    await opening(page)
    const times = [await opening(page), await opening(page), await opening(page)].sort((x, y) => x - y)
    console.log(`${name}: all pulls counted after a start: ${await firstCount(page)}`)
    // Each page once before it is measured: its piece is there then, as after the first minute of work.
    for (const path of pagesOf(joint)) await change(page, path)
    const rounds: Map<string, Change>[] = []
    for (let n = 0; n < ROUNDS; n++) {
      rounds.push(new Map())
      for (const path of pagesOf(joint)) rounds[n]!.set(path, await change(page, path))
    }
    const pages = new Map(pagesOf(joint).map((path) => [path, middleOf(rounds.map((round) => round.get(path)!))]))
    found[name] = { opening: times[1]!, pages }
    console.log(`${name}: opened in ${times.join(', ')} ms`)
    if (name === 'year') {
      const session = await context.newCDPSession(page)
      const all = pagesOf(joint)
      const sizes: number[] = []
      for (let n = 1; n <= CHANGES[1]; n++) {
        await changeTo(page, all[n % all.length]!)
        await page.waitForTimeout(60)
        if (n === CHANGES[0] || n === CHANGES[1]) {
          await change(page, '/')
          sizes.push(await heap(session))
        }
      }
      const [ten, hour] = sizes as [number, number]
      const grown = `${(hour / ten).toFixed(3)} times (${ten.toFixed(0)} → ${hour.toFixed(0)} MB)`
      console.log(`heap after ${CHANGES.join(' and ')} changes of page: ${grown}`)
    }
    await context.close()
  }
  await browser.close()
  const [demo, year] = [found['demo']!, found['year']!]
  console.log(`opening: ${(year.opening / demo.opening).toFixed(2)} times the demo bench (${year.opening} ms)`)
  console.log('first answer of a page, as times of the demo bench’s; tasks over 50 ms after it:')
  for (const [path, { first, tasks }] of year.pages) {
    const plain = path.replace('year-1', 'h2')
    const ratio = first / (demo.pages.get(plain)?.first ?? first)
    const long = tasks.length ? `, the longest ${Math.max(...tasks)} ms` : ''
    console.log(`  ${path}: ${ratio.toFixed(1)} (${first.toFixed(0)} ms); ${tasks.length} tasks${long}`)
  }
} finally {
  endServer()
}
