import { expect, test } from '@playwright/test'
import { leaf, pick } from './fitting'
import { landingAlcove, newPerson, opened } from './person'

test('keys act only outside fields, and can be switched off', async ({ page }) => {
  await landingAlcove(page)
  await page.getByRole('button', { name: /Width, middle, at the front/ }).click()
  const field = page.getByLabel('Width, middle, at the front', { exact: true })
  await field.fill('')
  await page.keyboard.type('234')
  await expect(field).toHaveValue('234')
  await expect(page).toHaveURL(/measure$/)
  await page.keyboard.press('Escape')
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible()
  await page.keyboard.press('Escape')
  await page.keyboard.press('3')
  await expect(page).toHaveURL(/pieces$/)
  await page.getByRole('link', { name: 'Tess' }).click()
  await page.getByLabel('Keys act, and are shown beside what they do').click()
  await page.goBack()
  await page.keyboard.press('1')
  await expect(page).toHaveURL(/pieces$/)
  await expect(page.locator('kbd').first()).toBeHidden()
})

test('readings are skipped, taken twice, and found by pressing their line in the drawing', async ({
  page,
}) => {
  await landingAlcove(page)
  await expect(page.getByLabel('Height, left', { exact: true })).toBeFocused()
  await page.keyboard.press('Shift+Enter')
  await expect(page.getByLabel('Height, right', { exact: true })).toBeFocused()
  await page.getByLabel('Height, right', { exact: true }).fill('2399')
  await page.getByRole('button', { name: 'second take' }).click()
  await expect(page.getByRole('button', { name: /Height, right/ })).toContainText(/2398 mm.*2399 mm/)
  await page.getByRole('button', { name: /Diagonal, left/ }).click()
  await expect(page.locator('.reading.selected')).toHaveCount(1)
})

test('a plumb reading says which end, by letter or by button', async ({ page }) => {
  await landingAlcove(page)
  await page.getByRole('button', { name: /Plumb, left wall, lower/ }).click()
  const field = page.getByLabel('Plumb, left wall, lower half', { exact: true })
  await field.fill('5 t')
  await expect(page.getByText('gap at the top: the wall leans out')).toBeVisible()
  await page.getByRole('button', { name: 'bottom', exact: true }).click()
  await field.fill('5')
  await expect(page.getByText('5 mm · 3/16 in · gap at the bottom: the wall leans in')).toBeVisible()
  await field.press('Enter')
  await expect(page.getByRole('button', { name: /Plumb, left wall, lower/ })).toContainText('5 mm bottom')
})

test('readings that disagree are named where they stand', async ({ page }) => {
  await landingAlcove(page)
  await page.getByRole('button', { name: /Plumb, left wall, upper/ }).click()
  await page.getByLabel('Plumb, left wall, upper half', { exact: true }).fill('25 t')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('status')).toContainText('Some readings do not agree with the others.')
  await expect(
    page
      .getByText(/One of these is wrong, and they cannot be told apart: “Plumb, left wall, upper half”/)
      .first(),
  ).toBeVisible()
  await expect(page.getByRole('link', { name: /^Measure/ })).toContainText('readings disagree')
})

test('where to measure is changed, and a bad place is refused', async ({ page }) => {
  await landingAlcove(page)
  await page.getByRole('button', { name: 'Where to measure' }).click()
  await opened(page)
  const level = page.getByLabel('Length of your level')
  await level.fill('90')
  await level.press('Enter')
  await expect(page.getByText('It must be between 200 mm and 3000 mm.')).toBeVisible()
  await level.fill('1000')
  await level.press('Enter')
  await page.keyboard.press('Escape')
  // What was taken with the long level stays where it was taken; another take of it is asked for there.
  await page.getByRole('button', { name: /Plumb, left wall, lower/ }).click()
  await expect(page.locator('.where')).toContainText('1200 mm')
})

