import { expect, glueAll, openBench, askAbout, pick, station, test, testGlue, type, word } from './maker'

test('from a new bench to a printed card, with reloads in the middle', async ({ page }) => {
  await page.clock.install({ time: new Date('2026-11-24T18:00:00') })
  await page.addInitScript(() => {
    window.print = () => document.body.setAttribute('data-printed', 'yes')
    // The round's seed is drawn; a fixed one makes it known which coupon comes when.
    const draw = crypto.getRandomValues.bind(crypto)
    crypto.getRandomValues = ((array: Uint8Array | Uint16Array) =>
      array instanceof Uint16Array ? array.fill(2203) : draw(array as never)) as typeof crypto.getRandomValues
  })
  await openBench(page)
  await expect(page.getByRole('heading', { name: 'Start with one joint' })).toBeVisible()

  // Ask
  await askAbout(page, 'Rib to cover')
  await pick(page, 'Material of side A', 'Closed-cell EVA foam sheet')
  await type(page, 'Thickness of side A', '3/8 in')
  await pick(page, 'Face of side A', 'sanded')
  await pick(page, 'Material of side B', 'Woven cotton')
  await pick(page, 'Shape of the joint', 'a lap')
  await type(page, 'Width of the glued face', '25')
  await type(page, 'Length of the glued face, along the pull', '2 cm')
  await pick(page, 'How it is loaded', 'pulled sideways')
  await type(page, 'Weight it carries', '1 kg 500 g')
  await pick(page, 'How it moves', 'danced or run')
  await type(page, 'Highest temperature', '104 °F')
  await pick(page, 'Water', 'splashes')
  await pick(page, 'Where it is glued', 'indoors, window open')
  await expect(word(page, 'Thickness of side A')).toHaveText('9.525 mm')
  await expect(word(page, 'Highest temperature')).toHaveText('40 °C')
  // 1.5 kg × 9.80665 × 3 = 44.1 N
  await expect(page.locator('.big')).toContainText('44.1')

  // A unit of the wrong kind says which are known, and nothing is lost.
  await word(page, 'Gap').click()
  await page.getByRole('group', { name: 'Gap' }).getByRole('textbox').fill('2 kg')
  await page.getByRole('group', { name: 'Gap' }).getByRole('button', { name: 'Set' }).click()
  await expect(page.getByRole('alert')).toContainText('Known units: mm, cm')
  await page.keyboard.press('Escape')

  // Shortlist: cyanoacrylate on cotton is ruled out for harm; tested is only what may be.
  await station(page, 'Shortlist')
  await expect(page.locator('li[data-family="ca-medium"]')).toContainText('ruled out')
  for (const family of ['contact-water', 'fabric-glue', 'elastomer-solvent']) await testGlue(page, family)
  await expect(page.locator('.picked li')).toHaveCount(3)
  await page.reload()
  await expect(page.locator('.picked li')).toHaveCount(3)

  // Plan
  await page.getByRole('link', { name: 'Plan their coupons' }).click()
  // The heat that the brief names has an arm of its own; this walk keeps to the dry test.
  await page.getByRole('button', { name: /^Leave this test out.*40 °C/ }).click()
  await expect(page.locator('[data-arm]')).toHaveCount(1)
  await page.getByLabel('Overlap, mm').fill('12')
  await page.getByLabel('Overlap, mm').press('Tab')
  await expect(page.getByLabel(/Counts as a pass/)).toHaveValue('0.0883')
  await page.getByRole('radio', { name: /^2 of each/ }).check({ force: true })
  await page.getByRole('button', { name: 'Plan 6 coupons' }).click()
  await expect(page.locator('.blocks .tape')).toHaveCount(6)
  const labels = await page.locator('.blocks .tape').allTextContents()
  expect(new Set(labels).size).toBe(6)

  // Glue, with a reload in the middle: the clock goes on where it was.
  await page.getByRole('link', { name: 'Start gluing' }).click()
  await page.getByRole('button', { name: /Side A is ready, all 3 of block/ }).click()
  await page.getByRole('button', { name: /Side B is ready, all 3 of block/ }).click()
  // A scrap is tried, the parts are dry-fitted: then the first glue goes on.
  const next = page.getByRole('button', { name: /Glue is on|Primed/ })
  await expect(async () => {
    if (!(await next.isVisible())) await page.locator('.task .v-btn.go').click()
    await expect(next).toBeVisible({ timeout: 1000 })
  }).toPass({ timeout: 40_000 })
  await page.reload()
  await expect(next).toBeVisible()
  await page.getByRole('button', { name: 'Something went differently…' }).click()
  await page.getByLabel(/What went differently/).fill('too much glue')
  await page.getByRole('button', { name: 'Note it' }).click()
  await glueAll(page)
  await expect(page.locator('.really-done')).toContainText('too much glue')
  await page.getByRole('button', { name: 'firm' }).click()
  await expect(page.locator('[data-checks]')).toContainText('1 check kept, last: firm')

  // Break: pulled too early is warned of; then, cured, the readings in three units and the awkward ends.
  await station(page, 'Break')
  await expect(page.getByText('Not cured yet.')).toBeVisible()
  await page.clock.fastForward(8 * 24 * 3_600_000)
  await expect(page.getByText('Not cured yet.')).toBeHidden()
  const log = () => page.getByRole('button', { name: /Log this pull/ }).click()
  const tap = (place: string) =>
    page
      .getByRole('group', { name: 'Where did it let go?' })
      .getByRole('button', { name: new RegExp(`^${place} \\d`) })
      .click()
  const lines = page.locator('.far li')

  await log()
  await expect(page.getByRole('alert')).toBeVisible()
  await page.locator('#reading-text').fill('9.5 kgf')
  await tap('in the glue')
  // 9.5 × 9.80665 N / (25 × 12 mm²)
  await expect(page.locator('.figure')).toContainText('93.2')
  await expect(page.locator('.figure')).toContainText('0.31 MPa')
  await log()
  await expect(lines).toHaveCount(1)

  await page.locator('#reading-text').fill('16,5 lb')
  await tap('off A')
  await page.getByRole('button', { name: '10 % more in the glue' }).click()
  await log()
  await expect(lines.first()).toContainText('off A 90 %')

  await page.getByLabel('Read by').selectOption('water')
  await page.getByLabel(/Water poured in/).fill('6.2 l')
  await page.getByLabel('Bucket', { exact: true }).fill('400 g')
  await tap('torn in A')
  await log()
  // (6.2 × 0.998 + 0.4) × 9.80665 / 300 = 0.215: the foam tore, so "at least"
  await expect(lines.first()).toContainText('≥ 0.22')
  await expect(lines.first()).toContainText('torn in A')

  await page.getByRole('button', { name: 'Still wet inside' }).click()
  await log()
  await expect(lines.first()).toContainText('not cured')
  await page.getByRole('button', { name: 'Came apart in handling' }).click()
  await log()
  await expect(lines.first()).toContainText('≤ 0.0017')

  // Undo takes a logged reading back, redo returns it; also after a reload.
  await page.getByRole('banner').getByRole('button', { name: 'Undo' }).click()
  await expect(lines).toHaveCount(4)
  await page.reload()
  await expect(lines).toHaveCount(4)
  await page.getByRole('banner').getByRole('button', { name: 'Redo' }).click()
  await expect(lines).toHaveCount(5)

  // A logged reading is corrected, and says so.
  await lines
    .last()
    .getByRole('button', { name: /^Correct/ })
    .click()
  await page.locator('#reading-text').fill('95 N')
  await page.getByRole('button', { name: /Correct this pull/ }).click()
  await expect(lines.last()).toContainText('corrected')
  await expect(lines.last()).toContainText('0.32')

  await page.getByLabel('Read by').selectOption('gauge')
  await page.locator('#reading-text').fill('88 N')
  await tap('off B')
  await log()
  await expect(page.getByText('All 6 coupons are pulled.')).toBeVisible()

  // Choose
  await page.getByRole('link', { name: 'See which is best' }).click()
  await expect(page.locator('.rows .line')).toHaveCount(4)
  await expect(page.locator('svg.chart').first()).toBeVisible()
  await expect(page.locator('.rows')).toContainText('1 wet')
  await page.locator('.rows .line').nth(1).getByRole('button', { name: / ×/ }).click()
  await expect(page.locator('#why')).toContainText('44.1 N required')
  await page.getByLabel('Because').fill('Holds well over the load and is soft in the hand.')
  await page.getByRole('button', { name: /^Decide for/ }).click()
  await page.getByRole('link', { name: 'Print the procedure card' }).click()
  await expect(page.locator('.paper')).toContainText('Holds well over the load')
  await expect(page.locator('.paper')).toContainText('Before you start')
  await page.getByRole('button', { name: 'Print this card' }).click()
  await expect(page.locator('body[data-printed="yes"]')).toBeAttached()

  // Tomorrow.
  await page.clock.fastForward(24 * 3_600_000)
  await page.goto('/')
  await expect(page.locator('.lines li')).toContainText('decided after')
})
