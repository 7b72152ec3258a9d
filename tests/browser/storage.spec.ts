import { expect, test, type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { choose, millimetres } from './fitting'
import { demoJob, landingAlcove } from './person'

const verdict = (page: Page) => page.getByRole('status').first()

test('every unit is put into a cell from its picture, and before it, and stands in the drawing', async ({
  page,
}) => {
  test.setTimeout(240_000)
  await landingAlcove(page, 'fit')
  const head = page.locator('[aria-label="Selected cell"] header')
  const label = (place: string, unit: string) =>
    page.getByRole('radiogroup', { name: place }).getByRole('radio', { name: unit, exact: true })
  for (const unit of [
    'Drawers',
    'Hanging rail',
    'Bin with an apron',
    'Loose bins',
    'Cubbies',
    'Pull-out',
    'Shelves',
  ]) {
    await choose(page, 'What it holds', unit)
    await expect(label('What it holds', unit)).toBeChecked()
    await expect(head).toContainText('Box B1')
    // What it cannot be here is said in a sentence; nothing fails.
    await expect(verdict(page)).toContainText(/^(Fits|Does not fit: )/)
  }
  // What stands in a cell without a box; then the box again.
  for (const unit of ['Cart', 'Place for a machine', 'Shelves on cleats', 'Filler panel', 'Shelves']) {
    await choose(page, 'What it holds', unit)
    await expect(label('What it holds', unit)).toBeChecked()
    await expect(head).toContainText(unit === 'Shelves' ? 'Box B1' : unit)
    await expect(verdict(page)).toContainText(/^(Fits|Does not fit: )/)
  }
  for (const unit of ['Door', 'Lift-up flap', 'Drop-down flap', 'Sliding leaves', 'False front', 'Open']) {
    await choose(page, 'In front', unit)
    await expect(label('In front', unit)).toBeChecked()
    await expect(verdict(page)).toContainText(/^(Fits|Does not fit: )/)
  }
  await expect(verdict(page)).toContainText('Fits.')
})

test('what pull-outs under a rake are filled with decides what slides carry them', async ({ page }) => {
  await demoJob(page, 'oar-store', 'Oar store')
  await expect(verdict(page)).toContainText('Fits.')
  const slides = async () => {
    await page.getByRole('link', { name: /^Sheets/ }).click()
    await expect(page.getByText(/pair of (heavy|drawer) slides/).first()).toBeVisible()
    const told = await page.getByText(/pair of (heavy|drawer) slides/).allTextContents()
    await page.getByRole('link', { name: /^Fit/ }).click()
    await expect(page.locator('g.cell').first()).toBeVisible()
    return told.map((text) => Number(/(\d+) kg/.exec(text)?.[1])).sort((a, b) => a - b)
  }
  const before = await slides()
  await page.getByRole('combobox', { name: 'Filled with' }).click()
  await page.getByRole('option', { name: 'Books' }).click()
  await expect(page.getByRole('button', { name: 'Filled with as usual' })).toBeVisible()
  await expect(verdict(page)).toContainText('Fits.')
  const after = await slides()
  expect(after).not.toEqual(before)
  expect(Math.max(...after)).toBeGreaterThanOrEqual(Math.max(...before))
})

test('shelves lie on cleats, are slatted, and get a strip whose height is asked for only then', async ({
  page,
}) => {
  await landingAlcove(page, 'fit')
  const set = async (label: string, option: string) => {
    await page.getByRole('combobox', { name: label }).click()
    await page.getByRole('option', { name: option }).click()
  }
  await expect(page.getByLabel('Height of that strip')).toHaveCount(0)
  await set('Strip along the front', 'In front of the shelf')
  await expect(page.getByLabel('Height of that strip')).toBeVisible()
  await set('Adjustable ones lie on', 'Cleats screwed to the sides')
  await set('Each is', 'Slats with gaps, for air')
  await expect(page.getByLabel('Width of a slat')).toBeVisible()
  await expect(verdict(page)).toContainText('Fits.')
  await page.getByRole('link', { name: /^Pieces/ }).click()
  await expect(page.getByRole('button', { name: 'B1-shelf-1-1, length' })).toBeVisible()
  await expect(page.getByRole('button', { name: 'B1-shelf-1-cleat-L, length' })).toBeVisible()
})

test('a school of the job changes what is built, and the sizes follow', async ({ page }) => {
  await landingAlcove(page, 'fit')
  await choose(page, 'In front', 'Door')
  const leaves = page.getByRole('spinbutton', { name: 'Leaves' })
  await leaves.fill('2')
  await leaves.press('Enter')
  await page.getByRole('link', { name: /^Pieces/ }).click()
  await expect(page.getByRole('button', { name: 'B1-door-L, length' })).toBeVisible()
  const slab = await millimetres(page, 'B1-door-L, width')
  await page.getByRole('button', { name: /rules and materials/ }).click()
  await page.getByRole('combobox', { name: 'Leaves of doors' }).click()
  await page.getByRole('option', { name: 'Frame and panel in grooves' }).click()
  await page.keyboard.press('Escape')
  // A stile at either side of 57, and between them a rail with its tongues: together as wide as the board was.
  await expect(page.getByRole('button', { name: 'B1-door-L-stile-L, length' })).toBeVisible()
  const rail = await millimetres(page, 'B1-door-L-rail-1, length')
  expect(rail).toBeCloseTo(slab - 2 * 57 + 2 * 10, 1)
})

test('a side is drilled through a template at full size', async ({ page }) => {
  await landingAlcove(page, 'pieces')
  await page.getByRole('button', { name: 'B1-side-L, drawing' }).click()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Drilling template at full size, PDF' }).click(),
  ])
  expect(download.suggestedFilename()).toBe('drilling-b1-side-l-side.pdf')
  const pdf = readFileSync(await download.path())
  expect(pdf.toString('latin1', 0, 5)).toBe('%PDF-')
  // Rows of pins from foot to head lie on more pages than one.
  expect(pdf.toString('latin1').match(/\/Type \/Page\b/g)?.length ?? 0).toBeGreaterThan(4)
  // A shelf on pins has no holes.
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: /^B1-shelf-1, drawing/ }).click()
  await expect(page.getByRole('link', { name: 'Drawing to print, PDF' })).toBeVisible()
  await expect(page.getByRole('link', { name: /Drilling template/ })).toHaveCount(0)
})