test('shelves are counted up and down, and their spacing follows', async ({ page }) => {
  await landingAlcove(page, 'fit')
  await expect(page.getByRole('button', { name: 'Clear between shelves, B1: 364 mm' })).toBeVisible()
  await page.getByRole('spinbutton', { name: 'Adjustable shelves' }).fill('3')
  await page.getByRole('spinbutton', { name: 'Adjustable shelves' }).press('Enter')
  // (2312 − 2 · 18 − 4 · 18) / 5 = 440.8, down
  await expect(page.getByRole('button', { name: 'Clear between shelves, B1: 440 mm' })).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('button', { name: 'Clear between shelves, B1: 364 mm' })).toBeVisible()
  await page.getByRole('button', { name: 'Redo' }).click()
  await expect(page.getByRole('button', { name: 'Clear between shelves, B1: 440 mm' })).toBeVisible()
})

test('a scribe line gives the compass and its stations', async ({ page }) => {
  await landingAlcove(page, 'fit')
  await leaf(page, 'Gaps')
  await page.getByRole('button', { name: 'Scribe line: B1 left stile to wall' }).click()
  const dialog = page.getByRole('dialog', { name: 'B1 left stile to wall' })
  await expect(dialog.getByText('Set the compass to')).toBeVisible()
  await expect(dialog.getByText('doubt of the gap, 95 %')).toBeVisible()
  expect(await dialog.locator('.stations tbody tr').count()).toBeGreaterThan(10)
})

test('house rules and materials follow what is typed, and refuse what cannot be', async ({ page }) => {
  await landingAlcove(page, 'pieces')
  await page.getByRole('button', { name: 'Landing alcove: rules and materials' }).click()
  await opened(page)
  const kerf = page.getByLabel('Saw kerf')
  await kerf.fill('12')
  await kerf.press('Enter')
  await expect(
    page.getByText('Saw kerf: “12” was understood as 12 mm. It must be between 0 mm and 8 mm.'),
  ).toBeVisible()
  await expect(kerf).toHaveValue('12')
  await page.getByLabel('Thickness, as measured on the sheet').first().fill('17.6')
  await page.getByLabel('Thickness, as measured on the sheet').first().press('Enter')
  await page.getByRole('button', { name: 'Close' }).first().click()
  // 883 − 2 · 17.6 = 847.8, down
  await page.getByRole('button', { name: 'B1-bottom, length: 847 mm' }).click()
  await expect(page.getByRole('table', { name: 'B1-bottom, length' })).toContainText('17.6 mm')
})

