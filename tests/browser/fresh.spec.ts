import AxeBuilder from '@axe-core/playwright'
import { expect, test, type Page } from '@playwright/test'
import { leaf } from './fitting'
import { demoJob, landingAlcove } from './person'

const verdict = (page: Page) => page.getByRole('status').first()

for (const [file, name, recipes] of [
  [
    'landing-alcove',
    'Landing alcove',
    [
      'Rail over drawers, shelves beside it, doors',
      'Slatted shelves behind doors',
      'Cubbies from floor to ceiling',
      'Loose bins under open shelves',
      'A tall pull-out beside shelves behind a door',
      'Drawers and doors below, shelves round a screen above',
      'A bench with lids',
    ],
  ],
  [
    'oar-store',
    'Oar store',
    ['Three deep pull-outs, each with a raked front', 'Four bays with doors to the rake'],
  ],
  ['eaves-berth', 'Eaves berth', ['A low row for books', 'A bench with lids']],
] as const) {
  test(`recipes are started in the ${name.toLowerCase()}`, async ({ page }) => {
    await demoJob(page, file, false)
    for (const recipe of recipes) {
      await page.getByRole('button', { name: `Start from: ${recipe}`, exact: true }).click()
      await expect(page.locator('g.cell').first()).toBeVisible()
      await expect(verdict(page)).toContainText(/Fits|Does not fit/)
      await page.getByRole('button', { name: 'Undo' }).click()
      await expect(page.getByRole('heading', { name: 'What shall stand here?' })).toBeVisible()
    }
    await expect(page.getByRole('heading', { name: 'To keep things' })).toBeVisible()
  })
}

test('recipes are looked at by what they are for', async ({ page }) => {
  await demoJob(page, 'landing-alcove', false)
  await page.getByRole('button', { name: 'To keep clothes' }).click()
  await expect(page.getByRole('heading', { name: 'To keep clothes' })).toBeVisible()
  await expect(page.getByRole('listitem')).toHaveCount(1)
  await page.getByRole('button', { name: 'Everything' }).click()
  await expect(page.getByRole('listitem')).toHaveCount(36)
})

for (const viewport of [
  { width: 1280, height: 800 },
  { width: 390, height: 844 },
]) {
  test(`every leaf and look of Fit is without serious faults, light and dark, ${viewport.width} wide`, async ({
    page,
  }) => {
    test.setTimeout(90_000)
    await page.setViewportSize(viewport)
    await landingAlcove(page, 'fit')
    await expect(page.locator('g.cell').first()).toBeVisible()
    const html = page.locator('html')
    const faults = async (where: string) => {
      await page.emulateMedia({ colorScheme: 'light' })
      await expect(html).not.toHaveClass(/dark/)
      const light = await new AxeBuilder({ page }).analyze()
      // All but colours is the same in both.
      await page.emulateMedia({ colorScheme: 'dark' })
      await expect(html).toHaveClass(/dark/)
      const dark = await new AxeBuilder({ page }).withRules('color-contrast').analyze()
      const serious = [...light.violations, ...dark.violations].filter(
        (one) => one.impact === 'serious' || one.impact === 'critical',
      )
      expect(
        serious.map((one) => `${one.id}: ${one.nodes[0]?.html}`),
        where,
      ).toEqual([])
    }
    await faults('cell')
    for (const name of ['Gaps', 'Findings', 'Cell'] as const) {
      await leaf(page, name)
      await faults(name)
    }
    await page.getByRole('button', { name: 'More for: What it holds' }).click()
    await expect(page.getByRole('dialog')).toBeVisible()
    await faults('picker')
    await page.keyboard.press('Escape')
    await page.getByRole('button', { name: 'Round', exact: true }).click()
    await expect(page.getByRole('img', { name: /The furniture in its room/ })).toBeVisible()
    await faults('round')
  })
}
