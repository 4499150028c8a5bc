import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { demoServer, expect, openBench, test } from './maker'

/**
 * What a screen reader has to say of each station: landmarks, headings, controls and live regions, in order, as a text
 * that is kept and read. WALK_ALOUD=write writes it anew.
 */
const stations: Record<string, string> = {
  start: '/',
  ask: '/joint/h4/ask',
  shortlist: '/joint/h5/shortlist',
  plan: '/joint/h5/plan',
  glue: '/joint/h3/glue',
  break: '/joint/h2/break',
  choose: '/joint/h2/choose',
}
const roles = [
  ...['banner', 'navigation', 'main', 'region', 'complementary', 'heading', 'button', 'link', 'textbox', 'searchbox'],
  ...['radio', 'checkbox', 'combobox', 'slider', 'group', 'status', 'alert', 'form', 'table', 'img', 'term'],
]
const told = new RegExp(`^\\s*- '?(${roles.join('|')})\\b`)

/** Of like parts in a row the first: how many evenings a timetable has follows from the hour of the day. */
function once(lines: readonly string[]): string[] {
  const out: string[] = []
  for (const line of lines) {
    out.push(line)
    for (let size = 1; size <= 4 && 2 * size <= out.length; size++) {
      const [one, two] = [out.slice(-2 * size, -size), out.slice(-size)]
      if (two.every((part, i) => part.trim() === one[i]!.trim())) out.splice(-size)
    }
  }
  return out
}

/** Its lines without figures, days and clock times, of like ones in a row the first. */
function spoken(snapshot: string): string {
  const lines = snapshot
    .split('\n')
    .filter((line) => told.test(line))
    .map((line) =>
      line
        .replace(/\b(Mon|Tue|Wednes|Thurs|Fri|Satur|Sun)(day)?\b|\b(today|tomorrow|yesterday)\b/gi, '#')
        .replace(/\b(Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sep|Oct|Nov|Dec)[a-z]*\b/g, '#')
        .replace(/[−-]?\d+([.,:]\d+)*/g, '#')
        .replace(/#( ?[#–,]+ ?#?)+/g, '#')
        .replace(/:( .*)?$/, '')
        .trimEnd(),
    )
  return once(lines).join('\n')
}

test('each station reads aloud as a person would say it', async ({ page }) => {
  await openBench(page, demoServer)
  mkdirSync('e2e/aloud', { recursive: true })
  for (const [name, path] of Object.entries(stations)) {
    await page.goto(demoServer + path)
    await expect(page.locator('#work h1, #work h2').first()).toBeAttached()
    if (name === 'choose') {
      await expect(page.locator('svg.chart').first()).toBeVisible()
      // What would change the choice is worked out last.
      await expect(page.getByRole('button', { name: /the same comes first/ }).first()).toBeVisible()
      await expect(page.getByRole('combobox', { name: 'Not worth a test below' })).toBeVisible()
    }
    // The timetable is searched for in the background.
    if (name === 'glue') await expect(page.locator('[data-evenings] > li').first()).toBeVisible({ timeout: 30_000 })
    await page.waitForFunction(() => !document.querySelector('[role="progressbar"], [aria-busy="true"]'))
    await page.waitForTimeout(600)
    const text = spoken(await page.locator('body').ariaSnapshot())
    // Nothing that can be pressed or filled has no name.
    expect(text, name).not.toMatch(/^\s*- '?(button|link|textbox|radio|checkbox|combobox|slider)'?\s*(\[[^\]]*\])?$/m)
    expect(text, name).toMatch(/- main/)
    expect(text, name).toMatch(/heading ".+" \[level=#\]|heading ".+"/)
    const file = `e2e/aloud/${name}.txt`
    if (process.env['WALK_ALOUD'] === 'write' || !existsSync(file)) writeFileSync(file, `${text}\n`)
    else
      expect(text, `${name}: npx playwright test walk-aloud with WALK_ALOUD=write, then read it`).toBe(
        readFileSync(file, 'utf8').trimEnd(),
      )
  }
})
