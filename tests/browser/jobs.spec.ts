import { expect, test } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { landingAlcove, newPerson } from './person'

test('a job is exported, taken out after asking, put back, and imported again', async ({ page }) => {
  await landingAlcove(page)
  await page.getByRole('link', { name: 'Incastro, to your jobs' }).click()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Export' }).click(),
  ])
  expect(download.suggestedFilename()).toBe('landing-alcove.json')
  const file = readFileSync(await download.path())
  expect(JSON.parse(file.toString())).toMatchObject({
    format: 5,
    job: { name: 'Landing alcove', measure: 'mm/1' },
  })

  await page.getByRole('button', { name: 'Take out Landing alcove' }).click()
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByRole('link', { name: 'Landing alcove' })).toBeVisible()
  const takeOut = async () => {
    await page.getByRole('button', { name: 'Take out Landing alcove' }).click()
    await page.getByRole('button', { name: 'Take the job out' }).click()
    await expect(page.getByText('Nothing is being built here yet')).toBeVisible()
  }
  await takeOut()
  await page.getByRole('button', { name: 'Put back Landing alcove' }).click()
  await expect(page.getByRole('link', { name: 'Landing alcove' })).toBeVisible()
  await takeOut()

  await page
    .getByLabel('Import a job')
    .setInputFiles({ name: 'job.json', mimeType: 'application/json', buffer: file })
  await expect(page.getByText('Fits. 4 edges to scribe.')).toBeVisible()
  await expect(page.getByText('22 pieces · 4 sheets')).toBeVisible()
})

test('a new job without a name is refused at its field', async ({ page }) => {
  await newPerson(page)
  await page.getByRole('button', { name: 'New job' }).click()
  await page.getByRole('button', { name: 'Begin measuring' }).click()
  await expect(page.getByRole('alert')).toHaveCount(1)
  await expect(page.getByText('The name field is required.')).toBeVisible()
})

test('a wrong password says so, and what was typed stays', async ({ page }) => {
  await page.goto('/sign-in')
  await page.getByLabel('E-mail').fill(`nobody-${crypto.randomUUID()}@example.org`)
  await page.getByLabel('Password').fill('not the password')
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(page.getByText('E-mail and password do not belong together.')).toBeVisible()
  await expect(page.getByLabel('Password')).toHaveValue('not the password')
})

test('an address opened signed out leads back there after signing in', async ({ page }) => {
  await landingAlcove(page)
  const address = page.url()
  await page.getByRole('link', { name: 'Incastro, to your jobs' }).click()
  await page.getByRole('button', { name: 'Sign out' }).click()
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible()
  await page.goto(address)
  await expect(page).toHaveURL(/sign-in\?to=/)
})

test('another person’s job and a wrong address are said not to exist', async ({ page, browser }) => {
  await landingAlcove(page)
  const address = page.url()
  const other = await (await browser.newContext()).newPage()
  await newPerson(other)
  await other.goto(address)
  await expect(other.getByRole('heading', { name: 'This job cannot be opened' })).toBeVisible()
  await expect(other.getByText('This does not exist, or it is not yours.')).toBeVisible()
  await other.goto('/nowhere/at/all')
  await expect(other.getByRole('heading', { name: 'There is nothing here' })).toBeVisible()
  await other.context().close()
})

test('the theme is chosen, and stays chosen', async ({ page }) => {
  await newPerson(page)
  await expect(page.locator('html')).not.toHaveClass(/dark/)
  await page.getByRole('button', { name: 'Use the dark theme' }).click()
  await expect(page.locator('html')).toHaveClass(/dark/)
  await page.reload()
  await expect(page.locator('html')).toHaveClass(/dark/)
  await page.getByRole('button', { name: 'Use the light theme' }).click()
  await expect(page.locator('html')).not.toHaveClass(/dark/)
})

