import { expect, test, type Page } from '@playwright/test'
import { eachFits, pick } from './fitting'
import { demoJob, landingAlcove } from './person'

const verdict = (page: Page) => page.getByRole('status').first()
const about = (page: Page) => page.getByRole('list', { name: 'About this cell' })

/** Each in a space where it fits as it is. */
const BEGUN = [
  [
    'eaves-berth',
    'Eaves berth',
    [
      'A bed along the wall, drawers below and shelves at its foot',
      'A bench with lids',
      'A desk between two boxes',
    ],
  ],
  ['landing-alcove', 'Landing alcove', ['A seat over drawers', 'A bench with lids']],
] as const

for (const [file, job, recipes] of BEGUN) {
  test(`what one sits, sleeps and works on is begun from a recipe, and fits: ${job}`, async ({ page }) => {
    test.setTimeout(120_000)
    await demoJob(page, file, false)
    await eachFits(page, recipes)
  })
}

test('a mattress that is too wide is told with its sizes, and one that goes in fits; its drawers are pieces', async ({
  page,
}) => {
  await demoJob(page, 'eaves-berth')
  await expect(verdict(page)).toContainText('Fits.')
  await pick(page, 'Mattress', '1000 × 2000 mm')
  await expect(verdict(page)).toContainText(
    'the mattress and its play take 2020 mm by 1020 mm; 2040 mm by 962 mm are clear over its height',
  )
  await pick(page, 'Mattress', '900 × 2000 mm')
  await expect(verdict(page)).toContainText('Fits.')
  await page.getByRole('link', { name: /^Pieces/ }).click()
  await expect(page.getByText('2 × Drawer front', { exact: true })).toBeVisible()
  await expect(page.getByText('14 × Slat', { exact: true })).toBeVisible()
})

test('a shelf sags under what is said to lie on it, and a press makes it hold', async ({ page }) => {
  await landingAlcove(page, 'fit')
  await expect(verdict(page)).toContainText('Fits.')
  await pick(page, 'Carries', 'Books')
  const sags = about(page)
    .getByRole('button', { name: /sags .* over the years under books, 35 kg on a metre/ })
    .first()
  await sags.click()
  await about(page)
    .getByRole('button', { name: /^(Lay it on cleats|Make it of|Split the bay)/ })
    .first()
    .click()
  await expect(sags).toHaveCount(0)
  await expect(verdict(page)).toContainText('Fits.')
})

test('a bench gets a back that leans, and cushions are reckoned for it', async ({ page }) => {
  await demoJob(page, '../../examples/bench')
  await expect(verdict(page)).toContainText('Fits.')
  await page.getByRole('link', { name: /^Pieces/ }).click()
  await expect(page.getByText('Leaning back', { exact: true }).first()).toBeVisible()
  await expect(
    page.getByText('2 × Side support of the back').or(page.getByText('3 × Side support of the back')),
  ).toBeVisible()
})

test('a bench turns a corner, and the end of its back is drawn with both angles', async ({ page }) => {
  await demoJob(page, '../../examples/corner-bench')
  await expect(verdict(page)).toContainText('Fits.')
  await page.getByRole('link', { name: /^Pieces/ }).click()
  await page.getByRole('button', { name: 'W2-back-panel, drawing' }).click()
  const drawing = page.getByRole('dialog')
  await expect(drawing.getByText(/end in the corner: cut at 11\.\d° off square/)).toBeVisible()
  await expect(drawing.getByText(/end in the corner: bevelled 2\.\d°, longest on the face/)).toBeVisible()
})

test('a hutch stands married: gables and strips in both of its bays', async ({ page }) => {
  await demoJob(page, '../../examples/hutch')
  await expect(verdict(page)).toContainText('Fits.')
  await page.getByRole('link', { name: /^Pieces/ }).click()
  await expect(page.getByText('2 × Gable', { exact: true })).toHaveCount(2)
  await expect(page.getByText('2 × Strip over the joint', { exact: true })).toHaveCount(2)
})
