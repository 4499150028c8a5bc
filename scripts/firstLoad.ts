// The first load with nothing kept, on a processor four times as slow and by 3G, as the browser itself emulates them:
// beside a bare shell of the same parts, as a ratio. Part of `npm run benchmark`; alone: npm run build && npx tsx
// scripts/firstLoad.ts
import { execFileSync } from 'node:child_process'
import { chromium } from '@playwright/test'
import { browserOptions, serveBuilt } from './served'

const TIMES = 5
const SLOWER = 4
/** 3G as the browser's tools have it for a good connection: 1.6 Mbit/s down, 750 kbit/s up, 150 ms there and back. */
const THREE_G = { offline: false, latency: 150, downloadThroughput: 1.6e6 / 8, uploadThroughput: 750e3 / 8 }

execFileSync('npx', ['vite', 'build', '--config', 'scripts/shell/vite.config.ts', '--logLevel', 'warn'], {
  stdio: 'inherit',
})
const serve = (port: number, dist: string) => serveBuilt(port, { dist })

interface Load {
  /** ms until anything is painted, until the page’s heading is, and the bytes that came over the line */
  painted: number
  drawn: number
  bytes: number
}

const served = [
  { name: 'app', port: 4894, dist: 'dist' },
  { name: 'bare shell', port: 4895, dist: '.cache/shell' },
] as const
const servers = served.map(({ port, dist }) => serve(port, dist))
try {
  await new Promise((done) => setTimeout(done, 3000))
  const browser = await chromium.launch(browserOptions)
  async function load(port: number): Promise<Load> {
    const context = await browser.newContext({ serviceWorkers: 'block' })
    const page = await context.newPage()
    const session = await context.newCDPSession(page)
    let bytes = 0
    session.on('Network.loadingFinished', ({ encodedDataLength }) => (bytes += encodedDataLength))
    await session.send('Network.enable')
    await session.send('Network.emulateNetworkConditions', THREE_G)
    await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER })
    await page.addInitScript(() => {
      const seen = new MutationObserver(() => {
        if (!document.querySelector('main h1')) return
        seen.disconnect()
        requestAnimationFrame(() => performance.mark('drawn'))
      })
      seen.observe(document, { childList: true, subtree: true })
    })
    await page.goto(`http://localhost:${port}/`)
    await page.locator('main h1').waitFor()
    await page.waitForTimeout(500)
    const times = await page.evaluate(() => ({
      painted: performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? 0,
      drawn: performance.getEntriesByName('drawn')[0]?.startTime ?? 0,
    }))
    await context.close()
    return { ...times, bytes }
  }
  const middle = (values: number[]) => values.sort((x, y) => x - y)[Math.floor(values.length / 2)]!
  const found = new Map<string, Load>()
  for (const { name, port } of served) {
    const loads: Load[] = []
    for (let n = 0; n < TIMES; n++) loads.push(await load(port))
    const of = (key: keyof Load) => middle(loads.map((one) => one[key]))
    found.set(name, { painted: of('painted'), drawn: of('drawn'), bytes: of('bytes') })
    const { painted, drawn, bytes } = found.get(name)!
    const times = `painted ${painted.toFixed(0)} ms, drawn ${drawn.toFixed(0)} ms`
    console.log(`first load of the ${name}: ${times}, ${(bytes / 1000).toFixed(0)} kB`)
  }
  await browser.close()
  const [app, shell] = [found.get('app')!, found.get('bare shell')!]
  const ratio = (key: keyof Load) => (app[key] / shell[key]).toFixed(2)
  const ratios = `painted ${ratio('painted')}, drawn ${ratio('drawn')}, bytes ${ratio('bytes')}`
  console.log(`first load, as times of the bare shell’s: ${ratios}`)
} finally {
  for (const end of servers) end()
}