test('two windows: the later write is refused, and shows what the other changed', async ({
  page,
  context,
}) => {
  await landingAlcove(page, 'fit')
  const second = await context.newPage()
  await second.goto(page.url())
  await second.getByLabel('Depth', { exact: true }).fill('350')
  await second.getByLabel('Depth', { exact: true }).press('Enter')
  await expect(second.getByRole('button', { name: 'Depth of the box: 350 mm' })).toBeVisible()

  await page.getByLabel('Height over its foot', { exact: true }).fill('2000')
  await page.getByLabel('Height over its foot', { exact: true }).press('Enter')
  await expect(page.getByText('Meanwhile changed elsewhere: depth of the run.')).toBeVisible()
  // What the other did is here now, and the same change goes through.
  await expect(page.getByLabel('Depth', { exact: true })).toHaveValue('350')
  await page.getByLabel('Height over its foot', { exact: true }).fill('2001')
  await page.getByLabel('Height over its foot', { exact: true }).press('Enter')
  await expect(page.getByRole('button', { name: 'Height of the box: 2001 mm' })).toBeVisible()
})

test('without the network nothing that was typed is lost, and it goes through afterwards', async ({
  page,
  context,
}) => {
  await landingAlcove(page)
  await page.getByRole('button', { name: /Width, bottom, at the back/ }).click()
  const field = page.getByLabel('Width, bottom, at the back', { exact: true })
  await field.fill('899')
  await context.setOffline(true)
  await field.press('Enter')
  const line = page.getByRole('button', { name: /Width, bottom, at the back/ })
  await expect(line).toContainText('899')
  await expect(line).toContainText('waits here')
  await context.setOffline(false)
  await expect(line).not.toContainText('waits here', { timeout: 15_000 })
  await expect(line).toContainText('899')
  // A choice cannot wait: it says so, and stays in its field.
  await page.getByRole('link', { name: /^Fit/ }).click()
  const depth = page.getByLabel('Depth', { exact: true })
  await expect(depth).toBeVisible()
  await context.setOffline(true)
  await depth.fill('350')
  await depth.press('Enter')
  await expect(
    page.getByText('The server cannot be reached. What you typed is still here').first(),
  ).toBeVisible()
  await expect(depth).toHaveValue('350')
})

test('homes are added and renamed, and a nameless one is refused', async ({ page }) => {
  await newPerson(page)
  await page.getByRole('button', { name: 'Rename My home' }).click()
  await page.getByLabel('Name of the home').fill('')
  await page.getByRole('button', { name: 'Keep the name' }).click()
  await expect(page.getByText('The name field is required.')).toBeVisible()
  await page.getByLabel('Name of the home').fill('The weir')
  await page.getByRole('button', { name: 'Keep the name' }).click()
  await expect(page.getByRole('heading', { name: 'The weir' })).toBeVisible()
  await page.getByRole('button', { name: 'Add a home' }).click()
  await page.getByLabel('Name of the home').fill('The lock')
  await page.getByRole('button', { name: 'Keep the name' }).click()
  await expect(page.getByRole('heading', { name: 'The lock' })).toBeVisible()
})

test('a second alcove is added to a job, measured for itself, and deleted after asking', async ({ page }) => {
  await landingAlcove(page)
  await page.getByRole('button', { name: 'Landing alcove: rules and materials' }).click()
  await page.getByRole('combobox', { name: 'Add a space' }).click()
  await page.getByRole('option', { name: 'Alcove' }).click()
  await expect(page.getByLabel('Name of the space')).toHaveCount(2)
  await page.getByRole('button', { name: 'Close' }).first().click()
  await expect(page.getByRole('status')).toContainText('Waits for 22 readings')
  await page.getByRole('combobox', { name: 'Space', exact: true }).click()
  await page.getByRole('option', { name: 'Landing alcove' }).click()
  await expect(page.getByRole('button', { name: /Height, right/ })).toContainText('2398')
  await page.getByRole('button', { name: 'Landing alcove: rules and materials' }).click()
  await page.getByRole('button', { name: 'Take out Alcove 2 with its readings' }).click()
  await page.getByRole('button', { name: 'Take the space out' }).click()
  await expect(page.getByRole('status')).toContainText('Fits')
})
