import { deflated, rawZip } from '../app/testing/rawZip'
import { readFileSync, writeFileSync } from 'node:fs'
import { askAbout, demoServer, expect, openBench, plannedJoint, test } from './maker'

test('the demo bench opens at the first visit, is reset and removed without touching the maker’s own', async ({
  page,
}) => {
  await openBench(page, demoServer)
  await expect(page.locator('.lines li')).toHaveCount(5)
  await expect(page.locator('.today .num.when').first()).toBeVisible()
  await page.goto(`${demoServer}/benches`)
  await page.getByLabel('A new, empty bench').fill('Own bench')
  await page.getByRole('button', { name: 'Start this bench' }).click()
  await expect(page.getByRole('heading', { name: 'Start with one joint' })).toBeVisible()
  await askAbout(page, 'Mine')
  await page.goto(`${demoServer}/benches`)
  await page.getByRole('button', { name: 'Reset the demo' }).click()
  await expect(page.getByText('The demo bench is as it was')).toBeVisible()
  await page.getByRole('button', { name: 'Take away Lantern heron' }).click()
  await page.getByRole('button', { name: 'Take it away for good' }).click()
  await expect(page.locator('main li')).toHaveCount(1)
  // It does not come back by itself, and the own bench is whole.
  await page.goto(demoServer)
  await expect(page.locator('.lines li')).toContainText('Mine')
})

test('a bench gets another name: head, list and the other tab follow, none is refused, undo takes it back', async ({
  page,
  context,
}) => {
  await openBench(page, demoServer)
  const other = await context.newPage()
  await other.goto(demoServer)
  await page.goto(`${demoServer}/benches`)
  await page.getByRole('button', { name: 'Rename Lantern heron' }).click()
  const field = page.getByLabel('The bench is called')
  await field.fill('  ')
  await field.press('Enter')
  await expect(page.getByRole('status').getByText('Give the bench a name')).toBeVisible()
  await field.fill('Lantern crane')
  await page.getByRole('button', { name: 'Keep this name' }).click()
  await expect(field).toBeHidden()
  await expect(page.locator('main li strong')).toHaveText('Lantern crane')
  await expect(page.locator('header')).toContainText('Lantern crane')
  await expect(other.locator('header')).toContainText('Lantern crane')
  await page.reload()
  await expect(page.locator('main li strong')).toHaveText('Lantern crane')
  await page.getByRole('button', { name: 'Undo' }).first().click()
  await expect(page.locator('main li strong')).toHaveText('Lantern heron')
})

test('a bench file goes out and comes in; newer and damaged ones are refused whole', async ({ page }, info) => {
  await openBench(page, demoServer)
  await page.getByRole('button', { name: 'Menu' }).click()
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save a bench file' }).click()
  const path = info.outputPath('heron.json')
  await (await download).saveAs(path)
  const text = readFileSync(path, 'utf8')
  const give = async (content: string) => {
    const file = info.outputPath('given.json')
    writeFileSync(file, content)
    await page.setInputFiles('input[type="file"]', file)
  }
  await page.goto(`${demoServer}/benches`)
  await give(text)
  await expect(page.getByText(/Read in “Lantern heron” with 5 joints and 19 readings/)).toBeVisible()
  await expect(page.locator('main li')).toHaveCount(2)
  const { version } = JSON.parse(text) as { version: number }
  await give(text.replace(`"version": ${version}`, `"version": ${version + 5}`))
  const refused = `has version ${version + 5}; this app knows up to ${version}`
  await expect(page.getByText(new RegExp(refused))).toBeVisible()
  await give(text.replace('"geometry": "lap"', '"geometry": "knot"'))
  // One bad word stays out and is named; the rest comes in.
  await expect(page.getByText(/1 thing in the file could not be taken/)).toBeVisible()
  await expect(page.getByText(/tables\.joint\.1\.brief\.geometry/)).toBeVisible()
  await expect(page.locator('main > ul > li')).toHaveCount(3)
  await give(text.slice(0, 5000))
  await expect(page.getByText(/damaged at/)).toBeVisible()
  await expect(page.locator('main > ul > li')).toHaveCount(3)
  // A file of version 1: the dates of the packs stood in the adhesive.
  const old = JSON.parse(text)
  old.version = 1
  old.tables.adhesive.forEach((glue: Record<string, unknown>) => (glue['openedOn'] = '2026-01-02'))
  delete old.tables.stock
  // … and a round had one test.
  for (const round of old.tables.round) {
    const { test: kind, size, passLimit, passSetAt } = round.arms[0]
    Object.assign(round, { test: kind, size, passLimit, passSetAt })
    for (const key of ['arms', 'control', 'hunch', 'weights']) delete round[key]
  }
  await give(JSON.stringify(old))
  await expect(page.getByText(/brought over from version 1/)).toBeVisible()
})

