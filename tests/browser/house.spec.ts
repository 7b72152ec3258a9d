import { expect, test } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { clashes, eachFits, fill, leaf } from './fitting'
import { demoJob } from './person'

const verdict = (page: import('@playwright/test').Page) => page.getByRole('status').first()

const BEGUN = [
  [
    'landing-alcove',
    [
      'A cupboard round a basin, a step for children below it',
      'A cupboard under a sink, open behind',
      'Laundry bags under openings in a worktop',
      'Bought bookcases closed up to the ceiling',
      'Slatted shelves between walls clad with boards',
    ],
  ],
  ['../../examples/low-wall', ['A low wall into the room, a bench beside it']],
] as const

for (const [file, recipes] of BEGUN) {
  test(`what is built round a house’s own things is begun from a recipe, and fits: ${file.replace(/.*\//, '')}`, async ({
    page,
  }) => {
    await demoJob(page, file, false)
    await eachFits(page, recipes)
  })
}

test('a fire is framed in by its maker’s sheet, between bookcases and under a mantel that clears it', async ({
  page,
}) => {
  await demoJob(page, '../../examples/fire-wall', false)
  await page
    .getByRole('button', { name: 'Start from: A framed wall for an electric fire between bookcases' })
    .click()
  await expect(verdict(page)).toContainText('The maker’s sheet of the fire is needed first', {
    ignoreCase: true,
  })
  const wall = page.getByRole('article', { name: 'Wall before a wall F1' })
  for (const [label, size] of [
    ['Clear width of the opening', '700'],
    ['Clear height of the opening', '400'],
    ['The fire’s depth behind its flange', '150'],
    ['Air behind the fire', '25'],
    ['Clear over the fire', '300'],
  ] as const) {
    const field = wall.getByLabel(label, { exact: true })
    await field.fill(size)
    await field.press('Enter')
    await expect(field).toHaveValue(`${size} mm`)
  }
  await expect(verdict(page)).toContainText('Fits.')
  // The run ends beside the wall; what else is built on it stands in its drawing.
  await expect(page.getByRole('combobox', { name: 'Ends at' })).toContainText('the left side of F1')
  // A fire whose sheet asks for more is too near its mantel, and that goes up.
  const clear = wall.getByLabel('Clear over the fire', { exact: true })
  await clear.fill('650')
  await clear.press('Enter')
  await leaf(page, 'Findings')
  const low = clashes(page).filter({ hasText: 'too low over the fire' })
  await low.getByRole('button').first().click()
  await low
    .locator('.ways')
    .getByRole('button', { name: /^Its foot/ })
    .click()
  await expect(verdict(page)).toContainText('Fits.')
  // Taken away, what lies on it goes too, and the shelves meet.
  await leaf(page, 'Cell')
  await page.getByRole('button', { name: 'Take the wall before a wall away' }).click()
  await expect(page.getByRole('article', { name: /^Mantel/ })).toHaveCount(0)
  await expect(page.getByRole('combobox', { name: 'Ends at' })).toHaveCount(0)
})

test('a job without timber for posts takes it to its materials by a way out, and gives it back', async ({
  page,
}) => {
  await demoJob(page, '../../examples/bought-library', false)
  await page.getByRole('combobox', { name: 'Add on a wall' }).click()
  await page.getByRole('option', { name: 'Half wall on the back wall' }).click()
  await page
    .getByRole('button', { name: /panel and frames between them take/ })
    .last()
    .click()
  await page.getByRole('button', { name: 'Take timber for posts to the materials' }).click()
  await expect(verdict(page)).not.toContainText('Does not fit')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(verdict(page)).toContainText('panel and frames between them take')
})

test('a box goes round pipes, and opens where a valve is', async ({ page }) => {
  await demoJob(page, '../../examples/pipes')
  await expect(verdict(page)).toContainText('Fits.')
  await page.getByRole('switch', { name: 'A part of the face lifts off' }).click()
  await page
    .getByRole('button', { name: /would be behind a fixed face/ })
    .last()
    .click()
  await page.getByRole('button', { name: 'Let a part of the face lift off there' }).click()
  await expect(verdict(page)).toContainText('Fits.')
})

