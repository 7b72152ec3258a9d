import { expect, type Page } from '@playwright/test'

/** Opens a leaf beside the drawing of Fit. */
export async function leaf(page: Page, name: 'Cell' | 'Gaps' | 'Findings'): Promise<void> {
  await page.getByRole('tab', { name: new RegExp(`^${name}`) }).click()
}

/** What clashes, in the leaf of the findings, whether that is open or not. */
export const clashes = (page: Page) => page.locator('[aria-label="What clashes"] .finding.clash')

/** Chooses a unit from its picture among all that could stand there. */
export async function choose(page: Page, place: 'What it holds' | 'In front', unit: string): Promise<void> {
  const more = page.getByRole('button', { name: `More for: ${place}` })
  const few = page.getByRole('radiogroup', { name: place })
  // Until the kinds of unit have come there is nothing but what stands there now.
  await expect(few.getByRole('radio').nth(1)).toBeVisible()
  if (await few.getByRole('radio', { name: unit, exact: true }).count()) {
    await few.getByRole('radio', { name: unit, exact: true }).click()
    return
  }
  await more.click()
  await page.getByRole('dialog').getByRole('radio', { name: unit, exact: true }).click()
}

/** Chooses in a list. What was set before may still move the rows below, which closes a list: then it is opened once more. */
export async function pick(page: Page, label: string, option: string): Promise<void> {
  const list = page.getByRole('combobox', { name: label, exact: true })
  await expect(async () => {
    if ((await list.textContent())?.trim() !== option) {
      await list.click()
      await page.getByRole('option', { name: option, exact: true }).click({ timeout: 3000 })
    }
    await expect(list).toHaveText(option, { timeout: 3000 })
  }).toPass()
  await expect(page.getByRole('listbox')).toHaveCount(0)
}

/** Types into a field and leaves it. */
export async function fill(page: Page, label: string, text: string): Promise<void> {
  const field = page.getByLabel(label, { exact: true })
  await field.fill(text)
  await field.press('Enter')
}

/** Puts a thing on the back wall, 200 from its left, and goes back to Fit. */
export async function addThing(
  page: Page,
  name: string,
  then: () => Promise<unknown> = async () => {},
): Promise<void> {
  await page.goto(page.url().replace('fit', 'measure'))
  await expect(page.getByRole('heading', { name: 'Tape book' })).toBeVisible()
  await page.keyboard.press('Escape')
  await page.keyboard.press('o')
  await page.getByRole('combobox', { name: 'Add a thing' }).click()
  await page.getByRole('option', { name, exact: true }).click()
  await expect(page.getByLabel('From the side of the wall')).toBeVisible()
  await fill(page, 'From the side of the wall', '200')
  await expect(page.locator('.thing-distance.selected').filter({ hasText: '200 mm' })).toBeVisible()
  await then()
  await page.getByRole('link', { name: /^Fit/ }).click()
}

/** The length that a button with a working shows, in mm. */
export async function millimetres(page: Page, name: string | RegExp): Promise<number> {
  const text = await page.getByRole('button', { name, includeHidden: true }).first().textContent()
  return Number(/([\d.]+) ?mm/.exec(text ?? '')?.[1])
}

/** Starts from each recipe in an empty space, one after another: each fits. */
export async function eachFits(page: Page, recipes: readonly string[]): Promise<void> {
  for (const recipe of recipes) {
    await page.getByRole('button', { name: `Start from: ${recipe}`, exact: true }).click()
    await expect(page.locator('g.cell').first()).toBeVisible()
    await expect(page.getByRole('status').first()).toContainText('Fits.')
    await page.getByRole('button', { name: 'Start from another layout' }).click()
  }
}
