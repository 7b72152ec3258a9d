import { expect, test, type Page } from '@playwright/test'
import { noted, practiceRoom, readByDevice, stationOf } from './person'

const verdict = (page: Page) => page.getByRole('status').first()

/** Recipes one after another, until one fits: what is too wide for every sheet says so, and another is taken. */
async function furnished(page: Page): Promise<void> {
  const recipes = page.getByRole('button', { name: /^Start from: / })
  await expect(recipes.first()).toBeVisible()
  const count = await recipes.count()
  for (let i = 0; i < count; i++) {
    await recipes.nth(i).click()
    await expect(verdict(page)).toContainText(/Fits|Does not fit/)
    if ((await verdict(page).textContent())?.includes('Fits.')) return
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByRole('heading', { name: 'What shall stand here?' })).toBeVisible()
  }
  throw new Error(`None of ${count} recipes fits.`)
}

/** Kinds of rooms that are walked through; all 7 on demand. */
const WALKS = Number(process.env.INCASTRO_WALKS ?? 3)

const ROOMS = [
  ['Closet with a door', 12],
  ['Under a roof slope', 3],
  ['Splayed bay', 17],
  ['Alcove', 11],
  ['Under a stair', 13],
  ['Corner of a room', 15],
  ['Round a chimney breast or chase', 16],
] as const

for (const [kind, seed] of ROOMS.slice(0, WALKS)) {
  test(`from the first reading to the last step: ${kind.toLowerCase()}`, async ({ page }) => {
    test.setTimeout(240_000)
    await practiceRoom(page, kind, seed)
    await readByDevice(page)
    await page.getByRole('link', { name: /^Fit/ }).click()
    await furnished(page)

    // Something is changed, and it still fits.
    await page.getByRole('button', { name: /rules and materials/ }).click()
    const play = page.getByLabel('Play round skirting that stays')
    await play.fill('4')
    await play.press('Enter')
    await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled()
    await page.getByRole('button', { name: 'Close' }).first().click()
    await expect(verdict(page)).toContainText('Fits.')

    await page.getByRole('link', { name: /^Sheets/ }).click()
    await page.getByRole('button', { name: 'Release for cutting' }).click()
    await page.getByRole('button', { name: 'Cut done' }).click()
    const saw = page.getByRole('link', { name: /^Saw/ })
    await expect(saw).toContainText(/1 of \d+ cuts/)
    const { release } = await stationOf<{
      release: { id: string; cutting: { steps: { cuts: { id: string }[] }[] } }
    }>(page, 'saw')
    const cuts = release.cutting.steps.flatMap((step) => step.cuts).map((cut) => cut.id)
    // A second pair of hands ticks the rest.
    await noted(
      page,
      'saw',
      cuts.map((part) => ({ kind: 'cut', part, release: release.id })),
    )
    await page.reload()
    await expect(saw).toContainText('all cut')

    const install = page.getByRole('link', { name: /^Install/ })
    await install.click()
    const name = (await page.locator('.task h1').textContent()) ?? ''
    await page.getByRole('button', { name: /^Done/ }).click()
    await expect(install).toContainText('step 2 of')
    await expect(page.locator('.task h1')).not.toHaveText(name)
    const { tasks } = await stationOf<{ tasks: { id: string }[] }>(page, 'install')
    await noted(
      page,
      'install',
      tasks.map((task) => ({ kind: 'task_done', part: task.id })),
    )
    await page.reload()
    await expect(page.getByRole('heading', { name: 'All fitted' })).toBeVisible()
    await page.getByRole('link', { name: 'To the Log' }).click()
    await page.getByLabel('What would you do otherwise?').fill('Begin earlier.')
    await page.getByRole('button', { name: 'Keep the answers' }).click()
    await expect(page.getByText('What would you do otherwise? Begin earlier.')).toBeVisible()
  })
}
