// The browser killed at any moment of its work, many times, and started again: what a page had shown as saved is there,
// and nothing is left over. Drives the built app with a profile on disk. Takes an hour for 1,000.
//   npm run kills [-- COUNT [SEED]]
import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, type BrowserContext, type Page } from '@playwright/test'
import { packageBytes } from '../app/bench/packageFile'
import { writeBenchFile } from '../core/formats/writeBenchFile'
import { seededRandom } from '../core/planning/random'
import type { Tables } from '../core/records/tables'
import { buildDemoBench } from '../demo/bench'
import { browserOptions, serveBuilt } from './served'

const COUNT = Number(process.argv[2] ?? 1000)
const random = seededRandom(Number(process.argv[3] ?? 1))
/** A profile that grew for so long is left for a fresh one. */
const FRESH_EVERY = 60
const port = Number(process.env['PORT'] ?? 4897)
const baseURL = `http://localhost:${port}`
const now = Date.now()
// One pixel, as a photo.
const pixel = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg==',
  'base64',
)

/** What the page showed as saved until it was killed. */
interface Shown {
  name?: string
  readIn?: string
  away?: string
  merged?: string
  photos?: number
}
type Work = (page: Page, n: number, shown: Shown) => Promise<void>

/** The name of H4 changed as fast as it is stored; told once the strip shows it, which is after that. */
const rename = (page: Page, tag: string, times: number) =>
  page.evaluate(
    async ([tag, times]) => {
      const say = (window as unknown as { saved: (name: string) => Promise<void> }).saved
      for (let n = 0; n < times; n++) {
        const input = document.querySelector<HTMLInputElement>('#joint-name')!
        input.focus()
        input.value = `Spool ${tag} ${n}`
        input.dispatchEvent(new Event('input', { bubbles: true }))
        input.dispatchEvent(new Event('change', { bubbles: true }))
        input.blur()
        const begun = performance.now()
        while (!document.querySelector('.strip [aria-current]')!.textContent!.includes(`Spool ${tag} ${n}`)) {
          if (performance.now() - begun > 5000) throw new Error('the new name was never shown')
          await new Promise((done) => setTimeout(done, 1))
        }
        if (document.querySelector('.trouble.bad')) throw new Error('the page says that something was not saved')
        void say(`Spool ${tag} ${n}`)
      }
    },
    [tag, times] as const,
  )

const other = (name: string, change: (tables: Tables) => void = () => {}): Tables => {
  const tables = buildDemoBench(now)
  tables.bench[0] = { ...tables.bench[0]!, name, id: name, maker: name }
  change(tables)
  return tables
}
const file = (name: string, buffer: Buffer) => ({ name, mimeType: 'application/octet-stream', buffer })