test('a second tab shows the edits of the first within a second', async ({ page, context }) => {
  await openBench(page)
  await page.getByLabel(/what do you call/i).fill('Wing')
  const other = await context.newPage()
  await openBench(other)
  await page.getByRole('button', { name: 'Ask about this joint' }).click()
  await expect(other.locator('.lines li')).toContainText('Wing', { timeout: 1000 })
  // And an undo in the second takes it back in the first.
  await other.getByRole('banner').getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText('There is nothing at this address')).toBeVisible({ timeout: 1000 })
})

test('a full storage is said at once, nothing is lost, a file is offered, and saved when there is room', async ({
  page,
}) => {
  await page.addInitScript(() => {
    const { add } = IDBObjectStore.prototype
    IDBObjectStore.prototype.add = function (value: unknown, key?: IDBValidKey) {
      if ((window as unknown as { full?: boolean }).full && String(key).startsWith('entry'))
        throw new DOMException('The quota has been exceeded.', 'QuotaExceededError')
      return add.call(this, value, key)
    }
  })
  await openBench(page)
  await plannedJoint(page, ['contact-water', 'hotmelt-high'], 2)
  await page.evaluate(() => ((window as unknown as { full: boolean }).full = true))
  await page.getByRole('link', { name: 'Start gluing' }).click()
  await page.locator('.task .v-btn.go').click()
  await expect(page.getByRole('alert')).toContainText('Not saved')
  await expect(page.getByRole('alert')).toContainText('quota')
  await expect(page.locator('.saved')).toHaveText('not saved')
  await expect(page.locator('#do-this')).not.toContainText('Closed')
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save a bench file' }).click()
  const saved = JSON.parse(readFileSync((await (await download).path())!, 'utf8'))
  expect(saved.tables.coupon.some((coupon: { stamps: unknown[] }) => coupon.stamps.length === 1)).toBe(true)
  await page.evaluate(() => ((window as unknown as { full: boolean }).full = false))
  await page.getByRole('button', { name: 'Try again' }).click()
  await expect(page.getByRole('alert')).toBeHidden()
  await page.reload()
  await expect(page.locator('.strips')).toBeVisible()
})

test('a blocked storage is said at once, and the bench works in memory', async ({ page }) => {
  await page.addInitScript(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException('The operation is insecure.', 'SecurityError')
    }
  })
  await page.goto('/')
  await expect(page.getByRole('alert')).toContainText('Not saved')
  await page.getByLabel(/what do you call/i).fill('Held in memory')
  await page.getByRole('button', { name: 'Ask about this joint' }).click()
  await expect(page.getByLabel('Name of the joint')).toHaveValue('Held in memory')
  await expect(page.getByRole('button', { name: 'Save a bench file' })).toBeVisible()
})