test('the foot of a basin is taken by offsets, and what is wrong with them is said at their field', async ({
  page,
}) => {
  await demoJob(page, '../../examples/wash-stand')
  await expect(verdict(page)).toContainText('Fits.')
  await page.getByRole('link', { name: /^Measure/ }).click()
  await page.getByRole('button', { name: 'Things on walls' }).click()
  await page.getByRole('button', { name: /Foot of the basin/ }).click()
  await fill(page, 'Offsets round it', '200; 398 x 102; 423 x 90; 448 x 70; 473 x 76; 498 x 102')
  await expect(page.getByText(/off the circle of the others: take it again/)).toBeVisible()
  await fill(page, 'Offsets round it', '200; 398 x 102; 423 x 76; 448 x 70; 473 x 76; 498 x 102')
  await expect(page.getByText(/off the circle of the others/)).toHaveCount(0)
  // Without them what is to stand round it asks for them.
  await fill(page, 'Offsets round it', '')
  await expect(
    page.getByText('For what is to stand here it needs three offsets round its foot.'),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Done' }).click()
  await expect(page.getByRole('button', { name: /Foot of the basin/ })).toContainText(
    'needs three offsets round its foot',
  )
})

test('templates of what is cut round a basin are downloaded', async ({ page }) => {
  await demoJob(page, '../../examples/wash-stand')
  await page.getByRole('button', { name: 'Templates and files' }).click()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Templates at full size, SVG' }).click(),
  ])
  const svg = readFileSync(await download.path(), 'utf8')
  expect(svg.startsWith('<svg ')).toBe(true)
})

test('a nook under a stair is closed by panels, and asks what carries the house', async ({ page }) => {
  await demoJob(page, 'landing-alcove', false)
  await page
    .getByRole('button', {
      name: 'Start from: A nook under a stair closed by panels, a hatch over its low end',
      exact: true,
    })
    .click()
  await expect(verdict(page)).toContainText('Fits.')
  await expect(
    page.getByText(/Posts, stringers and studs in an opening may carry the house/).first(),
  ).toBeVisible()
})

test('what walls are made of is asked where something hangs on them, and nowhere else', async ({ page }) => {
  await demoJob(page, '../../examples/boot-room')
  await page.getByRole('link', { name: /^Measure/ }).click()
  await page.getByRole('button', { name: 'Things on walls' }).click()
  const asked = page.getByRole('region', { name: 'What walls are made of' })
  await asked.getByLabel('Left wall', { exact: true }).click()
  await page.getByRole('option', { name: 'Masonry', exact: true }).click()
  await expect(asked.getByLabel('Left wall', { exact: true })).toContainText('Masonry')
  await page.reload()
  await page.getByRole('button', { name: 'Things on walls' }).click()
  await expect(asked.getByLabel('Left wall', { exact: true })).toContainText('Masonry')
  // The hook rail there asks for studs no more.
  await page.getByRole('link', { name: /^Fit/ }).click()
  await expect(page.getByText('Hook rail R1').first()).toBeVisible()
  await expect(page.getByText(/Find the studs first and note them: the rail/)).toHaveCount(0)
  await demoJob(page, 'landing-alcove')
  await page.getByRole('link', { name: /^Measure/ }).click()
  await page.getByRole('button', { name: 'Things on walls' }).click()
  await expect(page.getByLabel('Add a thing')).toBeVisible()
  await expect(asked).toHaveCount(0)
})

test('posts in an opening that was found are asked for their faces, and furring is cut to them', async ({
  page,
}) => {
  await demoJob(page, '../../examples/under-stair-opening')
  await expect(verdict(page)).toContainText('Fits.')
  await page.getByRole('link', { name: /^Measure/ }).click()
  await page.getByRole('button', { name: 'Things on walls' }).click()
  await page.getByRole('button', { name: /Post 1/ }).click()
  await fill(page, 'Its face behind a straightedge, at its head', '17')
  await page.getByRole('link', { name: /^Pieces/ }).click()
  await expect(page.getByText('Furring strip').first()).toBeVisible()
})

test('a skirting and a cornice go round what is built in', async ({ page }) => {
  await demoJob(page, '../../examples/skirting-round')
  await expect(verdict(page)).toContainText('Fits.')
  const skirting = page.getByRole('region', { name: 'Skirting or cornice round it' }).first()
  await skirting.getByRole('button', { name: 'Take the skirting or cornice round it away' }).click()
  await expect(page.getByRole('region', { name: 'Skirting or cornice round it' })).toHaveCount(1)
  await page.getByRole('button', { name: 'Skirting or cornice round it', exact: true }).click()
  await expect(page.getByRole('region', { name: 'Skirting or cornice round it' })).toHaveCount(2)
  await expect(verdict(page)).toContainText('Fits.')
})

test('a top round the foot of a basin is split where nothing hides a slot, and made in one on request', async ({
  page,
}) => {
  await demoJob(page, '../../examples/basin-surround')
  await expect(verdict(page)).toContainText('Fits.')
  await page.getByRole('link', { name: /^Pieces/ }).click()
  await expect(page.getByText(/top-L/).first()).toBeVisible()
  await page.getByRole('link', { name: /^Fit/ }).click()
  await page.getByRole('combobox', { name: 'Round the foot of a basin it is' }).click()
  await page.getByRole('option', { name: 'in one, with a slot to the wall' }).click()
  await page.getByRole('link', { name: /^Pieces/ }).click()
  await expect(page.getByText(/top-L/)).toHaveCount(0)
})