const works: Record<string, Work> = {
  async writes(page, n) {
    await page.goto(`${baseURL}/joint/h4/ask`)
    await page.locator('.strip [aria-current]').waitFor()
    later(500)
    await rename(page, `w${n}`, 500)
  },
  /** About as many writes as the tables are folded after: the fold comes in between. */
  async folds(page, n) {
    await page.goto(`${baseURL}/joint/h4/ask`)
    await page.locator('.strip [aria-current]').waitFor()
    await rename(page, `f${n}`, 410)
    later(60)
    await rename(page, `g${n}`, 500)
  },
  async imports(page, n, shown) {
    const name = `Case ${n}`
    const bytes = await packageBytes(
      other(name, (tables) => {
        tables.coupon = tables.coupon.map((one, i) =>
          i < 8 ? { ...one, photos: [{ id: `c${n}-${i}`, at: now, width: 1, height: 1 }] } : one,
        )
      }),
      now,
      async () => new Blob([pixel], { type: 'image/png' }),
    )
    await page.goto(`${baseURL}/benches`)
    await page.locator('input[type=file]').waitFor({ state: 'attached' })
    later(900)
    await page.setInputFiles('input[type=file]', file(`${name}.zip`, Buffer.from(bytes)))
    await page.getByText(`Read in “${name}”`).waitFor()
    shown.readIn = name
    await page.waitForTimeout(1000)
  },
  async removals(page, _, shown) {
    await page.goto(`${baseURL}/benches`)
    const away = page.getByRole('button', { name: /^Take away Case/ }).first()
    await page.locator('main li').first().waitFor()
    if (!(await away.count())) return
    const name = (await away.innerText()).replace(/^Take away\s*/, '').trim()
    await away.click()
    later(250)
    await page.getByRole('button', { name: 'Take it away for good' }).click()
    await page.locator('main li strong', { hasText: name }).waitFor({ state: 'detached' })
    shown.away = name
    await page.waitForTimeout(1000)
  },
  async merges(page, n, shown) {
    const name = `Maker ${n}`
    const text = writeBenchFile(other(name), now)
    await page.goto(`${baseURL}/merge`)
    await page.locator('input[type=file]').waitFor({ state: 'attached' })
    await page.setInputFiles('input[type=file]', file(`${name}.json`, Buffer.from(text)))
    await page.locator('[data-preview]').waitFor()
    later(900)
    await page.getByRole('button', { name: /^Put (it|them|the two|this)/ }).click()
    await page.locator('main p.holds[role=status]').waitFor()
    shown.merged = name
    await page.waitForTimeout(1000)
  },
  async photos(page, _, shown) {
    await page.goto(`${baseURL}/joint/h2/break`)
    await page.locator('.photo summary').click()
    const there = await page.locator('[data-photos] img').count()
    later(500)
    for (let i = 1; i < 20; i++) {
      await page.setInputFiles('.photo input[type=file]', file('face.png', pixel))
      await page
        .locator('[data-photos] img')
        .nth(there + i - 1)
        .waitFor()
      shown.photos = there + i
    }
  },
}

let profile = ''
let dead = false
/** The browser ends within so many ms from now. */
const later = (ms: number) => setTimeout(kill, random() * ms)
function kill() {
  dead = true
  try {
    execFileSync('pkill', ['-KILL', '-f', `user-data-dir=${profile}`])
  } catch {
    // Gone already.
  }
}

async function started(): Promise<{ context: BrowserContext; page: Page }> {
  const context = await chromium.launchPersistentContext(profile, {
    ...browserOptions,
    serviceWorkers: 'block',
  })
  const page = context.pages()[0] ?? (await context.newPage())
  page.setDefaultTimeout(30_000)
  // What is evaluated in the page was compiled with names kept.
  await page.addInitScript('globalThis.__name = (one) => one')
  return { context, page }
}