test('a full storage leaves the demo as it is when it is reset, and no half bench behind', async ({ page }) => {
  await page.addInitScript(() => {
    const { put } = IDBObjectStore.prototype
    IDBObjectStore.prototype.put = function (value: unknown, key?: IDBValidKey) {
      if ((window as unknown as { full?: boolean }).full && String(key).startsWith('table'))
        throw new DOMException('The quota has been exceeded.', 'QuotaExceededError')
      return put.call(this, value, key)
    }
  })
  await openBench(page, demoServer)
  await page.goto(`${demoServer}/benches`)
  await expect(page.locator('main > ul > li')).toHaveCount(1)
  await page.evaluate(() => ((window as unknown as { full: boolean }).full = true))
  await page.getByRole('button', { name: 'Reset the demo' }).click()
  await expect(page.getByText(/quota has been exceeded\. Nothing was changed/)).toBeVisible()
  await page.getByLabel('A new, empty bench').fill('No room')
  await page.getByRole('button', { name: 'Start this bench' }).click()
  await expect(page.getByText(/quota has been exceeded\. Nothing was changed/)).toBeVisible()
  await expect(page.locator('main > ul > li')).toHaveCount(1)
  await expect(page.getByText('on no list')).toBeHidden()
  await page.goto(demoServer)
  await expect(page.locator('.lines li')).toHaveCount(5)
})

test('leaving with changes that nothing has kept is asked about first', async ({ page }) => {
  await page.addInitScript(() => {
    const { add } = IDBObjectStore.prototype
    IDBObjectStore.prototype.add = function (value: unknown, key?: IDBValidKey) {
      if (String(key).startsWith('entry')) throw new DOMException('The quota has been exceeded.', 'QuotaExceededError')
      return add.call(this, value, key)
    }
  })
  await openBench(page)
  await askAbout(page, 'Kept in memory')
  await expect(page.getByRole('alert')).toContainText('1 change so far')
  const asked = page.waitForEvent('dialog')
  const leaving = page.close({ runBeforeUnload: true })
  const dialog = await asked
  expect(dialog.type()).toBe('beforeunload')
  await dialog.dismiss()
  await leaving
  await expect(page.getByLabel('Name of the joint')).toHaveValue('Kept in memory')
})

test('a typed word and an Undo, followed at once by closing the page, are stored or asked about', async ({
  page,
  context,
}) => {
  await openBench(page)
  await askAbout(page, 'Rib')
  const address = page.url()
  let open = page
  const name = () => open.getByLabel('Name of the joint')
  /** Closes the page; @returns whether the browser asked first */
  const leave = async () => {
    let asked = false
    open.on('dialog', (dialog) => {
      asked = true
      void dialog.accept()
    })
    const closed = open.waitForEvent('close')
    await open.close({ runBeforeUnload: true })
    await closed
    open = await context.newPage()
    await open.goto(address)
    await expect(name()).toBeVisible()
    return asked
  }
  await name().fill('')
  await name().pressSequentially('Typed and closed')
  const asked = await leave()
  const typed = await name().inputValue()
  expect(typed === 'Typed and closed' || asked, `“${typed}” stands, asked: ${asked}`).toBe(true)

  await name().fill('To be taken back')
  await name().press('Enter')
  await name().blur()
  await expect(open.locator('.strip [aria-current]')).toContainText('To be taken back')
  await open.keyboard.press('Control+z')
  const askedAgain = await leave()
  const stands = await name().inputValue()
  expect(stands !== 'To be taken back' || askedAgain, `“${stands}” stands, asked: ${askedAgain}`).toBe(true)
})

test('a small zip that unpacks to 300 MB is refused in words, and the page goes on', async ({ page }) => {
  await openBench(page, demoServer)
  await page.goto(`${demoServer}/benches`)
  const descriptor = { pasteBench: { version: 6, savedAt: 1 }, resources: [] }
  const bomb = rawZip([
    { name: 'datapackage.json', packed: deflated(Buffer.from(JSON.stringify(descriptor))), says: 100 },
    { name: 'data/joint.csv', packed: deflated(Buffer.alloc(300_000_000, ',')), says: 100 },
  ])
  expect(bomb.length).toBeLessThan(400_000)
  await page.setInputFiles('input[type="file"]', { name: 'small.zip', mimeType: 'application/zip', buffer: bomb })
  await expect(page.getByText(/“data\/joint\.csv” is too large: 6\d MB, where up to 60 MB are read/)).toBeVisible()
  await expect(page.locator('main > ul > li')).toHaveCount(1)
  await page.getByLabel('A new, empty bench').fill('Still alive')
  await page.getByRole('button', { name: 'Start this bench' }).click()
  await expect(page.locator('.head .bench')).toHaveText('Still alive')
})
