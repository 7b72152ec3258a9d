import { expect, test, type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { choose, eachFits, millimetres, pick } from './fitting'
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
  for (const unit of [
    'Cart',
    'Laundry hamper',
    'Place for a machine',
    'Shelves between walls',
    'Filler panel',
    'Shelves',
  ]) {
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

test('a box has a hidden place, hangs on its wall, stands open below and behind, or is bought', async ({
  page,
}) => {
  await landingAlcove(page, 'fit')
  for (const [add, name] of [
    ['Add: hidden compartment', 'Hidden compartment'],
    ['Add: no back', 'No back'],
    ['Add: no bottom', 'No bottom'],
    ['Add: hung on the wall', 'Hung on the wall'],
  ] as const) {
    await page.getByRole('button', { name: add }).click()
    const option = page.getByRole('region', { name, exact: true })
    await expect(option).toBeVisible()
    await expect(verdict(page)).toContainText(/^(Fits|Does not fit: )/)
    await option.getByRole('button', { name: /^Take the .* away$/ }).click()
    await expect(option).toHaveCount(0)
  }
  await expect(verdict(page)).toContainText('Fits.')
  // A bought cabinet asks for its own sizes, and not for what is in it.
  await page.getByRole('button', { name: 'Add: bought, not built' }).click()
  const bought = page.getByRole('region', { name: 'Bought, not built', exact: true })
  await expect(bought).toBeVisible()
  await expect(page.getByRole('radiogroup', { name: 'What it holds' })).toHaveCount(0)
  await page
    .getByRole('list', { name: 'About this cell' })
    .getByRole('button', { name: /The cabinet is 800 mm wide/ })
    .first()
    .click()
  await page.getByRole('button', { name: 'Make its place 800 mm wide' }).first().click()
  await expect(page.getByText(/The cabinet is 800 mm wide/)).toHaveCount(0)
})

test('a hatch is put on a wall and asks that somebody looked at it before it is cut', async ({ page }) => {
  await demoJob(page, 'landing-alcove', false)
  await page.getByRole('combobox', { name: 'Add on a wall' }).click()
  await page.getByRole('option', { name: 'Hatch on the back wall' }).click()
  const wall = page.getByRole('region', { name: 'On the walls' })
  await expect(wall.getByRole('heading', { name: 'Hatch H1, back wall' })).toBeVisible()
  await page.getByRole('button', { name: /Have the wall looked at before it is cut/ }).click()
  await page.getByRole('button', { name: 'Somebody who knows looked at it' }).click()
  await expect(page.getByText(/Have the wall looked at/)).toHaveCount(0)
  await expect(verdict(page)).toContainText('Fits.')
  await page.getByRole('link', { name: /^Pieces/ }).click()
  await expect(page.getByText('H1-leaf', { exact: true })).toBeVisible()
})

test('doors hang on what is chosen, close with a lip, and are bored for their pulls', async ({ page }) => {
  await landingAlcove(page, 'fit')
  await choose(page, 'In front', 'Door')
  const leaves = page.getByRole('spinbutton', { name: 'Leaves' })
  await leaves.fill('2')
  await leaves.press('Enter')
  await pick(page, 'Built as', 'Frame and panel in grooves')
  await pick(page, 'Hung on', 'Butt hinges')
  await expect(verdict(page)).toContainText('Fits.')
  await page.getByRole('link', { name: /^Pieces/ }).click()
  await expect(page.getByRole('button', { name: 'B1-door-stop-foot-1, length' })).toBeVisible()
  await page.getByRole('button', { name: 'B1-door-L-stile-R, drawing' }).click()
  await expect(page.getByText(/2 holes Ø 5 mm for its pull/)).toBeVisible()
  await page.keyboard.press('Escape')
  await page.getByRole('link', { name: /^Fit/ }).click()
  await pick(page, 'Hung on', 'Concealed hinges')
  await pick(page, 'Closes', 'Inside, with a lip all round')
  await expect(verdict(page)).toContainText('Fits.')
  await page.getByRole('link', { name: /^Pieces/ }).click()
  await expect(page.getByText(/rabbet in the back, 13.5 mm wide and 9 mm deep/).first()).toBeVisible()
})

test('drawers take heights that are typed one after another, and say what they do not understand', async ({
  page,
}) => {
  await landingAlcove(page, 'fit')
  await choose(page, 'What it holds', 'Drawers')
  const heights = page.getByRole('textbox', { name: 'Heights of the fronts from the top' })
  await heights.fill('120; 5')
  await heights.press('Enter')
  await expect(
    page.getByText(/“5” was understood as 5 mm. It must be between 40 mm and 600 mm/),
  ).toBeVisible()
  await heights.fill('120; 16 cm')
  await heights.press('Enter')
  await expect(
    page.getByRole('button', { name: 'Heights of the fronts from the top as usual' }),
  ).toBeVisible()
  await page.getByRole('link', { name: /^Pieces/ }).click()
  await expect(page.getByRole('button', { name: 'B1-drawer-3-face, width: 120 mm' })).toBeVisible()
  await expect(page.getByRole('button', { name: 'B1-drawer-2-face, width: 160 mm' })).toBeVisible()
})

/** Each in a space where it fits as it is. */
const BEGUN = [
  [
    'landing-alcove',
    'Landing alcove',
    [
      'Slatted shelves behind doors',
      'Shallow shelves on a deeper base with doors',
      'Drawers and doors below, shelves round a screen above',
      'A tall pull-out beside shelves behind a door',
      'Cubbies from floor to ceiling',
    ],
  ],
  ['oar-store', 'Oar store', ['Three deep pull-outs, each with a raked front']],
  [
    '../../examples/walk-in',
    'Dressing room',
    ['Rails on both sides, shelves and cubbies at the back on a plinth with a step'],
  ],
  [
    '../../examples/laundry',
    'Wash house',
    ['A machine and a hamper on the floor, cupboards with sliding doors above'],
  ],
] as const

for (const [file, job, recipes] of BEGUN) {
  test(`what people keep things in is begun from a recipe, and fits: ${job}`, async ({ page }) => {
    test.setTimeout(120_000)
    await demoJob(page, file, false)
    await eachFits(page, recipes)
  })
}

test('what pull-outs under a rake are filled with decides what slides carry them', async ({ page }) => {
  await demoJob(page, 'oar-store')
  await expect(verdict(page)).toContainText('Fits.')
  const slides = async () => {
    await page.getByRole('link', { name: /^Sheets/ }).click()
    await page.getByRole('button', { name: 'To buy' }).click()
    await expect(page.getByText(/^Pair of (heavy|drawer) slides/).first()).toBeVisible()
    const told = await page.getByText(/^Pair of (heavy|drawer) slides/).allTextContents()
    await page.getByRole('link', { name: /^Fit/ }).click()
    await expect(page.locator('g.cell').first()).toBeVisible()
    return told.map((text) => Number(/(\d+) kg/.exec(text)?.[1])).sort((a, b) => a - b)
  }
  const before = await slides()
  await pick(page, 'Filled with', 'Books')
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
  await expect(page.getByLabel('Height of that strip')).toHaveCount(0)
  await pick(page, 'Strip along the front', 'In front of the shelf')
  await expect(page.getByLabel('Height of that strip')).toBeVisible()
  await pick(page, 'Adjustable ones lie on', 'Cleats screwed to the sides')
  await pick(page, 'Each is', 'Slats with gaps, for air')
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
  await pick(page, 'Leaves of doors', 'Frame and panel in grooves')
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
