import { expect, test, type Page } from '@playwright/test'
import { addThing, choose, clashes, fill, leaf, millimetres } from './fitting'
import { landingAlcove } from './person'

const verdict = (page: Page) => page.getByRole('status').first()

test('a section is cut where its line is dragged to', async ({ page }) => {
  await landingAlcove(page, 'fit')
  await page.getByRole('button', { name: 'Section' }).click()
  await expect(page.getByRole('img', { name: 'Section' })).toBeVisible()
  const paths = () => page.locator('.drawing').first().locator('path').count()
  const slider = page.getByRole('slider', { name: 'Cut through here' })
  const middle = Number(await slider.getAttribute('aria-valuenow'))
  const before = await paths()
  const grip = await page.locator('.cut-line .grip').boundingBox()
  if (!grip) throw new Error('The line cannot be held.')
  const [x, y] = [grip.x + grip.width / 2, grip.y + grip.height / 2]
  await page.mouse.move(x, y)
  await page.mouse.down()
  await page.mouse.move(x - 40, y, { steps: 5 })
  // Far beyond the run it stays at its end.
  await page.mouse.move(x - 400, y, { steps: 5 })
  await page.mouse.up()
  await expect.poll(async () => Number(await slider.getAttribute('aria-valuenow'))).toBeLessThan(middle - 100)
  // There it goes through a side, which the middle does not.
  await expect.poll(paths).not.toBe(before)
  // By key too.
  const end = Number(await slider.getAttribute('aria-valuenow'))
  await slider.focus()
  await page.keyboard.press('ArrowRight')
  await expect.poll(async () => Number(await slider.getAttribute('aria-valuenow'))).toBeGreaterThan(end)
})

test('a scribe line gives the compass setting, and stations that add up', async ({ page }) => {
  await landingAlcove(page, 'fit')
  await leaf(page, 'Gaps')
  await page.getByRole('button', { name: 'Scribe line: B1 right stile to wall' }).click()
  const dialog = page.getByRole('dialog', { name: 'B1 right stile to wall' })
  await expect(dialog).toContainText('Set the compass to')
  const overhang = Number(/comes to\s*([\d.]+)/.exec((await dialog.textContent()) ?? '')?.[1])
  expect(overhang).toBeGreaterThan(5)
  const rows = await dialog.locator('table.stations tbody tr').all()
  expect(rows.length).toBeGreaterThan(8)
  for (const row of rows) {
    const [, gap, cut] = (await row.locator('td').allTextContents()).map((text) => parseFloat(text))
    expect((gap ?? 0) + (cut ?? 0)).toBeCloseTo(overhang, 0)
  }
  await page.keyboard.press('Escape')
  await expect(dialog).toBeHidden()
})

test('an edge is closed by the table, by choice, and by the table again', async ({ page }) => {
  await landingAlcove(page, 'fit')
  await leaf(page, 'Gaps')
  const row = page.getByRole('row', { name: /B1 left stile to wall/ })
  const closed = page.getByRole('combobox', { name: 'B1 left stile to wall: closed with' })
  const width = async () => {
    await leaf(page, 'Cell')
    const wide = await millimetres(page, /^Width of the run/)
    await leaf(page, 'Gaps')
    return wide
  }
  const before = await width()
  await closed.click()
  await page.getByRole('option', { name: 'filler strip' }).click()
  await expect(row).toContainText('chosen by you')
  // A filler narrows the bays: the box gives what its strip needs.
  await expect.poll(width).toBeLessThan(before)
  await page.reload()
  await leaf(page, 'Gaps')
  await expect(row).toContainText('chosen by you')
  await closed.click()
  await page.getByRole('option', { name: 'by the table' }).click()
  await expect.poll(width).toBe(before)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(row).toContainText('chosen by you')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(width).toBe(before)
  await expect(verdict(page)).toContainText('Fits. 4 edges to scribe.')
})

test('a traced section is refused in words, and kept as it was typed', async ({ page }) => {
  await landingAlcove(page, 'fit')
  await addThing(page, 'Post', async () => {
    await fill(page, 'Stands out by', '60')
    const field = page.getByLabel('Traced section')
    await field.fill('0 x 0; 40')
    await field.press('Enter')
    await expect(page.getByText('Corner 2 was understood as “40”.')).toBeVisible()
    await expect(field).toHaveValue('0 x 0; 40')
    await field.fill('0 x 0; 40 x 0; 40 x 40; 0 x 20')
    await field.press('Enter')
    await expect(page.getByText('Corner 2 was understood as “40”.')).toHaveCount(0)
  })
  await expect(verdict(page)).toBeVisible()
  await page.getByRole('link', { name: /^Measure/ }).click()
  await page.keyboard.press('Escape')
  await page.keyboard.press('o')
  await page.getByText('Post', { exact: true }).first().click()
  await expect(page.getByLabel('Traced section')).toHaveValue('0 x 0; 40 x 0; 40 x 40; 0 x 20')
})