test('boxes are joined in another way, their sizes follow, and a tool that is not there is said', async ({
  page,
}) => {
  await landingAlcove(page, 'pieces')
  await expect(page.getByRole('button', { name: 'B1-bottom, length: 847 mm' })).toBeVisible()
  await page.getByRole('button', { name: 'Landing alcove: rules and materials' }).click()
  await opened(page)
  await pick(page, 'Boxes are joined with', 'Dadoes and glue')
  await expect(page.getByText('Strong and square by itself')).toBeVisible()
  for (const tool of ['Router', 'Table saw']) await page.getByLabel(tool, { exact: true }).click()
  await page.getByRole('button', { name: 'Close' }).first().click()
  // 847 and 6 mm into the dado at each end.
  await expect(page.getByRole('button', { name: 'B1-bottom, length: 859 mm' })).toBeVisible()
  await page.getByRole('button', { name: 'B1-side-L, drawing' }).click()
  await expect(
    page.getByText('dado 18.2 mm wide, 6 mm deep for B1-bottom: 9 along; 0 · 372 across'),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Close' }).first().click()
  await page.getByRole('link', { name: /^Fit/ }).click()
  await leaf(page, 'Findings')
  await page.getByText('Boxes are joined in dadoes, and there is no router or table saw').click()
  await page.getByRole('button', { name: 'Join boxes with screws through their sides' }).click()
  await expect(page.getByText('Boxes are joined in dadoes')).toHaveCount(0)
  await page.getByRole('link', { name: /^Pieces/ }).click()
  await expect(page.getByRole('button', { name: 'B1-bottom, length: 847 mm' })).toBeVisible()
})

test('edges are banded and backs left out, sizes follow, and strips close the walls', async ({ page }) => {
  await landingAlcove(page, 'pieces')
  await expect(page.getByRole('button', { name: 'B1-bottom, width: 372 mm' })).toBeVisible()
  await page.getByRole('button', { name: 'Landing alcove: rules and materials' }).click()
  await opened(page)
  for (const [question, choice] of [
    ['Front edges of boxes', 'Edge banding'],
    ['Backs of boxes', 'None, nailers only'],
  ] as const) {
    await pick(page, question, choice)
  }
  await page.getByRole('button', { name: 'Close' }).first().click()
  // 372, and the frame of 18 and the back of 6 that are no longer there.
  await expect(page.getByRole('button', { name: 'B1-bottom, width: 396 mm' })).toBeVisible()
  await expect(page.getByRole('button', { name: 'B1-filler-left, drawing' })).toBeVisible()
  await expect(page.getByRole('button', { name: /stile/ })).toHaveCount(0)
  await expect(page.getByText(/^Fits\./)).toBeVisible()
})

test('hardware is bought in packs, and what has no price is said', async ({ page }) => {
  await landingAlcove(page, 'sheets')
  await page.getByRole('button', { name: 'To buy' }).click()
  const shop = page.locator('section', { has: page.getByRole('heading', { name: /^Ironmonger/ }) })
  const line = (name: RegExp) => shop.getByRole('listitem').filter({ hasText: name })
  await expect(line(/Shelf pin\s*\d × pack of 20\s*€ \d/)).toBeVisible()
  await page.getByRole('button', { name: 'Landing alcove: rules and materials' }).click()
  await opened(page)
  await page.getByText('sizes, packs and prices').click()
  const pins = page.getByRole('region', { name: 'Shelf pins' })
  await pins.getByLabel('In a pack').fill('0')
  await pins.getByLabel('In a pack').press('Enter')
  await expect(pins.getByText('“0” is not a whole number from 1 to 10000.')).toBeVisible()
  await pins.getByLabel('In a pack').fill('6')
  await pins.getByLabel('In a pack').press('Enter')
  await pins.getByLabel(/Price/).fill('')
  await pins.getByLabel(/Price/).press('Enter')
  await page.getByRole('button', { name: 'Close' }).first().click()
  await expect(line(/Shelf pin\s*\d × pack of 6\s*\?/)).toBeVisible()
  await expect(page.getByText(/^≥ €/)).toBeVisible()
})

test('a sheet size is added and taken out, and the plan follows', async ({ page }) => {
  await landingAlcove(page, 'sheets')
  await expect(page.getByText('in all', { exact: true }).first()).toBeVisible()
  await page.getByRole('button', { name: 'Landing alcove: rules and materials' }).click()
  for (const left of [6, 5]) {
    await page.getByRole('button', { name: 'Take this sheet out' }).first().click()
    await expect(page.getByRole('button', { name: 'Take this sheet out' })).toHaveCount(left)
  }
  await page.getByRole('button', { name: 'Close' }).first().click()
  await expect(
    page.getByText(/B1-side-L: no sheet of its material is in stock 18 mm thick/).first(),
  ).toBeVisible()
  // Pressed twice in a row: each change waits for the one before it.
  await page.getByRole('button', { name: 'Undo' }).dblclick()
  await expect(page.getByText(/no sheet of its material/)).toHaveCount(0)
  await expect(page.getByRole('heading', { name: /^Sheet 1 · Birch plywood 18/ })).toBeVisible()
})

test('pieces are grouped by material too, and alike ones stand together', async ({ page }) => {
  await landingAlcove(page, 'pieces')
  await expect(page.getByText('4 × Adjustable shelf')).toBeVisible()
  await page.getByRole('button', { name: 'By material' }).click()
  await expect(page.getByRole('heading', { name: 'Birch plywood 6, 6 mm' })).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Birch plywood 18, 18 mm' })).toBeVisible()
})

test('every station of a job without readings says what to do next', async ({ page }) => {
  await newPerson(page)
  await page.getByRole('button', { name: 'New job' }).click()
  await page.getByLabel('What are you building?').fill('Empty')
  await page.getByText('Inches', { exact: true }).click()
  await page.getByRole('button', { name: 'Begin measuring' }).click()
  await expect(page.getByRole('heading', { name: 'Tape book' })).toBeVisible()
  for (const [station, text] of [
    ['fit', 'Nothing can be fitted yet'],
    ['pieces', 'There are no pieces yet'],
    ['sheets', 'There is nothing to cut yet'],
  ] as const) {
    await page.goto(page.url().replace(/[a-z]+$/, station))
    await expect(page.getByText(text)).toBeVisible()
    await expect(page.getByRole('link', { name: /Go on measuring/ })).toBeVisible()
  }
})