/** After a start: databases that belong to no listed bench, the benches, and what the open one says of the rest. */
async function look(page: Page, asked: Shown): Promise<string[]> {
  const faults: string[] = []
  page.on('pageerror', (error) => faults.push(`error: ${error.message}`))
  await page.goto(`${baseURL}/benches`)
  await page.locator('main li').first().waitFor()
  const names = await page.locator('main li strong').allInnerTexts()
  if (asked.readIn && !names.includes(asked.readIn)) faults.push(`${asked.readIn} was read in, and is not there`)
  if (asked.away && names.includes(asked.away)) faults.push(`${asked.away} was taken away, and is there`)
  if (await page.getByText('cannot be opened').count()) faults.push('a bench cannot be opened')
  // What an end cut off is cleared away a moment after the start.
  const leftOver = async () =>
    page.evaluate(async () => {
      const open = (name: string) =>
        new Promise<IDBDatabase>((done, fail) => {
          const request = indexedDB.open(name)
          request.onsuccess = () => done(request.result)
          request.onerror = () => fail(request.error)
        })
      const index = await open('paste-bench-index')
      const { benches } = await new Promise<{ benches: { id: string }[] }>((done) => {
        const got = index.transaction('index').objectStore('index').get('index')
        got.onsuccess = () => done(got.result as { benches: { id: string }[] })
      })
      index.close()
      const own = new Set(benches.flatMap(({ id }) => [`paste-bench-${id}`, `paste-photos-${id}`]))
      const all = (await indexedDB.databases()).map(({ name }) => name!)
      return all.filter((name) => name !== 'paste-bench-index' && /^paste-(bench|photos)-/.test(name) && !own.has(name))
    })
  for (let tries = 0; (await leftOver()).length && tries < 20; tries++) await page.waitForTimeout(250)
  for (const name of await leftOver()) faults.push(`left over: ${name}`)
  if (asked.name) {
    await page.goto(`${baseURL}/joint/h4/ask`)
    const is = await page.locator('.strip [aria-current]').innerText()
    const number = (text: string) => /Spool (\w+) (\d+)/.exec(text)
    const [was, stands] = [number(asked.name)!, number(is)]
    if (!stands || (stands[1] === was[1] && Number(stands[2]) < Number(was[2])))
      faults.push(`“${asked.name}” was shown, “${is}” stands`)
  }
  if (asked.merged) {
    await page.goto(`${baseURL}/history`)
    await page.getByText(asked.merged).first().waitFor({ timeout: 5000 })
  }
  if (asked.photos) {
    await page.goto(`${baseURL}/joint/h2/break`)
    await page
      .locator('[data-photos] img')
      .nth(asked.photos - 1)
      .waitFor({ timeout: 5000 })
      .catch(() => faults.push(`${asked.photos} photos were shown, and are not there`))
  }
  return faults
}

const endServer = serveBuilt(port, { demo: true })
const count: Record<string, { kills: number; after: number }> = {}
const bad: string[] = []
// What the driver was still asking of a browser that was killed.
process.on('unhandledRejection', () => {})
try {
  await new Promise((done) => setTimeout(done, 3000))
  let asked: Shown = {}
  let last = ''
  const kinds = [
    'writes',
    'imports',
    'removals',
    'merges',
    'photos',
    'writes',
    'imports',
    'removals',
    'photos',
    'folds',
  ]
  for (let n = 0; n <= COUNT && bad.length < 20; n++) {
    // The last look is at what the last kill left: it keeps the profile.
    if (n % FRESH_EVERY === 0 && n < COUNT) {
      asked = {}
      const old = profile
      profile = mkdtempSync(join(tmpdir(), 'bench-kills-'))
      if (old) rmSync(old, { recursive: true, force: true })
    }
    const { context, page } = await started()
    const found = await look(page, asked).catch((error: unknown) => [String(error).slice(0, 200)])
    for (const fault of found) {
      bad.push(`${n} after ${last}: ${fault}`)
      console.log(bad.at(-1))
    }
    if (n === COUNT) {
      await context.close()
      break
    }
    const kind = kinds[n % kinds.length]!
    const mine: Shown = {}
    asked = mine
    last = kind
    dead = false
    await page.exposeFunction('saved', (name: string) => void (mine.name = name))
    try {
      await works[kind]!(page, n, mine)
    } catch (error) {
      if (!dead) bad.push(`${n} ${kind}: ${String(error).slice(0, 300)}`)
    }
    if (!dead) kill()
    await context.close().catch(() => {})
    const row = (count[kind] ??= { kills: 0, after: 0 })
    row.kills++
    // Something had been shown as saved before the end.
    if (Object.keys(mine).length) row.after++
    if (n % 50 === 49) console.log(`${n + 1} kills: ${JSON.stringify(count)}, ${bad.length} faults`)
  }
  console.log(`${COUNT} kills: ${JSON.stringify(count)}`)
  console.log(bad.length ? bad.join('\n') : 'nothing lost that was shown as saved, nothing left over')
  process.exitCode = bad.length ? 1 : 0
} finally {
  endServer()
  rmSync(profile, { recursive: true, force: true })
}
