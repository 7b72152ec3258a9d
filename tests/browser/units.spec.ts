import { expect, test } from '@playwright/test'
import { choose } from './fitting'
import { demoJob, landingAlcove, opened } from './person'

test('drawers are put in, set otherwise, refused in words, and set back to as usual', async ({ page }) => {
  await landingAlcove(page, 'fit')
  await choose(page, 'What it holds', 'Drawers')
  // 2312 high between stiles: three fronts of some 740, whose boxes are no higher than 400.
  const count = page.getByRole('spinbutton', { name: 'Drawers' })
  await expect(count).toHaveValue('3')
  await count.fill('6')
  await count.press('Enter')
  await expect(page.getByRole('button', { name: 'Drawers as usual' })).toBeVisible()
  const grade = page.getByRole('textbox', { name: 'Each front higher than the one over it' })
  await grade.fill('150')
  await grade.press('Enter')
  await expect(
    page.getByText(/“150” was understood as 150 mm. It must be between 0 mm and 100 mm/),
  ).toBeVisible()
  await expect(grade).toHaveValue('150')
  await grade.fill('20')
  await grade.press('Enter')
  await expect(
    page.getByRole('button', { name: 'Each front higher than the one over it as usual' }),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Each front higher than the one over it as usual' }).click()
  await expect(grade).toHaveValue('')
  await page.getByRole('button', { name: 'Drawers as usual' }).click()
  await expect(count).toHaveValue('3')
})

test('drawer boxes of another material change their sizes', async ({ page }) => {
  await landingAlcove(page, 'fit')
  await choose(page, 'What it holds', 'Drawers')
  await expect(page.getByRole('spinbutton', { name: 'Drawers' })).toHaveValue('3')
  await page.getByRole('link', { name: /^Pieces/ }).click()
  const back = (length: string) => page.getByRole('button', { name: `B1-drawer-3-back, length: ${length}` })
  // 883 wide outside, 807 between the stiles: 807 − 2 · 12.7 − 1 = 780.6, down to 780.5, less two sides of 12.
  await expect(back('756.5 mm')).toBeVisible()
  await page.getByRole('button', { name: 'Landing alcove: rules and materials' }).click()
  await opened(page)
  await page.getByRole('combobox', { name: 'Drawer boxes', exact: true }).click()
  await page.getByRole('option', { name: 'Birch plywood 18', exact: true }).click()
  await page.getByRole('button', { name: 'Take Birch plywood 18 out' }).click()
  await expect(
    page.getByText(/This material is still used: boxes and plinth, drawer boxes, 2 in stock/),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Close' }).first().click()
  // The same less two sides of 18.
  await expect(back('744.5 mm')).toBeVisible()
})

test('a face frame is made of boards that are bought by length', async ({ page }) => {
  await landingAlcove(page, 'fit')
  await page.getByRole('button', { name: 'Landing alcove: rules and materials' }).click()
  await opened(page)
  await page.getByRole('button', { name: 'A board, bought by length' }).click()
  const board = page.getByRole('region', { name: 'another board' })
  await expect(board.getByLabel('Width of the board')).toHaveValue('90')
  await board.getByRole('button', { name: 'Add a length' }).click()
  await expect(board.getByLabel('Length', { exact: true })).toHaveValue('2400')
  await page.getByRole('combobox', { name: 'Face frames and fillers' }).click()
  await page.getByRole('option', { name: 'another board', exact: true }).click()
  await page.getByRole('button', { name: 'Close' }).first().click()
  await page.getByRole('link', { name: /^Sheets/ }).click()
  await expect(page.getByRole('heading', { name: /another board · \d boards/ })).toBeVisible()
  await expect(page.getByRole('cell', { name: /another board, another length/ })).toBeVisible()
  await expect(page.getByRole('link', { name: /^Sheets.*\d sheets, \d boards/ })).toBeVisible()
})

test('a worktop stands out as far as is chosen', async ({ page }) => {
  await landingAlcove(page, 'fit')
  await page.getByRole('button', { name: 'Start from another layout' }).click()
  await page.getByRole('button', { name: 'Start from: Base cupboards, shelves above' }).click()
  const member = page.getByRole('region', { name: 'Worktop' })
  await member.getByLabel('Stands over the face').fill('35')
  await member.getByLabel('Stands over the face').press('Enter')
  await expect(member.getByRole('button', { name: 'Stands over the face as usual' })).toBeVisible()
  await member.getByRole('button', { name: 'Take the worktop away' }).click()
  await expect(member).toHaveCount(0)
  await page.getByRole('button', { name: 'Worktop over this tier' }).click()
  await expect(member).toBeVisible()
})

test('a door is hung before a box under the stair, and one that strikes is hinged at the other side', async ({
  page,
}) => {
  await demoJob(page, '../../tests/examples/oar-store-with-shelves')
  await choose(page, 'In front', 'Door')
  await expect(page.getByRole('status').first()).toContainText('Fits.')
  await page.getByRole('combobox', { name: 'Hinged at the' }).click()
  await page.getByRole('option', { name: 'Left' }).click()
  await expect(page.getByRole('status').first()).toContainText('strikes the ceiling on its way')
  await page
    .getByRole('list', { name: 'About this cell' })
    .getByRole('button', { name: /strikes the ceiling/ })
    .click()
  await page.getByRole('button', { name: 'Hinge it at the right' }).click()
  await expect(page.getByRole('status').first()).toContainText('Fits.')
  await choose(page, 'In front', 'Open')
  await expect(page.getByRole('combobox', { name: 'Hinged at the' })).toHaveCount(0)
})

test('a cable hole is bored where it is told, refused in a nailer with a way out, and taken away', async ({
  page,
}) => {
  await landingAlcove(page, 'fit')
  await page.getByRole('button', { name: 'Add: cable hole' }).click()
  const hole = page.getByRole('region', { name: 'Cable hole' })
  await expect(hole).toBeVisible()
  const end = hole.getByLabel('Centre from the lower or left end')
  await end.fill('100')
  await end.press('Enter')
  await page
    .getByRole('list', { name: 'About this cell' })
    .getByRole('button', { name: /The hole for cables lies in a nailer/ })
    .click()
  await page.getByRole('button', { name: 'Centre it 120 mm up' }).click()
  await expect(page.getByText(/hole for cables lies in a nailer/)).toHaveCount(0)
  await page.getByRole('link', { name: /^Pieces/ }).click()
  await expect(page.getByText('hole: Ø 60 mm for cables').first()).toBeVisible()
  await expect(page.getByText('cable grommet Ø 60 mm')).toBeVisible()
  await page.getByRole('link', { name: /^Fit/ }).click()
  await page.getByRole('button', { name: 'Take the cable hole away' }).click()
  await expect(hole).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(hole).toBeVisible()
})

test('boards are put on a wall, stand in no box, are set otherwise and taken away', async ({ page }) => {
  await landingAlcove(page, 'fit')
  await page.getByRole('combobox', { name: 'Add on a wall' }).click()
  await page.getByRole('option', { name: 'Cladding on the back wall' }).click()
  const wall = page.getByRole('region', { name: 'On the walls' })
  await expect(wall.getByRole('heading', { name: 'Cladding C1, back wall' })).toBeVisible()
  // The cupboard stands before them: shallower by as much as they are thick, and it still fits.
  await expect(page.getByRole('status').first()).toContainText('Fits.')
  await choose(page, 'What it holds', 'Open gap')
  const gap = wall.getByLabel('Gap at all four edges')
  await gap.fill('25')
  await gap.press('Enter')
  await expect(
    page.getByText(/“25” was understood as 25 mm. It must be between 2 mm and 20 mm/),
  ).toBeVisible()
  await gap.fill('5')
  await gap.press('Enter')
  await wall.getByLabel('Head over the floor').fill('1200')
  await wall.getByLabel('Head over the floor').press('Enter')
  await expect(wall.getByRole('button', { name: 'Height of C1' })).toContainText(/1 ?\d{3}/)
  await page.getByRole('link', { name: /^Pieces/ }).click()
  await expect(page.getByText('C1-first', { exact: true })).toBeVisible()
  await page.getByRole('link', { name: /^Fit/ }).click()
  await wall.getByRole('button', { name: 'Take the cladding away' }).click()
  await expect(wall.getByRole('heading', { name: /Cladding C1/ })).toHaveCount(0)
})

test('lids lie over the base cupboards, which then have no top, and swing', async ({ page }) => {
  await landingAlcove(page, 'fit')
  await page.getByRole('button', { name: 'Start from another layout' }).click()
  await page.getByRole('button', { name: 'Start from: Base cupboards, shelves above' }).click()
  const member = page.getByRole('region', { name: 'Worktop' })
  await member.getByRole('button', { name: 'Take the worktop away' }).click()
  await expect(member).toHaveCount(0)
  await page.getByRole('button', { name: 'Bench lid over this tier' }).click()
  const lid = page.getByRole('region', { name: 'Bench lid' })
  await expect(lid.getByLabel('Fixed strip behind the lids')).toBeVisible()
  await page.getByRole('link', { name: /^Pieces/ }).click()
  await expect(page.getByText(/W\d-lid/).first()).toBeVisible()
  await expect(page.getByText(/piano hinge/)).toBeVisible()
  await expect(page.getByText('B1-top', { exact: true })).toHaveCount(0)
})

test('shelves of one cupboard are made of another material, and go back to the job’s', async ({ page }) => {
  await landingAlcove(page, 'fit')
  await page.getByRole('combobox', { name: 'Made of' }).click()
  await page.getByRole('option', { name: 'Birch plywood 12' }).click()
  await expect(page.getByRole('button', { name: 'Made of as usual' })).toBeVisible()
  await page.getByRole('link', { name: /^Pieces/ }).click()
  await page.getByRole('button', { name: 'By material' }).click()
  await expect(page.getByRole('heading', { name: /Birch plywood 12/ })).toBeVisible()
  await page.getByRole('link', { name: /^Fit/ }).click()
  await page.getByRole('button', { name: 'Made of as usual' }).click()
  await expect(page.getByRole('button', { name: 'Made of as usual' })).toHaveCount(0)
})
