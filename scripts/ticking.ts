import { chromium } from '@playwright/test'
import { spawn } from 'node:child_process'
import { writeFileSync, mkdirSync } from 'node:fs'
import { writeBenchFile } from '../core/formats/writeBenchFile'
import { couponsOf } from '../core/planning/coupons'
import type { Reading } from '../core/records/reading'
import type { Tables } from '../core/records/tables'
import { buildDemoBench } from '../demo/bench'

// Main-thread time per second of the pages that stand open while nothing is done, with about 10,000 readings:
//   npm run build && npx tsx scripts/ticking.ts
const JOINTS = 20
const SECONDS = 30
const now = Date.now()

/** The demo bench with twenty joints of 480 pulls each beside it. */
function largeBench(): Tables {
  const tables = buildDemoBench(now)
  const joint = tables.joint.find(({ code }) => code === 'H1')!
  const round = tables.round.find((one) => one.joint === joint.id)!
  const procedures = tables.procedure.filter((one) => one.joint === joint.id)
  const arms = [1, 2, 3, 4].map((n) => ({ ...round.arms[0]!, id: `a${n}` }))
  for (let k = 0; k < JOINTS; k++) {
    const id = `big-${k}`
    const own = procedures.map((one) => ({ ...one, id: `${id}-${one.letter}`, joint: id }))
    const big = { ...round, id: `${id}-r`, joint: id, arms, blocks: 40, procedures: own.map((one) => one.id) }
    const coupons = couponsOf(`H${20 + k}`, big, own, (label) => label.toLowerCase()).map((coupon) => ({
      ...coupon,
      stamps: own
        .find((one) => one.id === coupon.procedure)!
        .steps.map(({ id: step }, i) => ({ step, at: now - 30 * 86_400_000 + i * 60_000 })),
    }))
    tables.joint.push({ ...joint, id, code: `H${20 + k}`, name: `Large ${k}` })
    tables.procedure.push(...own)
    tables.round.push(big)
    tables.coupon.push(...coupons)
    tables.reading.push(
      // One is left, so that Break has something to pull.
      ...coupons.slice(1).map((coupon, i): Reading => ({
        id: `pull-${coupon.id}`,
        coupon: coupon.id,
        at: now - 86_400_000 + i,
        raw: { way: 'gauge', value: 20 + ((i * 7) % 30), unit: 'N' },
        outcome: { end: 'broke', places: { tornA: 0, offA: 100, glue: 0, offB: 0, tornB: 0 } },
        size: arms[0]!.size,
        early: null,
        note: '',
        setAside: null,
        corrected: [],
      })),
    )
  }
  return tables
}

const port = 4890
const server = spawn('npx', ['tsx', 'server/main.ts'], { env: { ...process.env, PORT: String(port) }, stdio: 'ignore' })
const tables = largeBench()
mkdirSync('.cache', { recursive: true })
writeFileSync('.cache/large-bench.json', writeBenchFile(tables, now))
const browser = await chromium.launch({ executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium' })
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
const base = `http://127.0.0.1:${port}`
for (let tries = 0; ; tries++) {
  const up = await page.goto(`${base}/benches`).then(
    () => true,
    () => false,
  )
  if (up || tries > 50) break
  await page.waitForTimeout(200)
}
await page.setInputFiles('input[type="file"]', '.cache/large-bench.json')
await page.getByText(/Read in “/).waitFor({ timeout: 120_000 })
await page.getByRole('button', { name: /^Open/ }).last().click()
await page.waitForURL(`${base}/`)
const client = await page.context().newCDPSession(page)
await client.send('Performance.enable')
const busy = async () => {
  const { metrics } = await client.send('Performance.getMetrics')
  const of = (name: string) => metrics.find((one) => one.name === name)!.value
  return { task: of('TaskDuration'), script: of('ScriptDuration'), layout: of('LayoutDuration') }
}
console.log(`${tables.reading.length} readings; main-thread ms of each of ${SECONDS} seconds while nothing is done`)
for (const station of ['plan', 'break', 'choose']) {
  await page.goto(`${base}/joint/big-3/${station}`)
  await page.locator('#work h1').first().waitFor({ state: 'attached' })
  await page.waitForTimeout(8000)
  const seconds: Awaited<ReturnType<typeof busy>>[] = []
  for (let last = await busy(); seconds.length < SECONDS;) {
    await page.waitForTimeout(1000)
    const now = await busy()
    seconds.push({ task: now.task - last.task, script: now.script - last.script, layout: now.layout - last.layout })
    last = now
  }
  const sorted = (name: keyof (typeof seconds)[0]) => seconds.map((one) => 1000 * one[name]).sort((x, y) => x - y)
  const told = (name: keyof (typeof seconds)[0]) => sorted(name)[Math.floor(SECONDS / 2)]!.toFixed(2)
  // The browser's collector tidies up once after a large page was opened; that is told apart from what ticks.
  const busier = sorted('task').filter((ms) => ms > 10)
  console.log(
    `${station}: usually ${told('task')} in all, ${told('script')} of it script, at most ` +
      `${sorted('script').at(-1)!.toFixed(2)} script; ${busier.length} seconds above 10 ms`,
  )
}
await browser.close()
server.kill()
process.exit(0)
