// npm run benchmark: speed as ratios and counts, in a real browser on the built app; sizes of the first load.
import { spawn } from 'node:child_process'
import { chromium as browserType } from '@playwright/test'
import { build, chromium, installChromium, installPackages, root, run } from './ready.mjs'

installPackages()
installChromium()
build()
run('node', ['scripts/sizes.mjs'])
// The functions that are measured, as a page of their own built from the same sources.
if (run('npx', ['vite', 'build', '--config', 'scripts/benchmark.vite.ts', '--logLevel', 'warn']) !== 0) process.exit(1)
const port = 4891
const server = spawn(
  'npx',
  ['vite', 'preview', '--config', 'scripts/benchmark.vite.ts', '--port', String(port), '--strictPort'],
  { cwd: root, stdio: 'ignore', detached: true },
)
try {
  await new Promise((done) => setTimeout(done, 2500))
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
  const page = await browser.newPage()
  page.on('pageerror', (error) => console.error(error))
  page.on('console', (message) => console.log(message.text()))
  await page.goto(`http://localhost:${port}/scripts/benchmark.html`)
  await page.waitForFunction(() => document.body.dataset.done === 'yes', undefined, { timeout: 300_000 })
  await browser.close()
} finally {
  process.kill(-server.pid)
}
// The first load on a slow machine and line, beside a bare shell; then a year of use. Both on the built app.
run('npx', ['tsx', 'scripts/firstLoad.ts'])
run('npx', ['tsx', 'scripts/year.ts'])