test('a bay that gets no room is named, and given some by its way out', async ({ page }) => {
  await landingAlcove(page, 'fit')
  await expect(page.locator('g.cell')).toHaveCount(1)
  await page.locator('body').press('v')
  await expect(page.locator('g.cell')).toHaveCount(2)
  await choose(page, 'What it holds', 'Shelves between walls')
  await expect(page.getByRole('heading', { name: 'Shelves between walls' })).toBeVisible()
  await fill(page, 'Width of the bay', '40')
  await leaf(page, 'Findings')
  const card = clashes(page).filter({ hasText: /cannot be made 40 mm wide/ })
  await expect(card).toBeVisible()
  await card.getByRole('button').first().click()
  await card.locator('.ways button').first().click()
  await expect(card).toHaveCount(0)
  await expect(verdict(page)).not.toContainText('Does not fit')
})

test('two runs leave the corner between them open', async ({ page }) => {
  await landingAlcove(page, 'fit')
  await fill(page, 'Depth', '200')
  await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled()
  await page.getByRole('button', { name: 'Add a run: left wall' }).click()
  await expect(page.getByRole('heading', { name: 'Run along the left wall' })).toBeVisible()
  await fill(page, 'Depth', '180')
  await page.getByRole('combobox', { name: 'Run', exact: true }).click()
  await page.getByRole('option', { name: 'Run along the back wall' }).click()
  const width = () => millimetres(page, /^Width of the run/)
  await expect(page.getByRole('heading', { name: 'Run along the back wall' })).toBeVisible()
  const through = await width()
  await page.getByRole('combobox', { name: 'Its left end' }).click()
  await page.getByRole('option', { name: 'leaves a corner bay open' }).click()
  // It ends where the other's face would pass: 180 off the wall instead of a few millimetres.
  await expect.poll(width).toBeLessThan(through - 160)
  await page.getByRole('button', { name: 'Plan', exact: true }).click()
  await expect(page.getByRole('img', { name: 'From above' })).toBeVisible()
  await expect(clashes(page)).toHaveCount(0)
})

test('what another window changed is not written over', async ({ page, context }) => {
  await landingAlcove(page, 'fit')
  await expect(page.locator('g.cell')).toHaveCount(1)
  const second = await context.newPage()
  await second.goto(page.url())
  await expect(second.locator('g.cell')).toHaveCount(1)
  await page.locator('body').press('v')
  await expect(page.locator('g.cell')).toHaveCount(2)
  // The second window still shows one box; its edit is held, and it sees what there is now.
  await second.locator('body').press('h')
  await expect(second.locator('g.cell')).toHaveCount(2)
  await expect(second.getByText(/Split the bay/).first()).toBeVisible()
  await second.locator('body').press('h')
  await expect(second.locator('g.cell')).toHaveCount(3)
})

test.describe('on a slow network', () => {
  // What keeps the page for later would send for it, past the delay.
  test.use({ serviceWorkers: 'block' })

  test('what is changed right before going on is kept, however slow the network', async ({ page }) => {
    await landingAlcove(page, 'fit')
    await expect(page.locator('g.cell')).toHaveCount(1)
    const sent: number[] = []
    await page.route('**/edits', async (route) => {
      // It takes a while to get there: what is asked meanwhile must not be answered from before it.
      await new Promise((resolve) => setTimeout(resolve, 700))
      const response = await route.fetch()
      sent.push(response.status())
      await route.fulfill({ response })
    })
    await page.locator('body').press('v')
    await page.locator('body').press('h')
    await page.getByRole('link', { name: /^Pieces/ }).click()
    await expect(page.getByText('B2-bottom')).toBeVisible()
    await page.getByRole('link', { name: /^Fit/ }).click()
    await expect(page.locator('g.cell')).toHaveCount(3)
    await expect(page.getByText(/Meanwhile changed elsewhere/)).toHaveCount(0)
    expect(sent).toEqual([200, 200])
  })
})

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })

  test('a layout is divided and looked at with one thumb', async ({ page }) => {
    await landingAlcove(page, 'fit')
    await expect(page.locator('g.cell')).toHaveCount(1)
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
    const split = page.getByRole('button', { name: /^Split bay/ })
    await split.scrollIntoViewIfNeeded()
    expect((await split.boundingBox())?.height).toBeGreaterThanOrEqual(40)
    await split.tap()
    await expect(page.locator('g.cell')).toHaveCount(2)
    for (const view of ['Plan', 'Section', 'Round', 'Wall']) {
      await page.getByRole('button', { name: view, exact: true }).tap()
      await expect(page.locator('.drawing-card .drawing, .drawing-card canvas').first()).toBeVisible()
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
    }
    await page.getByRole('tab', { name: /Gaps/ }).tap()
    await page.getByRole('button', { name: 'Scribe line: B1 left stile to wall' }).tap()
    const dialog = page.getByRole('dialog')
    await expect(dialog).toContainText('Set the compass to')
    const box = await dialog.boundingBox()
    expect((box?.x ?? -1) >= 0 && (box?.x ?? 0) + (box?.width ?? 999) <= 390).toBe(true)
  })
})

test('what goes under each bearer of a plinth is told from the floor as found', async ({ page }) => {
  await landingAlcove(page, 'fit')
  await page.getByText('Shims under P1, from the floor as found').click()
  const under = page.getByRole('region', { name: 'Run' }).getByRole('button', {
    name: /^Shims under P1, bearer \d, (front|back)/,
  })
  await under.first().click()
  await expect(page.getByText(/^shim$|a tapered pair/).first()).toBeVisible()
})
